import { cellsIn } from '../coat';
import { SET_CLASSES } from '../job';
import { driesMin as driesOf, KEEPS_WATER, setMinOf, useOf } from '../takeoff';
import { say } from '../texts';
import { cellChange } from './cell-cure';
import { inJob } from './change';
import type { RoomRule } from './types';

/**
 * A-THIN: a thin setting coat that dries before it sets never gains strength. A hybrid hardens by drying too, and what a
 * blade leaves over a head that is full bears nothing.
 */
export const aThin: RoomRule = ({ job, room, area, rows, use, book }) => {
  const thin = cellsIn(rows)
    .flatMap(({ row, cell }) => {
      const part = useOf(use, row, cell);
      const driesMin = part && driesOf(row.element, cell, part, job, book);
      return driesMin !== undefined && driesMin <= KEEPS_WATER * setMinOf(cell, book)
        ? [{ row, cell, driesMin }]
        : [];
    })
    .sort((a, b) => a.driesMin - b.driesMin);
  const first = thin[0];
  if (!first) return [];
  const { cell, row, driesMin } = first;
  const shorter = SET_CLASSES.filter((min) => KEEPS_WATER * min < driesMin).at(-1);
  const bag =
    job.way.setChosen ||
    thin.some((t) => t.cell.own.setMin || book.compounds[t.cell.compound].product?.setMin);
  // In still air it may hold its water for long enough, or not even then.
  const still = { ...job, climate: { ...job.climate, air: 'still' as const } };
  const part = useOf(use, row, cell);
  const stillMin = part && driesOf(row.element, cell, part, still, book);
  const keepsWater = (stillMin ?? 0) > KEEPS_WATER * setMinOf(cell, book);
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
                : [inJob(['way', 'setMin'], shorter)],
            },
        ...(job.climate.air === 'fan'
          ? [
              {
                text: say(keepsWater ? 'a-thin.fan' : 'a-thin.fan-too'),
                changes: [inJob(['climate', 'air'], 'still')],
              },
            ]
          : []),
      ],
    },
  ];
};
