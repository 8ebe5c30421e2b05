import type { Check, Log, Step } from '../job';
import { localOf, standing } from './log';

const coatKey = (room: string, step: Step): string => `${room}|${step}`;

/** Joints told as run, and checks told as made, coat by coat. */
export interface CompletedJoints {
  joints: (room: string, step: Step) => ReadonlySet<string>;
  /** When each check was made last, by the clock on site. */
  checks: (room: string, step: Step) => ReadonlyMap<Check, string>;
}

const NONE: ReadonlySet<string> = new Set();
const NO_CHECKS: ReadonlyMap<Check, string> = new Map();

/** What a log tells of the joints of a run and of what was looked at. */
export function completedJointsOf(log: Log): CompletedJoints {
  const joints = new Map<string, Set<string>>();
  const checks = new Map<string, Map<Check, string>>();
  for (const entry of standing(log)) {
    const { kind, room, step } = entry;
    if (room === undefined || step === undefined) continue;
    const key = coatKey(room, step);
    if (kind === 'ran') {
      const known = joints.get(key) ?? new Set<string>();
      for (const id of entry.joints ?? []) known.add(id);
      joints.set(key, known);
    } else if (kind === 'checked' && entry.check !== undefined) {
      const known = checks.get(key) ?? new Map<Check, string>();
      checks.set(key, known.set(entry.check, localOf(entry)));
    }
  }
  return {
    joints: (room, step) => joints.get(coatKey(room, step)) ?? NONE,
    checks: (room, step) => checks.get(coatKey(room, step)) ?? NO_CHECKS,
  };
}
