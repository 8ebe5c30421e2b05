import type { Rect } from '../survey';
import { middleOf, type Surface } from '../section';

/** Mud thinner than this lets the paper through, mm. */
export const COVERS_MM = 0.08;

/** Cells of a field the face does not reach. */
export const OUTSIDE = 255;

/** Cells shaped by several features at once. */
export const CROSSING = 65535;

/** Shades of mud over paper a cell can have, from none to covered. */
export const MUD_SHADES = 15;

/** A grid of heights over a part of one face, row by row from its low left corner. */
export interface Field {
  /** What it covers of the face, mm. */
  rect: Rect;
  cellMm: number;
  cols: number;
  rows: number;
  /** Above the true plane, mm. */
  heights: Float32Array;
  /** 0 is bare paper, `MUD_SHADES` is covered with mud, `OUTSIDE` is no face. */
  ground: Uint8Array;
  /** What shapes the wall there: a feature's number from 1; 0 is nothing, `CROSSING` is more than one of them. */
  made: Uint16Array;
}

/** An even field over a rectangle of a face; at most `most` cells, larger ones where that would not do. */
export function emptyField(rect: Rect, cellMm: number, most = 4e6): Field {
  const [u0, v0, u1, v1] = rect;
  const cell = Math.max(cellMm, Math.sqrt(((u1 - u0) * (v1 - v0)) / most));
  const cols = Math.max(1, Math.round((u1 - u0) / cell));
  const rows = Math.max(1, Math.round((v1 - v0) / cell));
  const size = cols * rows;
  return {
    rect,
    cellMm: (u1 - u0) / cols,
    cols,
    rows,
    heights: new Float32Array(size),
    ground: new Uint8Array(size),
    made: new Uint16Array(size),
  };
}

/** A section as it lies over a place, and how much of it is mud. */
export interface Profile {
  surface: Surface;
  bare: Surface;
  /** Tape is no mud: how thick it lies, and half how wide, mm. */
  tape?: { mm: number; halfMm: number } | undefined;
}

/** How far a profile shapes the face, mm: beyond it there is nothing. */
export function reachOf({ surface }: Profile): number {
  const middle = middleOf(surface);
  for (let k = middle; k > 0; k--)
    if (Math.abs(surface[middle - k] as number) > 1e-4 || Math.abs(surface[middle + k] as number) > 1e-4)
      return Math.min(middle - 1, k + 1);
  return 0;
}

/**
 * Two shapes over one place: where only one of them shapes it, that one; where joints cross, the higher, blended,
 * so that neither leaves an edge in the other; a mound over a hollow stands in it.
 */
function crossed(a: number, b: number): number {
  if (a === 0) return b;
  if (b === 0) return a;
  if (a > 0 !== b > 0) return a + b;
  const sum = a * a * a * a + b * b * b * b;
  return a < 0 ? -Math.sqrt(Math.sqrt(sum)) : Math.sqrt(Math.sqrt(sum));
}

const PER_SHADE = MUD_SHADES / COVERS_MM;

/** Heights of which nobody would say that they shape a wall, mm. */
const FAINT_MM = 0.02;

function put(field: Field, at: number, height: number, mudMm: number, feature: number): void {
  const before = field.heights[at] as number;
  // Less than this does not make a crossing of a place.
  if (height > FAINT_MM || height < -FAINT_MM)
    field.made[at] = before > FAINT_MM || before < -FAINT_MM ? CROSSING : feature;
  field.heights[at] = crossed(before, height);
  const shade = mudMm <= 0 ? 0 : mudMm >= COVERS_MM ? MUD_SHADES : (mudMm * PER_SHADE + 0.5) | 0;
  if (shade > (field.ground[at] as number)) field.ground[at] = shade;
}

/** Where a section is laid. */
export interface Laid {
  line: Rect;
  /** Across the line, positive on this side: a unit vector. */
  across: readonly [number, number];
  /** The face ends at the line: only this side of the section lies on it, turned inwards; none where both do. */
  side?: -1 | 1;
  /** Runs out over this much beyond its ends, mm. */
  fadeMm: number;
  feature: number;
}

