import { SHOTS, type Shot } from './measure';

/** A room as it was really built, known to the simulated meter only, mm. */
export type AsBuilt = Record<Shot, number>;

/** What a simulated meter sends: a reading, or a shot that missed. Marked as simulated, always. */
export interface Reading {
  n: number;
  shot: Shot;
  mm: number | undefined;
  simulated: true;
}

/** A meter's scatter either way, mm, and how often a shot misses; typical. */
export const METER = { scatterMm: 1.5, missed: 0.08 } as const;

/** A room a little out of square and of round sizes, as rooms are. */
export function asBuilt(random: () => number): AsBuilt {
  const size = (least: number, most: number) => least + (most - least) * random();
  const [a, b, height] = [size(3200, 6200), size(2800, 4600), size(2380, 2720)];
  const lean = size(-14, 14);
  const c = a + size(-4, 4);
  const far = [a + lean, Math.sqrt(b * b - lean * lean)] as const;
  const fourth = [far[0] - c, far[1] + size(-3, 3)] as const;
  return {
    'wall-1': a,
    'wall-2': b,
    'wall-3': Math.hypot(far[0] - fourth[0], far[1] - fourth[1]),
    'wall-4': Math.hypot(...fourth),
    'diagonal-1': Math.hypot(...far),
    'diagonal-2': Math.hypot(fourth[0] - a, fourth[1]),
    height,
  };
}

/** Readings of a room in walking order; a shot that misses is taken again. */
export function* shootRoom(room: AsBuilt, random: () => number): Generator<Reading> {
  let n = 0;
  for (const shot of SHOTS) {
    while (random() < METER.missed) yield { n: n++, shot, mm: undefined, simulated: true };
    const mm = Math.round((room[shot] + (2 * random() - 1) * METER.scatterMm) * 10) / 10;
    yield { n: n++, shot, mm, simulated: true };
  }
}
