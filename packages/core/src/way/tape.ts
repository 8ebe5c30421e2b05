import type { Book, FigureKey } from '../book';
import type { Tape } from '../job';

/** What a tape measures across a joint: its own thickness and that of the wet bed it lies in. */
const TAPE: Record<Tape, { thick: FigureKey; bed: FigureKey }> = {
  paper: { thick: 'paperMm', bed: 'bedMm' },
  mat: { thick: 'matMm', bed: 'bedMatMm' },
  mesh: { thick: 'meshMm', bed: 'bedMeshMm' },
};

/** Thickness of a tape, mm. */
export const tapeMm = (tape: Tape, book: Book): number => book[TAPE[tape].thick].value;

/** The wet bed under a tape, mm. */
export const tapeBedMm = (tape: Tape, book: Book): number => book[TAPE[tape].bed].value;
