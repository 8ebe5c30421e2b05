import { COMPOUND } from '../compound';
import { COATS } from '../job';
import type { RoomRule } from './types';

/** A-TOP: the last coat over a joint must be a class that can be finished and sanded. */
export const aTop: RoomRule = ({ room, cells }) => {
  const over = cells.filter((c) => c.element === 'flats' && !c.tape && c.coat !== 'prefill');
  const last = over.sort((a, b) => COATS.indexOf(a.coat) - COATS.indexOf(b.coat)).at(-1);
  if (!last) return [];
  const fit = COMPOUND[last.compound].finish;
  if (fit === 'yes') return [];
  const name = COMPOUND[last.compound].name;
  return [
    {
      code: 'A-TOP',
      severity: fit === 'no' || fit === 'dents' ? 'warn' : 'note',
      place: { room: room.id, element: 'flats', coat: last.coat },
      reason: `The last coat is ${name}, which sands and paints poorly${fit === 'covered' ? '; it wants a drying coat over it' : ''}.`,
      cures: [
        {
          text: 'Use light drying compound for the last coat',
          changes: [{ path: ['way', 'compoundFor', last.coat], value: 'drying-light' }],
        },
      ],
    },
  ];
};
