import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';

/** A name as it was drawn. */
@Component({
  selector: 'ls-name-drawn',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <svg viewBox="0 0 400 140" role="img" [attr.aria-label]="by()">
      @for (line of lines(); track $index) {
        <polyline [attr.points]="line" />
      }
    </svg>
  `,
  styles: `
    svg {
      display: block;
      width: 100%;
      max-width: 400px;
      border-bottom: 1px solid var(--soft);
    }
    polyline {
      fill: none;
      stroke: var(--ink);
      stroke-width: 2.2;
      stroke-linecap: round;
      stroke-linejoin: round;
    }
  `,
})
export class NameDrawn {
  readonly strokes = input.required<readonly (readonly number[])[]>();
  readonly by = input.required<string>();
  protected readonly lines = computed(() =>
    this.strokes().map((stroke) =>
      stroke.map((n, i) => (i % 2 === 0 ? n * 400 : n * 140).toFixed(1)).join(' '),
    ),
  );
}
