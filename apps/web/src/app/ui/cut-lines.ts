import { area, range, scaleLinear, type ScaleLinear } from 'd3';
import { middleOf, type Surface } from '@lisse/core';

/** Where a cut across a joint lies on a drawing. */
export interface CutFrame {
  /** So far to each side of the joint, mm. */
  reachMm: number;
  widthPx: number;
  /** Where the true plane lies, px from the top, and the foot of the drawing. */
  zeroPx: number;
  footPx: number;
  /** Heights are drawn so many times larger than widths. */
  magnify: number;
  /** Drawn at every so many mm. */
  stepMm: number;
}

/** Places of a cut across a joint on its drawing, and the shapes of what lies there. */
export class CutLines {
  readonly x: ScaleLinear<number, number>;
  readonly y: ScaleLinear<number, number>;

  constructor(private readonly frame: CutFrame) {
    const { reachMm, widthPx, zeroPx, footPx, magnify } = frame;
    const pxPerMm = (magnify * widthPx) / (2 * reachMm);
    this.x = scaleLinear([-reachMm, reachMm], [0, widthPx]);
    // Nothing is drawn over the edges of the drawing.
    this.y = scaleLinear([zeroPx / pxPerMm, (zeroPx - footPx) / pxPerMm], [0, footPx]).clamp(true);
  }

  /** From a surface down to the foot. */
  over(surface: Surface): string {
    const { reachMm, footPx } = this.frame;
    const height = heightsOf(surface);
    return this.between(
      -reachMm,
      reachMm,
      (mm) => this.y(height(mm)),
      () => footPx,
    );
  }

  /** A strip lying over a surface, so far to each side: from some height over it to another, mm. */
  strip(surface: Surface, halfMm: number, low: number, high: number): string {
    const height = heightsOf(surface);
    return this.between(
      -halfMm,
      halfMm,
      (mm) => this.y(height(mm) + high),
      (mm) => this.y(height(mm) + low),
    );
  }

  /** What is open under a straight line from one place of a surface to another. */
  under(surface: Surface, from: number, to: number): string {
    const height = heightsOf(surface);
    const chord = scaleLinear([from, to], [this.y(height(from)), this.y(height(to))]);
    return this.between(
      from,
      to,
      (mm) => chord(mm),
      (mm) => this.y(height(mm)),
    );
  }

  private between(
    from: number,
    to: number,
    top: (mm: number) => number,
    foot: (mm: number) => number,
  ): string {
    const band = area<number>()
      .digits(1)
      .x((mm) => this.x(mm))
      .y1(top)
      .y0(foot);
    return band([...range(from, to, this.frame.stepMm), to]) ?? '';
  }
}

/** Heights of a surface by their place from its middle, mm; nothing lies beyond its ends. */
function heightsOf(surface: Surface): (mm: number) => number {
  const middle = middleOf(surface);
  return (mm) => surface[Math.round(mm) + middle] ?? 0;
}
