import { bounds, onDrawing, unfold, type Face, type Placing, type Point } from '@lisse/core';

/** Size of the frame the drawing is in, px. */
export interface PaperFrame {
  width: number;
  height: number;
}

/** How far the drawing is zoomed and moved: x' = k·x + its shift, px. */
export interface View {
  k: number;
  x: number;
  y: number;
}

export const FITTED: View = { k: 1, x: 0, y: 0 };

/** Space round the fitted drawing, for the names of the walls, px. */
const PAD = 34;

/** The unfolded room laid on the frame: from a face to the screen and back. */
export class Paper {
  private readonly placings: ReadonlyMap<string, Placing>;
  private readonly left: number = 0;
  private readonly low: number = 0;
  private readonly dx: number = 0;
  private readonly dy: number = 0;
  /** Screen px to a mm. */
  readonly scale: number = 1;

  constructor(
    faces: readonly Face[],
    readonly frame: PaperFrame,
    private readonly view: View,
    pad = PAD,
  ) {
    const { placings } = unfold(faces);
    this.placings = new Map(placings.map((p) => [p.face, p]));
    const corners = faces.flatMap((face) => {
      const placing = this.placings.get(face.id);
      return placing && face.kind !== 'reveal' ? face.rings.flat().map((p) => onDrawing(placing, p)) : [];
    });
    if (corners.length === 0) return;
    const [left, low, right, high] = bounds(corners);
    this.left = left;
    this.low = low;
    this.scale = Math.max(
      0.001,
      Math.min((frame.width - 2 * pad) / (right - left), (frame.height - 2 * pad) / (high - low)),
    );
    this.dx = (frame.width - (right - left) * this.scale) / 2;
    this.dy = (frame.height - (high - low) * this.scale) / 2;
  }

  has(face: string): boolean {
    return this.placings.has(face);
  }

  /** A place of a face on the screen, px. */
  at(face: string, p: Point): Point {
    const placing = this.placings.get(face);
    if (!placing) return [0, 0];
    const [x, y] = onDrawing(placing, p);
    const { k, x: sx, y: sy } = this.view;
    return [
      k * (this.dx + (x - this.left) * this.scale) + sx,
      k * (this.frame.height - this.dy - (y - this.low) * this.scale) + sy,
    ];
  }

  /** The outline of a face on the screen, as a path. */
  outline({ id, rings }: Pick<Face, 'id' | 'rings'>): string {
    const spell = (p: Point): string =>
      this.at(id, p)
        .map((n) => n.toFixed(1))
        .join(' ');
    return rings.map((ring) => `M${ring.map(spell).join('L')}Z`).join('');
  }

  /** The place of a face under a place of the screen, mm. */
  under(face: string, [px, py]: Point): Point {
    const placing = this.placings.get(face);
    if (!placing) return [0, 0];
    const { k, x: sx, y: sy } = this.view;
    const x = ((px - sx) / k - this.dx) / this.scale + this.left - placing.origin[0];
    const y = (this.frame.height - this.dy - (py - sy) / k) / this.scale + this.low - placing.origin[1];
    // Right and up are unit vectors square to each other.
    return [x * placing.right[0] + y * placing.right[1], x * placing.up[0] + y * placing.up[1]];
  }
}
