import * as fc from 'fast-check';
import { DAMAGES } from '../job';
import { said } from '../testing/samples';
import { PHRASES } from '../testing/repair-phrases';
import { spotsSaid } from './said';

const told = (text: string, units: 'feet' | 'metric' = 'metric') =>
  spotsSaid(text, units).spots.map(({ count, kind, sizeMm, room, on, widthMm, depthMm }) =>
    [
      count,
      kind,
      Math.round(sizeMm),
      widthMm && Math.round(widthMm),
      depthMm && Math.round(depthMm),
      room,
      on,
    ]
      .filter((one) => one !== undefined)
      .join(' '),
  );

describe('spots in a line of text', () => {
  it.each([
    [
      '12 pops, 3 dents 30 mm, 1 hole 120 mm in the hall, painted',
      ['12 popped-head 12 hall painted', '3 dent 30 hall painted', '1 small-hole 120 hall painted'],
    ],
    ['a dent', ['1 dent 30']],
    ['two blisters and 1 stain 400 by 600', ['2 blister 150', '1 stain 600 400']],
    ['3 dents in the hall, 2 pops in the bath, painted', ['3 dent 30 hall', '2 popped-head 12 bath painted']],
    ['1 hole 300 mm', ['1 large-hole 300']],
    ['1 low 900 mm 4 mm deep', ['1 low 900 4']],
    ['crack at a corner 600', ['1 corner-crack 600']],
    ['5 x nail pops; loose tape 2 m\nbare', ['5 popped-head 12 bare', '1 failed-tape 2000 bare']],
    ['texture 3 m x 4 m in the den', ['1 texture 4000 3000 den']],
    ['1 dent 12,5 mm', ['1 dent 13']],
  ])('%s', (text, expected) => expect(told(text)).toEqual(expected));

  it.each([
    ['1 hole 5" in the hall', ['1 small-hole 127 hall']],
    ['2 holes 1\' 2"', ['2 large-hole 356']],
    ['dent 1 1/2', ['1 dent 38']],
    ['a hole 8 x 10 in the bedroom', ['1 large-hole 254 203 bedroom']],
  ])('in feet and inches: %s', (text, expected) => expect(told(text, 'feet')).toEqual(expected));

  it('says what it did not understand, and what it took as typical', () => {
    const { spots, problems, taken } = spotsSaid('3 dents, 2 gizmos', 'metric');
    expect(spots).toHaveLength(1);
    expect(problems.map(said)).toEqual([expect.stringContaining('“2 gizmos”')]);
    expect(taken.map(said)).toEqual(['Dent: no size given, so 30 mm is used.']);
    expect(spotsSaid('', 'metric').problems.map(said)[0]).toMatch(/^Type the repairs/);
    expect(spotsSaid('9999 dents', 'metric').problems.map(said)[0]).toMatch(/enter 1 to 500/);
    expect(spotsSaid('1 dent 90 m', 'metric').problems.map(said)[0]).toMatch(/cannot read this size/);
    expect(spotsSaid('painted', 'metric').problems.map(said)[0]).toMatch(/comes before the damage/);
  });

  const inches = (mm: number) => String(Math.round(mm / 2.54) / 10);
  const meant = (text: string): string[] =>
    spotsSaid(text, 'feet').spots.map(({ count, kind, sizeMm, widthMm, depthMm, note, room, on }) =>
      [
        count,
        kind,
        `${inches(sizeMm)}${widthMm === undefined ? '' : `×${inches(widthMm)}`}`,
        depthMm === undefined ? '' : `^${inches(depthMm)}`,
        note ?? '',
        room === undefined ? '' : `@${room}`,
        on ?? '',
      ]
        .filter((one) => one !== '')
        .join(' '),
    );

  it.each(PHRASES)('%s', (said, ...spots) => {
    expect(meant(said)).toEqual(spots);
    expect(spotsSaid(said, 'feet')).toMatchObject({ problems: [], left: '' });
  });

  it('loses no word: what is understood is taken as if alone, the rest is left as it was written', () => {
    const alone = PHRASES.map(([one]) => one).filter(
      (one) => /^[^,;:\n&]*$/.test(one) && !/\b(and|plus|in|painted|bare|unpainted)\b/i.test(one),
    );
    const noise = fc.stringMatching(/^(qu[a-z]{3,6}|Zork)( [b-hj-m]{4,7}){0,2}$/);
    fc.assert(
      fc.property(
        fc.array(
          fc.oneof(
            fc.constantFrom(...alone).map((words) => ({ words, known: true })),
            noise.map((words) => ({ words, known: false })),
          ),
          { minLength: 1, maxLength: 6 },
        ),
        fc.constantFrom(', ', '; ', '\n'),
        (parts, between) => {
          const line = parts.map(({ words }) => words).join(between);
          const known = parts.filter(({ known }) => known).map(({ words }) => words);
          expect(meant(line)).toEqual(known.flatMap(meant));
          const left = parts.filter(({ known }) => !known).map(({ words }) => words);
          expect(spotsSaid(line, 'feet').left).toBe(left.join(', '));
        },
      ),
      { numRuns: 400 },
    );
  });

  it('keeps the room of what is left, however it was said', () => {
    expect(spotsSaid('2 gizmos, 3 dents in the hall', 'feet').left).toBe('2 gizmos in the hall');
    expect(spotsSaid('Bath: 2 gizmos; 3 dents', 'feet')).toMatchObject({
      left: 'Bath: 2 gizmos',
      spots: [{ room: 'bath' }],
    });
    expect(spotsSaid('2 Gizmos in the den, 3 dents', 'feet').left).toBe('2 Gizmos in the den');
  });

  it('a line as long as it may be is read like any other', () => {
    for (const text of ['1 '.repeat(500), `dent ${'1 '.repeat(490)}x`, 'in the '.repeat(140)]) {
      const { spots, problems } = spotsSaid(text, 'feet');
      expect(spots.length + problems.length).toBe(1);
    }
  });

  it('any text is told something of, and never throws', () => {
    fc.assert(
      fc.property(
        fc.string({ maxLength: 80 }),
        fc.constantFrom('feet' as const, 'metric' as const),
        (text, units) => {
          const { spots, problems } = spotsSaid(text, units);
          expect(spots.length + problems.length).toBeGreaterThan(0);
          for (const { kind, sizeMm, count } of spots) {
            expect(DAMAGES).toContain(kind);
            expect(sizeMm).toBeGreaterThan(0);
            expect(count).toBeGreaterThanOrEqual(1);
          }
        },
      ),
      { numRuns: 500 },
    );
  });
});
