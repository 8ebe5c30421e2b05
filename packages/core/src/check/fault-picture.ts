import type { Fault } from '../job';
import {
  emptyField,
  leaningOf,
  MUD_SHADES,
  paletteOf,
  PAINTED,
  PAPER,
  MUD,
  shade,
  type FaceLight,
} from '../light';
import { sequence } from '../units';

/** A piece of wall as a picture shows it, mm, and one cell of it. */
const [WIDE, HIGH, CELL] = [480, 320, 2];
const [MU, MV] = [WIDE / 2, HIGH / 2];
/** The lamp stands low beside its left edge; one looks from near. */
const LAMP: FaceLight = { u: -180, v: MV + 30, offMm: 190 };
const NEAR_MM = 700;

/** How a kind of finding shapes a wall: its height above the plane, mm; and how much mud covers the paper, 0 to 1. */
interface Shape {
  height?: (u: number, v: number) => number;
  mud?: (u: number, v: number) => number;
  /** Under paint, which drinks differently over mud. */
  painted?: true;
}

const bell = (x: number, wide: number): number => Math.exp(-(x * x) / (2 * wide * wide));
/** From 0 to 1 over so many mm about 0. */
const rise = (x: number, over: number): number => Math.min(1, Math.max(0, x / over + 0.5));
const band = (u: number, half: number, edge: number): number =>
  rise(u - MU + half, edge) * rise(MU + half - u, edge);
const patch = (u: number, v: number, r: number, edge: number): number =>
  rise(r - Math.hypot((u - MU) / 1.2, v - MV), edge);

function scattered(n: number, seed: number): [number, number, number][] {
  const next = sequence(seed * 7919);
  return Array.from({ length: n }, () => [next(), next(), next()]);
}
const grain = (u: number, v: number): number => {
  const n = Math.sin(Math.floor(u / 3) * 12.9898 + Math.floor(v / 3) * 78.233) * 43758.5453;
  return n - Math.floor(n) - 0.5;
};
/** How far a place is from a stretch between two others. */
function offLine(
  u: number,
  v: number,
  [a, b]: readonly [number, number],
  [c, d]: readonly [number, number],
): number {
  const t = Math.min(
    1,
    Math.max(0, ((u - a) * (c - a) + (v - b) * (d - b)) / ((c - a) ** 2 + (d - b) ** 2 || 1)),
  );
  return Math.hypot(u - a - t * (c - a), v - b - t * (d - b));
}

const PITS = scattered(70, 7).map(([a, b, c]) => [a * WIDE, b * HIGH, 1.2 + 1.6 * c] as const);
const CRACKS = scattered(9, 11).map(([a, b, c]): [[number, number], [number, number]] => {
  const [u, v] = [60 + a * 360, 40 + b * 240];
  return [
    [u, v],
    [u + 90 * Math.cos(6.28 * c), v + 90 * Math.sin(6.28 * c)],
  ];
});
const SCRATCHES = scattered(6, 5).map(([a, b, c]): [[number, number], [number, number]] => [
  [120 + a * 120, 30 + b * 90],
  [150 + a * 120 + 30 * c, 200 + b * 100],
]);

