import type { Damage } from '../job';
import { REPAIR } from './kinds';

type Sized = Pick<Damage, 'kind' | 'sizeMm' | 'widthMm'>;

/** The face that mud covers which reaches so far beyond a spot, mm². */
export function coveredMm2({ kind, sizeMm, widthMm = sizeMm }: Sized, reachMm: number): number {
  const { shape } = REPAIR[kind];
  if (shape === 'spot') return (Math.PI / 4) * (sizeMm + 2 * reachMm) ** 2;
  if (shape === 'field') return (sizeMm + 2 * reachMm) * (widthMm + 2 * reachMm);
  return (sizeMm + reachMm) * 2 * reachMm;
}

/** What is taped of it, mm: a line along, a spot all around. */
export function tapedMm({ kind, sizeMm }: Sized): number {
  const { shape, taped } = REPAIR[kind];
  return taped ? (shape === 'spot' ? Math.PI * sizeMm : sizeMm) : 0;
}
