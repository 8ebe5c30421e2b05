import { COMPOUND } from '../compound';
import { dryingHours } from '../drying';
import type { RoomRule } from './types';

/** Set times that can be bought, min. */
const SET_CLASSES = [5, 20, 30, 45, 60, 90, 120, 150, 180, 210];

/** A setting coat must keep its water for this many set times. */
const MARGIN = 1.2;

/** A-THIN: a thin setting coat that dries before it sets never gains strength. */
export const aThin: RoomRule = ({ job, room, use }) => {
  const thin = use.uses
    .filter((u) => u.wetL > 0 && u.coat !== 'prefill' && COMPOUND[u.compound].hardens !== 'drying')
    .map((u) => ({ ...u, driesMin: dryingHours(u.compound, u.layerMm, job.climate) * 60 }))
    .filter((u) => u.driesMin <= MARGIN * job.way.setMin)
    .sort((a, b) => a.driesMin - b.driesMin)[0];
  if (!thin) return [];
  const shorter = SET_CLASSES.filter((min) => MARGIN * min < thin.driesMin).at(-1);
  return [
    {
      code: 'A-THIN',
      severity: 'warn',
      place: { room: room.id, element: thin.element, coat: thin.coat },
      reason: `This coat dries in ${Math.round(thin.driesMin)} min, before a ${job.way.setMin} min compound has set; it would stay soft and powdery.`,
      cures: [
        shorter === undefined
          ? { text: 'Damp the face first, or use drying compound for this coat' }
          : { text: `Use a ${shorter} min class`, changes: [{ path: ['way', 'setMin'], value: shorter }] },
        ...(job.climate.air === 'fan'
          ? [
              {
                text: 'Keep the fan off until it has set',
                changes: [{ path: ['climate', 'air'], value: 'still' }],
              },
            ]
          : []),
      ],
    },
  ];
};
