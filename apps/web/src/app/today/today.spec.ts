import type { Type } from '@angular/core';
import { TestBed, type ComponentFixture } from '@angular/core/testing';
import { dialFor, dialOf, PRESETS, TYPICAL, type DayTask, type Job } from '@lisse/core';
import { built, button, openJob, sampleJob, setUp, until, words } from '../../testing/app';
import { Awake } from '../devices/awake';
import { Bell } from '../devices/bell';
import { Instruments } from '../devices/instruments';
import { WHAT_TIME } from '../what-time';
import { Clock } from '../state/clock';
import { JobStore } from '../state/job.store';
import { LogStore } from '../state/log.store';
import { PlanStore } from '../state/plan.store';
import { PotsStore } from '../state/pots.store';
import type { LisseDb } from '../storage/db';
import { JobFiles } from '../storage/job-files';
import { DayPage } from './day-page';
import { NowPage } from './now-page';
import { PhonesPage } from './phones-page';
import { PinsPage } from './pins-page';
import { RunPage } from './run-page';
import { TodayStore } from './today.store';
import { ToolsPage } from './tools-page';

let now = new Date();
let db: LisseDb;
let fixture: ComponentFixture<unknown>;
const page = () => fixture.nativeElement as HTMLElement;
const read = () => words(page());
const store = () => TestBed.inject(TodayStore);
const log = () => TestBed.inject(LogStore).entries();
const kinds = () => log().map(({ kind }) => kind);
const instruments = {
  air: jest.fn(() => Promise.resolve({ tempC: 12, rhPct: 78 })),
  moisture: jest.fn(() => Promise.resolve(3)),
};

const crew = (job: Job): Job => ({
  ...job,
  way: { ...job.way, compounds: 'setting-same-day', setMin: 45, setChosen: false },
  calendar: {
    ...job.calendar,
    crew: 2,
    people: [
      { id: 'ansa', name: 'Ansa' },
      { id: 'jori', name: 'Jori' },
    ],
  },
});

async function show(place: Type<unknown>, job = crew(sampleJob())): Promise<void> {
  now = new Date('2026-11-30T08:00:00Z');
  Element.prototype.scrollTo = () => undefined;
  window.scrollTo = () => undefined;
  db = setUp([
    { provide: WHAT_TIME, useValue: () => now },
    {
      provide: Bell,
      useValue: { ring: () => undefined, ready: () => Promise.resolve(), notify: () => Promise.resolve() },
    },
    { provide: Awake, useValue: { want: () => undefined } },
    { provide: Instruments, useValue: instruments },
  ]);
  await openJob(job);
  await look(place);
  // A search that ends later would put other tasks and joints before what the test does next.
  await comes(() => TestBed.inject(PlanStore).search() !== 'running');
}
async function look(place: Type<unknown>): Promise<void> {
  fixture = TestBed.createComponent(place);
  await built(fixture);
}
afterEach(() => db.delete());

const comes = async (is: () => boolean): Promise<void> => {
  await until(is);
  await built(fixture);
};
const later = async (minutes: number): Promise<void> => {
  now = new Date(now.getTime() + minutes * 60000);
  TestBed.inject(Clock).look();
  TestBed.inject(PotsStore).look();
  await built(fixture);
};
const press = (name: string) => button(page(), name).click();
const pressed = (name: RegExp) =>
  [...page().querySelectorAll<HTMLButtonElement>('button[aria-pressed]')].find((one) =>
    name.test(words(one)),
  )!;

