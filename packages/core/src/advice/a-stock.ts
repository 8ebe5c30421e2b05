import { printVolume } from '../units';
import type { JobRule } from './types';

/** A-STOCK: the plan takes more than is on hand. */
export const aStock: JobRule = ({ job, order }) =>
  order.compounds
    .filter((line) => line.onHandL !== undefined && line.withWasteL > line.onHandL)
    .map((line) => ({
      code: 'A-STOCK',
      severity: 'note' as const,
      place: {},
      reason: `${line.name}: ${printVolume(line.withWasteL, job.units)} with waste is planned and ${printVolume(line.onHandL ?? 0, job.units)} is on hand.`,
      cures: [
        {
          text: `Buy ${printVolume(line.withWasteL - (line.onHandL ?? 0), job.units)} more; it is on the order`,
        },
      ],
    }));
