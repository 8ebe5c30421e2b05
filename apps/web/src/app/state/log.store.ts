import { computed, effect, inject, untracked } from '@angular/core';
import {
  lotsOf,
  stateOf,
  type DayTask,
  type LogEntry,
  type Lot,
  type Message,
  type Sayable,
} from '@lisse/core';
import { patchState, signalStore, withComputed, withHooks, withMethods, withState } from '@ngrx/signals';
import { firstValueFrom, from } from 'rxjs';
import { entryNow } from '../storage/entry-ids';
import { JobStorage, whyNotKept } from '../storage/job-storage';
import { Clock } from './clock';
import { JobStore, type Deed } from './job.store';

interface LogState {
  /** The job whose log it is. */
  of: string | undefined;
  entries: readonly LogEntry[];
  failed: Message | undefined;
}

/** A lot that lies with another job. */
export interface LotElsewhere {
  job: string;
  name: Sayable;
  lot: Lot;
}

/** What an entry tells, without who tells it and when. */
export type Told = Omit<LogEntry, 'id' | 'at' | 'by' | 'device'>;

/** The log of the open job: what happened on site, from this device and every other. */
export const LogStore = signalStore(
  { providedIn: 'root' },
  withState<LogState>({ of: undefined, entries: [], failed: undefined }),
  withComputed(({ entries }) => ({ site: computed(() => stateOf(entries())) })),
  withMethods((_, jobs = inject(JobStore), storage = inject(JobStorage), clock = inject(Clock)) => {
    /** Names this browser among the devices that write to one log. */
    const device = async (): Promise<string> => {
      const known = await storage.recall('device');
      if (typeof known === 'string') return known;
      const made = crypto.randomUUID();
      await storage.remember('device', made);
      return made;
    };
    const tell = async (label: Deed, ...what: readonly Told[]): Promise<void> => {
      const { calendar, agreement } = jobs.job() ?? {};
      const by = calendar?.people?.[0]?.name ?? agreement?.finisher ?? '';
      const own = { by, device: await device() };
      await jobs.record(
        label,
        what.map((one) => ({ ...one, ...entryNow(clock.whatTime()), ...own })),
      );
      clock.look();
    };
    const ofTask = ({ room, step, rows }: DayTask): Pick<LogEntry, 'room' | 'step' | 'rows'> => ({
      room,
      step,
      rows,
    });
    return {
      tell,
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
        const by = jobs.job()?.calendar.people?.[0]?.name ?? jobs.job()?.agreement?.finisher ?? '';
        const gone = { kind: 'spoiled' as const, lot: lot.id, amount: left, note: notes.there };
        await storage.record(job, { key: 'undo.log-lent' }, [
          { ...gone, ...entryNow(clock.whatTime()), by, device: await device() },
        ]);
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
      started: (task: DayTask) =>
        tell('undo.log-started', { kind: 'started', ...ofTask(task), crew: Math.max(1, task.people.length) }),
      paused: (task: DayTask) => tell('undo.log-paused', { kind: 'paused', ...ofTask(task) }),
      done: (task: DayTask) => tell('undo.log-done', { kind: 'done', ...ofTask(task) }),
      ready: (task: DayTask) => tell('undo.log-ready', { kind: 'ready', toldBy: 'chip', ...ofTask(task) }),
      reading: (read: Pick<LogEntry, 'tempC' | 'rhPct' | 'where' | 'from'>) =>
        tell('undo.log-reading', { kind: 'reading', ...read }),
    };
  }),
  withHooks((store, jobs = inject(JobStore), storage = inject(JobStorage)) => ({
    onInit() {
      effect((over) => {
        const id = jobs.status() === 'ready' ? jobs.id() : undefined;
        untracked(() => patchState(store, { of: undefined, entries: [], failed: undefined }));
        if (id === undefined) return;
        const watching = storage.watchLog(id).subscribe({
          next: (entries) => patchState(store, { of: id, entries, failed: undefined }),
          error: (error: unknown) => patchState(store, { of: id, failed: whyNotKept(error) }),
        });
        over(() => watching.unsubscribe());
      });
    },
  })),
);
