import { computed, effect, inject, untracked } from '@angular/core';
import {
  doubtsOf,
  lotsOf,
  pinsOf,
  standing,
  stateOf,
  twoTexts,
  undoubted,
  mergeLogs,
  type DayTask,
  type Doubt,
  type LogEntry,
  type Lot,
  type Message,
  type PlainKey,
  type Sayable,
  type ReportedBy,
  type TwoTexts,
} from '@lisse/core';
import { patchState, signalStore, withComputed, withHooks, withMethods, withState } from '@ngrx/signals';
import { firstValueFrom, from } from 'rxjs';
import { ulid } from 'ulid';
import { entryNow, laterThan, momentOf } from '../storage/entry-ids';
import { JobStorage, type Bytes, type Photos } from '../storage/job-storage';
import { Unwritten } from '../storage/unwritten';
import { whyNotKept } from '../storage/why-not';
import { Clock } from './clock';
import { Me } from './me';
import { JobStore, type Deed } from './job.store';
import { newId } from '../new-id';

interface LogState {
  /** The job whose log it is. */
  of: string | undefined;
  /** What the database holds of it. */
  written: readonly LogEntry[];
  failed: Message | undefined;
}

/** A lot that lies with another job. */
export interface LotElsewhere {
  job: string;
  name: Sayable;
  lot: Lot;
}

/** What a step that tells the log is called. */
type LogDeed = Extract<PlainKey, `undo.log-${string}`>;

/** What an entry tells, without who tells it and when. */
export type Told = Omit<LogEntry, 'id' | 'at' | 'by' | 'device'>;

/** Entries never change: once one is written nothing has to be planned again for it. */
const sameEntries = (a: readonly LogEntry[], b: readonly LogEntry[]): boolean =>
  a === b || (a.length === b.length && a.every(({ id }, i) => id === b[i]?.id));

const isDated = ({ at }: LogEntry): boolean => !Number.isNaN(Date.parse(at));

