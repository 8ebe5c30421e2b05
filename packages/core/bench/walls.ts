import {
  coarser,
  leaningOf,
  newRoom,
  PAINTED,
  paletteOf,
  plan,
  SectionMemo,
  shade,
  suppliedWith,
  TYPICAL,
  wallOf,
  type FaceLight,
  type Job,
} from '../src';
import { atMost, type BenchRow, type Median } from './row';

/** A wall of 4.8 × 2.4 m in cells of 4 mm: drawn, and lit at rest and while the lamp is moved. */
export function wallRows(job: Job, median: Median): BenchRow[] {
  const room = newRoom('wall', 'Wall', 'metric', { lengthMm: 4800, widthMm: 3600, heightMm: 2400 });
  const only: Job = { ...job, rooms: [{ ...room, joints: { 'wall-0.butt-1': { humpMm: 2 } } }] };
  const planned = plan(only).rooms[0];
  const first = only.rooms[0];
  if (!planned || !first) throw new Error('The room was not planned.');
  const book = suppliedWith(TYPICAL, undefined);
  const draw = () =>
    wallOf(planned, first, only.way, book, new SectionMemo(), { face: 'wall-0', stage: 'finish' });
  const wall = draw();
  if (!wall) throw new Error('The wall was not drawn.');
  const fine = leaningOf(wall.field);
  const coarse = coarser(fine, 4);
  const palette = paletteOf(PAINTED, PAINTED);
  const cells = wall.field.heights.length;
  const copied = new Float32Array(cells);
  const pass = median(200, (i) => {
    const { heights } = wall.field;
    const by = 1 + i / 1000;
    for (let k = 0; k < cells; k++) copied[k] = (heights[k] as number) * by;
  });
  const light = (i: number): FaceLight => ({ u: -500 + i, v: 1200, offMm: 400 });
  const out = new Uint32Array(cells);
  const lit = median(200, (i) => shade(fine, light(i), palette, out));
  const moved = median(200, (i) => shade(coarse, light(i), palette, out));
  const drawn = median(9, draw);
  const leaned = median(9, () => leaningOf(wall.field));
  const against = (ms: number) =>
    `${(ms / pass).toFixed(1)} × one multiply-copy pass over its ${cells} cells`;
  return [
    {
      what: 'one multiply-copy pass over a 4.8 × 2.4 m wall at 4 mm',
      took: `${pass.toFixed(2)} ms`,
      against: '1',
    },
    {
      what: 'that wall lit, lamp at rest',
      took: `${lit.toFixed(2)} ms`,
      against: against(lit),
      aim: atMost(lit / pass, 12, 'passes'),
    },
    {
      what: 'that wall lit coarsely, lamp moving',
      took: `${moved.toFixed(2)} ms`,
      against: against(moved),
      aim: atMost(moved, 16, 'ms'),
    },
    { what: 'that wall drawn from its sections', took: `${drawn.toFixed(0)} ms`, against: against(drawn) },
    { what: 'that wall smoothed as the eye does', took: `${leaned.toFixed(0)} ms`, against: against(leaned) },
  ];
}