const SHAPES: Record<Fault, Shape> = {
  'loose-tape': {
    height: (u, v) =>
      0.25 * band(u, 26, 3) +
      1.7 * bell((u - MU) / 1.1, 15) * bell(v - MV, 46) * (1 + 0.12 * Math.sin(v / 7) * Math.cos(u / 5)),
    mud: (u) => band(u, 110, 60),
  },
  'tape-edge': { height: (u) => 0.3 * band(u, 26, 2.5), mud: (u) => band(u, 80, 40) },
  crown: { height: (u) => 1.1 * bell(u - MU, 52), mud: (u) => band(u, 150, 60) },
  hollow: { height: (u, v) => -1.7 * bell(u - MU, 62) * bell(v - MV, 52), mud: (u) => band(u, 150, 60) },
  'edge-crack': {
    height: (u, v) =>
      0.25 * band(u, 26, 6) - 0.9 * bell(u - MU - 27 - 1.6 * Math.sin(v / 19) - Math.sin(v / 7), 1.6),
    mud: (u) => band(u, 110, 50),
  },
  ridge: {
    height: (u, v) => (1.3 + 0.15 * Math.sin(v / 30)) * bell(u - MU, 5),
    mud: (u) => band(u, 150, 60),
  },
  'hair-cracks': {
    height: (u, v) => -0.5 * Math.max(...CRACKS.map(([a, b]) => bell(offLine(u, v, a, b), 1))),
    mud: () => 1,
  },
  pinholes: {
    height: (u, v) => -0.9 * Math.max(...PITS.map(([a, b, r]) => bell(Math.hypot(u - a, v - b), r))),
    mud: () => 1,
  },
  shoulders: { height: (u) => 0.55 * band(u, 115, 7), mud: (u) => band(u, 116, 6) },
  scratches: {
    height: (u, v) =>
      SCRATCHES.reduce(
        (sum, [a, b]) =>
          sum - 0.4 * bell(offLine(u, v, a, b), 1.2) + 0.9 * bell(Math.hypot(u - a[0], v - a[1]), 3),
        0,
      ),
    mud: () => 1,
  },
  soft: {
    height: (u, v) => patch(u, v, 90, 30) * (0.45 * grain(u, v) - 0.3),
    mud: () => 1,
  },
  flashing: { mud: (u) => band(u, 74, 8), painted: true },
  'heads-show': {
    height: (u, v) =>
      [60, 160, 260].reduce((sum, at) => {
        const r = Math.hypot(u - MU, v - at);
        return sum + 0.35 * bell(r, 24) - 0.75 * bell(r, 7);
      }, 0),
    mud: (u, v) => Math.max(...[60, 160, 260].map((at) => rise(46 - Math.hypot(u - MU, v - at), 16))),
  },
  'wavy-angle': {
    height: (u, v) => {
      const at = MU + 9 * Math.sin(v / 34);
      return 0.018 * Math.abs(u - at) - 1.1 * bell(u - at, 4);
    },
    mud: (u) => band(u, 90, 40),
  },
  gouge: {
    height: (u, v) =>
      [0, 34, 68].reduce((sum, by) => {
        const [x, y] = [u - 150 - by, v - 70];
        return sum - (x > 0 ? 0.6 : 0) * bell(Math.hypot(x, y) - 130, 7) * rise(y + 10, 40);
      }, 0),
    mud: () => 1,
  },
  fuzzed: {
    height: (u, v) => (1 - band(u, 70, 30)) * 0.16 * (grain(u * 0.35, v) + grain(u, v * 0.2)),
    mud: (u) => band(u, 70, 30),
  },
  dent: {
    height: (u, v) => {
      const r = Math.hypot((u - MU) / 1.3, v - MV);
      return -2.2 * bell(r, 15) + 0.35 * bell(r - 34, 7);
    },
  },
  other: {},
};

/** What a picture is made of: a pixel a cell, the top row first. */
export interface FaultPicture {
  cols: number;
  rows: number;
  pixels: Uint32Array<ArrayBuffer>;
}

/** A kind of finding as a lamp held along the wall shows it. */
export function faultPicture(fault: Fault): FaultPicture {
  const { height, mud, painted } = SHAPES[fault];
  const field = emptyField([0, 0, WIDE, HIGH], CELL);
  const { cols, rows, heights, ground } = field;
  for (let r = 0; r < rows; r++)
    for (let c = 0; c < cols; c++) {
      const [u, v] = [(c + 0.5) * field.cellMm, (r + 0.5) * field.cellMm];
      heights[r * cols + c] = height?.(u, v) ?? 0;
      ground[r * cols + c] = Math.round(MUD_SHADES * (mud?.(u, v) ?? 0));
    }
  const palette = painted ? paletteOf(PAINTED, PAINTED, -FLASHES) : paletteOf(PAPER, MUD);
  const pixels = new Uint32Array(cols * rows);
  shade(leaningOf(field, NEAR_MM), LAMP, palette, pixels);
  return { cols, rows, pixels };
}

/** How much darker mud stands under a sheen in the picture, a share. */
const FLASHES = 0.12;
