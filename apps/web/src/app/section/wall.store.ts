import { computed, effect, inject, untracked } from '@angular/core';
import {
  flashOf,
  PRESETS,
  rowOfJoint,
  say,
  withWay,
  type Job,
  type Rect,
  type Sayable,
  type Sheen,
  type Stage,
  type ToHide,
} from '@lisse/core';
import {
  patchState,
  signalStore,
  withComputed,
  withHooks,
  withMethods,
  withProps,
  withState,
} from '@ngrx/signals';
import { starting } from '../state/texts';
import { JobStore } from '../state/job.store';
import { ViewStore } from '../state/view.store';
import { damageName, jointName } from '../ui/words';
import { WallClient } from '../worker/wall-client';
import type { WallRequest } from '../worker/wall-renderer';
import { withFace, type WallLooked } from './wall-face';
import { withLamp } from './wall-lamp';
import { WallPainter } from './wall-painter';

/** Something that shows on the wall, in words. */
export interface Shown {
  key: string;
  name: Sayable;
  contrast: number;
  over: boolean;
  at?: readonly [number, number];
  joint?: string;
  line?: Rect;
}

/** What a wall is held against: nothing, the plan as pinned, or a way of working by its place among the presets. */
export type Against = 'nothing' | 'pinned' | number;

interface WallState extends WallLooked {
  primed: boolean;
  flash: boolean;
  eyeMm: number;
  against: Against;
  pinned: Job | undefined;
}

/** Cells of the picture of a whole wall, and at their finest, mm. */
const WHOLE_MM = 4;
const FINEST_MM = 1;
/** A picture has no more cells than this. */
const MOST_CELLS = 3e6;
const MOST_ZOOM = 8;

/** From how far a wall is seen, mm: round in each system. */
export const EYE = {
  feet: { least: 609.6, most: 6096, step: 152.4, usual: 1981.2 },
  metric: { least: 600, most: 6000, step: 200, usual: 2000 },
} as const;

