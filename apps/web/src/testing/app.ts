import { provideZonelessChangeDetection, signal, type Provider } from '@angular/core';
import {
  DeferBlockState,
  TestBed,
  type ComponentFixture,
  type DeferBlockFixture,
} from '@angular/core/testing';
import { provideRouter } from '@angular/router';
import {
  checkJob,
  jobFigures,
  layoutSummary,
  METRIC,
  newJob,
  newRoom,
  planning,
  PRESETS,
  packed,
  readArchive,
  rectified,
  readOutlinesDxf,
  readRoomsCsv,
  Reuse,
  Trial,
  TYPICAL,
  say,
  searchDays,
  solved,
  suppliedWith,
  EN,
  speech,
  type Job,
  type Plan,
  type Preset,
  type Message,
  type Say,
} from '@lisse/core';
import { providePrimeNG } from 'primeng/config';
import { WHAT_TIME } from '../app/what-time';
import { LisseDb } from '../app/storage/db';
import { DATABASE, JobStorage } from '../app/storage/job-storage';
import { JobStore } from '../app/state/job.store';
import { PlanStore } from '../app/state/plan.store';
import { FileReading } from '../app/worker/file-reader';
import { PaperMaker } from '../app/worker/paper-maker';
import { CoreClient } from '../app/worker/core-client';
import { CutsClient } from '../app/worker/cuts-client';
import { DaysClient } from '../app/worker/days-client';
import { PicturesClient } from '../app/worker/pictures-client';
import { WallClient } from '../app/worker/wall-client';
import { WallRenderer } from '../app/worker/wall-renderer';

let databases = 0;

/** When tests take place unless they say: the day before the sample job begins, or the one that is asked for. */
const skew = Date.parse(process.env['LISSE_NOW'] ?? '2026-11-29T12:00:00') - Date.now();
const thatDay = (): Date => new Date(Date.now() + skew);

/** The core itself in place of its worker. */
function coreHere(): Pick<
  CoreClient,
  'plan' | 'learnCut' | 'check' | 'summary' | 'figures' | 'tryCures' | 'room' | 'giveUp' | 'warm'
> {
  const reuse = new Reuse();
  let open: Job | undefined;
  let made: Plan | undefined;
  return {
    plan(job, site, days, near) {
      const last = open?.id === job.id ? made : undefined;
      open = job;
      const steps = planning(job, TYPICAL, reuse, { site, days, last });
      for (;;) {
        const next = steps.next();
        if (next.done) return Promise.resolve((made = next.value));
        if (next.value) near?.(next.value);
      }
    },
    tryCures(advice) {
      const trial = open && new Trial(open, TYPICAL, reuse);
      return Promise.resolve(advice.cures.map(({ changes }) => changes && trial?.try(advice, changes)));
    },
    learnCut: (toCut, found) => Promise.resolve(reuse.cuts.learn(toCut, found)),
    check: (value) => Promise.resolve(checkJob(value)),
    figures: (job) => Promise.resolve(jobFigures(job)),
    summary: (job) => Promise.resolve(layoutSummary(job)),
    room: signal(undefined),
    giveUp: () => undefined,
    warm: () => undefined,
  };
}

/** Files read here in place of the worker that reads them. */
function filesHere(): Pick<
  FileReading,
  'job' | 'pack' | 'rooms' | 'outlines' | 'cancel' | 'reading' | 'mostMs'
> {
  return {
    job: async (file) => readArchive(await file.arrayBuffer()),
    pack: (json, photos) => Promise.resolve(packed({ json, photos: new Map(photos) })),
    rooms: async (file, units, most) =>
      readRoomsCsv(await file.text(), units, () => crypto.randomUUID(), { most }),
    outlines: async (file, units, most) => readOutlinesDxf(await file.text(), units, most),
    cancel: () => undefined,
    reading: signal(undefined),
    mostMs: 5000,
  };
}

function wallHere(): Pick<
  WallClient,
  'draw' | 'light' | 'expect' | 'fault' | 'straight' | 'hide' | 'widths' | 'tryCures' | 'shorten' | 'leave'
> {
  const desk = new WallRenderer();
  return {
    draw: (request) => Promise.resolve(desk.draw(request)),
    light: (request) => Promise.resolve(desk.light(request)),
    expect: (request) => Promise.resolve(desk.expect(request)),
    // Nothing is drawn here, so any picture does.
    fault: () => Promise.resolve({ cols: 1, rows: 1, pixels: new Uint32Array(1) }),
    straight: ({ picture, corners, ...size }) => Promise.resolve(rectified(picture, corners, size)),
    hide: (job, light, shown, limit) => Promise.resolve(desk.hide(job, light, shown, limit)),
    widths: (request) => Promise.resolve(desk.widths(request)),
    shorten: (job, site, n) => Promise.resolve(desk.shorten(job, site, n)),
    tryCures: (job, advice) => Promise.resolve(desk.tryCures(job, advice)),
    leave: () => undefined,
  };
}