describe('now', () => {
  it('has the task in one line, begun, laid aside, gone on with and done by one press each, in one’s own name', async () => {
    await show(NowPage);
    press('Jori');
    await built(fixture);
    const task = store().task()!;
    expect(read()).toContain('Hall');
    press('Start');
    await comes(() => store().task()?.state === 'begun');
    expect(log().at(-1)).toMatchObject({ kind: 'started', by: 'Jori', step: task.step, rows: task.rows });
    await later(25);
    await comes(() => read().includes('25 min so far'));
    press('Pause');
    await comes(() => store().task()?.state === 'paused');
    press('Resume');
    await comes(() => store().task()?.state === 'begun');
    // It stays with whoever began it.
    expect(store().task()).toMatchObject({ id: task.id });
    press('Done');
    await comes(() => store().task()?.id !== task.id);
    expect(kinds()).toEqual(['started', 'paused', 'started', 'done']);
    // Who one is stays known.
    await comes(() => read().includes('Hardening'));
  });

  it('says the cautions of the task once a day', async () => {
    await show(NowPage);
    await comes(() => page().querySelector('ls-caution-card section') !== null);
    expect(read()).toContain('Local codes and licensed practice decide.');
    press('Got it');
    await comes(() => page().querySelector('ls-caution-card section') === null);
    fixture.destroy();
    await look(NowPage);
    await comes(() => read().includes('for this task, read today'));
    await later(24 * 60);
    await comes(() => page().querySelector('ls-caution-card section') !== null);
  });

  it('has a card for the mix, whose clock starts with a press; hard, clean and spoiled are told by one each', async () => {
    await show(NowPage);
    await comes(() => page().querySelector('ls-mix-card') !== null);
    const litres = () => words(page().querySelector('.size .figure')!);
    const before = litres();
    page().querySelector<HTMLButtonElement>('[aria-label="More"]')!.click();
    await built(fixture);
    expect(litres()).not.toBe(before);
    press('Mixed: start the timer');
    press('Mixed: start the timer');
    await comes(() => page().querySelector('ls-pot-clock') !== null);
    expect(kinds()).toEqual(['mixed']);
    expect(words(page().querySelector('.time')!)).toBe('36:00');
    await later(37);
    expect(words(page().querySelector('.time')!)).toBe('8:00');
    expect(read()).toContain('Stiffening');
    press('Spoiled …');
    await built(fixture);
    press('All of it');
    await comes(() => kinds().includes('spoiled'));
    expect(log().at(-1)).toMatchObject({ batch: log()[0]!.id, amount: log()[0]!.amount });
    press('Pan and tools are clean');
    await comes(() => page().querySelector('ls-pot-clock') === null);
    // What spoiled is mixed again.
    expect(store().mixes()[0]).toMatchObject({ n: 2, mixedL: 0 });
  });

  it('ticks what was looked at, and takes a wrong tick back', async () => {
    await show(NowPage);
    await comes(() => page().querySelector('ls-check-list button') !== null);
    const first = () => page().querySelector<HTMLButtonElement>('ls-check-list button')!;
    first().click();
    await comes(() => first().getAttribute('aria-pressed') === 'true');
    first().click();
    await comes(() => first().getAttribute('aria-pressed') === 'false');
    expect(kinds()).toEqual(['checked', 'withdrawn']);
  });

  it('takes readings from the instruments, says that they are made up, and has the hours moved', async () => {
    await show(NowPage, { ...crew(sampleJob()), way: { ...sampleJob().way, compounds: 'drying' } });
    await comes(() => page().querySelector('ls-reading-card') !== null);
    press('Start');
    await comes(() => store().task()?.state === 'begun');
    press('Done');
    await comes(() => store().waits().length > 0);
    const before = store().waits()[0]!.readyLate;
    press('Read the hygrometer');
    await comes(() => read().includes('Simulated reading'));
    press('Save reading');
    await comes(() => (store().waits()[0]?.readyLate ?? '') > before);
    expect(log().at(-1)).toMatchObject({
      kind: 'reading',
      tempC: 12,
      rhPct: 78,
      from: 'simulated hygrometer',
    });
    expect(read()).toContain('times as long to dry as planned');
    press('Read the meter');
    await comes(
      () =>
        button(page().querySelector('ls-reading-card')!, 'Read the meter') !== undefined &&
        read().includes('Moisture'),
    );
    await comes(() => instruments.moisture.mock.calls.length === 1);
    const puts = () => [...page().querySelectorAll<HTMLButtonElement>('ls-reading-card .act')];
    await comes(() => puts()[1]?.disabled === false);
    puts()[1]!.click();
    await comes(() => read().includes('not ready yet'));
    instruments.moisture.mockResolvedValueOnce(0.6);
    press('Read the meter');
    await comes(() => puts()[1]?.disabled === false);
    puts()[1]!.click();
    await comes(() => kinds().includes('ready'));
    expect(log().at(-1)).toMatchObject({ kind: 'ready', toldBy: 'meter' });
    instruments.air.mockRejectedValueOnce(new Error('away'));
    press('Read the hygrometer');
    await comes(() => read().includes('does not answer'));
  });
});

