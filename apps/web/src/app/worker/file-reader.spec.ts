import { TestBed } from '@angular/core/testing';
import { said } from '../../testing/app';
import type { UserError } from '../user-error';
import { FileReading } from './file-reader';
import { START_WORKER } from './worker-factory';

interface Started {
  ended: boolean;
  say: (data: unknown) => void;
}

/** Workers that never answer, as one that is caught in a loop. */
function setUp(): { files: FileReading; started: Started[] } {
  const started: Started[] = [];
  const start = () => {
    const target = new EventTarget();
    const worker = {
      ended: false,
      say: (data: unknown) => target.dispatchEvent(new MessageEvent('message', { data })),
      postMessage: () => undefined,
      addEventListener: target.addEventListener.bind(target),
      removeEventListener: target.removeEventListener.bind(target),
      terminate: () => (worker.ended = true),
    };
    started.push(worker);
    return worker as unknown as Worker;
  };
  TestBed.configureTestingModule({ providers: [{ provide: START_WORKER, useValue: start }] });
  return { files: TestBed.inject(FileReading), started };
}

const drawing = () => new File(['0\nSECTION'], 'plan.dxf');

beforeEach(() => jest.useFakeTimers());
afterEach(() => jest.useRealTimers());

it('ends a file that takes longer than five seconds, and says so plainly', async () => {
  const { files, started } = setUp();
  const told = files.outlines(drawing(), 'metric', 10).catch((error: UserError) => said(error.said));
  expect(files.reading()).toEqual({ name: 'plan.dxf', ms: 0 });
  await jest.advanceTimersByTimeAsync(2000);
  expect(files.reading()?.ms).toBeGreaterThan(1500);
  expect(started[0]!.ended).toBe(false);
  await jest.advanceTimersByTimeAsync(3000);
  expect(await told).toContain('The drawing could not be read in 5 s');
  expect(started[0]!.ended).toBe(true);
  expect(files.reading()).toBeUndefined();
});

it('ends when somebody presses Cancel, and the next file has a worker of its own', async () => {
  const { files, started } = setUp();
  const told = files.rooms(drawing(), 'metric', 10).catch((error: UserError) => said(error.said));
  files.cancel();
  expect(await told).toBe('Reading was stopped. Nothing was changed.');
  void files.job(drawing()).catch(() => undefined);
  expect(started.map((worker) => worker.ended)).toEqual([true, false]);
});
