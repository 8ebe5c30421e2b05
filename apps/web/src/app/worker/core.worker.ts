import 'reflect-metadata';
import {
  checkJob,
  jobFigures,
  layoutSummary,
  plan,
  readJob,
  readOutlinesDxf,
  readRoomsCsv,
  Reuse,
  TYPICAL,
  type Room,
  type RoomPlan,
} from '@lisse/core';
import { expose, transfer } from 'comlink';
import { asChange, byId, withKnown, type CoreApi, type JobChange, type PlanChange } from './api';
import { WallDesk } from './wall-desk';

let reuse = new Reuse();
/** For what is only weighed: it must not push out what the open job is planned from. */
const spare = new Reuse();
let rooms = new Map<string, Room>();
let sent = new Map<string, RoomPlan>();
let current = '';
const walls = new WallDesk();

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
    const made = plan(job, TYPICAL, reuse);
    const answer = { ...made, rooms: asChange(made.rooms, sent) };
    sent = byId(made.rooms);
    return answer;
  },
  read: readJob,
  check: checkJob,
  summary: (job) => layoutSummary(job),
  figures: (job) => jobFigures(job, TYPICAL, spare),
  readRooms: (text, units) => readRoomsCsv(text, units, () => crypto.randomUUID()),
  readOutlines: readOutlinesDxf,
  drawWall: (request) => walls.draw(request),
  lightWall(request) {
    const lit = walls.light(request);
    return lit && transfer(lit, [lit.pixels.buffer]);
  },
  hide: (job, light, shown, limit) => walls.hide(job, light, shown, limit),
};

expose(api);
