import { computed, inject, type Signal } from '@angular/core';
import {
  isCut,
  rowOfJoint,
  say,
  spotDepthMm,
  withCoats,
  type AreaPlan,
  type BoardRow,
  type Book,
  type Joint,
  type Message,
  type Room,
  type RoomPlan,
} from '@lisse/core';
import { signalStoreFeature, withComputed } from '@ngrx/signals';
import { starting } from '../state/texts';
import { ViewStore } from '../state/view.store';
import type { Option } from '../ui/choice';
import { damageName, jointName } from '../ui/words';

/** What can be cut across: a joint, the heads of an area, a spot of damage. */
export interface Target {
  id: string;
  /** What is cut that is no joint. */
  name?: Message;
  area: AreaPlan;
  row: BoardRow;
  joint?: Joint;
  /** A head or a spot instead of a joint. */
  dimple?: { depthMm: number; widthMm: number };
}

/** No longer a list of joints than this is offered. */
const MOST = 400;

/** Everything of a room that can be cut across, what shows most first. */
export function targetsOf(room: Room, plan: RoomPlan, book: Book): Target[] {
  const seen = new Map(plan.use.sections.flatMap((s) => s.joints.map((id) => [id, s.contrast] as const)));
  const joints = plan.joints.flatMap((joint): Target[] => {
    const area = plan.areas.find((a) => rowOfJoint(a.rows, joint));
    const row = area && rowOfJoint(area.rows, joint);
    return row ? [{ id: joint.id, area, row, joint }] : [];
  });
  joints.sort(
    (a, b) =>
      (seen.get(b.id) ?? -1) - (seen.get(a.id) ?? -1) || (b.joint?.lengthMm ?? 0) - (a.joint?.lengthMm ?? 0),
  );
  const spots = plan.areas.flatMap((area): Target[] =>
    area.rows.flatMap((row): Target[] => {
      if (row.element === 'heads') {
        const dimple = { depthMm: book.dimpleMm.value, widthMm: book.dimpleWidthMm.value };
        const name = plan.areas.length > 1 ? say('cut.head-on', { area: area.name }) : say('cut.head');
        return [{ id: `heads/${area.id}`, name, area, row, dimple }];
      }
      if (row.element !== 'repairs') return [];
      return withCoats(room)
        .filter((d) => area.faces.includes(d.face ?? '') || plan.areas.length === 1)
        .map((d) => ({
          id: `repair/${d.id}`,
          name: starting(damageName(d.kind)),
          area,
          row,
          dimple: { depthMm: spotDepthMm(d.kind, book), widthMm: Math.max(20, d.sizeMm) },
        }));
    }),
  );
  return [...joints, ...spots];
}

/** The joint, head or spot of the room that is cut across, and what else could be. */
export function withTarget() {
  return signalStoreFeature(
    withComputed((_, view = inject(ViewStore)) => {
      const targets = computed(() => {
        const [plan, room] = [view.roomPlan(), view.room()];
        return plan && room ? targetsOf(room, plan, view.book()) : [];
      });
      const target: Signal<Target | undefined> = computed(
        () => targets().find((t) => t.id === view.jointId()) ?? targets()[0],
      );
      return {
        target,
        options: computed<Option<string>[]>(() => {
          const plan = view.roomPlan();
          const now = target();
          const spots = targets().filter((t) => !t.joint);
          const joints = targets()
            .filter((t) => t.joint)
            .slice(0, MOST);
          if (now?.joint && !joints.includes(now)) joints.push(now);
          return plan
            ? [...joints, ...spots].map((t) => ({ value: t.id, name: t.name ?? jointName(plan, t.id) }))
            : [];
        }),
        name: computed(() => {
          const [plan, now] = [view.roomPlan(), target()];
          return plan && now ? (now.name ?? jointName(plan, now.id)) : '';
        }),
        joint: computed(() => target()?.joint),
        area: computed(() => target()?.area),
        row: computed(() => target()?.row),
        flat: computed(() => {
          const row = target()?.row;
          return row !== undefined && isCut(row.element);
        }),
      };
    }),
  );
}
