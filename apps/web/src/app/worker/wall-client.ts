import { Injectable } from '@angular/core';
import type { WallApi } from './api';
import { WorkerLink } from './worker-link';

/** Walls, and whatever is tried, behind a worker of their own: a lamp moves while a plan is made. */
@Injectable({ providedIn: 'root' })
export class WallClient extends WorkerLink<WallApi> {
  protected readonly kind = 'wall';
  readonly draw = this.asks('draw');
  readonly light = this.asks('light');
  readonly expect = this.asks('expect');
  readonly fault = this.asks('fault');
  readonly straight = this.asks('straight');
  readonly hide = this.asks('hide');
  readonly widths = this.asks('widths');
  readonly shorten = this.asks('shorten');
  readonly tryCures = this.asks('tryCures');

  /** Lets go of the wall and of its worker. */
  leave(): void {
    this.stop();
  }
}
