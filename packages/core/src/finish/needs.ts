import type { FigureKey } from '../book';
import type { Finish } from '../job';

/** What a grade asks of each element; a coat is one separate application that hardens before the next. */
export interface Needs {
  tape: boolean;
  /** The tape is wiped with a thin cover as it is bedded. */
  cover: boolean;
  /** Separate coats over the tape. */
  flats: number;
  angles: number;
  heads: number;
  beads: number;
  surface: 'none' | 'ridge-free' | 'sanded' | 'scrape' | 'skim';
  /** Where the grade is usual, in plain words. */
  usual: string;
  /** What it does not promise. */
  notPromised: string;
}

const need = (
  [tape, cover, flats, angles, heads, beads]: [boolean, boolean, number, number, number, number],
  surface: Needs['surface'],
  usual: string,
  notPromised: string,
): Needs => ({ tape, cover, flats, angles, heads, beads, surface, usual, notPromised });

/** Levels 0 to 5, per element. */
const LEVEL_NEEDS: readonly Needs[] = [
  need(
    [false, false, 0, 0, 0, 0],
    'none',
    'temporary work, or decoration not yet decided',
    'anything; most codes refuse it in occupied space',
  ),
  need(
    [true, false, 0, 0, 0, 0],
    'none',
    'concealed space, smoke and fire taping',
    'looks: tool marks and ridges stay',
  ),
  need(
    [true, true, 0, 0, 1, 1],
    'none',
    'store rooms, garages, behind tile',
    'a paintable face: marks and tape edges may show',
  ),
  need(
    [true, false, 1, 1, 2, 2],
    'ridge-free',
    'under heavy texture or heavy wallcovering',
    'smooth joints under paint',
  ),
  need(
    [true, false, 2, 1, 3, 3],
    'sanded',
    'under flat paint, light texture, light wallcovering',
    'even sheen: gloss, deep colour or grazing light will show the joints',
  ),
  need(
    [true, false, 2, 1, 3, 3],
    'skim',
    'gloss, deep colour, grazing light',
    'flatness beyond the framing and the boards themselves',
  ),
];

/** Qualities 1 to 4, per element. */
const QUALITY_NEEDS: readonly Needs[] = [
  need(
    [true, true, 0, 0, 1, 1],
    'none',
    'under tile and where looks do not count',
    'looks: marks and ridges stay',
  ),
  need(
    [true, false, 1, 1, 2, 2],
    'ridge-free',
    'the ordinary finish: matt textured paint, medium wallcovering',
    'freedom from marks in grazing light',
  ),
  need(
    [true, false, 2, 1, 3, 3],
    'scrape',
    'fine matt paint and fine wallcovering',
    'a flawless face in grazing light',
  ),
  need(
    [true, false, 2, 1, 3, 3],
    'skim',
    'gloss, lustre finishes, grazing light',
    'flatness beyond the framing and the boards themselves',
  ),
];

export function needsOf(finish: Finish): Needs {
  const needs = finish.scale === 'level' ? LEVEL_NEEDS[finish.grade] : QUALITY_NEEDS[finish.grade - 1];
  return needs as Needs;
}

/** The figure of the book a straightedge is held against; none where looks do not count. */
export const toleranceOf = ({ scale, grade }: Finish): FigureKey | undefined =>
  (scale === 'level' ? LEVEL_TOLERANCE : QUALITY_TOLERANCE)[grade];

/** By grade, 0 to 5 and 1 to 4; the ordinary quality is taken as the paintable level. */
const LEVEL_TOLERANCE: Record<number, FigureKey> = {
  2: 'hollowRoughMm',
  3: 'hollowRoughMm',
  4: 'hollowPaintMm',
  5: 'hollowFineMm',
};
const QUALITY_TOLERANCE: Record<number, FigureKey> = {
  1: 'hollowRoughMm',
  2: 'hollowPaintMm',
  3: 'hollowFineMm',
  4: 'hollowFineMm',
};

/** `level 4`, `quality 3`. */
export const gradeName = (finish: Finish): string =>
  `${finish.scale === 'level' ? 'level' : 'quality'} ${finish.grade}`;

const count = (n: number): string => ['no', 'one', 'two', 'three'][n] ?? String(n);
const coats = (n: number): string => `${count(n)} coat${n === 1 ? '' : 's'}`;

/** The needs in one plain sentence. */
export function needsText(needs: Needs): string {
  if (!needs.tape) return 'No tape and no coats.';
  const tape = needs.cover ? 'Tape bedded and wiped with a thin cover' : 'Tape bedded';
  const over =
    needs.flats > 0
      ? `, ${coats(needs.flats)} over flats, ${count(needs.angles)} over angles`
      : ', nothing over it';
  const heads =
    needs.heads === needs.beads
      ? `${coats(needs.heads)} on heads and beads`
      : `${coats(needs.heads)} on heads`;
  const surface = {
    none: '',
    'ridge-free': ', free of ridges',
    sanded: ', sanded smooth',
    scrape: ', then the whole face closed with a scrape coat',
    skim: ', then the whole face skimmed',
  }[needs.surface];
  return `${tape}${over}, ${heads}${surface}.`;
}
