import type { UnitSystem } from '../units';
import type { BoardChoice, Room } from './types';

/** Board widths and stock lengths as sold, mm, by system. */
export const STOCK: Record<UnitSystem, { widths: readonly number[]; lengths: readonly number[] }> = {
  feet: { widths: [1219.2, 1371.6], lengths: [2438.4, 3048, 3657.6, 4267.2] },
  metric: { widths: [900, 1200], lengths: [2400, 2500, 2700, 3000, 3600] },
};

/** A way to board a room that may be held against another. */
export interface LayoutVariant {
  id: string;
  name: string;
  board: (now: BoardChoice, units: UnitSystem) => BoardChoice;
}

const only = ({ alsoWidthsMm: _, ...board }: BoardChoice): BoardChoice => board;

export const LAYOUT_VARIANTS: readonly LayoutVariant[] = [
  { id: 'now', name: 'as it is', board: (now) => now },
  { id: 'across', name: 'across the studs', board: (now) => ({ ...now, walls: 'across' }) },
  { id: 'upright', name: 'upright', board: (now) => ({ ...now, walls: 'upright' }) },
  {
    id: 'other-width',
    name: 'the other width',
    board: (now, units) => {
      const [narrow = now.widthMm, wide = now.widthMm] = STOCK[units].widths;
      return { ...only(now), widthMm: now.widthMm < wide - 1 ? wide : narrow };
    },
  },
  {
    id: 'all-lengths',
    name: 'every stock length',
    board: (now, units) => ({ ...now, lengthsMm: [...STOCK[units].lengths] }),
  },
  {
    id: 'short',
    name: 'shortest boards only',
    board: (now, units) => ({ ...now, lengthsMm: STOCK[units].lengths.slice(0, 1) }),
  },
  {
    id: 'least-butt',
    name: 'least butt, any width',
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
