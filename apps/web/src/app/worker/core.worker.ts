import 'reflect-metadata';
import {
  checkJob,
  jobFigures,
  layoutSummary,
  planning,
  Reuse,
  Trial,
  TYPICAL,
  type Job,
  type Plan,
  type Room,
} from '@lisse/core';
import { expose } from 'comlink';
import {
  byId,
  planChange,
  ROOMS_AT_ONCE,
  withKnown,
  type CoreApi,
  type JobChange,
  type PlanChange,
  type Underway,
} from './api';

const WONDERING_MS = 300;
/** Whoever asks for something else is let in after so long, ms. */
const LET_IN_MS = 8;

let reuse = new Reuse();
/** For what is only weighed: it must not push out what the open job is planned from. */
const spare = new Reuse();
let rooms = new Map<string, Room>();
/** The plan the page holds. */
let told: Plan | undefined;
let current = '';
let newest = 0;
/** The job planned last, and what its cures are tried by. */
let open: Job | undefined;
let trial: Trial | undefined;

const api: CoreApi = {
  async plan(change: JobChange, site, days, nth): Promise<PlanChange | undefined> {
    newest = nth;
    if (change.id !== current) startOver(change.id);
    const job = { ...change, rooms: withKnown(change.rooms, rooms) };
    rooms = byId(job.rooms);
    open = job;
    trial = undefined;
    const began = performance.now();
    // A room is named once planning takes long enough for somebody to wonder.
    const at = (room: Room) => {
      if (performance.now() - began > WONDERING_MS) postMessage({ at: room.name } satisfies Underway);
    };
    const steps = planning(job, TYPICAL, reuse, { at, site, days, last: told });
    try {
      for (let since = began; ;) {
        const next = steps.next();
        if (next.done) return tell(next.value);
        if (next.value) postMessage({ near: { nth, plan: tell(next.value) } } satisfies Underway);
        if (performance.now() - since < LET_IN_MS) continue;
        await new Promise((resolve) => setTimeout(resolve));
        if (newest !== nth) return undefined;
        since = performance.now();
      }
    } catch (error) {
      // The page forgets what it holds, too.
      startOver('');
      throw error;
    }
  },
  check(value) {
    const held = checkJob(value);
    return held.ok && held.job === value ? { ok: true, notes: [] } : held;
  },
  learnCut(toCut, found) {
    reuse.cuts.learn(toCut, found);
  },
  summary: (job) => layoutSummary(job),
  figures: (job) => jobFigures(job, TYPICAL, spare),
  tryCure(advice, changes) {
    if (open) trial ??= new Trial(open, TYPICAL, reuse);
    return trial?.try(advice, changes);
  },
};

/** Nothing is kept of another job, nor of one that could not be planned. */
function startOver(id: string): void {
  reuse = new Reuse();
  rooms = new Map();
  told = undefined;
  current = id;
}

/** What of a plan the page does not hold yet; of many rooms some travel ahead. */
function tell(made: Plan): PlanChange {
  const change = planChange(made, told);
  told = made;
  const fresh = change.rooms.filter((room) => typeof room !== 'string');
  if (fresh.length <= ROOMS_AT_ONCE) return change;
  for (let i = 0; i < fresh.length; i += ROOMS_AT_ONCE)
    postMessage({ rooms: fresh.slice(i, i + ROOMS_AT_ONCE) } satisfies Underway);
  return { ...change, rooms: made.rooms.map((room) => room.id) };
}

expose(api);
