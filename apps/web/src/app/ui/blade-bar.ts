import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import type { Cell } from '@lisse/core';

interface Bar {
  x: number;
  y: number;
  width: number;
}

/** The blade of one coat to scale, in the coat's tone; lanes lie side by side, the centre pull on top. */
@Component({
  selector: 'ls-blade-bar',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<svg
    [attr.width]="width()"
    [attr.height]="height()"
    aria-hidden="true"
    [attr.data-coat]="cell().coat"
  >
    @if (cell().coat === 'prefill') {
      <path class="body" d="M1 1h17l-5 10h-7z" />
    } @else {
      @for (bar of bars(); track $index) {
        <rect
          class="body"
          [attr.x]="bar.x + 0.5"
          [attr.y]="bar.y + 0.5"
          [attr.width]="bar.width - 1"
          height="9"
        />
        <line
          class="edge"
          [attr.x1]="bar.x"
          [attr.x2]="bar.x + bar.width"
          [attr.y1]="bar.y + 10"
          [attr.y2]="bar.y + 10"
        />
      }
    }
  </svg>`,
  styles: `
    :host {
      display: block;
      min-height: 15px;
    }
    .body {
      fill: var(--tone);
      stroke: var(--coat-edge);
      stroke-width: 0.75;
    }
    .edge {
      stroke: var(--ink);
      stroke-width: 2;
    }
  `,
})
export class BladeBar {
  readonly cell = input.required<Cell>();
  /** Pixels a millimetre, the same in every cell, so that blades can be compared. */
  readonly scale = input.required<number>();

  protected readonly bars = computed<Bar[]>(() => {
    const scale = this.scale();
    const { pulls, bladeMm, bandMm, tape } = this.cell();
    // A bed is as wide as its band; what is pulled is as wide as the blade.
    if (pulls.length === 0 || tape) return [{ x: 0, y: 0, width: (bandMm || bladeMm) * scale }];
    const left = Math.min(...pulls.map((p) => p.offsetMm - p.widthMm / 2));
    return pulls.map((p, i) => ({
      x: (p.offsetMm - p.widthMm / 2 - left) * scale,
      y: i * 5.5,
      width: p.widthMm * scale,
    }));
  });
  protected readonly width = computed(() => Math.max(20, ...this.bars().map((bar) => bar.x + bar.width)));
  protected readonly height = computed(() => Math.max(13, ...this.bars().map((bar) => bar.y + 11)));
}
