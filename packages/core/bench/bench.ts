// What the core takes: its rows as JSON, into the file that is named.
import { writeFileSync } from 'node:fs';
import {
  bestLayout,
  cutRows,
  plan,
  ringOf,
  shapeOf,
  simulate,
  stateOf,
  type LayoutInput,
  type LogEntry,
  type Row,
} from '../src';
import { building } from './building-job';
import { daysRow } from './days';
import { editRows } from './edits';
import { goodsRows } from './goods';
import { atMost, median, medianCpu, type BenchRow } from './row';
import { wallRows } from './walls';

const job = building(400);
const made = plan(job);
for (let i = 0; i < 5; i++) plan(job);

const clone = median(15, () => structuredClone(made));
const cloneCpu = medianCpu(15, () => structuredClone(made));
const whole = median(9, () => plan(job));
const wholeCpu = medianCpu(9, () => plan(job));

const bare = {
  edge: 'butt' as const,
  taperDepthMm: 1.6,
  taperWidthMm: 60,
  humpMm: 1,
  humpSpanMm: 400,
  lippageMm: 0,
};
const coats = [
  { bed: { bedMm: 0.6, rampMm: 50, tapeWidthMm: 52, tapeMm: 0.23 }, pulls: [], shrink: 0.18 },
  {
    pulls: [
      { offsetMm: -125, widthMm: 250, camberMm: 0.4 },
      { offsetMm: 125, widthMm: 250, camberMm: 0.4 },
    ],
    shrink: 0.18,
  },
];
const array = new Float64Array(1801).fill(0.1);
const sum = median(2000, () => array.reduce((a, b) => a + b, 0));
const section = median(2000, () => simulate(bare, coats));

/** A wall of 12 m with a door and a window, boarded across its studs. */
const wall = (heightMm: number): LayoutInput[] => {
  const holes = [ringOf([3000, 0, 3900, 2100]), ringOf([7000, 900, 8500, 2100])];
  const input: LayoutInput = {
    shape: shapeOf([ringOf([0, 0, 12000, heightMm])], holes),
    corners: holes.flat(),
    along: 'u',
    from: 'high',
    boardWidthMm: 1200,
    lengthsMm: [2400, 3000, 3600],
    framingMm: 400,
    staggerMm: 400,
    sliverMm: 150,
    inLineMm: 50,
  };
  return [input, { ...input, from: 'low' }];
};
const walls = [2400, 2700, 3600].map((heightMm) => {
  const inputs = wall(heightMm);
  return [heightMm, median(60, () => bestLayout(inputs))] as const;
});

/** Two rows of nine places each: what trying every choice costs, against solving them. */
const rowOf = (): Row => ({
  widthMm: 1200,
  fixed: false,
  runs: [
    {
      from: 0,
      to: 6000,
      lines: Array.from({ length: 9 }, (_, i) => ({ u: 600 * (i + 1), lengthMm: 1200, jamb: false })),
    },
  ],
});
const rules = { lengthsMm: [2400, 3000, 3600], staggerMm: 400, sliverMm: 150 };
const twoRows = [rowOf(), rowOf()];
const solved = median(200, () => cutRows(twoRows, rules));
const tried = median(5, () => {
  let least = Infinity;
  const butts = (mask: number) =>
    twoRows[0]?.runs[0]?.lines.filter((_, i) => mask & (1 << i)).map((l) => l.u) ?? [];
  const row = Array.from({ length: 512 }, (_, mask) => butts(mask)).map((cuts) => {
    const ends = [0, ...cuts, 6000];
    const whole = ends.slice(1).every((end, i) => end - (ends[i] ?? 0) <= 3600);
    return { cuts, cost: whole ? cuts.length * 1200 : Infinity };
  });
  for (const a of row) {
    for (const b of row) {
      const near = a.cuts.some((u) => b.cuts.some((v) => Math.abs(u - v) < 400));
      if (!near && a.cost + b.cost < least) least = a.cost + b.cost;
    }
  }
  if (least !== cutRows(twoRows, rules).score.buttMm)
    throw new Error('The rows laid are not the best there are.');
  return least;
});

