import { placeInWords } from './places';
import type { Job } from './types';
import type { Message } from '../texts';

/** Something that two sides changed differently. */
export interface Clash {
  /** Where: names of fields and ids of entries, outermost first. */
  path: string[];
  /** As it was; none where that is not known, or it was not there. */
  was?: unknown;
  /** Undefined where it is gone. */
  mine: unknown;
  theirs: unknown;
}

/** Two sides of a job as one. */
export interface Together {
  /** With all that only one side changed; where both did, with this side's. */
  job: Job;
  /** So many things were changed on the other side alone. */
  took: number;
  clashes: Clash[];
}

/** One name for a clash, to choose by. */
export const clashKey = ({ path }: Clash): string => path.join('\n');

type Fields = Record<string, unknown>;
type Keyed = Fields & { id: string };

const isFields = (value: unknown): value is Fields =>
  typeof value === 'object' && value !== null && !Array.isArray(value);
const isKeyed = (value: unknown): value is Keyed[] =>
  Array.isArray(value) && value.every((one) => isFields(one) && typeof one['id'] === 'string');

/** The same, whatever the order their fields were written in. */
export function isSame(a: unknown, b: unknown): boolean {
  if (a === b) return true;
  if (Array.isArray(a) && Array.isArray(b))
    return a.length === b.length && a.every((one, i) => isSame(one, b[i]));
  if (!isFields(a) || !isFields(b)) return false;
  const keys = Object.keys(a).filter((key) => a[key] !== undefined);
  return (
    keys.length === Object.keys(b).filter((key) => b[key] !== undefined).length &&
    keys.every((key) => isSame(a[key], b[key]))
  );
}

/** The log is united by its own rule; a job's identity and how it was handed over are no edits. */
const ASIDE: ReadonlySet<string> = new Set(['format', 'id', 'log', 'handed']);

/**
 * Lays what two sides made of a job together. What only one side changed is taken; what both changed in the same way is
 * that; what both changed differently is a clash, and stays as it is on this side until somebody chooses. Entries with
 * ids (rooms, openings, people …) are told apart by them, so that two rooms added on two phones are two rooms.
 * @param base the job as both sides had it last; where none is known everything that differs is a clash
 */
export function mergeJobs(base: Job | undefined, mine: Job, theirs: Job): Together {
  const made = { took: 0, clashes: [] as Clash[] };
  const job = fieldsOf(
    base as Fields | undefined,
    mine as unknown as Fields,
    theirs as unknown as Fields,
    [],
    made,
  );
  return { job: job as unknown as Job, ...made };
}

interface Made {
  took: number;
  clashes: Clash[];
}

function fieldsOf(
  base: Fields | undefined,
  mine: Fields,
  theirs: Fields,
  path: string[],
  made: Made,
): Fields {
  const keys = [...new Set([...Object.keys(mine), ...Object.keys(theirs)])].filter(
    (key) => path.length > 0 || !ASIDE.has(key),
  );
  const laid: Fields = { ...mine };
  for (const key of keys) {
    const value = valueOf(base?.[key], mine[key], theirs[key], base !== undefined, [...path, key], made);
    if (value === undefined) Reflect.deleteProperty(laid, key);
    else laid[key] = value;
  }
  return laid;
}

function valueOf(
  base: unknown,
  mine: unknown,
  theirs: unknown,
  known: boolean,
  path: string[],
  made: Made,
): unknown {
  if (isSame(mine, theirs)) return mine;
  if (known && isSame(base, theirs)) return mine;
  // What two people agreed to is changed by nobody's file; somebody says so, and takes all of it.
  if (path.length === 1 && path[0] === 'agreed' && mine !== undefined) {
    made.clashes.push({ path, mine, theirs, ...(base === undefined ? {} : { was: base }) });
    return mine;
  }
  if (known && isSame(base, mine)) {
    made.took++;
    return theirs;
  }
  if (isFields(mine) && isFields(theirs) && (base === undefined || isFields(base)))
    return fieldsOf(isFields(base) ? base : known ? {} : undefined, mine, theirs, path, made);
  if (isKeyed(mine) && isKeyed(theirs) && (base === undefined || isKeyed(base)))
    return entriesOf(base ?? (known ? [] : undefined), mine, theirs, path, made);
  made.clashes.push({ path, mine, theirs, ...(base === undefined ? {} : { was: base }) });
  return mine;
}

/** Entries by id: those of this side in their order, then those that came on the other. */
function entriesOf(
  base: Keyed[] | undefined,
  mine: Keyed[],
  theirs: Keyed[],
  path: string[],
  made: Made,
): unknown[] {
  const find = (list: readonly Keyed[] | undefined, id: string): Keyed | undefined =>
    list?.find((one) => one.id === id);
  const ids = [...new Set([...mine, ...theirs].map(({ id }) => id))];
  return ids.flatMap((id) => {
    const [was, own, other] = [find(base, id), find(mine, id), find(theirs, id)];
    // Without a base nobody knows whether it is new here or gone there: nothing is lost.
    if (base === undefined && (own === undefined || other === undefined)) {
      if (own === undefined) made.took++;
      return [own ?? other];
    }
    const value = valueOf(was, own, other, base !== undefined, [...path, id], made);
    return value === undefined ? [] : [value];
  });
}

/** Puts the other side's choice of a clash into a job, which is changed. */
export function takeTheirs(job: Job, { path, theirs }: Clash): void {
  let at: unknown = job;
  for (const key of path.slice(0, -1))
    at = isKeyed(at) ? at.find(({ id }) => id === key) : (at as Fields | undefined)?.[key];
  const last = path.at(-1) as string;
  if (Array.isArray(at)) {
    const list = at as Keyed[];
    const i = list.findIndex(({ id }) => id === last);
    if (theirs === undefined) {
      if (i >= 0) list.splice(i, 1);
    } else if (i >= 0) list[i] = theirs as Keyed;
    else list.push(theirs as Keyed);
  } else if (isFields(at)) {
    if (theirs === undefined) Reflect.deleteProperty(at, last);
    else at[last] = theirs;
  }
}

/**
 * Where a clash is, as a person would say it.
 * @param jobs this side's and the other's: what is gone on one is named by the other
 */
export function conflictText({ path }: Clash, jobs: readonly Job[]): Message | string {
  for (const job of jobs) {
    const spelled = numbered(job, path);
    if (spelled !== undefined) return placeInWords(job, spelled);
  }
  return path.join(', ');
}

/** A path by ids as one by numbers; none where the job has no such entry. */
function numbered(job: Job, path: readonly string[]): string | undefined {
  let at: unknown = job;
  let spelled = '';
  for (const key of path) {
    if (isKeyed(at)) {
      const i = at.findIndex(({ id }) => id === key);
      if (i < 0) return undefined;
      spelled += `[${i}]`;
      at = at[i];
    } else {
      spelled += spelled === '' ? key : `.${key}`;
      at = (at as Fields | undefined)?.[key];
    }
  }
  return spelled;
}
