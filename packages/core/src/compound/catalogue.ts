import { bookWith, pacedBy, type Book, type FigureKey } from '../book';
import type { CompoundId, CrewPace, Job, Product, Shop } from '../job';
import { COMPOUND, type Compound, type Package } from './classes';

/** A class with the figures of the user's own product where one is in use. */
export interface Stocked extends Compound {
  product?: Product;
}

export type Catalogue = Readonly<Record<CompoundId, Stocked>>;

/** A package of the user's own product. */
const packageOf = (p: Product): Package => ({
  id: p.id,
  kind: p.kind,
  yieldsL: p.yieldsL,
  massKg: p.massKg,
  ...(p.waterL === undefined ? {} : { waterL: p.waterL }),
  price: p.price ?? 0,
  for: 'both',
  name: p.name,
});

/** Every class, with the products in use laid over them. */
export function catalogueOf(shop: Shop | undefined): Catalogue {
  const used = shop?.products?.filter((product) => product.inUse) ?? [];
  if (used.length === 0) return COMPOUND;
  const own: Partial<Record<CompoundId, Stocked>> = {};
  for (const product of used) {
    const plain = COMPOUND[product.compound];
    own[product.compound] ??= {
      ...plain,
      shrink: product.shrink ?? plain.shrink,
      // The user's own first; the usual packages keep their prices where the product has none.
      packages: [{ ...packageOf(product), price: product.price ?? priceLike(plain, product) }],
      product,
    };
  }
  return { ...COMPOUND, ...own };
}

/** What a package would cost at the price a litre of its class's dearest usual package. */
const priceLike = (plain: Compound, product: Product): number =>
  Math.max(...plain.packages.map((p) => p.price / p.yieldsL)) * product.yieldsL;

/** The book with what this finisher has: own figures, and the products in use. */
export type Supplied = Book & { readonly compounds: Catalogue };

/** How long the people take against steady ones: a learner twice as long, a quick one three quarters. */
const TIMES: Record<CrewPace, number> = { learner: 2, steady: 1, quick: 0.75 };

export function suppliedWith(
  book: Book,
  job: { shop?: Job['shop']; calendar?: Pick<Job['calendar'], 'hand'> } | undefined,
): Supplied {
  const own = job?.shop?.figures as Partial<Record<FigureKey, number>> | undefined;
  const paced = pacedBy(book, TIMES[job?.calendar?.hand ?? 'steady']);
  return { ...(own ? bookWith(own, paced) : paced), compounds: catalogueOf(job?.shop) };
}