function daysHere(): Pick<DaysClient, 'search' | 'share' | 'giveUp'> {
  return {
    search(job, rooms, site, kept) {
      // On the page's own thread: as short as it can be.
      const searching = { kept, effort: 0.03 };
      const { run, proved } = solved(searchDays(job, rooms, suppliedWith(TYPICAL, job), site, searching));
      return Promise.resolve({ run, proved });
    },
    share: signal(0),
    giveUp: () => undefined,
  };
}

export function sampleJob(over: Partial<Job> = {}): Job {
  const room = newRoom('hall', 'Hall', 'metric', { lengthMm: 4800, widthMm: 3600, heightMm: 2400 });
  const job = newJob('sample', 'Sample job', 'metric', '2026-11-30', (PRESETS[0] as Preset).way);
  return { ...job, rooms: [{ ...room, finish: { scale: 'level', grade: 4 } }], ...over };
}

/** A test bed with the real stores on a real database: an empty one, or one that is named. */
export function setUp(providers: Provider[] = [], name = `lisse-test-${databases++}`): LisseDb {
  const db = new LisseDb(name);
  TestBed.configureTestingModule({
    providers: [
      provideZonelessChangeDetection(),
      provideRouter([]),
      providePrimeNG({}),
      { provide: DATABASE, useValue: db },
      { provide: WHAT_TIME, useValue: thatDay },
      { provide: CoreClient, useValue: coreHere() },
      { provide: CutsClient, useValue: { best: () => Promise.resolve(undefined) } },
      { provide: DaysClient, useValue: daysHere() },
      { provide: FileReading, useValue: filesHere() },
      { provide: WallClient, useValue: wallHere() },
      { provide: PicturesClient, useValue: { small: () => Promise.reject(new Error('not here')) } },
      {
        provide: PaperMaker,
        useValue: { pdf: () => Promise.reject(new Error('not here')), warm: () => undefined },
      },
      ...providers,
    ],
  });
  return db;
}

/** Stores a job, opens it and waits for its plan. */
export async function openJob(job: Job = sampleJob()): Promise<InstanceType<typeof JobStore>> {
  await TestBed.inject(JobStorage).add(job);
  const store = TestBed.inject(JobStore);
  const plans = TestBed.inject(PlanStore);
  await store.open(job.id);
  await until(() => plans.plan() !== undefined);
  return store;
}

/** Waits until something holds; fails where it is still not so on a machine that has much else to do. */
export async function until(holds: () => boolean): Promise<void> {
  const end = Date.now() + 10000;
  while (!holds()) {
    if (Date.now() > end) throw new Error('It never came true.');
    TestBed.tick();
    await new Promise((resolve) => setTimeout(resolve, 5));
  }
}

/** What one reads in an element: its words with single spaces between them. */
export function words(element: Node): string {
  const parts: string[] = [];
  const walker = document.createTreeWalker(element, NodeFilter.SHOW_TEXT);
  while (walker.nextNode()) parts.push(walker.currentNode.textContent ?? '');
  return parts.join(' ').replace(/\s+/g, ' ').trim();
}

/** The button of that name inside an element. */
export function button(element: HTMLElement, name: string): HTMLButtonElement {
  const found = [...element.querySelectorAll('button')].find((b) => b.textContent.trim() === name);
  if (!found) throw new Error(`There is no button “${name}”.`);
  return found;
}

/** Until all is built that waits to be looked at: below the fold, or behind a press. */
export async function built(fixture: ComponentFixture<unknown>): Promise<void> {
  const build = async (owner: { getDeferBlocks(): Promise<DeferBlockFixture[]> }): Promise<void> => {
    for (const block of await owner.getDeferBlocks()) {
      await block.render(DeferBlockState.Complete);
      await build(block);
    }
  };
  await fixture.whenStable();
  await build(fixture);
  await fixture.whenStable();
}

/** As the page says it, in metres. */
export const said: Say = speech(EN, METRIC);

/** A step by a name that only a test gives it. */
export const named = (name: string): Message => say('say', { what: name });

/** What is handed to the browser as files from here on, until mocks are restored. */
export function handed(): { name: string; blob: Blob }[] {
  const files: { name: string; blob: Blob }[] = [];
  let blob = new Blob();
  URL.createObjectURL = (made) => ((blob = made as Blob), 'blob:made');
  URL.revokeObjectURL = () => undefined;
  jest.spyOn(HTMLAnchorElement.prototype, 'click').mockImplementation(function (this: HTMLAnchorElement) {
    files.push({ name: this.download, blob });
  });
  return files;
}
