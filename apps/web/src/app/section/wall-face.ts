import { computed, inject, type Signal } from '@angular/core';
import {
  COATS,
  DECORATION_FACTS,
  say,
  showsAbove,
  type Face,
  type Rect,
  type Sheen,
  type Stage,
} from '@lisse/core';
import { signalStoreFeature, type, withComputed } from '@ngrx/signals';
import { ViewStore } from '../state/view.store';
import type { Option } from '../ui/choice';
import { COAT_NAME } from '../ui/words';

/** Which wall is looked at, how far the work has come on it, and how close. */
export interface WallLooked {
  faceId: string | undefined;
  /** To the last coat where nothing was chosen. */
  chosen: Stage | undefined;
  /** A sheen tried here; none is as planned. */
  sheenTried: Sheen | undefined;
  /** How much closer than the whole wall, and about which place. */
  zoom: number;
  middle: readonly [number, number] | undefined;
}

/** The picture is at least so much wider than high, where the screen is wide. */
const LEAST_ASPECT = 1.85;
const NARROW_PX = 1000;

/** The face that is looked at, its coats and its paint, and the part of it that fills the picture. */
export function withFace() {
  return signalStoreFeature(
    { state: type<WallLooked>() },
    withComputed(({ faceId, chosen, sheenTried, zoom, middle }, view = inject(ViewStore)) => {
      const narrow = globalThis.innerWidth <= NARROW_PX;
      const faces = computed<Face[]>(() => {
        const shaped = view.roomPlan()?.faces.filter((f) => f.kind !== 'reveal' && f.boarded) ?? [];
        return shaped.sort((a, b) => b.areaM2 - a.areaM2);
      });
      const face: Signal<Face | undefined> = computed(
        () =>
          faces().find((f) => f.id === faceId()) ??
          faces().find((f) => f.id === view.joint()?.face) ??
          faces().find((f) => f.kind === 'wall') ??
          faces()[0],
      );
      const area = computed(() => {
        const id = face()?.id;
        const areas = view.roomPlan()?.areas ?? [];
        return areas.find((a) => id !== undefined && a.faces.includes(id)) ?? areas[0];
      });
      const sheen = computed(() => sheenTried() ?? DECORATION_FACTS[area()?.decoration ?? 'none'].sheen);
      /** Coats that lie on this face, as far as its grade goes. */
      const stages = computed<Option<Stage>[]>(() => {
        const rows = area()?.rows ?? [];
        const done = COATS.filter(
          (c) => c !== 'prefill' && rows.some((r) => r.cells.some((x) => x.coat === c)),
        );
        return [
          { value: 'boards', name: say('wall.boards') },
          ...done.map((coat) => ({ value: coat, name: COAT_NAME[coat], coat })),
        ];
      });
      return {
        face,
        area,
        sheen,
        stages,
        faceOptions: computed<Option<string>[]>(() =>
          [...faces()]
            .sort((a, b) => a.id.localeCompare(b.id, 'en', { numeric: true }))
            .map((f) => ({ value: f.id, name: f.name })),
        ),
        /** Contrast from which on something is seen. */
        limit: computed(() => {
          const seen = sheen();
          return seen && showsAbove(seen, view.book());
        }),
        stage: computed<Stage>(
          () => stages().find((s) => s.value === chosen())?.value ?? stages().at(-1)?.value ?? 'boards',
        ),
        /** The part of the face that is looked at, with room round it for the lamp. */
        window: computed<Rect>(() => {
          const [u0, v0, u1, v1] = face()?.box ?? [0, 0, 1, 1];
          const pad = 0.08 * Math.max(u1 - u0, v1 - v0);
          const [mu, mv] = (zoom() === 1 ? undefined : middle()) ?? [(u0 + u1) / 2, (v0 + v1) / 2];
          const h = (v1 - v0 + pad) / zoom();
          // A tall face leaves room at its sides, so that it stands on the screen whole.
          const w = Math.max((u1 - u0 + 2 * pad) / zoom(), narrow ? 0 : LEAST_ASPECT * h);
          return [mu - w / 2, mv - h / 2, mu + w / 2, mv + h / 2];
        }),
      };
    }),
  );
}
