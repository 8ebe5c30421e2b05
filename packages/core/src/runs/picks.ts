import type { Joint } from '../survey';
import type { Corner } from './corners';

/** Which face of each angle is coated first; the other is coated next. */
export interface Picks {
  /** By joint. */
  faces: Map<string, string>;
  /** Corners where a blade would cut wet mud all the same: left for the next day. The fewest there can be. */
  cannot: string[];
}

/** So many corners are tried in every way of leaving some out; a room with more that clash is left as it is found. */
const MOST_TRIES = 20000;

/**
 * A face for every inside angle so that no two that meet are coated on one face. Where two angles share a face exactly
 * one of them is coated on it, in this coat and in the next, so that each choice settles its neighbours: it can be
 * done unless a ring of them comes back to where it began with the other face. Then the fewest corners are left out.
 */
export function picksFor(angles: readonly Joint[], corners: readonly Corner[]): Picks {
  const parity = new Parity(angles);
  const clashing: number[] = [];
  corners.forEach((corner, i) => {
    if (!parity.joins(corner)) clashing.push(i);
  });
  if (clashing.length === 0) return { faces: parity.faces(), cannot: [] };
  let tries = 0;
  for (let n = 1; n <= clashing.length; n++)
    for (const left of subsets(corners.length, n)) {
      if (++tries > MOST_TRIES) break;
      const some = new Parity(angles);
      if (corners.every((corner, i) => left.includes(i) || some.joins(corner)))
        return { faces: some.faces(), cannot: left.map((i) => (corners[i] as Corner).id) };
    }
  return { faces: parity.faces(), cannot: clashing.map((i) => (corners[i] as Corner).id) };
}

/** Every way to take n of so many, in order. */
function* subsets(of: number, n: number, from = 0): Generator<number[]> {
  if (n === 0) yield [];
  else for (let i = from; i <= of - n; i++) for (const rest of subsets(of, n - 1, i + 1)) yield [i, ...rest];
}

/** Angles bound to each other: one's choice settles the other's. */
class Parity {
  private readonly index: Map<string, number>;
  private readonly parent: number[];
  /** Against its parent: 0 for the same of its two faces, 1 for the other. */
  private readonly odd: number[];

  constructor(private readonly angles: readonly Joint[]) {
    this.index = new Map(angles.map(({ id }, i) => [id, i]));
    this.parent = angles.map((_, i) => i);
    this.odd = angles.map(() => 0);
  }

  /** Binds the angles of a corner; nothing is bound where they clash with what is bound already. */
  joins({ pairs }: Corner): boolean {
    const before = [this.parent.slice(), this.odd.slice()] as const;
    const all = pairs.every(({ a, b, face }) => this.bind(a, b, face));
    if (!all) {
      this.parent.splice(0, this.parent.length, ...before[0]);
      this.odd.splice(0, this.odd.length, ...before[1]);
    }
    return all;
  }

  private bind(a: string, b: string, face: string): boolean {
    const [i, j] = [this.index.get(a), this.index.get(b)];
    if (i === undefined || j === undefined) return true;
    // 0 stands for an angle's own face, 1 for its other; exactly one of the two is on the shared face.
    const [first, second] = [this.angles[i], this.angles[j]] as [Joint, Joint];
    const differ = 1 ^ Number(first.face !== face) ^ Number(second.face !== face);
    const [rootI, oddI] = this.root(i);
    const [rootJ, oddJ] = this.root(j);
    if (rootI === rootJ) return (oddI ^ oddJ) === differ;
    this.parent[rootJ] = rootI;
    this.odd[rootJ] = oddI ^ oddJ ^ differ;
    return true;
  }

  private root(i: number): [root: number, odd: number] {
    let [at, odd] = [i, 0];
    while (this.parent[at] !== at) {
      odd ^= this.odd[at] as number;
      at = this.parent[at] as number;
    }
    return [at, odd];
  }

  /** The ceiling's side first where nothing else settles it: it is coated before the walls. */
  faces(): Map<string, string> {
    return new Map(
      this.angles.map((joint, i) => {
        const [, odd] = this.root(i);
        return [joint.id, odd === 0 || joint.other === undefined ? joint.face : joint.other];
      }),
    );
  }
}
