import { inject, Injectable, signal, type OnDestroy } from '@angular/core';
import type { Sayable } from '@lisse/core';
import { whyFailed } from '../user-error';
import { WallClient } from '../worker/wall-client';
import type { Lit, LitRequest, WallDrawn, WallRequest } from '../worker/wall-renderer';

/** The lamp rests this long before the fine picture is made, ms. */
const REST_MS = 140;
/** Cells of the first picture of a wall, mm. */
const FIRST_MM = 16;

/** Has walls drawn and lit behind the worker: coarse at once, fine when it rests, and never two at a time. */
@Injectable()
export class WallPainter implements OnDestroy {
  private readonly client = inject(WallClient);

  readonly drawn = signal<WallDrawn | undefined>(undefined);
  readonly picture = signal<Lit | undefined>(undefined);
  readonly seen = signal<Lit['seen']>([]);
  readonly failed = signal<Sayable>('');
  readonly busy = signal(true);

  private turn = 0;
  private left = false;
  private resting: ReturnType<typeof setTimeout> | undefined;
  private lighting = false;
  private wanted: 'none' | 'coarse' | 'fine' = 'none';
  private light: Omit<LitRequest, 'coarse'> | undefined;

  ngOnDestroy(): void {
    clearTimeout(this.resting);
    this.left = true;
    this.client.leave();
  }

  /** The wall in large cells first, then as fine as asked; what was asked for since then wins. */
  async draw(request: WallRequest): Promise<void> {
    if (this.left) return;
    const turn = ++this.turn;
    const gone = () => this.left || turn !== this.turn;
    this.busy.set(true);
    try {
      for (const cellMm of new Set([Math.max(FIRST_MM, request.cellMm), request.cellMm])) {
        const drawn = await this.client.draw({ ...request, cellMm });
        if (gone()) return;
        this.drawn.set(drawn);
        await this.shine(false);
        if (gone()) return;
      }
      this.failed.set('');
    } catch (error) {
      if (gone()) return;
      this.failed.set(whyFailed(error));
    }
    this.busy.set(false);
  }

  /** Lights the wall otherwise: a coarse picture at once, the fine one when the lamp rests. */
  shineFrom(light: Omit<LitRequest, 'coarse'>): void {
    this.light = light;
    if (!this.drawn()) return;
    clearTimeout(this.resting);
    this.resting = setTimeout(() => void this.relight('fine'), REST_MS);
    void this.relight('coarse');
  }

  private async relight(kind: 'coarse' | 'fine'): Promise<void> {
    if (this.lighting) {
      if (this.wanted !== 'fine') this.wanted = kind;
      return;
    }
    this.lighting = true;
    try {
      await this.shine(kind === 'coarse');
    } catch {
      // The next picture says so if it fails too.
    } finally {
      this.lighting = false;
      const next = this.wanted;
      this.wanted = 'none';
      if (next !== 'none' && !this.left) void this.relight(next);
    }
  }

  private async shine(coarse: boolean): Promise<void> {
    if (!this.light) return;
    const lit = await this.client.light({ ...this.light, coarse });
    if (!lit || this.left) return;
    this.picture.set(lit);
    if (!coarse) this.seen.set(lit.seen);
  }
}
