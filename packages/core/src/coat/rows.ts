import type { Book } from '../book';
import { needsOf, type Area } from '../finish';
import { ELEMENTS, JOINT, type BeadKind, type Element, type ToolId, type Way } from '../job';
import { withCoats } from '../repair';
import type { Joint } from '../survey';
import { beadOf } from '../way';
import { leftOut, rowCells, type BoardInput, type Cell } from './cells';

/** What is coated alike: one element, one bead, one set of changes. */
export interface BoardRow {
  id: string;
  element: Element;
  bead?: BeadKind;
  /** The joints in it; none for heads, repairs and the face. */
  joints: string[];
  /** Its joints were changed by hand, apart from the others of their kind. */
  apart: boolean;
  cells: Cell[];
  /** Coats the grade asks for that were left out. */
  left: ReturnType<typeof leftOut>;
}

/** The coat board of an area: a row for all that is coated alike. */
export function rowsFor(area: Area, way: Way, kit: readonly ToolId[], book: Book): BoardRow[] {
  const { room, survey } = area;
  const needs = needsOf(room.finish);
  const groups = new Map<string, { element: Element; bead?: BeadKind; joints: Joint[] }>();
  for (const joint of survey.joints) {
    const element = JOINT[joint.kind].element;
    const bead = element === 'corners' ? beadOf(joint, way) : undefined;
    const own = room.joints?.[joint.id]?.cells;
    const key = `${element}|${bead ?? ''}|${own ? JSON.stringify(own) : ''}`;
    const known = groups.get(key);
    if (known) known.joints.push(joint);
    else groups.set(key, { element, joints: [joint], ...(bead ? { bead } : {}) });
  }
  const rows = [...groups.entries()].map(([key, { element, bead, joints }]): BoardRow => {
    const first = joints[0] as Joint;
    const apart = !key.endsWith('|');
    const input: BoardInput = {
      needs,
      way,
      book,
      kit,
      room: room.cells,
      joint: room.joints?.[first.id]?.cells,
      bead,
    };
    const id = `${element}${bead ? `.${bead}` : ''}${apart ? `@${first.id}` : ''}`;
    return {
      id,
      element,
      ...(bead ? { bead } : {}),
      joints: joints.map((j) => j.id),
      apart,
      cells: rowCells(element, input),
      left: leftOut(element, input),
    };
  });
  const plain = (element: Element): BoardRow => {
    const input: BoardInput = { needs, way, book, kit, room: room.cells };
    return {
      id: element,
      element,
      joints: [],
      apart: false,
      cells: rowCells(element, input),
      left: leftOut(element, input),
    };
  };
  if (survey.fasteners > 0) rows.push(plain('heads'));
  if (withCoats(room).length > 0) rows.push(plain('repairs'));
  if (survey.boardAreaM2 > 0) rows.push(plain('face'));
  const rank = (row: BoardRow): number => ELEMENTS.indexOf(row.element) + (row.apart ? 0.5 : 0);
  return rows.sort((a, b) => rank(a) - rank(b));
}

/** The cells of a room's board with the row each stands in. */
export const cellsIn = (rows: readonly BoardRow[]): { row: BoardRow; cell: Cell }[] =>
  rows.flatMap((row) => row.cells.map((cell) => ({ row, cell })));
