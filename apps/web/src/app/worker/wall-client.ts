import { Injectable } from '@angular/core';
import type {
  Advice,
  FaceLight,
  Fault,
  FaultPicture,
  Hidden,
  Job,
  OnSite,
  Pixels,
  ToHide,
  Tried,
  WidthAdvice,
} from '@lisse/core';
import type {
  Expected,
  ExpectRequest,
  Lit,
  LitRequest,
  StraightRequest,
  WallDrawn,
  WallRequest,
  WidthsRequest,
} from './wall-desk';
import type { ShortenedOne, WallApi } from './api';
import { WorkerLink } from './worker-link';

/** Walls, and whatever is tried, behind a worker of their own: a lamp moves while a plan is made. */
@Injectable({ providedIn: 'root' })
export class WallClient extends WorkerLink<WallApi> {
  protected readonly kind = 'wall';

  draw(request: WallRequest): Promise<WallDrawn | undefined> {
    return this.ask((api) => api.drawWall(request));
  }

  light(request: LitRequest): Promise<Lit | undefined> {
    return this.ask((api) => api.lightWall(request));
  }

  expect(request: ExpectRequest): Promise<Expected | undefined> {
    return this.ask((api) => api.expect(request));
  }

  fault(fault: Fault): Promise<FaultPicture> {
    return this.ask((api) => api.fault(fault));
  }

  straight(request: StraightRequest): Promise<Pixels | undefined> {
    return this.ask((api) => api.straight(request));
  }

  hide(job: Job, light: FaceLight, shown: readonly ToHide[], limit?: number): Promise<Hidden[]> {
    return this.ask((api) => api.hide(job, light, shown, limit));
  }

  widths(request: WidthsRequest): Promise<WidthAdvice> {
    return this.ask((api) => api.widths(request));
  }

  /** What one of the ways to be ready sooner would come to. */
  shorten(job: Job, site: OnSite, n: number): Promise<ShortenedOne> {
    return this.ask((api) => api.shorten(job, site, n));
  }

  /** What the cures of an advice would do. */
  tryCures(job: Job, advice: Advice): Promise<(Tried | undefined)[]> {
    return this.ask((api) => api.tryCures(job, advice));
  }

  /** Lets go of the wall and of its worker. */
  leave(): void {
    this.stop();
  }
}
