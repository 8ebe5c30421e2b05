import { ELEMENT, type Step } from '../job';
import type { HighWork } from '../survey';
import { rowDone, type RowDone, type SiteState } from '../log';
import { GOES_OVER_ALL, keyOf, LIES_ON, type RoomStep, type RowStep } from './work';

/** What the tasks of a room are made of. */
export interface RoomRows {
  id: string;
  steps: readonly Pick<RoomStep, 'step' | 'rows'>[];
  /** Floor, m²; a small one takes no second pair of hands. */
  floorM2: number;
  /** Air in it, m³. */
  volumeM3: number;
  /** How much of it is out of reach: that is worked by two, where there are two. */
  high?: HighWork;
}

/**
 * Which rows of a coat are worked apart from the others: only those that hold up the rest, heads too, every row, or as it
 * is told for single coats, by `room:step`.
 */
export type Parted = 'along' | 'heads' | 'rows' | ReadonlyMap<string, readonly (readonly string[])[]>;

/** The name of a coat in a room. */
export const coatKey = (room: string, step: Step): string => `${room}:${step}`;

/** How one room is parted, as a text: rooms that are parted alike have the same tasks. */
const asText = (parted: Parted, { id, steps }: RoomRows): string =>
  typeof parted === 'string'
    ? parted
    : steps
        .flatMap(({ step }) => parted.get(coatKey(id, step))?.map((part) => part.join('+')) ?? '-')
        .join('|');

/** A blade over this row crosses the joints of the others. */
const crosses = ({ row }: RowStep): boolean => ELEMENT[row].unit === 'm' && !ELEMENT[row].aside;

/** One row of a coat among those of its room. */
export interface Node {
  step: Step;
  row: RowStep;
  done: RowDone;
  under: Under[];
  /** Hours of waiting above it, as if work took no time: what is held up alike is worked together. */
  lag: number;
  /** Its task, counted from the first of its room; none where it is done. */
  task: number;
}

export interface Under {
  node: Node;
  how: 'ready' | 'stiff';
}

const lagOf = ({ row }: Node, how: Under['how']): number => (how === 'ready' ? row.lateMin : row.stiffMin);

/** What has to be so far before a row of a step may be worked: its own coats ready, those it crosses stiff. */
function under(step: Step, row: RowStep, nodes: readonly Node[]): Under[] {
  const whole = GOES_OVER_ALL.has(step);
  const lies = LIES_ON[step];
  const own = keyOf(row);
  const found: Under[] = [];
  for (const node of nodes) {
    const same = whole || keyOf(node.row) === own;
    if ((same || (crosses(row) && crosses(node.row))) && lies.includes(node.step))
      found.push({ node, how: same ? 'ready' : 'stiff' });
  }
  return found;
}

/** Rows that are one task. */
interface Part {
  nodes: Node[];
  whole: boolean;
  lags: Map<number, number>;
}

/** The rows of a room, and those of its tasks, in order. */
interface RoomNodes {
  apartMin: number;
  parted: string;
  bySteps: Node[][];
  parts: Part[];
}

const NOT_DONE: RowDone = {};
/** Rooms of which nothing is done are the same as long as their steps are. */
const untouched = new WeakMap<RoomRows['steps'], RoomNodes[]>();

/** @param site none where nothing was told of the room */
export function nodesOf(
  room: RoomRows,
  site: SiteState | undefined,
  apartMin: number,
  how: Parted,
): RoomNodes {
  const { id, steps } = room;
  const parted = asText(how, room);
  const all = (site ? undefined : untouched.get(steps)) ?? [];
  const known = all.find((one) => one.apartMin === apartMin && one.parted === parted);
  if (known) return known;
  const nodes: Node[] = [];
  const made: RoomNodes = { apartMin, parted, bySteps: [], parts: [] };
  for (const { step, rows } of steps) {
    const own = rows.map((row): Node => {
      const lies = under(step, row, nodes);
      const lag = lies.reduce((all, { node, how }) => Math.max(all, node.lag + lagOf(node, how)), 0);
      const done = site ? rowDone(site, id, step, keyOf(row)) : NOT_DONE;
      return { step, row, done, under: lies, lag, task: -1 };
    });
    const left = own.filter(({ done }) => done.done === undefined);
    const told = typeof how === 'string' ? undefined : how.get(coatKey(id, step));
    const open = left.filter(({ done: { started } }) => started === undefined);
    const parts = partedAs(told ?? (typeof how === 'string' ? how : 'along'), open, apartMin);
    for (const part of [...begunIn(left), ...parts]) {
      const lags = new Map<number, number>();
      for (const { under: lies } of part)
        for (const { node, how } of lies)
          if (node.task >= 0) lags.set(node.task, Math.max(lags.get(node.task) ?? 0, lagOf(node, how)));
      for (const node of part) node.task = made.parts.length;
      made.parts.push({ nodes: part, whole: part.length === own.length, lags });
    }
    made.bySteps.push(own);
    nodes.push(...own);
  }
  if (!site) untouched.set(steps, [...all.slice(-3), made]);
  return made;
}

/** Rows that were begun together stay one task, however the rest of their coat is parted. */
function begunIn(left: readonly Node[]): Node[][] {
  const begun = new Map<string, Node[]>();
  for (const node of left) {
    const { started } = node.done;
    if (started !== undefined) begun.set(started, [...(begun.get(started) ?? []), node]);
  }
  return [...begun.values()];
}

/** The rows of a coat that are not begun, by the tasks they are worked in. */
function partedAs(
  parted: 'along' | 'heads' | 'rows' | readonly (readonly string[])[],
  left: readonly Node[],
  apartMin: number,
): Node[][] {
  if (typeof parted !== 'string') {
    const parts = parted.map((keys) => left.filter(({ row }) => keys.includes(keyOf(row))));
    const others = left.filter(({ row }) => !parted.some((keys) => keys.includes(keyOf(row))));
    return [...parts, ...partsOf(others, apartMin)].filter((part) => part.length > 0);
  }
  if (parted === 'rows') return left.map((node) => [node]);
  const heads = parted === 'heads' ? left.filter(({ row }) => row.row === 'heads') : [];
  const others = heads.length > 0 ? left.filter(({ row }) => row.row !== 'heads') : left;
  return [...partsOf(others, apartMin), ...partsOf(heads, apartMin)];
}

/** Rows that open so far after the bulk of the work are worked apart from it. */
function partsOf(left: readonly Node[], apartMin: number): Node[][] {
  if (left.length === 0) return [];
  const byLag = [...left].sort((a, b) => a.lag - b.lag);
  const half = left.reduce((sum, { row }) => sum + row.labourMin, 0) / 2;
  let sum = 0;
  const middle = byLag.find(({ row }) => (sum += row.labourMin) >= half - 1e-9) ?? (byLag[0] as Node);
  const [together, late] = [left, left].map((all, i) =>
    all.filter(({ lag }) => lag > middle.lag + apartMin === (i === 1)),
  ) as [Node[], Node[]];
  return late.length === 0 ? [together] : [together, ...partsOf(late, apartMin)];
}
