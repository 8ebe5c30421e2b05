import type { Rect } from '../survey';
import { EYE_MM } from './contrast';
import { CROSSING, MUD_SHADES, OUTSIDE, type Field } from './field';

/** A light over a face: where it stands before it, mm on the face, and how far off it. */
export interface FaceLight {
  u: number;
  v: number;
  offMm: number;
}

/** From here the eye smooths over `EYE_MM`, mm. */
export const EYE_AT_MM = 2000;

/** A field made ready for light: how the wall leans, cell by cell, as the eye resolves it. */
export interface Leaning {
  rect: Rect;
  cellMm: number;
  cols: number;
  rows: number;
  /** Rise along u and along v, mm a mm. */
  du: Float32Array;
  dv: Float32Array;
  ground: Uint8Array;
  made: Uint16Array;
}

/** How a field leans, seen from a distance. Smoothed once here: light only weighs it then. */
export function leaningOf(field: Field, eyeMm = EYE_AT_MM): Leaning {
  const { rect, cellMm, cols, rows, ground, made } = field;
  const seen = smoothed(field, (EYE_MM * eyeMm) / EYE_AT_MM / cellMm);
  const du = new Float32Array(cols * rows);
  const dv = new Float32Array(cols * rows);
  const twice = 2 * cellMm;
  for (let r = 0; r < rows; r++) {
    const up = Math.min(rows - 1, r + 1) * cols;
    const down = Math.max(0, r - 1) * cols;
    for (let c = 0; c < cols; c++) {
      const i = r * cols + c;
      const left = c > 0 ? i - 1 : i;
      const right = c < cols - 1 ? i + 1 : i;
      du[i] = ((seen[right] as number) - (seen[left] as number)) / twice;
      dv[i] = ((seen[up + c] as number) - (seen[down + c] as number)) / twice;
    }
  }
  return { rect, cellMm, cols, rows, du, dv, ground, made };
}

/** Heights smoothed by a Gaussian, along the rows and then up the columns. */
function smoothed({ heights, cols, rows }: Field, sigma: number): Float32Array {
  const reach = Math.ceil(3 * sigma);
  if (reach < 1) return heights;
  const weights = Float32Array.from({ length: reach + 1 }, (_, k) =>
    Math.exp(-(k * k) / (2 * sigma * sigma)),
  );
  const sum = weights.reduce((all, w, k) => all + (k === 0 ? w : 2 * w), 0);
  for (let k = 0; k <= reach; k++) weights[k] = (weights[k] as number) / sum;
  const across = new Float32Array(heights.length);
  // One row with its ends drawn out on both sides, so that no sample asks whether it lies past them.
  const long = new Float32Array(cols + 2 * reach);
  for (let r = 0; r < rows; r++) {
    const row = r * cols;
    long.fill(heights[row] as number, 0, reach);
    long.set(heights.subarray(row, row + cols), reach);
    long.fill(heights[row + cols - 1] as number, reach + cols);
    for (let c = 0; c < cols; c++) {
      const at = c + reach;
      let y = (weights[0] as number) * (long[at] as number);
      for (let k = 1; k <= reach; k++)
        y += (weights[k] as number) * ((long[at - k] as number) + (long[at + k] as number));
      across[row + c] = y;
    }
  }
  const done = new Float32Array(heights.length);
  const sums = new Float64Array(cols);
  for (let r = 0; r < rows; r++) {
    const middle = weights[0] as number;
    for (let c = 0; c < cols; c++) sums[c] = middle * (across[r * cols + c] as number);
    for (let k = 1; k <= reach; k++) {
      const weight = weights[k] as number;
      const [low, high] = [Math.max(0, r - k) * cols, Math.min(rows - 1, r + k) * cols];
      for (let c = 0; c < cols; c++)
        sums[c] = (sums[c] as number) + weight * ((across[low + c] as number) + (across[high + c] as number));
    }
    done.set(sums, r * cols);
  }
  return done;
}

/** The same wall in larger cells, for a picture while the light is moved. */
export function coarser(fine: Leaning, times: number): Leaning {
  const cols = Math.max(1, Math.floor(fine.cols / times));
  const rows = Math.max(1, Math.floor(fine.rows / times));
  const du = new Float32Array(cols * rows);
  const dv = new Float32Array(cols * rows);
  const ground = new Uint8Array(cols * rows);
  const made = new Uint16Array(cols * rows);
  const half = Math.floor(times / 2);
  for (let r = 0; r < rows; r++)
    for (let c = 0; c < cols; c++) {
      const i = r * cols + c;
      let [su, sv] = [0, 0];
      for (let y = 0; y < times; y++)
        for (let x = 0; x < times; x++) {
          const k = (r * times + y) * fine.cols + c * times + x;
          su += fine.du[k] as number;
          sv += fine.dv[k] as number;
        }
      const middle = (r * times + half) * fine.cols + c * times + half;
      du[i] = su / (times * times);
      dv[i] = sv / (times * times);
      ground[i] = fine.ground[middle] as number;
      made[i] = fine.made[middle] as number;
    }
  return { rect: fine.rect, cellMm: fine.cellMm * times, cols, rows, du, dv, ground, made };
}

/** Colours by mud over paper and by contrast, as one 32-bit word a pixel; contrast runs over ±1. */
export interface Shades {
  /** `MUD_SHADES + 1` rows of `TONES`. */
  words: Uint32Array;
}
export const TONES = 2048;