/** The wall that is looked at, the lamp before it, and what it shows. */
export const WallStore = signalStore(
  withState<WallState>({
    faceId: undefined,
    chosen: undefined,
    sheenTried: undefined,
    zoom: 1,
    middle: undefined,
    primed: true,
    flash: true,
    eyeMm: EYE.metric.usual,
    against: 'nothing',
    pinned: undefined,
  }),
  withFace(),
  withLamp(),
  withProps(() => {
    const _painter = inject(WallPainter);
    const { drawn, picture, failed, busy } = _painter;
    return { _painter, drawn, picture, failed, busy };
  }),
  withComputed(
    (
      { face, window, zoom, stage, eyeMm, against, pinned },
      jobs = inject(JobStore),
      view = inject(ViewStore),
    ) => {
      const _request = computed<WallRequest | undefined>(() => {
        const [job, room, on] = [jobs.job(), view.room(), face()];
        if (!job || !room || !on || !view.roomPlan()) return undefined;
        const only = (of: Job): Job => ({ ...of, rooms: of.rooms.filter((r) => r.id === room.id) });
        const [a0, b0, a1, b1] = on.box;
        const [c0, d0, c1, d1] = window();
        const rect: Rect = [Math.max(a0, c0), Math.max(b0, d0), Math.min(a1, c1), Math.min(b1, d1)];
        const area = Math.max(1, (rect[2] - rect[0]) * (rect[3] - rect[1]));
        const asked = zoom() === 1 ? WHOLE_MM : Math.max(FINEST_MM, WHOLE_MM / zoom());
        const than = against();
        const preset = typeof than === 'number' ? PRESETS[than] : undefined;
        const other = than === 'pinned' ? pinned() : preset && withWay(job, preset.way);
        return {
          job: only(job),
          face: on.id,
          stage: stage(),
          eyeMm: eyeMm(),
          cellMm: Math.max(asked, Math.sqrt(area / MOST_CELLS)),
          ...(rect[2] > rect[0] && rect[3] > rect[1] ? { rect } : {}),
          ...(other ? { against: only(other) } : {}),
        };
      });
      return { _request, differs: computed(() => _request()?.against !== undefined) };
    },
  ),
  withComputed(({ _painter, drawn, sheen, limit, flash, stage, stages }, view = inject(ViewStore)) => {
    /** How much darker compound stands beside paper in the sheen that is looked at. */
    const flashes = computed(() => {
      const [made, seen] = [drawn(), sheen()];
      return made && seen ? flashOf(seen, view.book()) * made.flashLeft : 0;
    });
    /** Everything that shapes this wall, what shows most first. */
    const list = computed<Shown[]>(() => {
      const [made, plan, room] = [drawn(), view.roomPlan(), view.room()];
      if (!made || !plan || !room) return [];
      const least = limit();
      const over = (contrast: number) => least !== undefined && Math.abs(contrast) > least;
      const shown = _painter.seen().flatMap(({ feature, contrast, at }): Shown[] => {
        const what = made.features[feature - 1];
        if (!what) return [];
        const seen = { contrast, over: over(contrast), at };
        if (what.kind === 'heads') return [{ key: 'heads', name: starting(say('element.heads')), ...seen }];
        if (what.kind === 'repair') {
          const spot = room.damage?.find((d) => d.id === what.id);
          return [
            { key: what.id, name: spot ? starting(damageName(spot.kind)) : say('wall.repair'), ...seen },
          ];
        }
        return [{ key: what.id, name: jointName(plan, what.id), ...seen, joint: what.id, line: what.line }];
      });
      if (flash() && flashes() > 0 && stage() !== 'boards')
        shown.push({ key: 'flash', name: say('wall.flash'), contrast: -flashes(), over: over(flashes()) });
      return shown.sort((a, b) => Math.abs(b.contrast) - Math.abs(a.contrast));
    });
    const showing = computed(() => list().filter((s) => s.over));
    return {
      flashes,
      list,
      showing,
      /** Of what shows when all is done, the joints that a wider finish or a float may hide. */
      hideable: computed<ToHide[]>(() => {
        if (stage() !== stages().at(-1)?.value) return [];
        const areas = view.roomPlan()?.areas ?? [];
        return showing().flatMap(({ joint, line, contrast }) => {
          const row = areas.flatMap((a) => rowOfJoint(a.rows, { id: joint ?? '' }) ?? [])[0];
          const flat = row && ['flats', 'mixed', 'recessed', 'butts'].includes(row.element);
          return joint && line && flat ? [{ joint, line, contrast }] : [];
        });
      }),
    };
  }),
  withMethods((store, client = inject(WallClient), jobs = inject(JobStore)) => ({
    lookAt: (faceId?: string) => patchState(store, { faceId }),
    showStage: (chosen: Stage) => patchState(store, { chosen }),
    turnPrimed: () => patchState(store, ({ primed }) => ({ primed: !primed })),
    turnFlash: () => patchState(store, ({ flash }) => ({ flash: !flash })),
    standBack: (eyeMm: number) => patchState(store, { eyeMm }),
    trySheen: (sheenTried?: Sheen) => patchState(store, { sheenTried }),
    holdAgainst: (against: Against) => patchState(store, { against }),
    /** Keeps the plan as it is now, to hold the wall against. */
    pin: () => patchState(store, { pinned: jobs.job(), against: 'pinned' }),
    closer(by: number, about?: readonly [number, number]): void {
      const zoom = Math.min(MOST_ZOOM, Math.max(1, store.zoom() * by));
      patchState(store, { zoom: zoom < 1.05 ? 1 : zoom, ...(about ? { middle: about } : {}) });
    },
    whole: () => patchState(store, { zoom: 1, middle: undefined }),
    /** Says why something could not be had. */
    cannot: (why: Sayable) => store._painter.failed.set(why),
    hide(shown: readonly ToHide[]) {
      const request = store._request();
      return request ? client.hide(request.job, store.light(), shown, store.limit()) : Promise.resolve([]);
    },
  })),
  withHooks((store, jobs = inject(JobStore)) => ({
    onInit() {
      patchState(store, { eyeMm: EYE[jobs.job()?.units ?? 'metric'].usual });
      effect(() => {
        const light = {
          light: store.light(),
          primed: store.primed() && store.stage() !== 'boards',
          flash: store.flash() ? store.flashes() : 0,
        };
        untracked(() => store._painter.shineFrom(light));
      });
      effect(() => {
        const request = store._request();
        if (request) untracked(() => void store._painter.draw(request));
      });
      // A wall that is picked elsewhere is shown whole.
      effect(() => {
        store.face();
        untracked(() => store.whole());
      });
    },
  })),
);
