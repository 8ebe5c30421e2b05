import {
  ChangeDetectionStrategy,
  Component,
  computed,
  inject,
  input,
  signal,
  viewChild,
  type ElementRef,
} from '@angular/core';
import type { CoatRun, RoomPlan } from '@lisse/core';
import { Texts } from '../state/texts';
import { drawRun } from './run-drawing';
import { watchSize } from './watch-size';

/** There are no names round it, px. */
const PAD = 12;

/** The unfolded room with a coat's joints in it: those that are run, the one that is next, and the rest. */
@Component({
  selector: 'ls-run-glyph',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div #frame>
      @let d = drawn();
      <svg
        [attr.viewBox]="'0 0 ' + size().width + ' ' + size().height"
        role="img"
        [attr.aria-label]="texts.t('run.drawing', { done: ran().size, all: run().joints.length })"
      >
        @for (face of d.faces; track $index) {
          <path class="face" [attr.d]="face" />
        }
        @for (stop of d.stops; track stop.id) {
          <path
            class="joint"
            [attr.data-coat]="run().coat"
            [class.done]="ran().has(stop.id)"
            [class.at]="stop.id === at()"
            [attr.d]="stop.path"
          />
          @if (stop.id === at() && stop.side) {
            <path class="side" [attr.d]="stop.side" />
          }
        }
        @for (refill of d.refills; track refill.key) {
          <path class="refill" [attr.d]="'M' + refill.x + ' ' + (refill.y - 5) + 'l4 7h-8z'" />
        }
        @for (stop of d.stops; track stop.id) {
          @if (stop.id === at()) {
            <circle class="dot" [attr.cx]="stop.x" [attr.cy]="stop.y" r="9" />
          }
        }
      </svg>
    </div>
  `,
  styles: `
    :host {
      display: block;
    }
    svg {
      display: block;
      width: 100%;
      max-height: 44dvh;
    }
    .face {
      fill: none;
      stroke: var(--line);
    }
    .joint {
      stroke: var(--soft);
      stroke-width: 1.5;
      stroke-dasharray: 3 3;
    }
    .joint.done {
      stroke: var(--tone);
      stroke-width: 5;
      stroke-dasharray: none;
    }
    .joint.at {
      stroke: var(--accent);
      stroke-width: 5;
      stroke-dasharray: none;
    }
    .side {
      stroke: var(--accent);
      stroke-width: 3;
    }
    .dot {
      fill: var(--accent);
    }
    .refill {
      fill: var(--caution);
    }
  `,
})
export class RunGlyph {
  protected readonly texts = inject(Texts);
  readonly plan = input.required<RoomPlan>();
  readonly run = input.required<CoatRun>();
  readonly ran = input.required<ReadonlySet<string>>();
  readonly at = input<string>();
  /** Height against its width. */
  readonly tall = input(0.66);
  private readonly frame = viewChild<ElementRef<HTMLElement>>('frame');
  private readonly width = signal(320);
  protected readonly size = computed(() => ({
    width: this.width(),
    height: Math.round(this.width() * this.tall()),
  }));
  protected readonly drawn = computed(() =>
    drawRun(this.plan(), this.run(), this.size().width, this.size().height, PAD),
  );

  constructor() {
    watchSize(this.frame, (width) => this.width.set(width));
  }
}
