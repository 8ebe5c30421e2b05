import {
  ChangeDetectionStrategy,
  Component,
  DestroyRef,
  afterNextRender,
  inject,
  output,
  signal,
  viewChild,
  type ElementRef,
} from '@angular/core';
import SignaturePad from 'signature_pad';
import { MOST } from '@lisse/core';
import { Texts } from '../state/texts';

/** A name drawn with a finger; told stroke by stroke, as shares of the pad. */
@Component({
  selector: 'ls-name-pad',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <canvas #canvas role="img" [attr.aria-label]="texts.t('sign.pad')"></canvas>
    <button type="button" class="link" [disabled]="!drawn()" (click)="clear()">
      {{ texts.t('sign.clear') }}
    </button>
  `,
  styles: `
    canvas {
      display: block;
      width: 100%;
      height: 160px;
      background: #fbfaf6;
      border: 1px solid var(--line);
      border-bottom: 2px solid var(--ink);
      touch-action: none;
    }
    .link {
      min-height: 44px;
    }
  `,
})
export class NamePad {
  protected readonly texts = inject(Texts);
  private readonly canvas = viewChild.required<ElementRef<HTMLCanvasElement>>('canvas');
  readonly strokes = output<number[][]>();
  protected readonly drawn = signal(false);
  private pad: SignaturePad | undefined;

  constructor() {
    afterNextRender(() => {
      const canvas = this.canvas().nativeElement;
      const { width, height } = canvas.getBoundingClientRect();
      const sharp = Math.min(2, globalThis.devicePixelRatio || 1);
      canvas.width = width * sharp;
      canvas.height = height * sharp;
      const pen = canvas.getContext('2d');
      // The typed name signs by itself where nothing can be drawn.
      if (!pen) return;
      pen.scale(sharp, sharp);
      this.pad = new SignaturePad(canvas, { penColor: '#24262b', minDistance: 3 });
      this.pad.addEventListener('endStroke', () => this.tell(width, height));
    });
    inject(DestroyRef).onDestroy(() => this.pad?.off());
  }

  private tell(width: number, height: number): void {
    const share = (n: number, of: number): number =>
      Math.min(1, Math.max(0, Math.round((n / of) * 1e4) / 1e4));
    const strokes = (this.pad?.toData() ?? [])
      .slice(0, MOST.strokes)
      .map(({ points }) =>
        points.slice(0, MOST.strokePoints / 2).flatMap(({ x, y }) => [share(x, width), share(y, height)]),
      );
    this.drawn.set(strokes.length > 0);
    this.strokes.emit(strokes);
  }

  protected clear(): void {
    this.pad?.clear();
    this.drawn.set(false);
    this.strokes.emit([]);
  }
}
