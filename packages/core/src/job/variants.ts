import type { UnitSystem } from '../units';
import type { BoardChoice, Room } from './types';

/** Board widths and stock lengths as sold, mm, by system. */
export const STOCK: Record<UnitSystem, { widths: readonly number[]; lengths: readonly number[] }> = {
  feet: { widths: [1219.2, 1371.6], lengths: [2438.4, 3048, 3657.6, 4267.2] },
  metric: { widths: [900, 1200], lengths: [2400, 2500, 2700, 3000, 3600] },
};

/** A way to board a room that may be held against another. */
export interface LayoutVariant {
  id: 'now' | 'across' | 'upright' | 'other-width' | 'all-lengths' | 'short' | 'least-butt';
  board: (now: BoardChoice, units: UnitSystem) => BoardChoice;
}

const only = ({ alsoWidthsMm: _, ...board }: BoardChoice): BoardChoice => board;

export const LAYOUT_VARIANTS: readonly LayoutVariant[] = [
  { id: 'now', board: (now) => now },
  { id: 'across', board: (now) => ({ ...now, walls: 'across' }) },
  { id: 'upright', board: (now) => ({ ...now, walls: 'upright' }) },
  {
    id: 'other-width',
    board: (now, units) => {
      const [narrow = now.widthMm, wide = now.widthMm] = STOCK[units].widths;
      return { ...only(now), widthMm: now.widthMm < wide - 1 ? wide : narrow };
    },
  },
  {
    id: 'all-lengths',
    board: (now, units) => ({ ...now, lengthsMm: [...STOCK[units].lengths] }),
  },
  {
    id: 'short',
    board: (now, units) => ({ ...now, lengthsMm: STOCK[units].lengths.slice(0, 1) }),
  },
  {
    id: 'least-butt',
    board: (now, units) => ({
      ...now,
      walls: 'least-butt',
      lengthsMm: [...STOCK[units].lengths],
      alsoWidthsMm: STOCK[units].widths.filter((w) => Math.abs(w - now.widthMm) > 1),
    }),
  },
];

export const withBoards = (room: Room, variant: LayoutVariant, units: UnitSystem): Room => ({
  ...room,
  board: variant.board(room.board, units),
});