describe('the run', () => {
  it('goes joint by joint, puts one off, takes one back, and tells the rest at once', async () => {
    await show(RunPage);
    await comes(() => page().querySelector('h1.joint') !== null);
    const [first, second] = store().run()!.joints as [string, string];
    const at = () => words(page().querySelector('h1.joint')!);
    const name = at();
    press('Done, next joint');
    await comes(() => store().ran().has(first));
    expect(at()).not.toBe(name);
    expect(store().next()).toBe(second);
    press('Later');
    await built(fixture);
    expect(pressed(/./).getAttribute('aria-pressed')).toBe('true');
    press('Mark the rest as done');
    await comes(() => store().next() === undefined);
    expect(read()).toContain('All joints done');
    // One of many that were told together was not run after all.
    page().querySelectorAll<HTMLButtonElement>('ol button')[1]!.click();
    await comes(() => store().next() === second);
    expect(store().ran().size).toBe(store().run()!.joints.length - 1);
    press('Mark none as done');
    await comes(() => store().ran().size === 0);
  });
});

it('the dial of a box is told as far open as the wall asks, not as it usually stands', async () => {
  const { way } = PRESETS.find((preset) => preset.way.tools === 'machine')!;
  const job = sampleJob({ way });
  await show(RunPage, job);
  // A coat may be parted: its flats are looked for.
  const isFlats = ({ step, rows }: DayTask) => step === 'finish' && rows.includes('flats');
  for (let n = 0; n < 20 && !isFlats(store().task()!); n++) {
    const done = store().task()!;
    now = new Date(now.getTime() + 30 * 3600000);
    await TestBed.inject(LogStore).done(done);
    await comes(() => store().task()!.id !== done.id);
  }
  const { dialMm } = store()
    .roomPlan()!
    .use.uses.find(({ element, coat }) => element === 'flats' && coat === 'finish')!;
  const usual = store()
    .cells()
    .find(({ element }) => element === 'flats')!;
  expect(dialMm).toBeGreaterThan(usual.pulls[0]!.camberMm);
  await look(RunPage);
  expect(read()).toContain(`Flats: dial at ${dialFor(dialMm!, dialOf(TYPICAL))} of 6`);
});

it('the tools of the task stand open with every step drawn, all others below', async () => {
  await show(ToolsPage);
  await comes(() => page().querySelector('details[open]') !== null);
  const drawn = [...page().querySelectorAll('ls-card-drawing svg')];
  expect(drawn.length).toBeGreaterThan(40);
  expect(drawn.every((svg) => svg.querySelectorAll('path').length > 1)).toBe(true);
  // No two steps look the same.
  expect(new Set(drawn.map(({ innerHTML }) => innerHTML)).size).toBeGreaterThan(drawn.length * 0.8);
});

it('the day begins with what to bring and ends with what to clean, ticked until tomorrow', async () => {
  await show(DayPage);
  await comes(() => read().includes('Load in the van'));
  pressed(/Mud pan/).click();
  await built(fixture);
  fixture.destroy();
  await look(DayPage);
  await comes(() => pressed(/Mud pan/)?.getAttribute('aria-pressed') === 'true');
  expect(read()).toContain('until everything is dry');
  await TestBed.inject(LogStore).tell('undo.log-mixed', {
    kind: 'mixed',
    room: 'hall',
    step: 'tape',
    compound: 'setting-light',
    amount: 2,
    setMin: 45,
    workMin: 36,
    cleanMin: 45,
    hardMin: 67,
  });
  await comes(() => read().includes('1 batch is not cleaned up yet'));
  expect(read()).toContain('trash bag');
});

