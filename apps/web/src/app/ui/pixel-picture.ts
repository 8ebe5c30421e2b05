import { ChangeDetectionStrategy, Component, effect, input, viewChild, type ElementRef } from '@angular/core';

/** A picture made of pixels, the top row first. */
export interface PixelRows {
  cols: number;
  rows: number;
  pixels: Uint32Array<ArrayBuffer>;
}

/** A picture that was computed, drawn as wide as it has room. */
@Component({
  selector: 'ls-pixels',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<canvas #canvas role="img" [attr.aria-label]="label()"></canvas>`,
  styles: `
    :host,
    canvas {
      display: block;
      width: 100%;
    }
    canvas {
      height: auto;
    }
  `,
})
export class PixelPicture {
  readonly picture = input<PixelRows>();
  readonly label = input.required<string>();
  private readonly canvas = viewChild.required<ElementRef<HTMLCanvasElement>>('canvas');

  constructor() {
    effect(() => {
      const picture = this.picture();
      const canvas = this.canvas().nativeElement;
      if (!picture) return;
      canvas.width = picture.cols;
      canvas.height = picture.rows;
      const bytes = new Uint8ClampedArray(picture.pixels.buffer);
      canvas.getContext('2d')?.putImageData(new ImageData(bytes, picture.cols, picture.rows), 0, 0);
    });
  }
}
