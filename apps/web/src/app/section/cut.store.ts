import { computed, effect, inject, untracked } from '@angular/core';
import {
  applyChanges,
  cellChange,
  DECORATION_FACTS,
  fieldInRoom,
  grazingOf,
  showsAbove,
  USUAL_SANDING,
  type CellEdit,
  type Coat,
  type Sanding,
  type Scope,
} from '@lisse/core';
import { patchState, signalStore, withComputed, withHooks, withMethods, withState } from '@ngrx/signals';
import { JobStore, type Deed } from '../state/job.store';
import { ViewStore } from '../state/view.store';
import type { JointMeasures } from '../ui/joint-measures';
import { withCoatsLaid, type JointInHand, type Looked } from './cut-coats';
import { withTarget } from './cut-target';

interface CutState extends Looked {
  /** What is changed holds for the joint alone, or for its row of the coat board. */
  scope: 'joint' | 'row';
  /** Light tried here, °; none is the room's. */
  tried: number | undefined;
}

const NOTHING: JointInHand = { id: '' };

/** What is cut across, with what is being dragged laid over it: its coats, its surfaces, the light they are seen in. */
export const CutStore = signalStore(
  withState<CutState>({
    wet: false,
    dressed: false,
    sanding: USUAL_SANDING,
    draft: NOTHING,
    scope: 'joint',
    tried: undefined,
  }),
  withTarget(),
  withCoatsLaid(),
  withComputed(({ area, tried }, view = inject(ViewStore)) => {
    const sheen = computed(() => DECORATION_FACTS[area()?.decoration ?? 'none'].sheen);
    return {
      sheen,
      angle: computed(() => tried() ?? grazingOf(area()?.light ?? { kind: 'ordinary' })),
      /** What shows from here on, under this paint. */
      limit: computed(() => {
        const seen = sheen();
        return seen && showsAbove(seen, view.book());
      }),
    };
  }),
  withMethods((store, view = inject(ViewStore)) => ({
    turnWet: () => patchState(store, ({ wet }) => ({ wet: !wet })),
    turnDressed: () => patchState(store, ({ dressed }) => ({ dressed: !dressed })),
    sand: (change: Partial<Sanding>) =>
      patchState(store, ({ sanding }) => ({ sanding: { ...sanding, ...change } })),
    /** Has what is dragged drawn, before it is written; nothing once it is let go. */
    drag: (draft: JointInHand = NOTHING) => patchState(store, { draft }),
    changeFor: (scope: CutState['scope']) => patchState(store, { scope }),
    tryLight: (tried?: number) => patchState(store, { tried }),
    /** What is changed stays the one looked at, though another may now show more. */
    hold(): void {
      const target = store.target();
      if (target && view.jointId() !== target.id) view.showJoint(target.id);
    },
  })),
  withMethods((store, jobs = inject(JobStore), view = inject(ViewStore)) => {
    /** Several values of several coats at once, undone at once. */
    const changeAll = (edits: Partial<Record<Coat, CellEdit>>, label: Deed): void => {
      const [room, row, target] = [view.room(), store.row(), store.target()];
      if (!room || !row || !target) return;
      store.hold();
      const alone = store.scope() === 'joint' && target.joint !== undefined;
      const only = alone ? { ...row, joints: [target.id] } : row;
      const scope: Scope = alone || row.apart ? 'joint' : 'room';
      const changes = (Object.entries(edits) as [Coat, CellEdit][]).flatMap(([coat, edit]) =>
        (Object.keys(edit) as (keyof CellEdit)[]).flatMap((key) =>
          cellChange(room, only, coat, key, edit[key], scope),
        ),
      );
      const what = changes.map((c) => c.path.join('.')).join();
      jobs.edit(label, (job) => applyChanges(job, changes), `section.${room.id}.${what}`);
    };
    return {
      changeAll,
      change: <K extends keyof CellEdit>(key: K, value: CellEdit[K], label: Deed, coat = store.at()): void =>
        changeAll({ [coat]: { [key]: value } }, label),
      /** Measures of this joint, one edit while one of them is dragged. */
      note(change: JointMeasures, label: Deed): void {
        const [room, joint] = [view.room(), store.joint()];
        if (!room || !joint) return;
        store.hold();
        const keys = Object.keys(change) as (keyof JointMeasures)[];
        jobs.edit(
          label,
          (job) =>
            applyChanges(
              job,
              keys.map((key) => fieldInRoom(room.id, ['joints', joint.id], key, change[key])),
            ),
          `section.${joint.id}.${keys.join('.')}`,
        );
      },
    };
  }),
  withHooks((store) => ({
    onInit() {
      // What was dragged on one joint is nothing to the next.
      effect(() => {
        store.target();
        untracked(() => store.drag());
      });
    },
  })),
);

export type Cut = InstanceType<typeof CutStore>;
