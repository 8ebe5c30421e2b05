import { computed, effect, inject, untracked } from '@angular/core';
import {
  AHEAD_MS,
  alarmsOf,
  nextMs,
  potsOf,
  rowDone,
  say,
  sets,
  stageOf,
  stateOf,
  mergeLogs,
  type Alarm,
  type LogEntry,
  type Message,
  type Pot,
  type PotStage,
} from '@lisse/core';
import { patchState, signalStore, withComputed, withHooks, withMethods, withState } from '@ngrx/signals';
import { Awake } from '../devices/awake';
import { Bell } from '../devices/bell';
import { idSince } from '../storage/entry-ids';
import { JobStorage } from '../storage/job-storage';
import { Unwritten } from '../storage/unwritten';
import { WHAT_TIME } from '../what-time';
import { LogStore } from './log.store';
import { Texts } from './texts';

/** A pot of any job of this browser, and how far it has come. */
export interface RunningPot extends Pot {
  jobId: string;
  jobName: string;
  roomName: string;
  stage: PotStage;
}

interface Names {
  job: string;
  rooms: ReadonlyMap<string, string>;
}

interface PotsState {
  told: readonly { jobId: string; entry: LogEntry }[];
  names: ReadonlyMap<string, Names>;
  nowMs: number;
  /** Alarms that somebody has put off, or that ended with a press. */
  heard: readonly string[];
  /** Alarms that were rung on this page, how often, and when last. */
  rung: ReadonlyMap<string, { times: number; lastMs: number }>;
}

/** Pots older than that are no longer looked for, ms. */
const LOOK_BACK_MS = 36 * 3600000;
const BEAT_MS = 1000;
/** It rings again after so long, ms, and so often. */
const AGAIN_MS = 8000;
const RINGS = 6;
/** Alarms that are remembered as heard. */
const KEEP_HEARD = 100;

const keyOf = ({ pot, kind }: Pick<Alarm, 'pot' | 'kind'>): string => `${pot} ${kind}`;

/**
 * The clocks of every pot that was mixed. They are reckoned from the moments in the log, so that sleep, a reload and a
 * closed page cost nothing: whoever comes back sees what has passed meanwhile, and it rings.
 */
