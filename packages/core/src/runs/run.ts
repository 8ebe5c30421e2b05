import type { Book } from '../book';
import type { BoardRow, Cell } from '../coat';
import { ELEMENT, type Coat, type Element, type Way } from '../job';
import { isOverhead, type Survey, type Vec } from '../survey';
import { say, type Message } from '../texts';
import { fillOf } from '../way';
import { cornersOf, isAngle, linesOf, offLine, type Corner, type Line } from './corners';
import { picksFor } from './picks';

/** Where a tool is filled again: so far along a joint. */
export interface Refill {
  joint: string;
  atMm: number;
}

/** A coat through a room, joint by joint. */
export interface CoatRun {
  room: string;
  coat: Coat;
  /** In the order they are run. */
  joints: readonly string[];
  /** The one face each inside angle is coated on, where it is one. */
  faces: { joint: string; face: string }[];
  /** Corners where that cannot be had: left for the next day. */
  cannot: string[];
  /** At each three-way corner the faces in the order they are wiped. */
  corners: { id: string; faces: string[] }[];
  refills: Refill[];
  /** What an order set by hand breaks. */
  broken: { joint: string; said: Message }[];
}

/** Above this one stands on something, mm. */
const REACH_MM = 2300;

/** When an element is run in a coat; what comes later covers the ends of what came before. */
function rankIn(element: Element, coat: Coat, way: Pick<Way, 'tapeOrder' | 'coatOrder'>): number {
  const butts = coat === 'tape' ? way.tapeOrder === 'butts-first' : way.coatOrder !== 'flats-first';
  if (element === 'butts') return butts ? 0 : 1;
  if (element === 'angles') return 2;
  if (element === 'corners') return 3;
  return butts ? 1 : 0;
}

interface Stop extends Line {
  element: Element;
  rank: number;
  /** Overhead, then what is out of reach, then the rest. */
  zone: number;
  cell: Cell;
}

/** What the order of a coat is found from. */
export interface ToRun {
  id: string;
  survey: Pick<Survey, 'faces' | 'joints'>;
  rows: readonly BoardRow[];
  /** Wet litres on a metre of the joints of a row, by row and coat. */
  litresPerM: (row: string, coat: Coat) => number;
  way: Way;
  book: Book;
  /** Orders set by hand, by coat. */
  own: Partial<Record<Coat, readonly string[]>> | undefined;
}

const COATED: readonly Coat[] = ['prefill', 'tape', 'fill', 'finish'];

/** The runs of a room, one for each coat that has joints in it. */
export function runsOf(room: ToRun): CoatRun[] {
  const lines = new Map(linesOf(room.survey).map((line) => [line.joint.id, line]));
  const overhead = new Set(room.survey.faces.filter(isOverhead).map(({ id }) => id));
  const angles = room.survey.joints.filter((joint) => isAngle(joint) && joint.other !== undefined);
  const corners = cornersOf(room.survey);
  const picked = picksFor(angles, corners);
  const zoneOf = ({ joint, from, to }: Line): Stop['zone'] =>
    overhead.has(joint.face) ? 0 : (from[2] + to[2]) / 2 > REACH_MM ? 1 : 2;
  const boarded = room.rows
    .filter(({ element }) => ELEMENT[element].unit === 'm')
    .map((row) => ({
      row,
      placed: row.joints.flatMap((id) => {
        const line = lines.get(id);
        return line ? [{ line, zone: zoneOf(line) }] : [];
      }),
    }));
  return COATED.flatMap((coat) => {
    const stops: Stop[] = [];
    for (const { row, placed } of boarded) {
      const cell = row.cells.find((one) => one.coat === coat);
      if (!cell || (coat === 'prefill' && room.litresPerM(row.id, coat) <= 0)) continue;
      const { element } = row;
      const rank = rankIn(element, coat, room.way);
      for (const { line, zone } of placed)
        stops.push({ joint: line.joint, from: line.from, to: line.to, element, rank, zone, cell });
    }
    if (stops.length === 0) return [];
    const ruled = walked(stops);
    const order = inOwnOrder(ruled, room.own?.[coat]);
    const oneFace = stops.some(({ element, cell }) => element === 'angles' && cell.faces === 1);
    const turned = coat === 'finish';
    const faces = oneFace ? facesOf(stops, picked.faces, turned) : [];
    return [
      {
        room: room.id,
        coat,
        joints: order.map(({ joint }) => joint.id),
        faces,
        cannot: oneFace ? picked.cannot : [],
        corners: oneFace ? wipes(corners, new Map(faces.map(({ joint, face }) => [joint, face]))) : [],
        refills: refillsOf(order, coat, room),
        broken: brokenBy(order, coat),
      },
    ];
  });
}

