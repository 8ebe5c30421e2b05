import { TestBed } from '@angular/core/testing';
import { plan, say, type Advice, type Cure, type Job, type Plan } from '@lisse/core';
import { expose } from 'comlink';
import { sampleJob } from '../../testing/app';
import { asChange, byId, planChange, withKnown, type CoreApi, type JobChange, type Underway } from './api';
import { CoreClient } from './core-client';
import { START_WORKER } from './worker-factory';

/** One end of a line between two endpoints in one thread; what travels is copied, as between threads. */
class End extends EventTarget {
  other!: End;
  postMessage(data: unknown): void {
    const copy = structuredClone(data);
    queueMicrotask(() => this.other.dispatchEvent(new MessageEvent('message', { data: copy })));
  }
  terminate(): void {
    this.other = this;
  }
}

type Say = (message: Underway) => void;
type Asked = Pick<CoreApi, 'plan'> & Partial<Pick<CoreApi, 'tryCure'>>;

function fakeWorker(api: (say: Say) => Asked): Worker {
  const [page, worker] = [new End(), new End()];
  page.other = worker;
  worker.other = page;
  expose(
    api((message) => worker.postMessage(message)),
    worker,
  );
  return page as unknown as Worker;
}

let seen: JobChange[];
let fail: boolean;

function setUp(): CoreClient {
  seen = [];
  fail = false;
  let rooms = byId<Job['rooms'][number]>([]);
  const api = {
    plan: (change: JobChange) => {
      seen.push(change);
      if (fail) return Promise.reject(new Error('out of memory'));
      const job = { ...change, rooms: withKnown(change.rooms, rooms) };
      rooms = byId(job.rooms);
      return Promise.resolve(plan(job));
    },
  };
  return client(() => api);
}

function client(api: (say: Say) => Asked): CoreClient {
  TestBed.configureTestingModule({ providers: [{ provide: START_WORKER, useValue: () => fakeWorker(api) }] });
  return TestBed.inject(CoreClient);
}

const twoRooms = (): Job => {
  const job = sampleJob();
  return { ...job, rooms: [job.rooms[0]!, { ...job.rooms[0]!, id: 'other' }] };
};

it('sends only rooms that changed, and gets the same plan', async () => {
  const core = setUp();
  const job = twoRooms();
  await core.plan(job);
  const edited = { ...job, rooms: [job.rooms[0]!, { ...job.rooms[1]!, decoration: 'gloss' as const }] };
  const made = await core.plan(edited);
  expect(seen.map((change) => change.rooms.map((room) => typeof room))).toEqual([
    ['object', 'object'],
    ['string', 'object'],
  ]);
  expect(JSON.stringify(made)).toBe(JSON.stringify(plan(edited)));
});

it('sends everything again after a failure, and for another job', async () => {
  const core = setUp();
  const job = twoRooms();
  await core.plan(job);
  fail = true;
  await expect(core.plan(job)).rejects.toThrow('out of memory');
  fail = false;
  await core.plan(job);
  await core.plan({ ...job, id: 'another' });
  expect(seen.map((change) => change.rooms.filter((room) => typeof room === 'string').length)).toEqual([
    0, 2, 0, 0,
  ]);
});

it('takes the rooms of a plan as they come, and says which is being planned', async () => {
  const job = twoRooms();
  const core = client((say) => ({
    plan: (change) => {
      const made = plan({ ...change, rooms: job.rooms });
      say({ at: 'Hall' });
      for (const room of made.rooms) say({ rooms: [room] });
      return Promise.resolve({ ...made, rooms: made.rooms.map(({ id }) => id) });
    },
  }));
  expect(JSON.stringify(await core.plan(job))).toBe(JSON.stringify(plan(job)));
  expect(core.room()).toBe('Hall');
});

it('tells the rooms of a plan before the rest of it, and only to whoever asked last', async () => {
  const job = twoRooms();
  let made: Plan | undefined;
  let answer: (() => void)[] = [];
  const core = client((say) => ({
    plan: (change, _, __, nth) => {
      const next = plan({ ...change, rooms: [job.rooms[0]!, { ...job.rooms[1]!, decoration: 'gloss' }] });
      const { days, ...sooner } = planChange(made ? next : plan({ ...change, rooms: job.rooms }), made);
      if (!made) {
        made = plan({ ...change, rooms: job.rooms });
        return Promise.resolve(planChange(made, undefined));
      }
      say({ near: { nth, plan: sooner } });
      return new Promise((resolve) =>
        answer.push(() => resolve({ days, rooms: next.rooms.map(({ id }) => id) })),
      );
    },
  }));
  const first = await core.plan(job);
  const told: [string, Plan][] = [];
  const older = core.plan({ ...job }, undefined, undefined, (near) => told.push(['older', near]));
  const newer = core.plan({ ...job }, undefined, undefined, (near) => told.push(['newer', near]));
  for (let turn = 0; told.length === 0 && turn < 50; turn++) await new Promise((done) => setTimeout(done));
  expect(told.map(([who]) => who)).toEqual(['newer']);
  const [, near] = told[0]!;
  expect(near.rooms[1]!.areas[0]!.decoration).toBe('gloss');
  expect(near.days).toBe(first!.days);
  for (const give of answer) give();
  answer = [];
  expect((await newer)!.days).not.toBe(near.days);
  await older;
});

it('asks for one cure after the other, so that an edit comes between them', async () => {
  const job = twoRooms();
  const asked: string[] = [];
  const core = client(() => ({
    plan: (change) => {
      asked.push('plan');
      return Promise.resolve({ ...plan({ ...change, rooms: job.rooms }), rooms: [] });
    },
    tryCure: (_, [change]) => {
      asked.push(String(change!.value));
      return undefined;
    },
  }));
  const cure = (value?: string): Cure => ({
    text: say('undo.units'),
    ...(value ? { changes: [{ path: ['way', 'tape'], value }] } : {}),
  });
  const advice = { code: 'A-MESH', cures: [cure('mat'), cure(), cure('paper')] } as Advice;
  const tried = core.tryCures(advice);
  await core.plan(job);
  expect(await tried).toEqual([undefined, undefined, undefined]);
  expect(asked).toEqual(['mat', 'plan', 'paper']);
});

it('puts known things in the place of ids, and leaves out what nobody knows', () => {
  const [a, b] = [{ id: 'a' }, { id: 'b' }];
  expect(withKnown(['a', b, 'gone'], byId([a]))).toEqual([a, b]);
  expect(asChange([a, { ...b }], byId([a, b]))).toEqual(['a', b]);
});
