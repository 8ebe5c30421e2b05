// A log as long as it may be: written, read back and folded. Fails where reading takes longer than it may.
import 'reflect-metadata';
import { building } from './building-job';
import { MOST, readJob, writeJob, type LogEntry } from '../src/job';
import { doubtsOf, pinsOf, standing, stateOf, mergeLogs } from '../src/log';

/** Reading it may take so much of a processor, and reading it with something wrong in it, which is gone through twice, ms. */
const MOST_MS = 3000;
const MOST_MENDING_MS = 5000;

const id = (i: number): string => `01K${String(i).padStart(23, '0')}`;
/** What is told most, with what goes with it. */
const TOLD: Partial<LogEntry>[] = [
  { kind: 'started', crew: 2 },
  { kind: 'mixed', compound: 'setting-light', amount: 2, setMin: 45, workMin: 30, cleanMin: 40, hardMin: 60 },
  { kind: 'ran', joints: ['wall-0|wall-1', 'wall-1|wall-2', 'ceiling|wall-0'] },
  { kind: 'reading', where: 'study-nook', tempC: 17.5, rhPct: 61, from: 'hygrometer' },
  { kind: 'finding', fault: 'dent', face: 'wall-0', place: [1200, 900], sizeMm: 40, ring: 3 },
  { kind: 'checked', check: 'rim' },
  { kind: 'note', note: 'Stud is proud behind the door, told to the framer' },
  { kind: 'done', rows: ['flats', 'butts'] },
];
const log = Array.from({ length: MOST.log }, (_, i): LogEntry => {
  const at = new Date(Date.UTC(2026, 10, 30, 7) + i * 60000).toISOString();
  const own = { id: id(i), at, by: 'Ansa', device: 'phone', room: 'study-nook', step: 'tape' as const };
  return i % 50 === 49
    ? { ...own, kind: 'withdrawn', corrects: id(i - 3) }
    : ({ ...own, ...TOLD[i % TOLD.length] } as LogEntry);
});

function took(what: string, work: () => unknown): number {
  const before = process.cpuUsage();
  work();
  const { user, system } = process.cpuUsage(before);
  const ms = (user + system) / 1000;
  console.log(`${what}: ${Math.round(ms)} ms of a processor`);
  return ms;
}

const text = writeJob({ ...building(5), log });
console.log(`${log.length} entries, ${(text.length / 1024 / 1024).toFixed(1)} MB`);
let ok = false;
const reading = took('read back', () => (ok = readJob(text).ok));
const spoiled = JSON.stringify({
  ...building(5),
  log: log.with(MOST.log / 2, { ...log[0], amount: -1, at: 'noon' } as LogEntry),
});
const mending = took('read back with an entry that cannot be read', () => {
  const read = readJob(spoiled);
  ok &&= !read.ok && read.mended?.job.log?.length === MOST.log - 1;
});
took('united with itself', () => mergeLogs(log, log.slice(0, 1000)));
took('what counts', () => standing(log));
took('state', () => stateOf(log));
took('pins', () => pinsOf(log));
took('doubts', () => doubtsOf(log, { nowMs: Date.parse('2027-03-01'), startDate: '2026-11-30' }));
if (!ok || reading > MOST_MS || mending > MOST_MENDING_MS) {
  console.error(ok ? 'Reading took too long.' : 'It could not be read back.');
  process.exitCode = 1;
}