/** The face of each angle in this coat: as picked, and in the next the other. */
const facesOf = (
  stops: readonly Stop[],
  picks: ReadonlyMap<string, string>,
  turned: boolean,
): CoatRun['faces'] =>
  stops.flatMap(({ joint }) => {
    const face = picks.get(joint.id);
    if (face === undefined) return [];
    return [
      { joint: joint.id, face: turned ? (face === joint.face ? (joint.other as string) : joint.face) : face },
    ];
  });

/** At each corner where three faces meet, one wipe a face, the one overhead first. */
const wipes = (corners: readonly Corner[], faces: ReadonlyMap<string, string>): CoatRun['corners'] =>
  corners.flatMap(({ id, joints }) =>
    joints.length === 3
      ? [{ id, faces: [...new Set(joints.flatMap((joint) => faces.get(joint) ?? []))].sort() }]
      : [],
  );

/** How far apart two points are, mm; run for every pair of joints, where `Math.hypot` is slow. */
const near = (a: Vec, b: Vec): number =>
  Math.sqrt((a[0] - b[0]) ** 2 + (a[1] - b[1]) ** 2 + (a[2] - b[2]) ** 2);

/**
 * By what covers what; of that overhead before the walls and what one climbs for before the rest; and there always
 * on to the joint that begins nearest to where the last one ended.
 */
function walked(stops: readonly Stop[]): Stop[] {
  const order: Stop[] = [];
  let at: Vec = [0, 0, 0];
  const groups = new Map<number, Stop[]>();
  for (const stop of stops) {
    const key = stop.rank * 10 + stop.zone;
    groups.set(key, [...(groups.get(key) ?? []), stop]);
  }
  for (const key of [...groups.keys()].sort((a, b) => a - b)) {
    const left = new Set(groups.get(key));
    while (left.size > 0) {
      let best: Stop | undefined;
      let bestMm = Infinity;
      for (const stop of left) {
        const mm = Math.min(near(at, stop.from), near(at, stop.to));
        if (mm < bestMm - 1e-6) [best, bestMm] = [stop, mm];
      }
      const next = best as Stop;
      left.delete(next);
      order.push(next);
      at = near(at, next.from) <= near(at, next.to) ? next.to : next.from;
    }
  }
  return order;
}

/** Joints in the order set by hand; those it does not name stand where the rules have them, behind the one before. */
function inOwnOrder(ruled: readonly Stop[], own: readonly string[] | undefined): Stop[] {
  if (!own || own.length === 0) return [...ruled];
  const place = new Map(own.map((id, i) => [id, i]));
  let last = -1;
  const keyed = ruled.map((stop, i) => {
    last = place.get(stop.joint.id) ?? last;
    return { stop, at: place.get(stop.joint.id) ?? last + 0.5, i };
  });
  return keyed.sort((a, b) => a.at - b.at || a.i - b.i).map(({ stop }) => stop);
}

/** Two joints touch where one ends on the other or they cross. */
const touches = (a: Line, b: Line): boolean =>
  [a.from, a.to].some((end) => offLine(end, b) < 6) || [b.from, b.to].some((end) => offLine(end, a) < 6);

/** What an order breaks: a joint run before one whose end it should cover, or whose mud a blade would drag through. */
function brokenBy(order: readonly Stop[], coat: Coat): CoatRun['broken'] {
  let highest = -Infinity;
  return order.flatMap((stop, i) => {
    highest = Math.max(highest, stop.rank);
    if (highest <= stop.rank) return [];
    const before = order.slice(0, i).find((one) => one.rank > stop.rank && touches(one, stop));
    if (!before) return [];
    const takes = { joint: say(`element.${stop.element}`), before: say(`element.${before.element}`) };
    return [
      {
        joint: stop.joint.id,
        said: coat === 'tape' ? say('run.loose-end', takes) : say('run.drags', takes),
      },
    ];
  });
}

/** Where pan, hawk or machine is empty along the run, by what one fill of it lays. */
function refillsOf(order: readonly Stop[], coat: Coat, { litresPerM, rows, way, book }: ToRun): Refill[] {
  const rowOf = new Map(rows.flatMap((row) => row.joints.map((id) => [id, row.id] as const)));
  const hand = book[way.tools === 'trowels' ? 'fill-hawk' : 'fill-pan'].value;
  const found: Refill[] = [];
  let left = 0;
  let tool = '';
  for (const { joint, cell } of order) {
    const own = cell.machine && cell.tool ? fillOf(cell.tool, book)?.value : undefined;
    const holds = own ?? hand;
    const name = own === undefined ? 'hand' : String(cell.tool);
    // Another tool comes full.
    if (name !== tool) [tool, left] = [name, holds];
    const perMm = litresPerM(rowOf.get(joint.id) ?? '', coat) / 1000;
    if (perMm <= 0) continue;
    let at = 0;
    while ((joint.lengthMm - at) * perMm > left + 1e-9) {
      at += left / perMm;
      found.push({ joint: joint.id, atMm: at });
      left = holds;
    }
    left -= (joint.lengthMm - at) * perMm;
  }
  return found;
}
