import type { JobRule } from './types';

/** A-GONE, of the job: peel tests of a product that is not in the list any more. */
export const aGone: JobRule = ({ job }) => {
  const products = new Set((job.shop?.products ?? []).map((product) => product.id));
  const peels = job.shop?.peels ?? [];
  const isLost = (product: string | undefined) => product !== undefined && !products.has(product);
  const lost = peels.filter((peel) => isLost(peel.product)).length;
  if (lost === 0) return [];
  return [
    {
      code: 'A-GONE',
      severity: 'note',
      place: {},
      reason: `${lost === 1 ? 'A peel test names' : `${lost} peel tests name`} a product that is not in your list; it counts for its class only.`,
      cures: [
        {
          text: 'Keep it as a test of the class',
          changes: [
            {
              path: ['shop', 'peels'],
              value: peels.map(({ product, ...peel }) =>
                isLost(product) || product === undefined ? peel : { ...peel, product },
              ),
            },
          ],
        },
      ],
    },
  ];
};
