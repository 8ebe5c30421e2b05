import { say, type Message } from '../texts';
import { L_PER_GAL } from '../units';
import type { PackageKind } from './packages';

/** A package by what is in it; figures typical, prices too. */
export interface Pack {
  id: string;
  kind: PackageKind;
  holds: number;
  massKg: number;
  price: number;
  name: Message;
}

/** A pack of so many pieces. */
export const pieces = (holds: number, massKg: number, price: number): Pack => ({
  id: `pack-${holds}`,
  kind: 'pack',
  holds,
  massKg,
  price,
  name: say('sundry.pack', { count: holds }),
});

/** A pail of so many litres. */
const pail = (holds: number, price: number): Pack => ({
  id: `pail-${Math.round(holds)}`,
  kind: 'pail',
  holds,
  massKg: holds * 1.35 + 0.8,
  price,
  name: say('package.volume', { volume: holds, kind: 'pail' }),
});

/** Pails of primer by the units of the job, at a price a litre; a large one costs less. */
export const PRIMER_PAILS = {
  feet: (perL: number): Pack[] => [
    pail(5 * L_PER_GAL, 5 * L_PER_GAL * perL * 0.85),
    pail(L_PER_GAL, L_PER_GAL * perL),
  ],
  metric: (perL: number): Pack[] => [pail(10, 10 * perL * 0.9), pail(5, 5 * perL)],
};
