import type { Joint, JointKind, JointNote, UnitSystem } from '@lisse/core';
import type { JobStore } from '../state/job.store';

/** What one key does to a joint. */
export type JointKey = { kind: JointKind } | { gapSteps: number } | { forget: true };

/** Kinds a board joint may be called by its single key; angles and corners are what the walls make them. */
const KIND_KEYS: Record<string, JointKind> = { f: 'tapered', b: 'butt', m: 'mixed', r: 'recessed-butt' };

export const BOARD_KINDS: readonly JointKind[] = Object.values(KIND_KEYS);

const MOST_GAP_MM = 100;

/** The key's meaning for a joint, or none. */
export function jointKey(key: string, joint: Joint): JointKey | undefined {
  if (key === '[' || key === ']') return { gapSteps: key === ']' ? 1 : -1 };
  if (key === 'Backspace' || key === 'Delete') return { forget: true };
  const kind = BOARD_KINDS.includes(joint.kind) ? KIND_KEYS[key] : undefined;
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
 * Writes what was measured on a joint. The note is made on what the job holds then, so that quick presses
 * add up; nothing measured any more leaves no note behind.
 */
export function noteJoint(
  jobs: InstanceType<typeof JobStore>,
  room: string,
  joint: Joint,
  label: string,
  noting: Noting,
): void {
  const id = joint.id;
  jobs.editRoom(
    room,
    label,
    (found) => {
      const { [id]: before, ...rest } = found.joints ?? {};
      const joints = noting ? { ...rest, [id]: { ...before, ...noting(before ?? {}) } } : rest;
      if (Object.keys(joints).length > 0) found.joints = joints;
      else delete found.joints;
    },
    noting ? `${id}.${label}` : '',
  );
}
