import type { Book } from '../book';
import type { CompoundId, Job } from '../job';
import type { RowStep } from './work';

/** Of the set time on the bag, the part mud can still be worked in. */
export const WORKED = 0.8;

/** Mud that stiffens as it is mixed is used for a few minutes all the same: another set time is advised elsewhere. */
const LEAST_USED_MIN = 5;

/** What mud is mixed in: how much it takes at once, L, and the work of mixing it, min. */
const vesselsOf = (book: Book) => [
  { holdsL: book.panL.value, mixMin: book.panMixMin.value },
  { holdsL: book.mixPailL.value, mixMin: book.mixMin.value },
];

/** Of what is mixed in a pan or a pail so much is used up before it stiffens, L. */
export const usedUp = (perMin: number, setMin: number, book: Book): number =>
  Math.max(
    ...vesselsOf(book).map(({ holdsL, mixMin }, i) => {
      const used = perMin * Math.max(0, setMin * WORKED - mixMin);
      // A pail never keeps anybody from mixing another.
      return i === 0 ? Math.min(holdsL, used) : used;
    }),
  );

/** What is mixed at once of so much: as set by hand, else a pan, or what lasts as long as is worth mixing for, L. */
export const batchOf = (wetL: number, perMin: number, { batchL }: Job['way'], book: Book): number =>
  Math.min(wetL, batchL ?? Math.min(book.panL.value, perMin * book.leastPotMin.value));

/** How so much mud that sets is mixed: in so many batches, and so many minutes of work for all of them. */
export interface Batching {
  count: number;
  mixMin: number;
}

/** The least work of mixing it, in pans or in pails: each batch is used up before it stiffens and fits into one. */
export function batchingOf(
  wetL: number,
  perMin: number,
  setMin: number,
  { batchL }: Pick<Job['way'], 'batchL'>,
  book: Book,
): Batching {
  const ways = vesselsOf(book).map(({ holdsL, mixMin }): Batching => {
    const used = perMin * Math.max(LEAST_USED_MIN, setMin * WORKED - mixMin);
    const count = Math.max(1, Math.ceil(wetL / Math.min(batchL ?? Infinity, holdsL, used) - 1e-9));
    return { count, mixMin: count * mixMin };
  });
  return ways.reduce((least, one) => (one.mixMin < least.mixMin ? one : least));
}

/**
 * No mixing of so much takes less, min, however it is parted and whatever else it is mixed with: each batch as large as
 * can be used up at that rate.
 */
export const leastMixMin = (
  wetL: number,
  perMin: number,
  setMin: number,
  { batchL }: Pick<Job['way'], 'batchL'>,
  book: Book,
): number =>
  Math.min(
    ...vesselsOf(book).map(({ holdsL, mixMin }) => {
      const used = perMin * Math.max(LEAST_USED_MIN, setMin * WORKED - mixMin);
      return (wetL / Math.min(batchL ?? Infinity, holdsL, used)) * mixMin;
    }),
  );

type Worked = Pick<RowStep, 'labourMin' | 'mudMin' | 'mud'>;

/** Work in which mud is laid, min of one person: what is cut, screwed and scuffed comes before it. */
export const laidMin = (rows: readonly Worked[]): number =>
  rows.reduce((sum, { labourMin, mudMin = labourMin }) => sum + mudMin, 0);

/** The share of work in rows that is laying mud. */
export const laidShare = (rows: readonly Worked[]): number => {
  const all = rows.reduce((sum, { labourMin }) => sum + labourMin, 0);
  return all <= 0 ? 1 : laidMin(rows) / all;
};

/** One mud of a coat, and how it is mixed. */
export interface Mixing extends Batching {
  compound: CompoundId;
  /** None where it comes ready mixed. */
  setMin: number | undefined;
  wetL: number;
}

/**
 * How the mud of rows that are worked together is mixed: what sets in batches, whoever's row it goes on, and what comes
 * ready mixed as its pails are opened and stirred.
 * @param hands pairs of hands that use it up
 */
export function mixingOf(
  rows: readonly Worked[],
  hands: number,
  way: Pick<Job['way'], 'batchL'>,
  book: Book,
): Mixing[] {
  const muds = new Map<string, { compound: CompoundId; setMin: number | undefined; wetL: number }>();
  let setsL = 0;
  for (const { mud } of rows)
    for (const { compound, setMin, wetL } of mud) {
      if (wetL <= 0) continue;
      if (setMin !== undefined) setsL += wetL;
      const key = `${compound} ${setMin}`;
      const known = muds.get(key);
      if (known) known.wetL += wetL;
      else muds.set(key, { compound, setMin, wetL });
    }
  const perMin = (setsL * hands) / Math.max(1, laidMin(rows));
  return Array.from(muds.values(), (mud) => ({
    ...mud,
    ...(mud.setMin === undefined
      ? { count: 0, mixMin: (mud.wetL / book.pailL.value) * book.openPailMin.value }
      : batchingOf(mud.wetL, perMin, mud.setMin, way, book)),
  }));
}

/** Work of mixing the mud of rows, min of one person. */
export const mixMinOf = (...about: Parameters<typeof mixingOf>): number =>
  mixingOf(...about).reduce((sum, { mixMin }) => sum + mixMin, 0);

/** Mud of rows that sets, L. */
export const settingL = ({ rows }: { rows: readonly Worked[] }): number =>
  rows.reduce(
    (sum, { mud }) => sum + mud.reduce((own, { setMin, wetL }) => own + (setMin === undefined ? 0 : wetL), 0),
    0,
  );

/** How fast the mud of rows that sets is used up by so many pairs of hands, L a minute. */
export const usedPerMin = ({ rows }: { rows: readonly Worked[] }, hands: number): number =>
  (settingL({ rows }) * hands) / Math.max(1, laidMin(rows));
