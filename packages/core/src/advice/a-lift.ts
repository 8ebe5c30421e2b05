import { say } from '../texts';
import type { JobRule } from './types';

/** More than this one person should not carry alone, kg. */
const ONE_PERSON_KG = 23;

/** A-LIFT: packages one person should not carry. */
export const aLift: JobRule = ({ order }) => {
  const heavy = order.items.filter((item) => item.heaviestKg > ONE_PERSON_KG);
  const worst = [...heavy].sort((a, b) => b.heaviestKg - a.heaviestKg)[0];
  if (!worst) return [];
  const lighter = heavy.some((item) => item.lightestKg <= ONE_PERSON_KG);
  return [
    {
      code: 'A-LIFT',
      severity: 'note',
      place: {},
      reason: say('a-lift', { goods: worst.name, weighs: worst.heaviestKg, most: ONE_PERSON_KG }),
      cures: [
        ...(lighter
          ? [
              {
                text: say('a-lift.lighter'),
                changes: [{ path: ['shop', 'liftKg'], value: ONE_PERSON_KG }],
              },
            ]
          : []),
        { text: say('a-lift.two') },
      ],
    },
  ];
};