export const PotsStore = signalStore(
  { providedIn: 'root' },
  withState<PotsState>({ told: [], names: new Map(), nowMs: 0, heard: [], rung: new Map() }),
  withComputed(({ told, names, nowMs, heard }, unwritten = inject(Unwritten)) => {
    const all = computed(() => {
      const byJob = new Map<string, LogEntry[]>();
      const waiting = unwritten
        .toPots()
        .flatMap(({ job, entries }) => entries.map((entry) => ({ jobId: job, entry })));
      const written = new Set(told().map(({ entry }) => entry.id));
      const all = [...told(), ...waiting.filter(({ entry }) => !written.has(entry.id))];
      for (const { jobId, entry } of all) {
        const own = byJob.get(jobId);
        if (own) own.push(entry);
        else byJob.set(jobId, [entry]);
      }
      return [...byJob].flatMap(([jobId, log]) => potsOf(log).map((pot) => ({ ...pot, jobId })));
    });
    /** Pots that ask for something still, the one that asks soonest in front. */
    const running = computed((): RunningPot[] =>
      all()
        // Of a clock that is wrong: it is answered for with the other entries of that device.
        .filter(({ mixedMs }) => mixedMs <= nowMs() + AHEAD_MS)
        .map((pot) => ({
          ...pot,
          jobName: names().get(pot.jobId)?.job ?? '',
          roomName: names().get(pot.jobId)?.rooms.get(pot.room) ?? '',
          stage: stageOf(pot, nowMs()),
        }))
        .filter(({ stage }) => stage !== 'over')
        .sort((a, b) => nextMs(a, a.stage) - nextMs(b, b.stage)),
    );
    /** Alarms that are due and that nobody has heard. */
    const due = computed(() => {
      const known = new Set(heard());
      return alarmsOf(running(), nowMs()).filter(
        (alarm) => alarm.atMs <= nowMs() && !known.has(keyOf(alarm)),
      );
    });
    return { all, running, due };
  }),
  withMethods(
    (
      store,
      whatTime = inject(WHAT_TIME),
      logs = inject(LogStore),
      storage = inject(JobStorage),
      unwritten = inject(Unwritten),
      bell = inject(Bell),
      texts = inject(Texts),
    ) => {
      const hear = (alarms: readonly Alarm[]): void => {
        const heard = [...new Set([...store.heard(), ...alarms.map(keyOf)])].slice(-KEEP_HEARD);
        patchState(store, { heard });
        void storage.remember('heard alarms', heard).catch(() => undefined);
      };
      const words = ({ kind }: Alarm, pot: RunningPot): [Message, Message] => [
        say(`pot.rings.${kind}`),
        pot.roomName === ''
          ? say('pot.name', { compound: say(`compound.${pot.compound}`), litres: pot.litres })
          : say('pot.of', {
              compound: say(`compound.${pot.compound}`),
              litres: pot.litres,
              room: pot.roomName,
            }),
      ];
      return {
        /** Looks what time it is, and rings what is due. */
        look(): void {
          patchState(store, { nowMs: whatTime().getTime() });
          const rung = new Map(store.rung());
          let rings = false;
          for (const alarm of store.due()) {
            const key = keyOf(alarm);
            const { times = 0, lastMs = 0 } = rung.get(key) ?? {};
            if (times >= RINGS || (times > 0 && store.nowMs() - lastMs < AGAIN_MS)) continue;
            rung.set(key, { times: times + 1, lastMs: store.nowMs() });
            rings = true;
            const pot = store.running().find(({ id }) => id === alarm.pot);
            if (times === 0 && pot) {
              const [title, body] = words(alarm, pot);
              void bell.notify(texts.say(title), texts.say(body), key, `/job/${pot.jobId}/today`);
            }
          }
          if (!rings) return;
          patchState(store, { rung });
          bell.ring();
        },
        /** Puts the bell off for what is due; the clocks go on. */
        hush: () => hear(store.due()),
        /**
         * The sample chip of it is hard. Where it was the last of a coat that is done and hardens by setting alone,
         * that coat is ready.
         */
        async hard(pot: RunningPot): Promise<void> {
          const { jobId, id, room, step, mixedMs, rows = [] } = pot;
          const last = !store
            .all()
            .some(
              (one) => one.jobId === jobId && one.room === room && one.step === step && one.mixedMs > mixedMs,
            );
          const log = await storage.log(jobId).catch(() => []);
          const state = stateOf(mergeLogs(log, unwritten.entriesOf(jobId)));
          const done = rows.filter((row) => {
            const told = rowDone(state, room, step, row);
            return told.done !== undefined && told.ready === undefined;
          });
          const ready = last && sets(pot.compound) && done.length > 0;
          const told = { kind: 'ready' as const, toldBy: 'chip' as const, room, step, rows: done };
          await logs.tellOf(jobId, 'undo.log-hard', { kind: 'hard', batch: id }, ...(ready ? [told] : []));
        },
        /** Pan and tools are clean. */
        cleaned: (pot: RunningPot) =>
          logs.tellOf(pot.jobId, 'undo.log-cleaned', { kind: 'cleaned', batch: pot.id }),
        spoiled: (pot: RunningPot, litres: number) =>
          logs.tellOf(pot.jobId, 'undo.log-batch-spoiled', {
            kind: 'spoiled',
            batch: pot.id,
            amount: Math.min(pot.litres, litres),
          }),
      };
    },
  ),
  withHooks(
    (
      store,
      storage = inject(JobStorage),
      unwritten = inject(Unwritten),
      logs = inject(LogStore),
      whatTime = inject(WHAT_TIME),
      awake = inject(Awake),
    ) => {
      /** How a job and its rooms are called, once for each job that has pots. */
      const learn = async (jobId: string): Promise<void> => {
        const doc = (await storage.get(jobId).catch(() => undefined))?.doc;
        const rooms = new Map((doc?.rooms ?? []).map(({ id, name }) => [id, name]));
        patchState(store, { names: new Map([...store.names(), [jobId, { job: doc?.name ?? '', rooms }]]) });
      };
      const ended: (() => void)[] = [];
      return {
        onInit() {
          const since = idSince(whatTime().getTime() - LOOK_BACK_MS);
          const told = storage.watchTold(since).subscribe({
            next: (all) => {
              patchState(store, { told: all, nowMs: whatTime().getTime() });
              const ids = new Set(all.map(({ entry }) => entry.id));
              unwritten.inPots(({ entries }) => entries.every(({ id }) => ids.has(id)), logs.of());
            },
            // Where the database does not answer that is said elsewhere.
            error: () => undefined,
          });
          const heard = storage.watchFact('heard alarms').subscribe({
            next: (keys) => {
              if (Array.isArray(keys)) patchState(store, { heard: keys as string[] });
            },
            error: () => undefined,
          });
          // A pot's clock is right from the press on.
          effect(() => {
            unwritten.toPots();
            untracked(() => patchState(store, { nowMs: whatTime().getTime() }));
          });
          const look = () => store.look();
          document.addEventListener('visibilitychange', look);
          ended.push(
            () => told.unsubscribe(),
            () => heard.unsubscribe(),
            () => document.removeEventListener('visibilitychange', look),
          );
          effect(() => {
            for (const id of new Set(store.running().map(({ jobId }) => jobId)))
              if (!untracked(store.names).has(id)) untracked(() => void learn(id));
          });
          const runs = computed(() => store.running().length > 0);
          effect((over) => {
            awake.want(runs());
            if (!runs()) return;
            const timer = setInterval(look, BEAT_MS);
            over(() => clearInterval(timer));
          });
        },
        onDestroy() {
          for (const end of ended) end();
        },
      };
    },
  ),
);
