import { sets } from '../compound';
import { ELEMENT } from '../job';
import type { Joint } from '../survey';
import { say } from '../texts';
import { once } from '../units';
import { inJob } from './change';
import { NEAR } from './near';
import type { JobRule } from './types';

/** The share of a room's flats on faces where no butt runs into them. */
const freeShare = once((joints: readonly Joint[]): number => {
  const butted = new Set(joints.filter((j) => j.kind === 'butt').map((j) => j.face));
  let [all, free] = [0, 0];
  for (const { kind, face, lengthMm } of joints) {
    if (kind !== 'tapered') continue;
    all += lengthMm;
    if (!butted.has(face)) free += lengthMm;
  }
  return all > 0 ? free / all : 0;
});

/**
 * A-CROSS: a blade pulled over a crossing that has not stiffened drags it out. Judged where butts are coated first
 * and flats straight after; who coats flats first blends each crossing by hand while it is wet.
 */
export const aCross: JobRule = ({ job, rooms, book }) => {
  if (job.way.coatOrder !== 'butts-first') return [];
  const found = (['fill', 'finish'] as const).flatMap((coat) => {
    let [flats, butts, aside, stiff] = [false, false, 0, 0];
    // One plain pass: a building has tens of thousands of cells, and this runs at every edit.
    for (const room of rooms) {
      let flatMin = 0;
      for (const u of room.use.uses) {
        // A float is worked by itself.
        if (u.coat !== coat || u.wetL <= 0 || u.float) continue;
        if (u.element === 'flats') flatMin += u.minutes;
        else if (u.element === 'butts') {
          butts = true;
          stiff = Math.max(stiff, sets(u.compound) ? u.setMin : book.stiffenMin.value);
        } else if (ELEMENT[u.element].aside) aside += u.minutes;
      }
      if (flatMin > 0) aside += flatMin * freeShare(room.joints);
      flats ||= flatMin > 0;
    }
    const meanwhile = aside / job.calendar.crew;
    // A minute or two are waited for without a word.
    return flats && butts && meanwhile * NEAR < stiff ? [{ coat, meanwhile, stiff }] : [];
  });
  const worst = found.sort((a, b) => b.stiff - b.meanwhile - (a.stiff - a.meanwhile))[0];
  if (!worst) return [];
  return [
    {
      code: 'A-CROSS',
      severity: 'note',
      place: { coat: worst.coat },
      reason: say('a-cross', { stiff: worst.stiff, meanwhile: worst.meanwhile }),
      cures: [
        {
          text: say('a-cross.split'),
          changes: [inJob(['way', 'coatOrder'], 'split-day')],
        },
      ],
    },
  ];
};
