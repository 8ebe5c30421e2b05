import 'reflect-metadata';
import { checkJob, plan, readJob, Reuse, TYPICAL, type Job, type RoomPlan } from '@lisse/core';
import { expose } from 'comlink';
import type { CoreApi, PlanChange } from './api';

let reuse = new Reuse();
let sent = new Map<string, RoomPlan>();
let current = '';

const api: CoreApi = {
  plan(job: Job): PlanChange {
    if (job.id !== current) {
      reuse = new Reuse();
      sent = new Map();
      current = job.id;
    }
    const made = plan(job, TYPICAL, reuse);
    const rooms = made.rooms.map((room) => (sent.get(room.id) === room ? room.id : room));
    sent = new Map(made.rooms.map((room) => [room.id, room]));
    return { ...made, rooms };
  },
  read: readJob,
  check: checkJob,
};

expose(api);
