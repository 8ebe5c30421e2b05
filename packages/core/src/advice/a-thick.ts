import { COMPOUND, fitFor } from '../compound';
import type { CompoundId } from '../job';
import { printSmall } from '../units';
import type { RoomRule } from './types';

/** Deeper classes to offer, gentlest first. */
const DEEPER: CompoundId[] = ['hybrid', 'setting-light', 'setting-hard'];

/** A-THICK: a layer thicker than its class can take cracks or never dries through. */
export const aThick: RoomRule = ({ job, room, use }) =>
  use.uses
    .filter((u) => u.wetL > 0 && u.layerMm > COMPOUND[u.compound].maxMm)
    .map((u) => {
      const deeper = DEEPER.find(
        (id) => COMPOUND[id].maxMm >= u.layerMm && !['no', 'poor'].includes(fitFor(id, u.coat)),
      );
      const limit = COMPOUND[u.compound].maxMm;
      return {
        code: 'A-THICK',
        severity: 'warn' as const,
        place: { room: room.id, element: u.element, coat: u.coat },
        reason: `The layer is ${printSmall(u.layerMm, job.units)} at its thickest; ${COMPOUND[u.compound].name} takes ${printSmall(limit, job.units)} in one coat.`,
        cures: deeper
          ? [
              {
                text: `Use ${COMPOUND[deeper].name} for this coat`,
                changes: [{ path: ['way', 'compoundFor', u.coat], value: deeper }],
              },
            ]
          : [{ text: 'Build it up in more coats, each hard before the next' }],
      };
    });
