import * as fc from 'fast-check';
import { SET_CLASSES, type Job, type Way } from '../job';
import { plan, Reuse, type Plan } from '../plan';
import { jobOf, plainRoom } from '../testing/samples';
import { KEEPS_WATER } from '../takeoff';
import { usedUp } from './pot';
import { suppliedWith } from '../compound';
import { TYPICAL } from '../book';
import { trials } from '../testing/trials';

const book = suppliedWith(TYPICAL, undefined);

const chosenIn = (made: Plan): Record<string, number> =>
  Object.fromEntries(
    made.rooms.flatMap(({ steps }) =>
      steps.flatMap(({ step, set }) => (set ? [[step, set.setMin] as const] : [])),
    ),
  );

const jobWith = (way: Partial<Way>, over: Partial<Job> = {}, room = plainRoom()): Job => {
  const base = jobOf([room]);
  return { ...base, way: { ...base.way, compounds: 'setting-below', setChosen: true, ...way }, ...over };
};

describe('the set time of a coat', () => {
  it('stays the usual one where it serves', () => {
    expect(chosenIn(plan(jobWith({ compounds: 'setting-same-day', setMin: 45 })))).toMatchObject({
      tape: 45,
    });
  });

  it('is longer where a batch set by hand is not used up in the usual one', () => {
    // 4.66 L in 141 min: 2.5 L want 76 min, more than 0.8 × 90 − 8 = 64 and less than 0.8 × 120 − 8 = 88.
    const made = plan(jobWith({ setMin: 45, batchL: 2.5 }));
    expect(chosenIn(made)).toEqual({ tape: 120 });
    expect(made.advice.map(({ code }) => code)).not.toContain('A-POT');
  });

  it('is shorter where the next coat goes on the same day by it', () => {
    // Tape is done after 141 min; with 210 min it is sure to be hard 472 min later, after the day has ended.
    expect(chosenIn(plan(jobWith({ setMin: 210 })))['tape']).toBeLessThan(210);
    const job = jobWith({ setMin: 210, setChosen: false });
    const days = ({ setChosen }: { setChosen: boolean }) =>
      plan({ ...job, way: { ...job.way, setChosen } }).days.finish ?? '';
    expect(days({ setChosen: true }) < days({ setChosen: false })).toBe(true);
  });

  it('is one of those at hand', () => {
    const made = plan(jobWith({ setMin: 60 }, { shop: { setsAtHand: [20, 150] } }));
    expect(Object.values(chosenIn(made))).toEqual([150]);
  });

  it('is left to the hand that set it', () => {
    const own = { 'flats.tape': { setMin: 20 }, 'butts.tape': { setMin: 20 } } as const;
    const made = plan(jobWith({ setMin: 60 }, {}, plainRoom({ cells: own })));
    const mud = made.rooms[0]?.steps[0]?.rows.find(({ row }) => row === 'flats')?.mud;
    expect(mud).toMatchObject([{ setMin: 20 }]);
  });

  it('changes with the hours and the crew, though no room did', () => {
    const reuse = new Reuse();
    const job = jobWith({ setMin: 90 }, {}, plainRoom());
    const long = chosenIn(plan(job, TYPICAL, reuse));
    const short = chosenIn(
      plan({ ...job, calendar: { ...job.calendar, from: '07:00', to: '13:45' } }, TYPICAL, reuse),
    );
    expect(long).toEqual({ tape: 90 });
    // Tape 141, hard 2.25 × 60, fill 92 min: 368 of the 405 there are; with 90 min it would be 435.
    expect(short).toEqual({ tape: 60 });
  });

  it('is used up before it stiffens and sets before it dries, wherever any at hand does', () => {
    fc.assert(
      fc.property(
        fc.record({
          lengthMm: fc.integer({ min: 1500, max: 9000 }),
          setMin: fc.constantFrom(...SET_CLASSES),
          batchL: fc.option(fc.double({ min: 0.5, max: 8, noNaN: true }), { nil: undefined }),
          rhPct: fc.integer({ min: 20, max: 90 }),
          crew: fc.integer({ min: 1, max: 4 }),
        }),
        ({ lengthMm, setMin, batchL, rhPct, crew }) => {
          const room = plainRoom({ plan: { lengthMm, widthMm: 3000, heightMm: 2400 } });
          const job = jobWith({ setMin, ...(batchL === undefined ? {} : { batchL }) }, {}, room);
          const made = plan({
            ...job,
            climate: { ...job.climate, rhPct },
            calendar: { ...job.calendar, crew },
          });
          for (const { step, set } of made.rooms[0]?.steps ?? []) {
            if (!set) continue;
            const [batch, pace, , ...rest] = set.why.inputs.map(({ value }) => Number(value));
            const dries = rest.find((_, i) =>
              JSON.stringify(set.why.inputs[i + 3]?.label).includes('set-dries'),
            );
            const sound = SET_CLASSES.slice(1).filter(
              (min) =>
                usedUp((pace as number) / 60, min, book) >= (batch as number) - 1e-9 &&
                (dries === undefined || min * KEEPS_WATER < dries),
            );
            if (sound.length > 0) expect([step, sound]).toEqual([step, expect.arrayContaining([set.setMin])]);
          }
        },
      ),
      { numRuns: trials(40) },
    );
  });
});
