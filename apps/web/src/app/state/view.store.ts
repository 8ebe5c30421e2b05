import { computed, effect, inject } from '@angular/core';
import {
  suppliedWith,
  TYPICAL,
  type Coat,
  type Joint,
  type Room,
  type RoomPlan,
  type Supplied,
} from '@lisse/core';
import { patchState, signalStore, withComputed, withHooks, withMethods, withState } from '@ngrx/signals';
import { PAPERS, type PaperSize } from '../worker/api';
import { JobStore } from './job.store';
import { PlanStore } from './plan.store';
import { keepSetting, settingOf } from './settings';

export type Theme = 'light' | 'site';

interface ViewState {
  roomId: string | undefined;
  jointId: string | undefined;
  /** Joints selected together with it. */
  others: readonly string[];
  openingId: string | undefined;
  /** The coat a joint is looked at after; the last where none was picked. */
  coat: Coat | undefined;
  theme: Theme;
  /** Paper that was chosen; where none was, what goes with the units of the job. */
  ownPaper: PaperSize | undefined;
}

const THEME_KEY = 'lisse theme';
const PAPER_KEY = 'lisse paper';

/** What is being looked at: the room, the joint, the theme. Never part of the job. */
export const ViewStore = signalStore(
  { providedIn: 'root' },
  withState<ViewState>({
    roomId: undefined,
    jointId: undefined,
    others: [],
    openingId: undefined,
    coat: undefined,
    theme: 'light',
    ownPaper: undefined,
  }),
  withComputed(
    ({ roomId, jointId, others, ownPaper }, jobs = inject(JobStore), plans = inject(PlanStore)) => {
      const room = computed<Room | undefined>(() => {
        const rooms = jobs.job()?.rooms ?? [];
        return rooms.find((r) => r.id === roomId()) ?? rooms[0];
      });
      const roomPlan = computed<RoomPlan | undefined>(() =>
        plans.plan()?.rooms.find((r) => r.id === room()?.id),
      );
      const joint = computed<Joint | undefined>(() => roomPlan()?.joints.find((j) => j.id === jointId()));
      /** Every selected joint, the one that is read first. */
      const selection = computed<readonly Joint[]>(() => {
        const ids = [jointId(), ...others()];
        const all = roomPlan()?.joints ?? [];
        return ids.flatMap((id) => all.find((j) => j.id === id) ?? []);
      });
      /** The figures this job is planned with: typical ones under the user's own. */
      const shop = computed(() => jobs.job()?.shop);
      const hand = computed(() => jobs.job()?.calendar.hand);
      // What is reckoned from it on the page is not reckoned anew for an edit of a room.
      const book = computed<Supplied>(() =>
        suppliedWith(TYPICAL, { shop: shop(), calendar: { hand: hand() } }),
      );
      const paper = computed<PaperSize>(
        () => ownPaper() ?? (jobs.job()?.units === 'metric' ? 'a4' : 'letter'),
      );
      return { room, roomPlan, joint, selection, book, paper };
    },
  ),
  withMethods((store) => ({
    showRoom(id: string): void {
      patchState(store, { roomId: id, jointId: undefined, others: [], openingId: undefined });
    },
    showJoint(id: string | undefined): void {
      patchState(store, { jointId: id, others: [], openingId: undefined });
    },
    /** Takes a joint into the selection, or out of it. */
    toggleJoint(id: string): void {
      const held = [store.jointId(), ...store.others()].filter((one) => one !== undefined);
      const [first, ...rest] = held.includes(id) ? held.filter((one) => one !== id) : [...held, id];
      patchState(store, { jointId: first, others: rest, openingId: undefined });
    },
    showJoints(ids: readonly string[]): void {
      patchState(store, { jointId: ids[0], others: ids.slice(1), openingId: undefined });
    },
    showOpening(id: string | undefined): void {
      patchState(store, { jointId: undefined, others: [], openingId: id });
    },
    showCoat(coat: Coat | undefined): void {
      patchState(store, { coat });
    },
    setTheme(theme: Theme): void {
      patchState(store, { theme });
      keepSetting(THEME_KEY, theme);
    },
    setPaper(ownPaper: PaperSize): void {
      patchState(store, { ownPaper });
      keepSetting(PAPER_KEY, ownPaper);
    },
  })),
  withHooks((store) => ({
    onInit() {
      if (settingOf(THEME_KEY) === 'site') patchState(store, { theme: 'site' });
      const paper = settingOf(PAPER_KEY);
      patchState(store, { ownPaper: PAPERS.find((size) => size === paper) });
      effect(() => document.documentElement.setAttribute('data-theme', store.theme()));
      effect(() => document.documentElement.setAttribute('data-paper', store.paper()));
    },
  })),
);