describe('pins', () => {
  const faces = () => [...page().querySelectorAll<SVGPathElement>('.face')];
  it('take two presses: where, and what; a third takes one back', async () => {
    await show(PinsPage);
    await comes(() => faces().length > 3);
    faces()[1]!.dispatchEvent(new KeyboardEvent('keydown', { key: 'Enter', bubbles: true }));
    await built(fixture);
    press('Pinholes');
    await comes(() => kinds().includes('finding'));
    expect(log().at(-1)).toMatchObject({
      fault: 'pinholes',
      room: 'hall',
      face: expect.any(String),
      place: [expect.any(Number), expect.any(Number)],
    });
    await comes(() => page().querySelectorAll('.pin').length === 1);
    // Without a place it is of the room; a kind that is rare is behind one press more.
    press('More kinds …');
    await built(fixture);
    press('Sanding gouge');
    await comes(() => log().length === 2);
    expect(log().at(-1)).not.toHaveProperty('face');
    press('Remove');
    await comes(() => page().querySelectorAll('.pin').length === 0);
  });

  it('keep a note, and say what is no picture', async () => {
    await show(PinsPage);
    press('Note');
    await built(fixture);
    const field = page().querySelector('textarea')!;
    field.value = 'Stud is proud behind wall 2';
    field.dispatchEvent(new Event('input'));
    field.dispatchEvent(new Event('change'));
    await built(fixture);
    press('Save note');
    await comes(() => read().includes('Stud is proud'));
    const box = page().querySelector<HTMLInputElement>('input[type=file]')!;
    Object.defineProperty(box, 'files', { value: [new File(['x'], 'no.jpg')] });
    box.dispatchEvent(new Event('change'));
    await comes(() => read().includes('no.jpg'));
    expect(kinds()).toEqual(['note']);
  });
});

describe('two phones', () => {
  const give = async (file: File): Promise<void> => {
    const box = page().querySelector<HTMLInputElement>('input[type=file]')!;
    Object.defineProperty(box, 'files', { value: [file], configurable: true });
    box.dispatchEvent(new Event('change'));
    await built(fixture);
  };

  it('lay side by side what both changed, and take what is chosen', async () => {
    await show(PhonesPage);
    const files = TestBed.inject(JobFiles);
    const store = TestBed.inject(JobStore);
    const sent = JSON.parse(await (await files.fileToSend(store.job()!)).text()) as Job;
    // The other phone: it knows what was sent, and has changed two things since.
    const back = {
      ...sent,
      name: 'Their name',
      climate: { ...sent.climate, tempC: 15 },
      handed: { id: '09ZZZZZZZZZZZZZZZZZZZZZZZZ', knows: [sent.handed!.id] },
    };
    store.edit('undo.rename-job', (job) => (job.name = 'My name'));
    await store.settled();
    await give(new File([JSON.stringify(back)], 'back.lisse.json'));
    await comes(() => read().includes('is already on this device'));
    expect(read()).toContain('1 other change; one thing was changed on both phones');
    pressed(/Their name/).click();
    await built(fixture);
    press('Merge');
    await comes(() => read().includes('Nothing was lost'));
    expect(store.job()).toMatchObject({ name: 'Their name', climate: { tempC: 15 } });
    await give(new File([JSON.stringify(back)], 'back.lisse.json'));
    await comes(() => read().includes('already merged'));
  });

  it('say what is wrong with a file, and change nothing', async () => {
    await show(PhonesPage);
    await give(new File(['{'], 'cut.lisse.json'));
    await comes(() => read().includes('cut.lisse.json could not be merged'));
  });

  it('send by what the device sends with, where it does', async () => {
    const shared: ShareData[] = [];
    Object.assign(navigator, {
      canShare: () => true,
      share: (data: ShareData) => (shared.push(data), Promise.resolve()),
    });
    await show(PhonesPage);
    press('Send …');
    await comes(() => read().includes('Sent.'));
    expect(shared[0]!.files![0]!.name).toBe('sample-job.lisse.json');
    Object.assign(navigator, {
      share: () => Promise.reject(new DOMException('no', 'AbortError')),
    });
    press('Send …');
    await comes(() => !read().includes('Sent.'));
    Reflect.deleteProperty(navigator, 'canShare');
    Reflect.deleteProperty(navigator, 'share');
  });
});

it('says so where all is done, and where the rest is somebody else’s', async () => {
  await show(NowPage);
  const logs = TestBed.inject(LogStore);
  const plans = TestBed.inject(PlanStore);
  for (let left = 30; left > 0 && store().task(); left--) {
    const { id } = store().task()!;
    await logs.done(store().task()!);
    await until(() => plans.plan()!.days.tasks.find((task) => task.id === id)?.state !== 'planned');
    await until(() => store().task()?.id !== id);
  }
  await comes(() => read().includes('All coats are done'));
});
