import { sets } from '../compound';
import { printDuration } from '../units';
import type { JobRule } from './types';

/** Work that crosses no joint and so can fill the wait. */
const ASIDE = ['heads', 'corners'];

/**
 * A-CROSS: a blade pulled over a crossing that has not stiffened drags it out. Judged where butts are coated first
 * and flats straight after; who coats flats first blends each crossing by hand while it is wet.
 */
export const aCross: JobRule = ({ job, rooms, book }) => {
  if (job.way.coatOrder !== 'butts-first') return [];
  const found = (['fill', 'finish'] as const).flatMap((coat) => {
    let [flats, butts, aside, stiff] = [false, false, 0, 0];
    // One plain pass: a building has tens of thousands of cells, and this runs at every edit.
    for (const room of rooms)
      for (const u of room.use.uses) {
        if (u.coat !== coat || u.wetL <= 0) continue;
        if (u.element === 'flats') flats = true;
        else if (u.element === 'butts') {
          butts = true;
          stiff = Math.max(stiff, sets(u.compound) ? job.way.setMin : book.stiffenMin.value);
        } else if (ASIDE.includes(u.element)) aside += u.minutes;
      }
    const meanwhile = aside / job.calendar.crew;
    return flats && butts && meanwhile < stiff ? [{ coat, meanwhile, stiff }] : [];
  });
  const worst = found.sort((a, b) => b.stiff - b.meanwhile - (a.stiff - a.meanwhile))[0];
  if (!worst) return [];
  return [
    {
      code: 'A-CROSS',
      severity: 'note',
      place: { coat: worst.coat },
      reason: `Butts want ${printDuration(worst.stiff)} before flats are pulled across them; heads and corners fill ${printDuration(worst.meanwhile)} of it. Straight on, the blade drags the crossings.`,
      cures: [
        {
          text: 'Butts in the morning, flats in the afternoon',
          changes: [{ path: ['way', 'coatOrder'], value: 'split-day' }],
        },
      ],
    },
  ];
};
