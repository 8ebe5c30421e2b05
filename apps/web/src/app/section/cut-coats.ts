import { computed, inject, type Signal } from '@angular/core';
import {
  bareSurface,
  coatedCells,
  halfFor,
  headInput,
  isPrefilled,
  kitOf,
  needsOf,
  rowCells,
  sanded,
  scraped,
  sectionInput,
  simulate,
  skimOver,
  type AreaPlan,
  type BoardRow,
  type CellEdit,
  type Coat,
  type Joint,
  type Sanding,
  type Surface,
} from '@lisse/core';
import { signalStoreFeature, type, withComputed } from '@ngrx/signals';
import { JobStore } from '../state/job.store';
import { ViewStore } from '../state/view.store';
import type { Layer } from './cut-drawing';
import type { Target } from './cut-target';

/** What is being dragged, on which target. */
export interface JointInHand {
  id: string;
  bandMm?: number;
  camberMm?: number;
  humpMm?: number;
  gapMm?: number;
}

/** How the cut is looked at. */
export interface Looked {
  /** The last coat as it is laid, not as it hardened. */
  wet: boolean;
  /** The last coat scraped and sanded. */
  dressed: boolean;
  sanding: Sanding;
  draft: JointInHand;
}

/** The coats of what is cut across, with what is being dragged laid over them, and the surfaces they leave. */
export function withCoatsLaid() {
  return signalStoreFeature(
    {
      state: type<Looked>(),
      props: type<{
        target: Signal<Target | undefined>;
        joint: Signal<Joint | undefined>;
        area: Signal<AreaPlan | undefined>;
        row: Signal<BoardRow | undefined>;
      }>(),
    },
    withComputed(({ target, joint, area, row, draft }, jobs = inject(JobStore), view = inject(ViewStore)) => {
      const dragged = computed<JointInHand>(() => (draft().id === target()?.id ? draft() : { id: '' }));
      /** The joint with what is being dragged laid over it. */
      const shown = computed<Joint | undefined>(() => {
        const { humpMm, gapMm } = dragged();
        const still = joint();
        return (
          still && {
            ...still,
            ...(humpMm === undefined ? {} : { humpMm }),
            ...(gapMm === undefined ? {} : { gapMm }),
          }
        );
      });
      const board = computed(() => {
        const [job, on, room] = [jobs.job(), area(), view.room()];
        if (!job || !on || !room) return undefined;
        const { bead } = row() ?? {};
        return {
          needs: needsOf(on.finish),
          way: job.way,
          kit: kitOf(job.shop, job.way.tools),
          room: room.cells,
          ...(bead ? { bead } : {}),
        };
      });
      const own = computed<Partial<Record<Coat, CellEdit>>>(() => {
        const still = joint();
        return (still && view.room()?.joints?.[still.id]?.cells) ?? {};
      });
      /** The skim over it all, where its area has one. */
      const skim = computed(() => {
        const [on, room] = [area(), view.room()];
        return on && room && joint()
          ? skimOver(on.rows, { ...room, finish: on.finish }, view.book())
          : undefined;
      });
      /** The coat looked at; the last where the chosen one is not done. */
      const at = computed<Coat>(() => {
        const done: Coat[] = coatedCells(row()?.cells ?? []).map((c) => c.coat);
        if (skim()) done.push('skim');
        const chosen = view.coat();
        return chosen && done.includes(chosen) ? chosen : (done.at(-1) ?? 'tape');
      });
      const cells = computed(() => {
        const [on, asPlanned, { bandMm, camberMm }] = [row(), board(), dragged()];
        if (!on || !asPlanned) return [];
        if (bandMm === undefined && camberMm === undefined) return on.cells;
        const edit = {
          ...own()[at()],
          ...(bandMm === undefined ? {} : { bandMm }),
          ...(camberMm === undefined ? {} : { camberMm }),
        };
        return rowCells(on.element, { ...asPlanned, book: view.book(), joint: { ...own(), [at()]: edit } });
      });
      const coated = computed(() => coatedCells(cells()));
      const coats = computed<Coat[]>(() => [
        ...coated().map((cell) => cell.coat),
        ...(skim() ? ['skim' as const] : []),
      ]);
      const input = computed(() => {
        const [on, way, laid] = [target(), board()?.way, shown()];
        if (!on || !way) return undefined;
        const book = view.book();
        if (on.dimple) return headInput(cells(), on.dimple, book);
        return laid && sectionInput(laid, cells(), way, book, { bead: on.row.bead, skim: skim() });
      });
      const upTo = computed(() => coats().indexOf(at()));
      return {
        shown,
        board,
        own,
        skim,
        at,
        coated,
        coats,
        input,
        upTo,
        cell: computed(() => {
          const among = at() === 'skim' ? (area()?.rows.at(-1)?.cells ?? []) : coated();
          return among.find((c) => c.coat === at());
        }),
        results: computed(() => {
          const asked = input();
          return asked && simulate(asked.bare, asked.coats);
        }),
        /** The pulls of the coat looked at, as they are laid on this joint. */
        pulls: computed(() => input()?.coats[upTo()]?.pulls ?? []),
        /** The bed the tape lies in, where one is bedded. */
        bed: computed(() => {
          const coat = input()?.coats.find((c) => c.bed);
          return coat?.bed && { ...coat.bed, dryMm: coat.bed.bedMm * (1 - coat.shrink) };
        }),
        bare: computed<Surface>(() => {
          const asked = input();
          return asked ? bareSurface(asked.bare, halfFor(asked.bare, asked.coats)) : new Float64Array(1801);
        }),
        edge: computed(() => input()?.bare.edge),
        /** The gap is packed before the tape. */
        packed: computed(() => {
          const [laid, way] = [shown(), board()?.way];
          const coat = row()?.cells.some((cell) => cell.coat === 'prefill') ?? false;
          return laid !== undefined && way !== undefined && coat && isPrefilled(laid, way);
        }),
      };
    }),
    withComputed(({ wet, dressed, sanding, results, upTo, coats, coated, bare }) => {
      const bandOf = (i: number): number => {
        const cell = coated()[i];
        return cell ? cell.bandMm * (cell.perFace ? 2 : 1) : 0;
      };
      /** The last coat scraped and sanded, where it is to be. */
      const smoothed = computed(() => {
        const last = results()?.[upTo()];
        return last && dressed() && !wet() ? sanded(scraped(last.surface), sanding()) : undefined;
      });
      /** The coats so far; the last of them wet, hardened, or scraped and sanded. */
      const layers = computed<Layer[]>(() => {
        const last = upTo();
        return (results() ?? []).slice(0, last + 1).map((result, i) => ({
          coat: coats()[i] as Coat,
          surface: i < last ? result.surface : wet() ? result.wet : (smoothed()?.surface ?? result.surface),
          bandMm: bandOf(i),
        }));
      });
      return {
        layers,
        surface: computed<Surface>(() => layers().at(-1)?.surface ?? bare()),
        /** What sanding takes off the last coat, mL a metre. */
        sandedMl: computed(() => smoothed()?.offMl ?? 0),
        /** mm each side of the joint that are drawn. */
        reach: computed(() => {
          const most = (bare().length - 1) / 2;
          const band = bandOf(upTo()) || bandOf(upTo() - 1);
          return Math.min(most, Math.max(300, Math.ceil((band / 2 + 110) / 50) * 50));
        }),
      };
    }),
  );
}
