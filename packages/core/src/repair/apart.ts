import type { Damage, Room } from '../job';

/** Whether a spot is mended by itself: it is said so, or its room stands and takes no coats. */
export const isApart = (room: Pick<Room, 'standing'>, spot: Pick<Damage, 'apart'>): boolean =>
  room.standing === true || spot.apart === true;

/** Damage that is mended with the coats of its room. */
export const withCoats = (room: Pick<Room, 'standing' | 'damage'>): Damage[] =>
  (room.damage ?? []).filter((spot) => !isApart(room, spot));

/** How many of them alike. */
export const countOf = ({ count = 1 }: Pick<Damage, 'count'>): number => count;
