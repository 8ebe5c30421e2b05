import type { BoardRow } from '../coat';
import { grazingOf, needsOf, toleranceOf } from '../finish';
import { skimOver, type Hiding, type HidingInput, type SectionRead } from '../takeoff';
import type { Joint } from '../survey';
import { say, type Message } from '../texts';
import { cellChange, hidingEdits } from './cell-cure';
import type { Change, RoomContext } from './types';

/** What is wrong with the boards at a joint, in a word. */
export const shapeOf = ({ humpMm }: Pick<SectionRead, 'humpMm'>): Message =>
  say(humpMm < 0 ? 'shape.belly' : humpMm > 0 ? 'shape.hump' : 'shape.step');

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
export const hidingWords = ({ fill, finish }: Hiding): Message =>
  say('hide', {
    float: fill?.float ? 'yes' : 'no',
    floatWide: fill?.bandMm ?? 0,
    layers: fill?.layers ?? 0,
    wide: finish?.bandMm ?? 0,
    narrower: finish?.bladeMm === undefined ? 'no' : 'yes',
    blade: finish?.bladeMm ?? 0,
    stiff: finish?.camberMm === undefined ? 'no' : 'yes',
  });

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
