import { BEADS, type Job, type Log, type Product, type StickOnHand } from '../job';
import { lotsOf, oldestFirst, type Lot } from '../log';
import { beadWare, mudWare } from './wares';

/** What a product was on hand with before the log began, as a lot of its own. */
const lotOf = ({ id, name, compound, yieldsL, onHandL, useBy, opened }: Product): Lot[] =>
  onHandL === undefined || onHandL <= 0
    ? []
    : [
        {
          id: `product.${id}`,
          ware: mudWare(compound),
          each: yieldsL,
          got: onHandL,
          used: 0,
          spoiled: 0,
          left: onHandL,
          note: name,
          ...(useBy === undefined ? {} : { useBy }),
          ...(opened === undefined ? {} : { opened }),
        },
      ];

/** All that is on hand: what the user's products are said to be on hand with, and what the log tells came. */
export const stockOf = ({ shop }: Pick<Job, 'shop'>, log: Log): Lot[] =>
  [...(shop?.products ?? []).filter((product) => product.inUse).flatMap(lotOf), ...lotsOf(log)].sort(
    oldestFirst,
  );

/**
 * Sticks that are here for the job: those on the rack, and what was received of them. Sticks that are cut already are
 * among them, for their pieces are among what is cut.
 */
export const sticksOf = ({ shop }: Pick<Job, 'shop'>, lots: readonly Lot[]): StickOnHand[] => [
  ...(shop?.sticks ?? []),
  ...BEADS.flatMap((kind) =>
    lots
      .filter(({ ware }) => ware === beadWare(kind))
      .map(({ each, got, spoiled }) => ({
        kind,
        lengthMm: each,
        count: Math.floor((got - spoiled) / each + 1e-9),
      })),
  ),
];
