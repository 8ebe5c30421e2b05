import 'reflect-metadata';
import {
  checkJob,
  jobFigures,
  layoutSummary,
  plan,
  Reuse,
  TYPICAL,
  type Room,
  type RoomPlan,
} from '@lisse/core';
import { expose } from 'comlink';
import {
  asChange,
  byId,
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

const api: CoreApi = {
  plan(change: JobChange): PlanChange {
    if (change.id !== current) {
      reuse = new Reuse();
      rooms = new Map();
      sent = new Map();
      current = change.id;
    }
    const job = { ...change, rooms: withKnown(change.rooms, rooms) };
    rooms = byId(job.rooms);
    const began = performance.now();
    // A room is named once planning takes long enough for somebody to wonder.
    const made = plan(job, TYPICAL, reuse, (room) => {
      if (performance.now() - began > WONDERING_MS) postMessage({ at: room.name } satisfies Underway);
    });
    const answer = { ...made, rooms: asChange(made.rooms, sent) };
    sent = byId(made.rooms);
    return answer;
  },
  check(value) {
    const held = checkJob(value);
    return held.ok && held.job === value ? { ok: true, notes: [] } : held;
  },
  summary: (job) => layoutSummary(job),
  figures: (job) => jobFigures(job, TYPICAL, spare),
};

expose(api);
