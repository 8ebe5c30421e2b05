import type { BoardRow, Cell, Scope } from '../coat';
import type { Calendar, CellEdit, Coat, Room, Way } from '../job';
import type { Hiding } from '../takeoff';
import { fieldInJob, fieldInRoom, inJob } from './change';
import type { Change } from './types';

/** Changes one value of a cell where it was last decided, or for the room where nobody has. */
export function cellChange<K extends keyof CellEdit>(
  room: Pick<Room, 'id'>,
  row: BoardRow,
  coat: Coat,
  key: K,
  value: CellEdit[K],
  scope: Scope = row.cells.find((cell) => cell.coat === coat)?.own[key] ?? (row.apart ? 'joint' : 'room'),
): Change[] {
  const cell = `${row.element}.${coat}` as const;
  switch (scope) {
    case 'job':
      return [fieldInJob(['way', 'cells', cell], key, value)];
    case 'room':
      return [fieldInRoom(room.id, ['cells', cell], key, value)];
    case 'joint':
      return row.joints.map((id) => fieldInRoom(room.id, ['joints', id, 'cells', coat], key, value));
  }
}

/** Puts one more person on the job: by name where they are named, else counted. */
export const oneMoreHand = ({ people = [], crew }: Calendar): Change =>
  people.length > 0
    ? inJob(['calendar', 'people'], [...people, { id: newId(people), name: '+1' }])
    : inJob(['calendar', 'crew'], crew + 1);

/** An id nobody has yet. */
const newId = (people: readonly { id: string }[]): string => {
  for (let n = people.length + 1; ; n++) if (!people.some(({ id }) => id === `p${n}`)) return `p${n}`;
};

/** Gives a coat another compound: for the whole job, or where one was chosen for this cell by hand. */
export const compoundChange = (
  room: Pick<Room, 'id'>,
  row: BoardRow,
  cell: Cell,
  value: CellEdit['compound'],
): Change[] =>
  cell.own.compound
    ? cellChange(room, row, cell.coat, 'compound', value)
    : [inJob(['way', 'compoundFor', cell.coat], value)];

/** Paper in place of mesh where a bed that would have held it is about to be laid of drying compound. */
export const withoutMesh = ({ tape }: Pick<Way, 'tape'>, softened: readonly Cell[]): Change[] =>
  tape === 'mesh' && softened.some((cell) => cell.tape) ? [inJob(['way', 'tape'], 'paper')] : [];

/** What hides a joint, one value at a time. */
export const hidingEdits = (
  hiding: Hiding,
): { coat: Coat; key: keyof CellEdit; value: CellEdit[keyof CellEdit] }[] =>
  (Object.entries(hiding) as [Coat, CellEdit][]).flatMap(([coat, edit]) =>
    (Object.keys(edit) as (keyof CellEdit)[]).map((key) => ({ coat, key, value: edit[key] })),
  );
