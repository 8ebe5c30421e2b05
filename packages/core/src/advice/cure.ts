import type { Job } from '../job';
import type { Change } from './types';

/**
 * Sets what a cure changes, in place. A room that is gone is passed over: the cure was for a plan that
 * somebody has since edited.
 */
export function applyChanges(job: Job, changes: readonly Change[]): void {
  for (const { room, path, value } of changes) {
    let at = (room === undefined ? job : job.rooms.find((r) => r.id === room)) as
      Record<string, unknown> | undefined;
    if (!at) continue;
    for (const key of path.slice(0, -1)) {
      const next = at[key];
      if (typeof next !== 'object' || next === null) at[key] = {};
      at = at[key] as Record<string, unknown>;
    }
    const last = path[path.length - 1] as string;
    if (value === undefined) delete at[last];
    else at[last] = value;
  }
}