/** A long log: every coat of every room begun, laid aside and done, with readings between, told by two phones. */
const log = Array.from({ length: 10000 }, (_, n): LogEntry => ({
  id: `e${String(n).padStart(6, '0')}`,
  at: new Date(Date.UTC(2026, 10, 30, 7) + ((n * 7919) % 10000) * 6e4).toISOString(),
  by: n % 2 === 0 ? 'Ansa' : 'Jori',
  device: n % 2 === 0 ? 'phone' : 'tablet',
  ...(n % 5 === 0
    ? { kind: 'reading', tempC: 18, rhPct: 50 + (n % 30) }
    : {
        kind: (['started', 'paused', 'done', 'ready'] as const)[n % 4] ?? 'done',
        room: `r${n % 400}`,
        step: (['tape', 'fill', 'finish', 'sand'] as const)[(n >> 3) % 4] ?? 'tape',
        toldBy: 'chip',
      }),
  ...(n % 50 === 49 ? { corrects: `e${String(n - 20).padStart(6, '0')}` } : {}),
}));
const fold = median(30, () => stateOf(structuredClone(log)));
const copy = median(30, () => structuredClone(log));

const joints = made.rooms.reduce((n, room) => n + room.joints.length, 0);
const boards = made.rooms.reduce((n, room) => n + room.boards.length, 0);
const rows: BenchRow[] = [
  {
    what: 'structuredClone of the plan',
    took: `${clone.toFixed(0)} ms, ${cloneCpu.toFixed(0)} ms of processor`,
    against: '1',
  },
  {
    what: 'whole plan, nothing kept',
    took: `${whole.toFixed(0)} ms, ${wholeCpu.toFixed(0)} ms of processor`,
    against: `${(whole / clone).toFixed(1)} × the clone, ${(wholeCpu / cloneCpu).toFixed(1)} × by processor`,
    aim: atMost(wholeCpu / cloneCpu, 3, '× by processor'),
  },
  ...editRows(cloneCpu),
  {
    what: 'one butt section, two coats',
    took: `${(section * 1000).toFixed(0)} µs`,
    against: `${(section / sum).toFixed(0)} × one sum over its array`,
  },
  ...walls.map(([heightMm, ms]) => ({
    what: `boards of a 12 m wall ${heightMm / 1000} m high, best of two starts`,
    took: `${ms.toFixed(2)} ms`,
    against: `${(ms / clone).toFixed(3)} × the clone`,
    aim: atMost(ms, 5, 'ms'),
  })),
  {
    what: 'two rows of nine places, solved',
    took: `${(solved * 1000).toFixed(0)} µs`,
    against: `${(tried / solved).toFixed(0)} × faster than trying every choice, with the same result`,
  },
  {
    what: 'a log of 10 000 entries, come to its state',
    took: `${(fold - copy).toFixed(1)} ms`,
    against: `${((fold - copy) / copy).toFixed(1)} × its own copy`,
    aim: atMost(fold - copy, 20, 'ms'),
  },
  ...wallRows(job, median),
  ...goodsRows(median),
  ...[5, 40, 400].map((rooms): BenchRow => {
    const { tasks, firstMs, searchMs, firstGap, gap } = daysRow(rooms);
    const percent = (share: number): string => `${(share * 100).toFixed(1)} %`;
    return {
      what: `days of ${rooms} rooms, ${tasks} tasks: first plan, search`,
      took: `${firstMs.toFixed(1)} ms, ${(searchMs / 1000).toFixed(1)} s`,
      against: `${percent(firstGap)}, then ${percent(gap)} above the bound`,
    };
  }),
];
const about = `A generated building of ${job.rooms.length} rooms: ${boards} boards, ${joints} joints.`;
writeFileSync(process.argv[2] as string, JSON.stringify({ about, rows }));
