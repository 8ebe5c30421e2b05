import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { surfaceAt, type JointSection } from '@lisse/core';
import { Texts } from '../state/texts';
import { CutLines } from './cut-lines';

const WIDTH = 260;
const HEIGHT = 92;
/** mm each side of the joint that are drawn. */
const REACH = 450;
/** Heights are drawn at most this much larger than widths, and less where the crown would not fit. */
const MAGNIFY = 80;
const CROWN_PX = 56;
const STEP = 5;

/** A joint cut across, coat over coat, heights magnified. */
@Component({
  selector: 'ls-section-sketch',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <svg
      [attr.viewBox]="'0 0 ' + width + ' ' + height"
      role="img"
      [attr.aria-label]="texts.t('section.sketch', { coats: section().layers.length, times: magnify() })"
    >
      @for (layer of layers(); track layer.coat) {
        <path [attr.data-coat]="layer.coat" [attr.d]="layer.path" />
      }
      <path class="board" [attr.d]="board()" />
      <line class="gap" [attr.x1]="width / 2" [attr.x2]="width / 2" [attr.y1]="gapTop()" [attr.y2]="height" />
      <text [attr.x]="width - 6" [attr.y]="height - 6" text-anchor="end">
        {{ texts.t('section.heights', { times: magnify() }) }}
      </text>
    </svg>
  `,
  styles: `
    svg {
      width: 100%;
      background: var(--ground);
      display: block;
    }
    path {
      fill: var(--tone);
      stroke: var(--coat-edge);
      stroke-width: 0.5;
    }
    .board {
      fill: var(--board);
      stroke: none;
    }
    .gap {
      stroke: var(--ground);
      stroke-width: 1.5;
    }
    text {
      font-size: var(--fine);
      fill: var(--ink);
    }
  `,
})
export class SectionSketch {
  protected readonly texts = inject(Texts);
  readonly section = input.required<JointSection>();
  protected readonly width = WIDTH;
  protected readonly height = HEIGHT;

  private readonly scale = WIDTH / (2 * REACH);
  private readonly crown = computed(() =>
    Math.max(0.5, ...(this.section().layers.at(-1)?.surface ?? this.section().bare)),
  );
  protected readonly magnify = computed(() =>
    Math.min(MAGNIFY, Math.max(1, Math.floor(CROWN_PX / (this.crown() * this.scale)))),
  );
  private readonly lines = computed(
    () =>
      new CutLines({
        reachMm: REACH,
        widthPx: WIDTH,
        zeroPx: 10 + this.crown() * this.magnify() * this.scale,
        footPx: HEIGHT,
        magnify: this.magnify(),
        stepMm: STEP,
      }),
  );

  /** Last coat first, so that each earlier one is painted over it. */
  protected readonly layers = computed(() =>
    [...this.section().layers]
      .reverse()
      .map(({ coat, surface }) => ({ coat, path: this.lines().over(surface) })),
  );
  protected readonly board = computed(() => this.lines().over(this.section().bare));
  protected readonly gapTop = computed(() => this.lines().y(surfaceAt(this.section().bare, 0)));
}
