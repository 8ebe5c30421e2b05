import type { Origin } from '../book';
import { packageName, type Supplied } from '../compound';
import type { BeadKind, CompoundId, Job, Tape } from '../job';
import { say } from '../texts';
import type { PackageKind, Sold } from './packages';

/** What packages cost: the user's own price, else what the supply house asks, else what is typical. */
export type Prices = (id: string, typical: number, from?: Origin) => Pick<Sold, 'price' | 'priceFrom'>;

export function pricesOf({ shop, quote }: Pick<Job, 'shop' | 'quote'>): Prices {
  const own = new Map((shop?.prices ?? []).map((one) => [one.package, one.price]));
  const quoted = new Map((quote?.lines ?? []).map((line) => [line.package, line.price]));
  return (id, typical, from = 'typical') => {
    const entered = own.get(id);
    if (entered !== undefined) return { price: entered, priceFrom: 'entered' };
    const asked = quoted.get(id);
    if (asked !== undefined) return { price: asked, priceFrom: 'quoted' };
    return { price: typical, priceFrom: from };
  };
}

export const mudWare = (compound: CompoundId): string => `mud/${compound}`;
export const tapeWare = (tape: Tape): string => `tape/${tape}`;
export const beadWare = (kind: BeadKind): string => `bead/${kind}`;
export const packageId = (ware: string, name: string): string => `${ware}#${name}`;

/** The class of compound that a ware is; none of another ware. */
export const compoundIn = (ware: string): CompoundId | undefined =>
  ware.startsWith('mud/') ? (ware.slice(4) as CompoundId) : undefined;

/** None heavier than one lifts, where lighter ones are sold. */
export function liftable<T extends { massKg: number }>(sold: readonly T[], shop: Job['shop']): readonly T[] {
  const light = sold.filter(({ massKg }) => massKg <= (shop?.liftKg ?? Infinity));
  return light.length > 0 ? light : sold;
}

/** Packages of a compound that are sold here, none heavier than one lifts where lighter ones are. */
export function mudSold(
  compound: CompoundId,
  { units, shop }: Pick<Job, 'units' | 'shop'>,
  book: Supplied,
  prices: Prices,
): Sold[] {
  const { product, packages } = book.compounds[compound];
  const here = packages.filter((p) => p.for === 'both' || p.for === units);
  return liftable(here, shop).map((p) => {
    const id = packageId(mudWare(compound), p.id);
    return {
      id,
      kind: p.kind,
      name: packageName(p, units),
      holds: p.yieldsL,
      massKg: p.massKg,
      ...(p.waterL === undefined ? {} : { waterL: p.waterL }),
      ...prices(id, p.price, product?.price === undefined ? 'typical' : 'entered'),
    };
  });
}

/** What a roll of tape weighs for each metre, kg: paper of 52 mm with its core. */
const ROLL_KG_M = 0.009;
/** What bead and trim weigh for each metre, kg. */
const STICK_KG_M = 0.16;

export function rollSold(tape: Tape, rollMm: number, book: Supplied, prices: Prices): Sold {
  const id = packageId(tapeWare(tape), 'roll');
  return {
    id,
    kind: 'roll',
    name: say('order.roll', { length: rollMm }),
    holds: rollMm,
    massKg: (rollMm / 1000) * ROLL_KG_M,
    ...prices(id, book.priceRoll.value, book.priceRoll.from),
  };
}

export function stickSold(kind: BeadKind, lengthMm: number, book: Supplied, prices: Prices): Sold {
  const id = packageId(beadWare(kind), `stick-${Math.round(lengthMm)}`);
  return {
    id,
    kind: 'stick',
    name: say('order.stick', { length: lengthMm }),
    holds: lengthMm,
    massKg: (lengthMm / 1000) * STICK_KG_M,
    ...prices(id, book.priceStick.value, book.priceStick.from),
  };
}

/** A package of a ware that is no mud. */
export const packSold = (
  ware: string,
  {
    id,
    kind,
    holds,
    massKg,
    price,
  }: { id: string; kind: PackageKind; holds: number; massKg: number; price: number },
  name: Sold['name'],
  prices: Prices,
): Sold => ({
  id: packageId(ware, id),
  kind,
  name,
  holds,
  massKg,
  ...prices(packageId(ware, id), price),
});
