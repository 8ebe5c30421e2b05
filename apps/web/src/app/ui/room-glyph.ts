import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { outlineOf, unfold, wallLengths, type Room } from '@lisse/core';

/** A room's unfolded shape, thumbnail size. */
@Component({
  selector: 'ls-room-glyph',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<svg [attr.viewBox]="box()" width="40" height="34" aria-hidden="true">
    <path [attr.d]="path()" />
  </svg>`,
  styles: `
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
    const { kind, placings } = unfold(room);
    if (kind === 'strip') return [outlineOf(room.plan)];
    const lengths = wallLengths(room);
    return placings.map(({ face, origin, right, up }) => {
      const ring: (readonly [number, number])[] =
        face === 'ceiling'
          ? outlineOf(room.plan)
          : [0, 1, 2, 3].map(
              (k) =>
                [
                  k === 1 || k === 2 ? (lengths[Number(face.slice(5))] ?? 0) : 0,
                  k > 1 ? room.plan.heightMm : 0,
                ] as const,
            );
      return ring.map(
        ([u, v]) => [origin[0] + u * right[0] + v * up[0], -(origin[1] + u * right[1] + v * up[1])] as const,
      );
    });
  });

  protected readonly path = computed(() =>
    this.rings()
      .map((ring) => `M${ring.map((p) => p.join(' ')).join('L')}Z`)
      .join(''),
  );

  protected readonly box = computed(() => {
    const points = this.rings().flat();
    const xs = points.map((p) => p[0]);
    const ys = points.map((p) => p[1]);
    const [x, y] = [Math.min(...xs), Math.min(...ys)];
    const [w, h] = [Math.max(...xs) - x, Math.max(...ys) - y];
    const pad = Math.max(w, h) * 0.04;
    return `${x - pad} ${y - pad} ${w + 2 * pad} ${h + 2 * pad}`;
  });
}
