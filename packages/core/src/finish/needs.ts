import type { FigureKey } from '../book';
import type { Finish } from '../job';
import { say, type Message } from '../texts';

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
  usual: Message;
  /** What it does not promise. */
  notPromised: Message;
}

const need = (
  [tape, cover, flats, angles, heads, beads]: [boolean, boolean, number, number, number, number],
  surface: Needs['surface'],
  grade: `level-${0 | 1 | 2 | 3 | 4 | 5}` | `q-${1 | 2 | 3 | 4}`,
): Needs => ({
  tape,
  cover,
  flats,
  angles,
  heads,
  beads,
  surface,
  usual: say(`needs.${grade}.usual`),
  notPromised: say(`needs.${grade}.not-promised`),
});

/** Levels 0 to 5, per element. */
const LEVEL_NEEDS: readonly Needs[] = [
  need([false, false, 0, 0, 0, 0], 'none', 'level-0'),
  need([true, false, 0, 0, 0, 0], 'none', 'level-1'),
  need([true, true, 0, 0, 1, 1], 'none', 'level-2'),
  need([true, false, 1, 1, 2, 2], 'ridge-free', 'level-3'),
  need([true, false, 2, 1, 3, 3], 'sanded', 'level-4'),
  need([true, false, 2, 1, 3, 3], 'skim', 'level-5'),
];

/** Qualities 1 to 4, per element. */
const QUALITY_NEEDS: readonly Needs[] = [
  need([true, true, 0, 0, 1, 1], 'none', 'q-1'),
  need([true, false, 1, 1, 2, 2], 'ridge-free', 'q-2'),
  need([true, false, 2, 1, 3, 3], 'scrape', 'q-3'),
  need([true, false, 2, 1, 3, 3], 'skim', 'q-4'),
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
export const gradeName = ({ scale, grade }: Finish): Message => say(`grade.${scale}`, { grade });

/** The needs in one plain sentence. */
export function needsText({ tape, cover, flats, angles, heads, beads, surface }: Needs): Message {
  if (!tape) return say('needs.none');
  return say('needs.sentence', {
    cover: cover ? 'yes' : 'no',
    flats,
    angles,
    heads,
    beads: heads === beads ? 'same' : 'other',
    surface: surface === 'ridge-free' ? 'ridges' : surface,
  });
}