export type Rgb = readonly [number, number, number];

/** The painted wall, and bare paper and compound before primer: they differ in colour before they do in shape. */
export const PAINTED: Rgb = [226, 222, 213];
export const PAPER: Rgb = [204, 198, 186];
export const MUD: Rgb = [236, 233, 227];

/** A palette in which a ground between paper and mud is lit by what a cell is brighter or darker. */
export function paletteOf(paper: Rgb, mud: Rgb, mudContrast = 0): Shades {
  const words = new Uint32Array((MUD_SHADES + 1) * TONES);
  const bytes = new Uint8ClampedArray(words.buffer);
  for (let m = 0; m <= MUD_SHADES; m++) {
    const share = m / MUD_SHADES;
    for (let t = 0; t < TONES; t++) {
      const light = Math.max(0, 1 + (2 * t) / TONES - 1 + share * mudContrast);
      const i = m * TONES + t;
      for (let k = 0; k < 3; k++)
        bytes[4 * i + k] = ((paper[k] as number) * (1 - share) + (mud[k] as number) * share) * light;
      bytes[4 * i + 3] = 255;
    }
  }
  return { words };
}

/**
 * The wall as the light shows it: contrast C = slope toward the light ÷ tan of the grazing angle. With the light at
 * distance p off the wall and d along it that is slope · d ÷ p, so no angle is computed cell by cell.
 * @param out a pixel a cell, the top row first
 */
export function shade(leaning: Leaning, light: FaceLight, { words }: Shades, out: Uint32Array): void {
  const { rect, cellMm, cols, rows, du, dv, ground } = leaning;
  const scale = TONES / 2 / light.offMm;
  const half = TONES / 2;
  for (let r = 0; r < rows; r++) {
    const row = r * cols;
    const into = (rows - 1 - r) * cols;
    const y = (rect[1] + (r + 0.5) * cellMm - light.v) * scale;
    const x = (rect[0] + 0.5 * cellMm - light.u) * scale;
    const step = cellMm * scale;
    for (let c = 0; c < cols; c++) {
      const i = row + c;
      const g = ground[i] as number;
      if (g === OUTSIDE) {
        out[into + c] = 0;
        continue;
      }
      const a = du[i] as number;
      const b = dv[i] as number;
      let tone = half;
      // Most of a wall is flat.
      if (a !== 0 || b !== 0) {
        tone = (a * (x + c * step) + b * y + half) | 0;
        if (tone < 0) tone = 0;
        else if (tone > TONES - 1) tone = TONES - 1;
      }
      out[into + c] = words[g * TONES + tone] as number;
    }
  }
}

/** How much two walls of one size differ in the light: darker where the first shows more than the second. */
export function shadeDifference(
  now: Leaning,
  then: Leaning,
  light: FaceLight,
  { words }: Shades,
  out: Uint32Array,
): void {
  const { rect, cellMm, cols, rows } = now;
  for (let r = 0; r < rows; r++)
    for (let c = 0; c < cols; c++) {
      const i = r * cols + c;
      const into = (rows - 1 - r) * cols + c;
      if (now.ground[i] === OUTSIDE) {
        out[into] = 0;
        continue;
      }
      const x = (rect[0] + (c + 0.5) * cellMm - light.u) / light.offMm;
      const y = (rect[1] + (r + 0.5) * cellMm - light.v) / light.offMm;
      const of = (l: Leaning) => Math.abs((l.du[i] as number) * x + (l.dv[i] as number) * y);
      const tone = Math.round((of(now) - of(then)) * (TONES / 2) + TONES / 2);
      out[into] = words[Math.min(TONES - 1, Math.max(0, tone))] as number;
    }
}

/** What shows of one feature: how strongly at most, and where. */
export interface Seen {
  feature: number;
  /** Brighter above 0, darker below. */
  contrast: number;
  at: readonly [u: number, v: number];
}

/** The strongest contrast of every feature by itself, strongest first; where they cross neither is blamed. */
export function seenOn(leaning: Leaning, light: FaceLight): Seen[] {
  const { rect, cellMm, cols, rows, du, dv, ground, made } = leaning;
  const best = new Map<number, { contrast: number; i: number }>();
  for (let r = 0; r < rows; r++) {
    const y = (rect[1] + (r + 0.5) * cellMm - light.v) / light.offMm;
    for (let c = 0; c < cols; c++) {
      const i = r * cols + c;
      const feature = made[i] as number;
      if (feature === 0 || feature === CROSSING || ground[i] === OUTSIDE) continue;
      const x = (rect[0] + (c + 0.5) * cellMm - light.u) / light.offMm;
      const contrast = (du[i] as number) * x + (dv[i] as number) * y;
      const known = best.get(feature);
      if (!known) best.set(feature, { contrast, i });
      else if (Math.abs(contrast) > Math.abs(known.contrast)) Object.assign(known, { contrast, i });
    }
  }
  return [...best]
    .map(([feature, { contrast, i }]): Seen => ({
      feature,
      contrast,
      at: [rect[0] + ((i % cols) + 0.5) * cellMm, rect[1] + (Math.floor(i / cols) + 0.5) * cellMm],
    }))
    .sort((a, b) => Math.abs(b.contrast) - Math.abs(a.contrast));
}
