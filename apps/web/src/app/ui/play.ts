import {
  ChangeDetectionStrategy,
  Component,
  DestroyRef,
  effect,
  inject,
  input,
  output,
  signal,
  untracked,
} from '@angular/core';
import { Texts } from '../state/texts';

/**
 * Shows something step after step, from where it stands or, at its end, from the start; a second press pauses it, and so
 * does whoever goes to a step by hand.
 */
@Component({
  selector: 'ls-play',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <button type="button" class="quiet no-print" [attr.aria-pressed]="playing()" (click)="turn()">
      {{ texts.t(playing() ? 'play.pause' : 'play') }}
    </button>
  `,
})
export class Play {
  protected readonly texts = inject(Texts);
  readonly steps = input.required<number>();
  /** The step that is shown, from 0; none before the first. */
  readonly at = input.required<number | undefined>();
  /** From one step to the next, ms. */
  readonly beatMs = input(900);
  readonly moved = output<number>();
  protected readonly playing = signal(false);
  private timer: ReturnType<typeof setInterval> | undefined;
  /** Where it was last taken to by itself. */
  private shown: number | undefined;

  constructor() {
    effect(() => {
      const at = this.at();
      if (untracked(this.playing) && at !== this.shown) this.pause();
    });
    inject(DestroyRef).onDestroy(() => this.pause());
  }

  protected turn(): void {
    if (this.playing()) return this.pause();
    const at = this.at() ?? Infinity;
    this.playing.set(true);
    this.show(at >= this.steps() - 1 ? 0 : at + 1);
    this.timer = setInterval(() => this.next(), this.beatMs());
  }

  private next(): void {
    const next = (this.shown ?? -1) + 1;
    if (next < this.steps()) this.show(next);
    else this.pause();
  }

  private show(step: number): void {
    this.shown = step;
    this.moved.emit(step);
  }

  private pause(): void {
    clearInterval(this.timer);
    this.playing.set(false);
  }
}