/** The log of the open job: what happened on site, from this device and every other. */
export const LogStore = signalStore(
  { providedIn: 'root' },
  withState<LogState>({ of: undefined, written: [], failed: undefined }),
  withComputed(({ of, written }, unwritten = inject(Unwritten)) => ({
    /** All that was told, whether the database holds it yet or not. */
    told: computed(
      (): readonly LogEntry[] => {
        const id = of();
        // One without a date that can be read is going to be refused; nothing can be planned with it until then.
        const waiting = id === undefined ? [] : unwritten.entriesOf(id).filter(isDated);
        return waiting.length === 0 ? written() : mergeLogs(written(), waiting);
      },
      { equal: sameEntries },
    ),
  })),
  withComputed(({ told }, jobs = inject(JobStore), clock = inject(Clock)) => ({
    /** Entries whose times cannot be right. */
    doubts: computed(
      (): readonly Doubt[] => {
        const startDate = jobs.job()?.calendar.startDate;
        return doubtsOf(told(), { nowMs: clock.nowMs(), ...(startDate === undefined ? {} : { startDate }) });
      },
      { equal: (a, b) => a.length === b.length && a.every(({ entry }, i) => entry.id === b[i]?.entry.id) },
    ),
    /** Entries that came with two texts. */
    twoTexts: computed(() => twoTexts(told())),
    /** What was found, noted, photographed and signed, at whatever time. */
    pins: computed(() => pinsOf(told())),
  })),
  withComputed(({ told, doubts }) => ({
    /** What counts: all but what is in doubt. */
    entries: computed(() => undoubted(told(), doubts()), { equal: sameEntries }),
  })),
  withComputed(({ entries }) => ({
    site: computed(() => stateOf(entries())),
  })),
  withMethods(
    (
      { told: all },
      jobs = inject(JobStore),
      storage = inject(JobStorage),
      clock = inject(Clock),
      me = inject(Me),
    ) => {
      let named: string | undefined;
      /** Names this browser among the devices that write to one log. */
      const device = async (): Promise<string> => {
        const known = named ?? (await storage.recall('device').catch(() => undefined));
        if (typeof known === 'string') return (named = known);
        named = newId();
        // Where it cannot be remembered it holds for this page.
        await storage.remember('device', named).catch(() => undefined);
        return named;
      };
      /** What corrects another entry comes after it, however wrong the clock was that made that one. */
      const idFor = ({ corrects, entry }: Told): Pick<LogEntry, 'id' | 'at'> => {
        const named = corrects ?? entry;
        return named === undefined ? entryNow(clock.whatTime()) : laterThan(named, clock.whatTime());
      };
      const entriesOf = async (what: readonly Told[], by = me.name()): Promise<LogEntry[]> => {
        const own = { by, device: await device() };
        return what.map((one) => ({ ...one, ...idFor(one), ...own }));
      };
      const tellJob = async (
        job: string | undefined,
        label: Deed,
        entries: readonly LogEntry[],
        photos?: Photos,
      ): Promise<boolean> => {
        if (job === undefined || entries.length === 0) return false;
        const kept = await jobs.record(job, label, entries, photos);
        clock.look();
        return kept;
      };
      /** Tells the log who it is told by: whoever holds the device, or an owner who signs on it; whether it is kept. */
      const tellAs = async (by: string, label: Deed, ...what: readonly Told[]): Promise<boolean> => {
        const job = jobs.id();
        return tellJob(job, label, await entriesOf(what, by));
      };
      const tell = (label: Deed, ...what: readonly Told[]): Promise<boolean> =>
        tellAs(me.name(), label, ...what);
      /** Tells the log of any job, the open one or another. */
      const tellOf = async (job: string, label: LogDeed, ...what: readonly Told[]): Promise<void> => {
        await tellJob(job, label, await entriesOf(what));
      };
      const ofTask = ({
        room,
        step,
        rows,
        spots,
      }: DayTask): Pick<LogEntry, 'room' | 'step' | 'rows' | 'spots'> => ({
        room,
        step,
        rows,
        ...(spots ? { spots } : {}),
      });
      return {
        tell,
        tellAs,
        tellOf,
        /** Puts a picture beside the log, and what it is of into it. */
        async photograph(bytes: Bytes, of: Omit<Told, 'kind' | 'photo'>): Promise<boolean> {
          const photo = ulid();
          const entries = await entriesOf([{ kind: 'photo', photo, ...of }]);
          return tellJob(jobs.id(), 'undo.log-photo', entries, new Map([[photo, bytes]]));
        },
        /** What other jobs have left of goods that came there. */
        async elsewhere(): Promise<LotElsewhere[]> {
          const here = jobs.id();
          const others = (await firstValueFrom(from(storage.list()))).filter(
            ({ id, deletedAt }) => id !== here && deletedAt === 0,
          );
          const found = await Promise.all(
            others.map(async ({ id, name }) =>
              lotsOf(await storage.log(id))
                .filter(({ left }) => left > 0)
                .map((lot): LotElsewhere => ({ job: id, name, lot })),
            ),
          );
          return found.flat();
        },
        /** Brings what is left of a lot here: it went out there, and comes in here. */
        async bring({ job, lot }: LotElsewhere, notes: { there: string; here: string }): Promise<void> {
          const { id: made } = entryNow(clock.whatTime());
          const { ware, each, left, useBy, code } = lot;
          const gone = { kind: 'spoiled' as const, lot: lot.id, amount: left, note: notes.there };
          await tellOf(job, 'undo.log-lent', gone);
          await tell('undo.log-brought', {
            kind: 'received',
            lot: made,
            ware,
            each,
            amount: left,
            note: notes.here,
            ...(useBy === undefined ? {} : { useBy }),
            ...(code === undefined ? {} : { code }),
          });
        },
        /** Takes back what an entry told. */
        takeBack: (label: Deed, id: string) => tell(label, { kind: 'withdrawn', corrects: id }),
        /** Tells again what entries told that are so, otherwise or not at all; in one step. */
        retell(label: Deed, is: (entry: LogEntry) => boolean, as: (entry: LogEntry) => Told | undefined) {
          const entries = all();
          const told = standing(entries)
            .filter(is)
            .flatMap((entry): Told[] => {
              const again = as(entry);
              if (again) return [{ ...again, corrects: entry.id }];
              // What it stands in the place of would stand again.
              const back: Told[] = [];
              for (let one: LogEntry | undefined = entry; one;) {
                const { id, corrects }: LogEntry = one;
                back.push({ kind: 'withdrawn', corrects: id });
                one = corrects === undefined ? undefined : entries.find((other) => other.id === corrects);
              }
              return back;
            });
          return tell(label, ...told);
        },
        /** Takes back what all entries told that are so; in one step. */
        takeBackAll(label: Deed, is: (entry: LogEntry) => boolean): Promise<boolean> {
          return this.retell(label, is, () => undefined);
        },
        /**
         * Answers for entries of a device whose clock was wrong: they happened so much later, ms; by 0 their times are
         * right. What its clock said is kept beside it.
         */
        async setTimes(entries: readonly LogEntry[], laterMs: number): Promise<boolean> {
          const made = await entriesOf(entries.map((entry): Told => ({ kind: 'timed', entry: entry.id })));
          const timed = made.map((one, i) => {
            const { at } = entries[i] as LogEntry;
            const right = laterMs === 0 ? at : momentOf(new Date(Date.parse(at) + laterMs));
            return { ...one, at: right, clock: at };
          });
          return tellJob(jobs.id(), 'undo.log-timed', timed);
        },
        /** Says which of two texts under one id is right: the one here, or the other in its place. */
        async choose({ here, other }: TwoTexts, take: 'here' | 'other'): Promise<boolean> {
          const label: Deed = 'undo.log-two-texts';
          if (take === 'here') return tell(label, { kind: 'withdrawn', corrects: other.id });
          const [gone] = await entriesOf([{ kind: 'withdrawn', corrects: here.id }]);
          const { beside: _, ...text } = other;
          const { id } = laterThan(other.id, clock.whatTime());
          return tellJob(jobs.id(), label, [gone as LogEntry, { ...text, id, corrects: other.id }]);
        },
        started: (task: DayTask) =>
          tell('undo.log-started', {
            kind: 'started',
            ...ofTask(task),
            crew: Math.max(1, task.people.length),
          }),
        paused: (task: DayTask) => tell('undo.log-paused', { kind: 'paused', ...ofTask(task) }),
        /** @param cured findings that it was the last of */
        done: (task: DayTask, cured: readonly string[] = []) =>
          tell(
            'undo.log-done',
            { kind: 'done', ...ofTask(task) },
            ...cured.map((finding): Told => ({ kind: 'cured', finding })),
          ),
        ready: (task: DayTask, toldBy: ReportedBy = 'chip') =>
          tell('undo.log-ready', { kind: 'ready', toldBy, ...ofTask(task) }),
        reading: (read: Omit<Told, 'kind'>, ...more: readonly Told[]) =>
          tell('undo.log-reading', { kind: 'reading', ...read }, ...more),
      };
    },
  ),
  withMethods((store, storage = inject(JobStorage), unwritten = inject(Unwritten)) => {
    let watching: { id: string; ends: () => void } | undefined;
    /** What the database shows is told there and no longer here. */
    const seen = (id: string, written: readonly LogEntry[]): void => {
      if (!unwritten.any()) return;
      const ids = new Set(written.map((entry) => entry.id));
      unwritten.inLog(({ job, entries }) => job === id && entries.every((entry) => ids.has(entry.id)));
    };
    return {
      /** Reads the log of a job from now on, and of no other; a plan waits for it as for the job. */
      follow(id: string | undefined): void {
        if (watching?.id === id) return;
        watching?.ends();
        watching = undefined;
        patchState(store, { of: undefined, written: [], failed: undefined });
        if (id === undefined) return;
        const log = storage.watchLog(id).subscribe({
          next: (written) => {
            patchState(store, { of: id, written, failed: undefined });
            seen(id, written);
          },
          error: (error: unknown) => patchState(store, { of: id, failed: whyNotKept(error) }),
        });
        watching = { id, ends: () => log.unsubscribe() };
      },
    };
  }),
  withHooks((store, jobs = inject(JobStore)) => ({
    onInit() {
      const open = computed(() => (['loading', 'ready'].includes(jobs.status()) ? jobs.id() : undefined));
      effect(() => {
        const id = open();
        untracked(() => store.follow(id));
      });
    },
    onDestroy: () => store.follow(undefined),
  })),
);
