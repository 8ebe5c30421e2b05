import { EN, compare, say, type Message, type TextKey } from '../texts';
import { FEET, Locale, METRIC } from '../units';
import { speech } from './speech';
import { spoken } from './spoken';

const feet = speech(EN, FEET);
const metric = speech(EN, METRIC);

describe('the catalogue', () => {
  it('has a text that can be read for every key, with nothing left open in it', () => {
    for (const key of Object.keys(EN) as TextKey[]) {
      const text = EN[key];
      const names = [...text.matchAll(/\{(\w+)(?=[,}])/g)].map((m) => m[1] as string);
      const takes = Object.fromEntries(names.map((name) => [name, 1]));
      const said = metric({ key, with: takes } as Message);
      expect(said).not.toMatch(/[{}]|undefined|\[object/);
      expect(said.length).toBeGreaterThan(0);
    }
  });

  it('says quantities in the units of the job', () => {
    expect(feet(say('a-width.widen', { to: 300 }))).toBe('Widen to 12"');
    expect(metric(say('a-width.widen', { to: 300 }))).toBe('Widen to 300 mm');
    expect(feet(say('a-cold.heat', { to: 15 }))).toBe('Heat the rooms and plan for 59 °F');
  });

  it('tells apart what is held against each other', () => {
    const [here, least] = compare(9.99, 10);
    expect(metric(say('a-cold', { here, least }))).toContain(
      'The rooms are at 9.99 °C. Keep them at 10 °C or warmer',
    );
  });

  it('lists, counts and begins sentences', () => {
    const what = [say('gone.seam', { count: 2 }), say('gone.light', { count: 1 })];
    expect(metric(say('a-gone', { what }))).toContain(
      'This room still stores 2 old-to-new joints and the light for a place',
    );
    expect(metric(say('start', { what: say('step.tape') }))).toBe('Tape coat');
  });

  it('says what somebody wrote as it is, braces and all', () => {
    expect(metric('{raw} text')).toBe('{raw} text');
    expect(metric(say('a-date', { product: '{x} & <b>', on: '2026-11-30', by: '2026-11-01' }))).toContain(
      '{x} & <b>',
    );
  });

  it('goes by the plurals and lists of its language', () => {
    const polish = speech(
      { ...EN, 'gone.seam': '{count, plural, one {spoina} few {# spoiny} other {# spoin}}' },
      { system: 'metric', locale: new Locale('pl') },
    );
    expect([1, 3, 7].map((count) => polish(say('gone.seam', { count })))).toEqual([
      'spoina',
      '3 spoiny',
      '7 spoin',
    ]);
    expect(polish([say('step.tape'), say('step.fill')])).toBe('tape coat i fill coat');
  });

  it('tells the key of a text it does not have, or that lacks what it takes', () => {
    expect(speech({}, METRIC)({ key: 'later' } as unknown as Message)).toBe('later');
    expect(metric({ key: 'undo.take' })).toBe('undo.take');
  });
});

it('a plan is published with its sentences said', () => {
  const plan = {
    advice: [{ code: 'A', reason: say('step.sand'), cures: [{ text: say('cure.fan'), n: 1 }] }],
    none: null,
  };
  expect(spoken(plan, metric)).toEqual({
    advice: [{ code: 'A', reason: 'sand', cures: [{ text: 'Run a fan', n: 1 }] }],
    none: null,
  });
});
