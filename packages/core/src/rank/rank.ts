import type { BoardRow, Cell } from '../coat';
import { fitFor, type Fit, type Supplied } from '../compound';
import { hardening } from '../drying';
import { COMPOUNDS, ELEMENT, type Coat, type CompoundId, type Job, type Substrate } from '../job';
import { setMinOf } from '../takeoff';
import { say, type Message } from '../texts';
import { clockMinutes } from '../units';
import { bondOf, evidenceFor, type Evidence } from './peels';

/** What compounds are weighed by. */
export const MARKS = ['bond', 'shrink', 'depth', 'drying', 'sanding', 'carrying', 'hand'] as const;
export type Mark = (typeof MARKS)[number];

/** How much each mark counts for a coat; each row comes to 1. */
export const WEIGHTS: Record<Coat, Record<Mark, number>> = {
  prefill: { bond: 0.1, shrink: 0.3, depth: 0.3, drying: 0.2, sanding: 0, carrying: 0.05, hand: 0.05 },
  tape: { bond: 0.45, shrink: 0.1, depth: 0.1, drying: 0.2, sanding: 0, carrying: 0.05, hand: 0.1 },
  fill: { bond: 0, shrink: 0.25, depth: 0.2, drying: 0.25, sanding: 0.15, carrying: 0.1, hand: 0.05 },
  finish: { bond: 0, shrink: 0.15, depth: 0.05, drying: 0.2, sanding: 0.45, carrying: 0.1, hand: 0.05 },
  skim: { bond: 0, shrink: 0.1, depth: 0.05, drying: 0.2, sanding: 0.45, carrying: 0.15, hand: 0.05 },
};

/** What a class loses where it only half suits the coat. */
const FIT_SHARE: Record<Fit, number> = {
  yes: 1,
  thinned: 0.95,
  contested: 0.9,
  covered: 0.8,
  poor: 0.55,
  dents: 0.4,
  no: 0,
};

export interface Ranked {
  compound: CompoundId;
  name: Message;
  product?: string;
  fit: Fit;
  /** Why it cannot be taken at all. */
  barred?: Message;
  /** Each from 0 to 1, with what it rests on in words. */
  marks: Record<Mark, { value: number; why: Message }>;
  total: number;
  /** Hours until the next coat. */
  hours: number;
  evidence?: Evidence;
}

export interface RankInput {
  job: Pick<Job, 'way' | 'climate' | 'shop' | 'calendar'>;
  row: Pick<BoardRow, 'element'>;
  cell: Cell;
  /** Thickest layer of the coat, mm, and what it takes, L. */
  layerMm: number;
  /** How thick each of its layers lies where it dries last, mm. */
  waitsMm: readonly number[];
  wetL: number;
  substrate: Substrate;
  /** The job is ready after the day it is wanted: time counts for more. */
  late?: boolean;
  book: Supplied;
}

/** Hours from knocking off to starting again: what hardens within them costs no day. */
function nightHours({ from, to }: Pick<Job['calendar'], 'from' | 'to'>): number {
  return 24 - (clockMinutes(to) - clockMinutes(from)) / 60;
}

const within = (n: number): number => Math.min(1, Math.max(0, n));

/** Every class for one coat, the best first; those that cannot be taken stand last, with the reason. */
export function rankCompounds(input: RankInput): Ranked[] {
  return COMPOUNDS.map((id) => rank(id, input)).sort(
    (a, b) => Number(a.barred !== undefined) - Number(b.barred !== undefined) || b.total - a.total,
  );
}

function rank(
  id: CompoundId,
  { job, row, cell, layerMm, waitsMm, wetL, substrate, late, book }: RankInput,
): Ranked {
  const entry = book.compounds[id];
  const { coat } = cell;
  const fit = fitFor(id, coat);
  const evidence = evidenceFor(job.shop?.peels, id, job.way.tape);
  const asCell = { ...cell, compound: id };
  const { hours, how } = hardening(waitsMm, {
    book,
    compound: entry,
    consistency: cell.consistency,
    climate: job.climate,
    tape: cell.tape ? job.way.tape : undefined,
    setMin: setMinOf(asCell, book),
    substrate,
  });
  const night = nightHours(job.calendar);
  const heaviest = Math.min(...entry.packages.map((p) => p.massKg));
  const hand = entry.product?.onHandL;
  const marks: Ranked['marks'] = {
    bond: {
      value: bondOf(entry.bond, evidence),
      why: evidence
        ? say('mark.torn', {
            torn: evidence.torn,
            tests: evidence.tests,
            spread: evidence.spread * 100,
            enough: evidence.enough ? 'yes' : 'no',
          })
        : entry.bond
          ? say('mark.bond', { bond: entry.bond })
          : say('mark.no-tape'),
    },
    shrink: { value: within(1 - entry.shrink / 0.25), why: say('mark.shrinks', { shrink: entry.shrink }) },
    depth: {
      value: layerMm <= 0 ? 1 : within(Math.min(entry.maxMm / layerMm, layerMm / entry.minMm)),
      why: say('mark.takes', { least: entry.minMm, most: entry.maxMm }),
    },
    drying: {
      // What is not hard the same day costs a job that is late already twice over.
      value: hours <= 3 ? 1 : (hours <= night ? 0.7 : within(0.7 * (night / hours))) * (late ? 0.5 : 1),
      why: say('mark.drying', {
        how: how === 'setting' ? 'sets' : hours <= night ? 'morning' : 'later',
        late: late && hours > 3 ? 'yes' : 'no',
      }),
    },
    sanding: { value: entry.sands / 5, why: say('mark.sands', { sands: entry.sands }) },
    carrying: {
      value: within(1 - (entry.densityKgL - 0.6) / 1.4) * (heaviest > 23 ? 0.8 : 1),
      why: say('mark.weighs', { density: entry.densityKgL }),
    },
    hand: {
      value: hand === undefined ? 0 : wetL > 0 ? within(hand / wetL) : 1,
      why: hand === undefined ? say('mark.none') : say('mark.hand', { hand }),
    },
  };
  const weights = WEIGHTS[coat];
  const sum = MARKS.reduce((all, mark) => all + weights[mark] * marks[mark].value, 0);
  const barred = barring(id, row, cell, job.way, fit, layerMm, book);
  return {
    compound: id,
    name: entry.name,
    ...(entry.product ? { product: entry.product.name } : {}),
    fit,
    ...(barred ? { barred } : {}),
    marks,
    total: sum * FIT_SHARE[fit],
    hours,
    ...(evidence ? { evidence } : {}),
  };
}

function barring(
  id: CompoundId,
  { element }: Pick<BoardRow, 'element'>,
  { coat, tape }: Cell,
  way: Job['way'],
  fit: Fit,
  layerMm: number,
  book: Supplied,
): Message | undefined {
  const { hardens, maxMm } = book.compounds[id];
  if (fit === 'no')
    return coat === 'tape' ? say('barred.bed') : say('barred.coat', { coat: say(`coat.${coat}`) });
  if (fit === 'dents' && element !== 'repairs') return say('barred.dents');
  if (tape && way.tape === 'mesh' && hardens !== 'setting') return say('barred.mesh');
  const closed = way.tools === 'machine' && ELEMENT[element].closed;
  if (closed && coat !== 'prefill' && hardens !== 'drying') return say('barred.tools');
  if (layerMm > maxMm * 1.5) return say('barred.deep');
  return undefined;
}
