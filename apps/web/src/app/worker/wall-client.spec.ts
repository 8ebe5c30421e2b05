import { TestBed } from '@angular/core/testing';
import type { UserError } from '../user-error';
import { sampleJob, said } from '../../testing/app';
import { WallClient } from './wall-client';
import { WallRenderer, type WallRequest } from './wall-renderer';
import { START_WORKER } from './worker-factory';

const request = (over: Partial<WallRequest> = {}): WallRequest => ({
  job: sampleJob(),
  face: 'wall-0',
  stage: 'finish',
  eyeMm: 2000,
  cellMm: 16,
  ...over,
});
const light = { u: -400, v: 1200, offMm: 300 };

describe('a wall behind its worker', () => {
  it('fails everything it was asked when it dies, and is started again by the next question', async () => {
    const started: { onerror?: (event: Partial<ErrorEvent>) => void; ended: boolean }[] = [];
    const start = () => {
      const worker = {
        ended: false,
        postMessage: () => undefined,
        addEventListener: () => undefined,
        removeEventListener: () => undefined,
        terminate: () => (worker.ended = true),
      };
      started.push(worker);
      return worker as unknown as Worker;
    };
    TestBed.configureTestingModule({ providers: [{ provide: START_WORKER, useValue: start }] });
    const client = TestBed.inject(WallClient);
    const asked = [client.draw(request()), client.light({ light, coarse: true, primed: true, flash: 0 })].map(
      (answer) => answer.then(() => 'answered').catch((error: UserError) => said(error.said)),
    );
    started[0]!.onerror!({ message: 'out of memory' });
    const told = await Promise.all(asked);
    expect(told[0]).toContain('could not be loaded');
    expect(told[1]).toBe(told[0]);
    expect(started[0]!.ended).toBe(true);
    void client.draw(request()).catch(() => undefined);
    expect(started).toHaveLength(2);
  });
});

describe('a renderer', () => {
  it('has nothing to light before a wall was drawn, and no wall where there is no such face', () => {
    const renderer = new WallRenderer();
    expect(renderer.light({ light, coarse: false, primed: true, flash: 0 })).toBeUndefined();
    expect(renderer.draw(request({ face: 'wall-9' }))).toBeUndefined();
    expect(renderer.draw(request({ job: sampleJob({ rooms: [] }) }))).toBeUndefined();
  });

  it('lights coarse and fine pictures of one wall, and tells what shows with the fine one', () => {
    const renderer = new WallRenderer();
    renderer.draw(request());
    const [coarse, fine] = [true, false].map((c) =>
      renderer.light({ light, coarse: c, primed: true, flash: 0 })!,
    );
    expect(fine!.cols).toBe(300);
    expect(coarse!.cols).toBe(75);
    expect(fine!.pixels).toHaveLength(300 * 150);
    expect(coarse!.seen).toEqual([]);
    expect(fine!.seen.length).toBeGreaterThan(3);
  });

  it('paints compound apart from paper before primer, and darker where it flashes', () => {
    const renderer = new WallRenderer();
    renderer.draw(request());
    const red = (primed: boolean, flash: number) => {
      const { pixels } = renderer.light({ light: { ...light, offMm: 1e9 }, coarse: false, primed, flash })!;
      return [...new Set([...pixels].map((word) => word & 255))].sort((a, b) => a - b);
    };
    expect(red(true, 0)).toEqual([226]);
    expect(red(true, 0.08)[0]).toBe(Math.round(226 * 0.92));
    const bare = red(false, 0);
    expect([bare[0], bare.at(-1)]).toEqual([204, 236]);
  });
});
