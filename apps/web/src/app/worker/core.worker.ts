import 'reflect-metadata';
import {
  checkJob,
  jobFigures,
  layoutSummary,
  plan,
  Reuse,
  Trial,
  TYPICAL,
  type Job,
  type Room,
  type RoomPlan,
} from '@lisse/core';
import { expose } from 'comlink';
import {
  asChange,
  byId,
  ROOMS_AT_ONCE,
  withKnown,
  type CoreApi,
  type JobChange,
  type PlanChange,
  type Underway,
} from './api';

const WONDERING_MS = 300;

let reuse = new Reuse();
/** For what is only weighed: it must not push out what the open job is planned from. */
const spare = new Reuse();
let rooms = new Map<string, Room>();
let sent = new Map<string, RoomPlan>();
let current = '';
/** The job planned last, and what its cures are tried by. */
let open: Job | undefined;
let trial: Trial | undefined;

const api: CoreApi = {
  plan(change: JobChange, site, days): PlanChange {
    if (change.id !== current) {
      reuse = new Reuse();
      rooms = new Map();
      sent = new Map();
      current = change.id;
    }
    const job = { ...change, rooms: withKnown(change.rooms, rooms) };
    rooms = byId(job.rooms);
    open = job;
    trial = undefined;
    const began = performance.now();
    // A room is named once planning takes long enough for somebody to wonder.
    const at = (room: Room) => {
      if (performance.now() - began > WONDERING_MS) postMessage({ at: room.name } satisfies Underway);
    };
    // The runs are in their rooms already.
    const { runs: _, ...made } = plan(job, TYPICAL, reuse, { at, site, days });
    const rest = asChange(made.rooms, sent);
    sent = byId(made.rooms);
    const fresh = rest.filter((room) => typeof room !== 'string');
    if (fresh.length <= ROOMS_AT_ONCE) return { ...made, rooms: rest };
    for (let i = 0; i < fresh.length; i += ROOMS_AT_ONCE)
      postMessage({ rooms: fresh.slice(i, i + ROOMS_AT_ONCE) } satisfies Underway);
    return { ...made, rooms: made.rooms.map((room) => room.id) };
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

expose(api);