/** Lays a section along a line of the field, in place. */
export function layAlong(
  field: Field,
  profile: Profile,
  { line, across, side, fadeMm, feature }: Laid,
): void {
  const { rect, cellMm, cols, rows } = field;
  const [u0, v0, u1, v1] = line;
  const length = Math.hypot(u1 - u0, v1 - v0);
  if (length === 0) return;
  const along = [(u1 - u0) / length, (v1 - v0) / length] as const;
  const reach = reachOf(profile);
  const { surface, bare } = profile;
  const { mm: tapeMm, halfMm } = profile.tape ?? { mm: 0, halfMm: 0 };
  const middle = middleOf(surface);
  const step = (surface[surface.length - 1] as number) - (surface[0] as number);
  const pad = Math.max(reach, fadeMm) + cellMm;
  const span = (lo: number, hi: number, from: number, count: number) =>
    [
      Math.max(0, Math.floor((Math.min(lo, hi) - pad - from) / cellMm)),
      Math.min(count - 1, Math.ceil((Math.max(lo, hi) + pad - from) / cellMm)),
    ] as const;
  const [c0, c1] = span(u0, u1, rect[0], cols);
  const [r0, r1] = span(v0, v1, rect[1], rows);
  for (let r = r0; r <= r1; r++) {
    const dv = rect[1] + (r + 0.5) * cellMm - v0;
    for (let c = c0; c <= c1; c++) {
      const du = rect[0] + (c + 0.5) * cellMm - u0;
      const x = du * across[0] + dv * across[1];
      if (x > reach || x < -reach) continue;
      const t = du * along[0] + dv * along[1];
      const over = t < 0 ? -t : t > length ? t - length : 0;
      const round = side === undefined ? 0 : over;
      if (over - round > fadeMm || (round > 0 && Math.hypot(x, over) > reach)) continue;
      // Past a line where the face ends the section is laid the same way, and round its ends, so that nothing drops off.
      const s = side === undefined ? x : side * (round === 0 ? (x < 0 ? -x : x) : Math.hypot(x, round));
      const at = s + middle;
      const i = at | 0;
      const f = at - i;
      // A board that stands higher comes back to the plane away from its joint, as gently as it can.
      const back = step === 0 || s <= 0 ? 0 : (step * (1 - Math.cos((Math.PI * s) / middle))) / 2;
      const left = over === round ? 1 : (1 + Math.cos((Math.PI * over) / fadeMm)) / 2;
      const height = (surface[i] as number) * (1 - f) + (surface[i + 1] as number) * f;
      const raw = (bare[i] as number) * (1 - f) + (bare[i + 1] as number) * f;
      put(
        field,
        r * cols + c,
        (height - back) * left,
        (height - raw - (s < halfMm && s > -halfMm ? tapeMm : 0)) * left,
        feature,
      );
    }
  }
}

/** Lays a section round about a place: a head, a mended spot. */
export function layRound(
  field: Field,
  profile: Profile,
  at: readonly [number, number],
  feature: number,
): void {
  const { rect, cellMm, cols, rows } = field;
  const reach = reachOf(profile);
  const middle = middleOf(profile.surface);
  const lo = (place: number, from: number) => Math.max(0, Math.floor((place - reach - from) / cellMm));
  const hi = (place: number, from: number, count: number) =>
    Math.min(count - 1, Math.ceil((place + reach - from) / cellMm));
  for (let r = lo(at[1], rect[1]); r <= hi(at[1], rect[1], rows); r++)
    for (let c = lo(at[0], rect[0]); c <= hi(at[0], rect[0], cols); c++) {
      const x = Math.hypot(rect[0] + (c + 0.5) * cellMm - at[0], rect[1] + (r + 0.5) * cellMm - at[1]);
      if (x >= reach) continue;
      const i = Math.floor(x) + middle;
      const f = x - Math.floor(x);
      const mix = (y: Surface): number => (y[i] as number) * (1 - f) + (y[i + 1] as number) * f;
      const height = mix(profile.surface);
      put(field, r * cols + c, height, height - mix(profile.bare), feature);
    }
}
