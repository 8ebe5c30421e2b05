import type { Book } from '../book';
import type { FaceNote, Room } from '../job';
import { boundsOf, ringOf, type Shape } from './geometry';
import type { LayoutInput } from './layout';
import { isOverhead, type BareFace } from './space';

/** The ways a face may be boarded, the usual one first. */
export function boardLayoutOptions(
  room: Room,
  surface: BareFace,
  shape: Shape,
  book: Book,
): { inputs: LayoutInput[]; framing: 'up' | 'along'; framingMm: number } {
  const note: FaceNote = room.faces?.[surface.id] ?? {};
  const overhead = isOverhead(surface);
  const framing = note.framing ?? usualFraming(room, surface);
  const framingMm = note.framingMm ?? (overhead ? room.framing.ceilingMm : room.framing.wallMm);
  const acrossFraming = framing === 'up' ? 'u' : 'v';
  const withFraming = framing === 'up' ? 'v' : 'u';
  const [u0, v0, u1, v1] = boundsOf(shape);
  const small = surface.kind === 'box' || surface.kind === 'reveal';
  let ways: ('u' | 'v')[];
  if (note.along) ways = [note.along === 'across' ? acrossFraming : withFraming];
  // A box or a return is boarded along its length, from strips.
  else if (small) ways = [u1 - u0 >= v1 - v0 ? 'u' : 'v'];
  else if (overhead || room.board.walls === 'across') ways = [acrossFraming];
  else if (room.board.walls === 'upright') ways = [withFraming];
  else ways = [acrossFraming, withFraming];
  const widths = [room.board.widthMm, ...(room.board.alsoWidthsMm ?? [])];
  const corners = surface.openings.flatMap((rect) => ringOf(rect));
  const inputs = ways.flatMap((along) =>
    widths.flatMap((boardWidthMm): LayoutInput[] => {
      const usual = !overhead && !small && along === 'u' ? 'high' : 'low';
      const tall = along === 'u' ? v1 - v0 : u1 - u0;
      const whole = Math.abs(tall / boardWidthMm - Math.round(tall / boardWidthMm)) < 1e-6;
      const froms: ('low' | 'high')[] = note.from
        ? [note.from]
        : whole || small
          ? [usual]
          : [usual, usual === 'high' ? 'low' : 'high'];
      return froms.map((from) => ({
        shape,
        along,
        from,
        boardWidthMm,
        lengthsMm: room.board.lengthsMm,
        framingMm: along === acrossFraming ? framingMm : undefined,
        staggerMm: book.staggerMm.value,
        sliverMm: book.sliverMm.value,
        inLineMm: book.inLineMm.value,
        corners,
        cuts: note.cuts,
      }));
    }),
  );
  return { inputs, framing, framingMm };
}

/** Studs stand, rafters run up their slope, and joists run as the room says. */
function usualFraming(room: Room, surface: BareFace): 'up' | 'along' {
  if (surface.kind !== 'ceiling') return 'up';
  if (room.ceiling) return 'up';
  return room.framing.ceilingAlong === 'length' ? 'along' : 'up';
}
