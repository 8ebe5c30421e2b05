import {
  ChangeDetectionStrategy,
  Component,
  effect,
  inject,
  input,
  untracked,
  viewChild,
  type ElementRef,
} from '@angular/core';
import type { Pixels, Sayable } from '@lisse/core';
import { Texts } from '../state/texts';

/** A photo of a face as it is seen straight on. */
@Component({
  selector: 'ls-straight-photo',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<canvas
    #canvas
    role="img"
    [attr.aria-label]="texts.t('lamp-photo.straight', { face: of() })"
  ></canvas>`,
  styles: `
    canvas {
      display: block;
      width: 100%;
      height: auto;
    }
  `,
})
export class StraightPhoto {
  protected readonly texts = inject(Texts);
  readonly pixels = input.required<Pixels>();
  readonly of = input.required<Sayable>();
  private readonly canvas = viewChild.required<ElementRef<HTMLCanvasElement>>('canvas');

  constructor() {
    effect(() => {
      const { width, height, data } = this.pixels();
      const canvas = this.canvas().nativeElement;
      untracked(() => {
        [canvas.width, canvas.height] = [width, height];
        canvas
          .getContext('2d')
          ?.putImageData(new ImageData(new Uint8ClampedArray(data), width, height), 0, 0);
      });
    });
  }
}
