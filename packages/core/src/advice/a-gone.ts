import { say } from '../texts';
import { inJob } from './change';
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
      reason: say('a-gone.peels', { count: lost }),
      cures: [
        {
          text: say('a-gone.class'),
          changes: [
            inJob(
              ['shop', 'peels'],
              peels.map(({ product, ...peel }) =>
                isLost(product) || product === undefined ? peel : { ...peel, product },
              ),
            ),
          ],
        },
      ],
    },
  ];
};
