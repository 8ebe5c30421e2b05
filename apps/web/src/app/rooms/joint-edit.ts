import {
  JOINT,
  JOINT_KINDS,
  say,
  type Joint,
  type JointKind,
  type JointNote,
  type RoomPlan,
  type UnitSystem,
} from '@lisse/core';
import type { Deed, JobStore } from '../state/job.store';
import { JOINT_WORD } from '../ui/words';

/** What one key does to a joint. */
export type JointKey = { kind: JointKind } | { gapSteps: number } | { forget: true };

/** Kinds a board joint may be called by a single key. */
export const BOARD_KINDS: readonly JointKind[] = JOINT_KINDS.filter((kind) => JOINT[kind].key !== undefined);

const MOST_GAP_MM = 100;

/** The key's meaning for a joint, or none. */
export function jointKey(key: string, joint: Joint): JointKey | undefined {
  if (key === '[' || key === ']') return { gapSteps: key === ']' ? 1 : -1 };
  if (key === 'Backspace' || key === 'Delete') return { forget: true };
  const called = BOARD_KINDS.find((kind) => JOINT[kind].key === key);
  const kind = BOARD_KINDS.includes(joint.kind) ? called : undefined;
  return kind && { kind };
}

/** The gap a step wider or narrower: a millimetre, or a sixteenth of an inch. */
export function steppedGap(gapMm: number, steps: number, units: UnitSystem): number {
  const step = units === 'metric' ? 1 : 25.4 / 16;
  return Math.min(MOST_GAP_MM, Math.max(0, (Math.round(gapMm / step) + steps) * step));
}

/** What is noted of a joint from now on, given what is noted already; none forgets it. */
export type Noting = ((before: JointNote) => JointNote) | undefined;

/**
 * Writes what was measured on joints. Each note is made on what the job holds then, so that quick presses
 * add up; nothing measured any more leaves no note behind.
 */
export function noteJoints(
  jobs: InstanceType<typeof JobStore>,
  room: string,
  joints: readonly Joint[],
  label: Deed,
  noting: (joint: Joint) => Noting,
): void {
  const notes = joints.map((joint) => [joint.id, noting(joint)] as const);
  const forgets = notes.some(([, one]) => one === undefined);
  jobs.editRoom(
    room,
    label,
    (found) => {
      const kept = { ...found.joints };
      for (const [id, one] of notes) {
        if (one) kept[id] = { ...kept[id], ...one(kept[id] ?? {}) };
        else delete kept[id];
      }
      if (Object.keys(kept).length > 0) found.joints = kept;
      else delete found.joints;
    },
    forgets ? '' : `${notes.map(([id]) => id).join()}.${typeof label === 'string' ? label : label.key}`,
  );
}

/** What one key writes on every selected joint. */
export function pressKey(
  jobs: InstanceType<typeof JobStore>,
  room: string,
  joints: readonly Joint[],
  key: JointKey,
  units: UnitSystem,
): void {
  if ('kind' in key) {
    const fitting = joints.filter((joint) => BOARD_KINDS.includes(joint.kind));
    noteJoints(jobs, room, fitting, say('undo.call-it', { kind: JOINT_WORD[key.kind] }), () => () => ({
      kind: key.kind,
    }));
  } else if ('gapSteps' in key)
    noteJoints(jobs, room, joints, 'undo.measure-gap', (joint) => (before) => ({
      gapMm: steppedGap(before.gapMm ?? joint.gapMm, key.gapSteps, units),
    }));
  else noteJoints(jobs, room, joints, 'undo.forget-measured', () => undefined);
}

/** Where a butt stands along its row, mm; none for joints that do not move. */
export function buttPlace(
  plan: RoomPlan,
  joint: Joint,
): { at: number; along: 'u' | 'v'; row: number } | undefined {
  const along = plan.faces.find((face) => face.id === joint.face)?.laid?.along;
  if (joint.row === undefined || !along) return undefined;
  return { at: along === 'u' ? joint.line[0] : joint.line[1], along, row: joint.row };
}

/** Ends that land on no framing move this far at a time, mm. */
const FREE_STEP_MM = 50;

/** Places a butt may be moved to: the framing its row crosses, mm along the row. */
export function buttPlaces(plan: RoomPlan, joint: Joint): number[] {
  const face = plan.faces.find((f) => f.id === joint.face);
  const place = buttPlace(plan, joint);
  if (!face?.laid || !place) return [];
  const { framing, framingMm } = face.laid;
  const crosses = (framing === 'up') === (place.along === 'u');
  const step = crosses ? framingMm : FREE_STEP_MM;
  const [low, high] = place.along === 'u' ? [face.box[0], face.box[2]] : [face.box[1], face.box[3]];
  const places: number[] = [];
  for (let k = Math.ceil((low + 20) / step); k * step < high - 20; k++) places.push(k * step);
  return places;
}

/** The place nearest to one, mm. */
export const nearest = (places: readonly number[], to: number): number | undefined =>
  places.length === 0 ? undefined : places.reduce((a, b) => (Math.abs(b - to) < Math.abs(a - to) ? b : a));

/** Puts a butt somewhere else in its row; the row then stays as it is put. */
export function moveButt(
  jobs: InstanceType<typeof JobStore>,
  room: string,
  plan: RoomPlan,
  joint: Joint,
  to: number,
): void {
  const place = buttPlace(plan, joint);
  if (!place || Math.abs(place.at - to) < 0.5) return;
  const own = plan.joints
    .filter((j) => j.face === joint.face && j.row === joint.row)
    .map((j) => buttPlace(plan, j)?.at ?? 0);
  const cuts = [...new Set(own.map((at) => (Math.abs(at - place.at) < 0.5 ? to : at)))].sort((a, b) => a - b);
  jobs.editRoom(
    room,
    'undo.move-butt',
    (found) => {
      const faces = { ...found.faces };
      const note = faces[joint.face] ?? {};
      faces[joint.face] = { ...note, cuts: { ...note.cuts, [String(place.row)]: cuts } };
      found.faces = faces;
    },
    `${joint.face}.${place.row}.move`,
  );
}

/** Moves an opening along its wall and, where it stands clear of the floor, up and down. */
export function moveOpening(
  jobs: InstanceType<typeof JobStore>,
  room: string,
  id: string,
  leftMm: number,
  bottomMm: number,
): void {
  jobs.editRoom(
    room,
    'undo.move-opening',
    (found) => {
      const o = found.openings.find((one) => one.id === id);
      if (!o) return;
      o.leftMm = Math.max(0, leftMm);
      if (o.bottomMm > 0) o.bottomMm = Math.max(1, bottomMm);
    },
    `${id}.move`,
  );
}
