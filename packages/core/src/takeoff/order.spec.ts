import { bookWith, TYPICAL } from '../book';
import { suppliedWith } from '../compound';
import type { BeadKind, Job, Room } from '../job';
import { plan } from '../plan';
import { boardedOpening, jobOf, plainRoom, said } from '../testing/samples';
import { PRESETS } from '../way';
import { sanityOf, takeoffOf, wasteOf } from './order';

const made = plan(jobOf([plainRoom()]));
const { use } = made.rooms[0]!;
const takeoff = (job: Job, book = suppliedWith(TYPICAL, job)) => {
  const { rooms, totals } = plan(job);
  return takeoffOf(job, rooms, totals.boardAreaM2, book);
};

describe('what is lost to waste', () => {
  it('is a tenth of what dries and more of what sets in the pan', () => {
    const book = suppliedWith(TYPICAL, {});
    expect(wasteOf('drying-all-purpose', book).value).toBe(0.1);
    expect(wasteOf('setting-light', book).value).toBe(0.15);
    expect(wasteOf('setting-hard', book).value).toBe(0.15);
  });

  it('is added to each compound by its own', () => {
    const way = PRESETS.find((preset) => preset.way.compounds === 'setting-below')!.way;
    const { compounds } = takeoff(jobOf([plainRoom()], { way }));
    const share = ({ exactL, withWasteL }: (typeof compounds)[number]) => withWasteL / exactL - 1;
    expect(compounds.length).toBeGreaterThan(1);
    for (const line of compounds)
      expect(share(line)).toBeCloseTo(line.compound.startsWith('setting') ? 0.15 : 0.1, 9);
    for (const { exactL, byCoat } of compounds)
      expect(Object.values(byCoat).reduce((a, b) => a + b, 0)).toBeCloseTo(exactL, 9);
  });

  it('is as much as one says oneself', () => {
    const job = jobOf([plainRoom()]);
    const { tape } = takeoff(job, suppliedWith(bookWith({ wasteTape: 0.2 }), job));
    expect(tape!.withWasteMm).toBeCloseTo(58800 * 1.2, 6);
  });
});

it('rolls tape as it is sold where the job is', () => {
  const roll = (units: Job['units'], tape: Job['way']['tape']) => {
    const job = jobOf([plainRoom()], { units });
    return takeoff({ ...job, way: { ...job.way, tape } }).tape!.rollMm;
  };
  expect([roll('metric', 'paper'), roll('feet', 'paper')]).toEqual([150000, 152400]);
  expect([roll('metric', 'mesh'), roll('feet', 'mat')]).toEqual([90000, 91440]);
});

it('needs nothing where nothing is finished', () => {
  const { compounds, tape, beads, sanity } = takeoff(
    jobOf([plainRoom({ finish: { scale: 'level', grade: 0 } })]),
  );
  expect([compounds, tape, beads, sanity]).toEqual([[], undefined, [], undefined]);
});

it('holds a corner off the floor a little more where it is a few millimetres longer than a stick', () => {
  const legs = (heightMm: number) => {
    const openings = [boardedOpening({ heightMm })];
    const plan3 = { lengthMm: 4800, widthMm: 3600, heightMm: 3200 };
    const [line] = takeoff(jobOf([plainRoom({ plan: plan3, openings })])).beads;
    // Without the head of a metre.
    return line!.exactMm - 1000;
  };
  // Off the floor by 12 mm as a rule; 3008 mm is 8 longer than the stick, 3018 is 18 longer.
  expect([legs(3000), legs(3020), legs(3030)]).toEqual([2 * 2988, 2 * 3000, 2 * 3018]);
});

it('numbers every piece of bead through the job, kind after kind and room after room', () => {
  const opened = plainRoom({ openings: [boardedOpening()] });
  const corners = plan(jobOf([opened])).rooms[0]!.joints.filter(({ kind }) => kind === 'outside-corner');
  const room = (id: string, bead: BeadKind): Room => ({
    ...opened,
    id,
    joints: Object.fromEntries(corners.map((corner) => [corner.id, { bead }])),
  });
  const { beads } = takeoff(
    jobOf([room('a', 'paper-faced'), room('b', 'nail-on'), room('c', 'paper-faced')]),
  );
  expect(beads.map(({ kind, corners }) => [kind, corners])).toEqual([
    ['nail-on', 3],
    ['paper-faced', 6],
  ]);
  const pieces = beads.flatMap(({ cuts }) => cuts.flatMap((stick) => stick.pieces));
  expect(pieces.map(({ n }) => n).sort((a, b) => a - b)).toEqual([1, 2, 3, 4, 5, 6, 7, 8, 9]);
  const roomOf = new Map(pieces.map(({ n, room }) => [n, room]));
  expect([1, 2, 3, 4, 5, 6, 7, 8, 9].map((n) => roomOf.get(n)).join('')).toBe('bbbaaaccc');
  // Two legs of 2 m held 12 mm off the floor, and the head of a metre.
  for (const { exactMm, corners } of beads) expect(exactMm).toBeCloseTo((corners / 3) * (2 * 1988 + 1000), 6);
});

describe('beside what is usual', () => {
  /** On board with so many metres of tape on 100 m². */
  const mudAt = (litres: number, tapeM = 125) => {
    const areaM2 = (use.tapeMm / 1000 / tapeM) * 100;
    return sanityOf([{ ...use, wetL: (litres * areaM2) / 100 }], areaM2, TYPICAL)!;
  };

  it.each([
    // A tenth more is bought: 0.6 × 38.5 / 1.1 = 21.0, and 1.4 × 38.5 / 1.1 = 49.0.
    [20.9, 'far-low'],
    [21.1, 'low'],
    [34.9, 'low'],
    [35.1, 'usual'],
    [41.9, 'usual'],
    [42.1, 'high'],
    [48.9, 'high'],
    [49.1, 'far-high'],
  ])('%s L on 100 m² is %s', (litres, verdict) => {
    const told = mudAt(litres);
    expect(told.verdict).toBe(verdict);
    expect(told.mudLPer100).toBeCloseTo(litres, 9);
    expect(told.reasons.length > 0).toBe(verdict !== 'usual');
  });

  it('is no more than low where there are fewer joints to fill', () => {
    expect(mudAt(16).verdict).toBe('far-low');
    expect(mudAt(16, 80).verdict).toBe('low');
    expect(said(mudAt(16, 80).reasons[0]!)).toBe('fewer joints than typical for this much board');
  });

  it('says why: a skim, wide gaps, few joints', () => {
    const skimmed = plan(jobOf([plainRoom({ finish: { scale: 'level', grade: 5 } })])).rooms[0]!.use;
    const words = (from: typeof use, litres: number) =>
      sanityOf([from], (from.wetL * 100) / litres, TYPICAL)!
        .reasons.map((reason) => said(reason))
        .join(' ');
    expect(words(skimmed, 90)).not.toBe(words(use, 90));
    expect(words(use, 20)).not.toBe('');
  });

  it('is not told where there is no board or no mud', () => {
    expect(sanityOf([use], 0, TYPICAL)).toBeUndefined();
    expect(sanityOf([], 50, TYPICAL)).toBeUndefined();
  });
});
