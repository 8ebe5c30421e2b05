import type { BoardRow } from '../coat';
import { grazingOf, needsOf, toleranceOf } from '../finish';
import { skimOver, type Cut, type Hiding, type HidingInput, type SectionRead } from '../takeoff';
import type { Joint } from '../survey';
import { printBlade } from '../units';
import { cellChange, hidingEdits } from './cell-cure';
import type { Change, RoomContext } from './types';

/** One joint of a row. */
export const SINGULAR: Record<Cut, string> = {
  butts: 'butt',
  flats: 'flat',
  mixed: 'mixed joint',
  recessed: 'recessed butt',
};

export const upper = (text: string): string => text.replace(/^./, (c) => c.toUpperCase());

/** What is wrong with the boards at a joint, in a word. */
export const shapeOf = ({ humpMm }: Pick<SectionRead, 'humpMm'>): string =>
  humpMm < 0 ? 'belly' : humpMm > 0 ? 'hump' : 'step';

/** The deepest hollow a straightedge may show at a room's grade, mm; none where looks do not count. */
export function hollowLimit({ room, book }: Pick<RoomContext, 'room' | 'book'>): number | undefined {
  const key = toleranceOf(room.finish);
  return key && book[key].value;
}

/** A joint of a room as the search for what hides it takes it. */
export function hidingInput(
  context: Pick<RoomContext, 'room' | 'rows' | 'job' | 'book'>,
  row: BoardRow,
  joint: Joint,
  limit: number,
): HidingInput {
  const { room, rows, job, book } = context;
  return {
    joint,
    row,
    board: { needs: needsOf(room.finish), way: job.way, room: room.cells },
    own: room.joints?.[joint.id]?.cells ?? {},
    grazingDeg: grazingOf(room.light),
    limit,
    hollowMm: hollowLimit(context),
    way: job.way,
    skim: skimOver(rows, room, book),
  };
}

/** What is done, as a press says it. */
export function hidingWords({ fill, finish }: Hiding, units: RoomContext['job']['units']): string {
  const layers = fill?.layers ? ` in ${fill.layers} layers` : '';
  const float = fill?.float
    ? `float ${printBlade(fill.bandMm ?? 0, units)} wide with setting compound${layers}, `
    : '';
  const stiff = finish?.camberMm === undefined ? '' : ', blade held stiff';
  return `${float}finish ${printBlade(finish?.bandMm ?? 0, units)} wide${stiff}`;
}

/** Writes a finish into the cells it is decided in: of the row, or of the joints that need it. */
export function hidingChanges(
  room: RoomContext['room'],
  row: BoardRow,
  reads: readonly SectionRead[],
  alone: boolean,
  hiding: Hiding,
): Change[] {
  const only = alone ? { ...row, joints: reads.flatMap((read) => read.joints) } : row;
  return hidingEdits(hiding).flatMap(({ coat, key, value }) =>
    cellChange(room, only, coat, key, value, alone ? 'joint' : undefined),
  );
}
