import { printMass } from '../units';
import type { JobRule } from './types';

/** More than this one person should not carry alone, kg. */
const ONE_PERSON_KG = 23;

/** A-LIFT: packages one person should not carry. */
export const aLift: JobRule = ({ job, order, book }) => {
  const heavy = order.compounds.filter((line) => line.heaviestKg > ONE_PERSON_KG);
  const worst = [...heavy].sort((a, b) => b.heaviestKg - a.heaviestKg)[0];
  if (!worst) return [];
  const lighter = heavy.some((line) =>
    book.compounds[line.compound].packages.some(
      (p) => p.massKg <= ONE_PERSON_KG && (p.for === 'both' || p.for === job.units),
    ),
  );
  return [
    {
      code: 'A-LIFT',
      severity: 'note',
      place: {},
      reason: `A package of ${worst.name} weighs ${printMass(worst.heaviestKg, job.units)}: two people or a cart over ${printMass(ONE_PERSON_KG, job.units)}.`,
      cures: [
        ...(lighter
          ? [
              {
                text: 'Buy the lighter packages',
                changes: [{ path: ['shop', 'liftKg'], value: ONE_PERSON_KG }],
              },
            ]
          : []),
        { text: 'Have it delivered to the floor, and carry it with two' },
      ],
    },
  ];
};
