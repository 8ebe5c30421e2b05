import { ChangeDetectionStrategy, Component, effect, ElementRef, input, viewChild } from '@angular/core';
import { contrastAcross, COVERS_MM, middleOf, MUD, PAINTED, PAPER, type Surface } from '@lisse/core';

/** The picture's own width; as the template has it. It is the same all the way down: one row, drawn out. */
const WIDTH = 900;

/** The strip of wall over a joint as the light shows it: true contrasts, nothing strengthened. */
@Component({
  selector: 'ls-wall-strip',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<canvas #canvas width="900" height="1" role="img" [attr.aria-label]="label()"></canvas>`,
  styles: `
    canvas {
      display: block;
      width: 100%;
      height: 110px;
    }
  `,
})
export class WallStrip {
  readonly surface = input.required<Surface>();
  readonly bare = input.required<Surface>();
  readonly grazingDeg = input.required<number>();
  readonly primed = input.required<boolean>();
  readonly reach = input.required<number>();
  readonly label = input.required<string>();
  private readonly canvas = viewChild.required<ElementRef<HTMLCanvasElement>>('canvas');

  constructor() {
    effect(() => this.paint());
  }

  private paint(): void {
    const context = this.canvas().nativeElement.getContext('2d');
    const [surface, bare, reach, primed] = [this.surface(), this.bare(), this.reach(), this.primed()];
    const contrast = contrastAcross(surface, this.grazingDeg());
    if (!context) return;
    const row = context.createImageData(WIDTH, 1);
    for (let px = 0; px < WIDTH; px++) {
      const x = Math.round((px / WIDTH) * 2 * reach - reach) + middleOf(surface);
      const light = 1 + (contrast[x] ?? 0);
      const mud = Math.min(1, Math.max(0, (surface[x] ?? 0) - (bare[x] ?? 0)) / COVERS_MM);
      for (let c = 0; c < 3; c++) {
        const ground = primed
          ? (PAINTED[c] as number)
          : (PAPER[c] as number) * (1 - mud) + (MUD[c] as number) * mud;
        row.data[4 * px + c] = ground * light;
      }
      row.data[4 * px + 3] = 255;
    }
    context.putImageData(row, 0, 0);
  }
}
