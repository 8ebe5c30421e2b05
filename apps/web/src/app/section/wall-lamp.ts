import { computed, inject, type Signal } from '@angular/core';
import {
  angleAcross,
  grazingOf,
  inSpace,
  onFace,
  sourceAt,
  type AreaPlan,
  type Face,
  type FaceLight,
  type Rect,
  type Vec,
  type Message,
  say,
} from '@lisse/core';
import { patchState, signalStoreFeature, type, withComputed, withMethods, withState } from '@ngrx/signals';
import { ViewStore } from '../state/view.store';

/** The lamp can be put so far beside a face, and so near and far off it, mm. */
const BEYOND_MM = 20000;
const OFF_MM = { least: 20, most: 20000 };

/** The lamp before the face that is looked at: where it stands, and how it falls. */
export function withLamp() {
  return signalStoreFeature(
    { props: type<{ face: Signal<Face | undefined>; area: Signal<AreaPlan | undefined> }>() },
    withState({ moved: undefined as { face: string; light: FaceLight } | undefined }),
    withComputed(({ face, area, moved }, view = inject(ViewStore)) => {
      /** Where light comes from in this room, as it stands before this face. */
      const sources = computed<{ id: string; name: Message; light: FaceLight }[]>(() => {
        const [room, plan, on] = [view.room(), view.roomPlan(), face()];
        if (!room || !plan || !on) return [];
        const named = [
          ...room.openings.map((o, i) => ({
            id: o.id,
            name: say('wall.source', { kind: say(`openings.${o.kind}`), n: i + 1, wall: o.wall + 1 }),
          })),
          ...(room.lamps ?? []).map((l, i) => ({ id: l.id, name: say('light.lamp', { n: i + 1 }) })),
        ];
        return named.flatMap(({ id, name }) => {
          const from = sourceAt(room, plan, id);
          const light = from && before(on, from);
          return light ? [{ id, name, light }] : [];
        });
      });
      /** Where it was put, the room's light, or beside the wall at the angle that is planned with. */
      const light = computed<FaceLight>(() => {
        const on = face();
        const put = moved();
        if (!on) return { u: 0, v: 0, offMm: 300 };
        if (put?.face === on.id) return put.light;
        const planned = area()?.light;
        const source = sources().find((s) => s.id === planned?.from);
        if (source) return source.light;
        const [u0, v0, u1, v1] = on.box;
        const aside = 0.06 * (u1 - u0);
        const grazing = (grazingOf(planned ?? { kind: 'ordinary' }) * Math.PI) / 180;
        const offMm = Math.tan(grazing) * (u1 - u0 + aside);
        return { u: u0 - aside, v: v0 + 0.6 * (v1 - v0), offMm: Math.max(60, Math.round(offMm)) };
      });
      return {
        sources,
        light,
        tried: computed(() => moved()?.face === face()?.id),
        /** The flattest the light falls anywhere on this face, degrees. */
        flattest: computed(() => {
          const on = face();
          if (!on) return 90;
          const [u0, v0, u1, v1] = on.box;
          const across = (line: Rect) => angleAcross(line, light());
          return Math.min(
            across([u0, v0, u0, v1]),
            across([u1, v0, u1, v1]),
            across([u0, v0, u1, v0]),
            across([u0, v1, u1, v1]),
          );
        }),
        /** The lamp as it stands in the room: its place in the plan and its height. */
        inRoom: computed(() => {
          const on = face();
          if (!on || !view.room()) return undefined;
          const { u, v, offMm } = light();
          const at = inSpace(on.frame, [u, v]);
          const [x, y, z] = at.map((place, i) => place + offMm * (on.frame.inward[i] as number)) as [
            number,
            number,
            number,
          ];
          return {
            at: [Math.round(x), Math.round(y)] as [number, number],
            heightMm: Math.round(Math.min(30000, Math.max(0, z))),
          };
        }),
      };
    }),
    withMethods((store) => ({
      put(change: Partial<FaceLight>): void {
        const face = store.face();
        if (!face) return;
        const now = { ...store.light(), ...change };
        const clamp = (value: number, least: number, most: number) =>
          Math.round(Math.min(most, Math.max(least, value)));
        const [u0, v0, u1, v1] = face.box;
        const light = {
          u: clamp(now.u, u0 - BEYOND_MM, u1 + BEYOND_MM),
          v: clamp(now.v, v0 - BEYOND_MM, v1 + BEYOND_MM),
          offMm: clamp(now.offMm, OFF_MM.least, OFF_MM.most),
        };
        patchState(store, { moved: { face: face.id, light } });
      },
      back: () => patchState(store, { moved: undefined }),
    })),
  );
}

/** A place in the room as it stands before a face; none behind it. */
function before({ frame }: Face, from: Vec): FaceLight | undefined {
  const [u, v] = onFace(frame, from);
  const offMm = from.reduce(
    (sum, x, i) => sum + (x - (frame.origin[i] as number)) * (frame.inward[i] as number),
    0,
  );
  return offMm < OFF_MM.least ? undefined : { u, v, offMm };
}
