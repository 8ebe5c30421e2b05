import { cellsIn, type BoardRow, type Cell } from '../coat';
import { fitFor } from '../compound';
import { isCut, type CompoundId } from '../job';
import { layersWithin, MOST_LAYERS } from '../section';
import { coatedCells, sectionInput, useOf } from '../takeoff';
import { compare, say } from '../texts';
import { cellChange } from './cell-cure';
import type { RoomContext, RoomRule } from './types';

/** Deeper classes to offer, gentlest first. */
const DEEPER: CompoundId[] = ['hybrid', 'setting-light', 'setting-hard'];

/** A-THICK: a layer thicker than its class can take cracks or never dries through. */
export const aThick: RoomRule = (context) => {
  const { job, room, area, rows, use, book } = context;
  return cellsIn(rows).flatMap(({ row, cell }) => {
    const part = useOf(use, row, cell);
    const { name, maxMm } = book.compounds[cell.compound];
    if (!part || part.wetL <= 0 || part.layerMm <= maxMm) return [];
    const layers = layersFor(context, row, cell, maxMm);
    const closed = job.way.tools === 'machine' && cell.coat !== 'prefill';
    const deeper = closed
      ? undefined
      : DEEPER.find(
          (id) => book.compounds[id].maxMm >= part.layerMm && !['no', 'poor'].includes(fitFor(id, cell.coat)),
        );
    const [lies, takes] = compare(part.layerMm, maxMm);
    return [
      {
        code: 'A-THICK',
        severity: 'warn' as const,
        place: { room: room.id, area: area.id, row: row.id, element: row.element, coat: cell.coat },
        reason: say('a-thick', { lies, compound: name, takes }),
        cures: [
          ...(deeper
            ? [
                {
                  text: say('a-thick.deeper', { compound: book.compounds[deeper].name }),
                  changes: cellChange(room, row, cell.coat, 'compound', deeper),
                },
              ]
            : []),
          layers
            ? {
                text: say('a-thick.layers', { layers }),
                changes: cellChange(room, row, cell.coat, 'layers', layers),
              }
            : { text: say('a-thick.more') },
        ],
      },
    ];
  });
};

/** Layers within what the class takes, for every joint of the row; none where no section is cut or none will do. */
function layersFor(
  { survey, use, job, book, memo }: RoomContext,
  row: BoardRow,
  cell: Cell,
  maxMm: number,
): number | undefined {
  const at = coatedCells(row.cells).indexOf(cell);
  if (!isCut(row.element) || at < 0) return undefined;
  const layers = use.sections
    .filter((read) => read.row === row.id)
    .flatMap((read) => survey.joints.find((joint) => joint.id === read.joints[0]) ?? [])
    .map((joint) => {
      const { bare, coats } = sectionInput(joint, row.cells, job.way, book);
      return layersWithin(bare, coats, at, maxMm, MOST_LAYERS + 1, (on, laid) => memo.sections(on, laid));
    });
  const most = Math.max(0, ...layers);
  return most > 1 && most <= MOST_LAYERS ? most : undefined;
}
