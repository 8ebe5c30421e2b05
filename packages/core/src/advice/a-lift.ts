import { say } from '../texts';
import { inJob } from './change';
import type { JobRule } from './types';

/** An ordinary pail of compound weighs a little more than one should carry, as everybody knows: so many times as much. */
const PAIL = 1.25;

/** A-LIFT: packages one person should not carry, beyond an ordinary pail: that stands with what is to carry. */
export const aLift: JobRule = ({ order, book }) => {
  const most = book.carryKg.value;
  const heavy = order.items.filter((item) => item.heaviestKg > most * PAIL);
  const worst = [...heavy].sort((a, b) => b.heaviestKg - a.heaviestKg)[0];
  if (!worst) return [];
  const lighter = heavy.some((item) => item.lightestKg <= most);
  return [
    {
      code: 'A-LIFT',
      severity: 'note',
      place: {},
      reason: say('a-lift', { goods: worst.name, weighs: worst.heaviestKg, most }),
      cures: [
        ...(lighter
          ? [
              {
                text: say('a-lift.lighter'),
                changes: [inJob(['shop', 'liftKg'], most)],
              },
            ]
          : []),
        { text: say('a-lift.two') },
      ],
    },
  ];
};
