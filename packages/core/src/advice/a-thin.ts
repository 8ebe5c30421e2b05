import { SET_CLASSES } from '../job';
import { dryingHours } from '../drying';
import { setMinOf } from '../takeoff';
import { say } from '../texts';
import { cellsIn, cellChange } from './cell-cure';
import type { RoomRule } from './types';

/** A setting coat must keep its water for this many set times. */
const MARGIN = 1.2;

/**
 * A-THIN: a thin setting coat that dries before it sets never gains strength. A hybrid hardens by drying too, and what a
 * blade leaves over a head that is full bears nothing.
 */
export const aThin: RoomRule = ({ job, room, area, rows, use, book }) => {
  const thin = cellsIn(rows)
    .flatMap(({ row, cell }) => {
      const part = use.uses.find((u) => u.row === row.id && u.coat === cell.coat);
      if (!part || part.wetL <= 0 || cell.coat === 'prefill') return [];
      if (book.compounds[cell.compound].hardens !== 'setting' || row.element === 'heads') return [];
      const compound = book.compounds[cell.compound];
      const { consistency, tape } = cell;
      const dries = { compound, consistency, climate: job.climate, taped: tape, book };
      const driesMin = Math.min(...part.waitsMm.map((mm) => dryingHours(mm, dries))) * 60;
      return driesMin <= MARGIN * setMinOf(cell, book) ? [{ row, cell, driesMin }] : [];
    })
    .sort((a, b) => a.driesMin - b.driesMin);
  const first = thin[0];
  if (!first) return [];
  const { cell, row, driesMin } = first;
  const shorter = SET_CLASSES.filter((min) => MARGIN * min < driesMin).at(-1);
  const bag = thin.some((t) => t.cell.own.setMin || book.compounds[t.cell.compound].product?.setMin);
  return [
    {
      code: 'A-THIN',
      severity: 'warn',
      place: { room: room.id, area: area.id, element: row.element, coat: cell.coat },
      reason: say('a-thin', { dries: driesMin, set: setMinOf(cell, book) }),
      cures: [
        shorter === undefined
          ? { text: say('a-thin.damp') }
          : {
              text: say('cure.class', { set: shorter }),
              changes: bag
                ? thin.flatMap((t) => cellChange(room, t.row, t.cell.coat, 'setMin', shorter))
                : [{ path: ['way', 'setMin'], value: shorter }],
            },
        ...(job.climate.air === 'fan'
          ? [
              {
                text: say('a-thin.fan'),
                changes: [{ path: ['climate', 'air'], value: 'still' }],
              },
            ]
          : []),
      ],
    },
  ];
};
