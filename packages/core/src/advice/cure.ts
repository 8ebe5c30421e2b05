import type { Job } from '../job';
import type { Change } from './types';

type Plain = Record<string, unknown>;

/**
 * Sets what a cure changes, in place. A room that is gone is passed over: the cure was for a plan that
 * somebody has since edited. What is left empty by taking a value away goes with it.
 */
export function applyChanges(job: Job, changes: readonly Change[]): void {
  for (const { room, path, value } of changes) {
    const root = (room === undefined ? job : job.rooms.find((r) => r.id === room)) as Plain | undefined;
    if (!root) continue;
    const way: Plain[] = [root];
    for (const key of path.slice(0, -1)) {
      const at = way[way.length - 1] as Plain;
      const next = at[key];
      if (typeof next !== 'object' || next === null) {
        if (value === undefined) break;
        at[key] = {};
      }
      way.push(at[key] as Plain);
    }
    if (way.length < path.length) continue;
    const last = path[path.length - 1] as string;
    if (value !== undefined) {
      (way[way.length - 1] as Plain)[last] = value;
      continue;
    }
    for (let i = path.length - 1; i >= 0; i--) {
      const at = way[i] as Plain;
      if (i < path.length - 1 && Object.keys(way[i + 1] as Plain).length > 0) break;
      delete at[path[i] as string];
    }
  }
}
