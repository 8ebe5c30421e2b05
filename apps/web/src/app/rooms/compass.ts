import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { wallId, type Face } from '@lisse/core';

/** Says which wall is which, however far the drawing is zoomed. */
@Component({
  selector: 'ls-compass',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (map(); as map) {
      <svg width="64" height="64" aria-hidden="true">
        <path class="plan" [attr.d]="map.path" />
        @for (wall of map.walls; track wall.n) {
          @if (wall.on) {
            <path class="on" [attr.d]="wall.line" />
          }
          @if (map.walls.length < 9) {
            <text
              [class.on]="wall.on"
              text-anchor="middle"
              dominant-baseline="middle"
              [attr.x]="wall.x"
              [attr.y]="wall.y"
            >
              {{ wall.n }}
            </text>
          }
        }
      </svg>
    }
  `,
  styles: `
    :host {
      position: absolute;
      left: 8px;
      bottom: 8px;
      pointer-events: none;
    }

    .plan {
      fill: var(--paper);
      stroke: var(--soft);
    }

    .on {
      stroke: var(--accent);
      stroke-width: 3;
    }

    text {
      fill: var(--soft);
      font-size: var(--fine);
      font-weight: 600;
    }

    text.on {
      fill: var(--accent);
      stroke: none;
    }
    @media print {
      :host {
        display: none;
      }
    }
  `,
})
export class Compass {
  readonly faces = input.required<readonly Face[]>();
  /** The face of the joint that is read. */
  readonly face = input<string>();

  /** A small plan with its walls numbered as they lie on the drawing, and the one that is read. */
  protected readonly map = computed(() => {
    const walls = this.faces().filter((face) => /^wall-\d+$/.test(face.id));
    if (walls.length < 3) return undefined;
    const ends = walls.map(({ frame, box }) => {
      const [x, y] = [frame.origin[0], frame.origin[1]];
      return { x, y: -y, u: frame.right[0] * (box[2] - box[0]), v: -frame.right[1] * (box[2] - box[0]) };
    });
    const [xs, ys] = [ends.map((p) => p.x), ends.map((p) => p.y)];
    const [left, top] = [Math.min(...xs), Math.min(...ys)];
    const scale = 34 / Math.max(Math.max(...xs) - left, Math.max(...ys) - top, 1);
    const at = (x: number, y: number) => ({ x: 15 + (x - left) * scale, y: 15 + (y - top) * scale });
    const face = this.face();
    return {
      path: `M${ends.map((p) => Object.values(at(p.x, p.y)).join(' ')).join('L')}Z`,
      walls: ends.map((p, i) => {
        const length = Math.hypot(p.u, p.v) || 1;
        // Outside of the wall, which runs with the room on its left on the page.
        const out = 7;
        const [mx, my] = [p.x + p.u / 2, p.y + p.v / 2];
        const { x, y } = at(mx, my);
        const to = at(p.x + p.u, p.y + p.v);
        const from = at(p.x, p.y);
        return {
          n: i + 1,
          x: x - (p.v / length) * out,
          y: y + (p.u / length) * out,
          on: face === wallId(i),
          line: `M${from.x} ${from.y}L${to.x} ${to.y}`,
        };
      }),
    };
  });
}
