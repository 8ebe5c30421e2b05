import type { RoomUse } from '../takeoff';
import type { Way } from '../job';
import { beadOf } from '../way';
import type { Mend } from './mend';

/** A room's mud, tape, bead and work with those of the spots that are mended by themselves. */
export function withMends(use: RoomUse, mends: readonly Mend[], way: Way): RoomUse {
  if (mends.length === 0) return use;
  const uses = mends.flatMap(({ id, layers }) =>
    layers.flatMap((layer): RoomUse['uses'] => {
      const { compound, coat, pass, wetL, layerMm, waitsMm, setMin, minutes, how, hardenMin } = layer;
      if (compound === undefined || coat === undefined) return [];
      return [
        {
          row: `mend.${id}`,
          element: 'repairs',
          coat,
          step: pass,
          compound,
          wetL,
          layerMm,
          waitsMm,
          float: false,
          setMin: setMin ?? 0,
          amount: 0,
          pace: 'paceMend',
          minutes,
          hardens: { how, hours: hardenMin / 60 },
          waitMin: hardenMin,
          waterG: 0,
          dryFactor: 0,
        },
      ];
    }),
  );
  const sum = (of: (mend: Mend) => number): number => mends.reduce((all, mend) => all + of(mend), 0);
  const kind = beadOf({ kind: 'outside-corner' }, way);
  return {
    ...use,
    uses: [...use.uses, ...uses],
    tapeMm: use.tapeMm + sum(({ tapeMm }) => tapeMm),
    beads: [
      ...use.beads,
      ...mends.flatMap(({ id, count, beadMm }) =>
        Array.from({ length: beadMm > 0 ? count : 0 }, () => ({
          kind,
          mm: beadMm / count,
          joint: `mend.${id}`,
        })),
      ),
    ],
    wetL: use.wetL + uses.reduce((all, { wetL }) => all + wetL, 0),
  };
}
