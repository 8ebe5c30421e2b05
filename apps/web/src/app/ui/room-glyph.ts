import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { onDrawing, outlineOf, solidOf, unfold, type Room } from '@lisse/core';

/** A room's unfolded shape, thumbnail size. */
@Component({
  selector: 'ls-room-glyph',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<svg [attr.viewBox]="box()" width="40" height="34" aria-hidden="true">
    <path [attr.d]="path()" />
  </svg>`,
  styles: `
    :host,
    svg {
      display: block;
    }
    path {
      fill: none;
      stroke: currentColor;
      stroke-width: 1.4;
      vector-effect: non-scaling-stroke;
    }
  `,
})
export class RoomGlyph {
  readonly room = input.required<Room>();

  private readonly rings = computed(() => {
    const room = this.room();
    const own = solidOf({ ...room, openings: [], boxes: [], closets: [] }, 0);
    const { kind, placings } = unfold(own);
    if (kind === 'strip') return [outlineOf(room.plan)];
    return placings.flatMap((placing) => {
      const rings = own.find((face) => face.id === placing.face)?.rings ?? [];
      return rings.map((ring) =>
        ring.map((p) => {
          const [x, y] = onDrawing(placing, p);
          return [x, -y] as const;
        }),
      );
    });
  });

  protected readonly path = computed(() =>
    this.rings()
      .filter((ring) => ring.length > 0)
      .map((ring) => `M${ring.map((p) => p.join(' ')).join('L')}Z`)
      .join(''),
  );

  protected readonly box = computed(() => {
    const points = this.rings().flat();
    if (points.length === 0) return '0 0 1 1';
    const xs = points.map((p) => p[0]);
    const ys = points.map((p) => p[1]);
    const [x, y] = [Math.min(...xs), Math.min(...ys)];
    const [w, h] = [Math.max(...xs) - x, Math.max(...ys) - y];
    const pad = Math.max(w, h) * 0.04;
    return `${x - pad} ${y - pad} ${w + 2 * pad} ${h + 2 * pad}`;
  });
}
