import { REPAIR, type Damage, type Point } from '@lisse/core';
import type { JobStore } from '../state/job.store';
import { newId } from '../new-id';

/** Marks a damaged spot, a dent until it is told otherwise. */
export function markDamage(jobs: InstanceType<typeof JobStore>, room: string, face: string, at: Point): void {
  const spot: Damage = {
    id: newId(),
    face,
    at: [Math.round(at[0]), Math.round(at[1])],
    kind: 'dent',
    sizeMm: REPAIR.dent.usualMm,
  };
  jobs.editRoom(
    room,
    'undo.mark-damage',
    (found) => void (found.damage = [...(found.damage ?? []), { ...spot }]),
  );
}
