import { wallId, wallOfId } from './ids';
import { outlineOf, wallLengths } from './outline';
import { LIMITS, nameWith } from './limits';
import type { FaceNote, Point, Room } from './types';

const deep = <T>(value: T): T => JSON.parse(JSON.stringify(value)) as T;

/** A room without what was measured or found in it: as it is on paper, for another like it. */
export function asDrawn(room: Room): Room {
  const { joints: _, damage: __, ...rest } = deep(room);
  if (rest.faces) {
    rest.faces = Object.fromEntries(
      Object.entries(rest.faces).map(([id, { cuts: ___, ...note }]): [string, FaceNote] => [id, note]),
    );
  }
  return rest;
}

/**
 * The mirror image of a room: left and right exchanged, wall 0 where it was. What was measured on joints is
 * not carried over, for their numbers run the other way.
 */
export function mirrored(room: Room): Room {
  const copy = asDrawn(room);
  const ring = outlineOf(room.plan);
  const lengths = wallLengths(room);
  const n = ring.length;
  if (n === 0) return copy;
  const wallOf = (wall: number): number => (n - wall) % n;
  if ('outline' in copy.plan) {
    const right = Math.max(...ring.map((p) => p[0])) + Math.min(...ring.map((p) => p[0]));
    const flipped = ring.map(([x, y]): Point => [right - x, y]);
    copy.plan.outline = flipped.map((_, k) => flipped[(1 - k + n) % n] as Point);
  }
  if (copy.ceiling) copy.ceiling.wall = wallOf(copy.ceiling.wall);
  const flip = <T extends { wall: number; leftMm: number }>(item: T, width: number): T => ({
    ...item,
    wall: wallOf(item.wall),
    leftMm: Math.max(0, (lengths[item.wall] ?? 0) - item.leftMm - width),
  });
  copy.openings = copy.openings.map((o) => flip(o, o.widthMm));
  if (copy.boxes)
    copy.boxes = copy.boxes.map((box) => {
      // What reaches past the end of its wall would begin before it.
      const past = Math.max(0, box.leftMm + box.alongMm - (lengths[box.wall] ?? Infinity));
      const alongMm = Math.max(LIMITS.box.alongMm.least, box.alongMm - past);
      return { ...flip(box, alongMm), alongMm };
    });
  if (copy.closets)
    copy.closets = copy.closets.map((c) => ({
      ...flip(c, c.widthMm),
      doorLeftMm: c.widthMm - c.doorLeftMm - c.doorWidthMm,
    }));
  const faceOf = (id: string): string => {
    const wall = wallOfId(id);
    return wall === undefined ? id : wallId(wallOf(wall));
  };
  if (copy.faces)
    copy.faces = Object.fromEntries(Object.entries(copy.faces).map(([id, note]) => [faceOf(id), note]));
  if (copy.seams) {
    copy.seams = copy.seams.map((seam) => {
      if (seam.runs === 'along') return { ...seam, face: faceOf(seam.face) };
      const wall = wallOfId(seam.face);
      const xs = ring.map((p) => p[0]);
      const width = wall === undefined ? Math.max(...xs) + Math.min(...xs) : (lengths[wall] ?? 0);
      return {
        ...seam,
        face: faceOf(seam.face),
        atMm: width - seam.atMm,
        old: seam.old === 'low' ? 'high' : 'low',
      };
    });
  }
  return copy;
}

/**
 * Rooms like one another, for hotels and flats: numbered on from the first, every other one mirrored where asked.
 * @param name `Room 101` counts on to 102, 103 …; a name without a number gets one
 */
export function arrayOf(
  room: Room,
  count: number,
  name: string,
  mirrorEveryOther: boolean,
  newId: () => string,
): Room[] {
  const { stem, digits } = numbered(name);
  const first = digits === '' ? 1 : Number(digits);
  return Array.from({ length: count }, (_, i) => ({
    ...(mirrorEveryOther && i % 2 === 1 ? mirrored(room) : asDrawn(room)),
    id: newId(),
    name: nameWith(digits === '' ? `${stem} ` : stem, String(first + i).padStart(digits.length, '0')),
  }));
}

/** A name and the number it ends in. */
function numbered(name: string): { stem: string; digits: string } {
  const [, stem = '', digits = ''] = /^([^]*?)(\d{0,9})$/.exec(name.trim()) ?? [];
  return { stem, digits };
}

/** The name after this one: `Room 009` before `Room 010`; a name without a number is the first. */
export function nextName(name: string): string {
  const { stem, digits } = numbered(name);
  return digits === ''
    ? nameWith(stem, ' 2')
    : nameWith(stem, String(Number(digits) + 1).padStart(digits.length, '0'));
}
