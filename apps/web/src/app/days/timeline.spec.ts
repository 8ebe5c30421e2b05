import { plan } from '@lisse/core';
import { sampleJob } from '../../testing/app';
import { layTimeline } from './timeline';

const job = sampleJob();
const made = plan(job).days;
const t = layTimeline(
  made,
  job.rooms,
  job.calendar,
  900,
  (task) => task.step,
  (iso) => iso,
);

it('places coats in order, each hardening from where its work ends', () => {
  const bars = t.lanes[0]!.bars;
  expect(bars.map((b) => b.label)).toEqual(['tape', 'fill', 'finish', 'sand']);
  bars
    .slice(1)
    .forEach((bar, i) =>
      expect(bar.x).toBeGreaterThanOrEqual(bars[i]!.x + bars[i]!.work + bars[i]!.harden - 3),
    );
  expect(t.lanes[0]!.ready?.text).toBe(made.finish);
});

/** Each column of a path as where it begins and how wide it is. */
const columns = (path: string) =>
  [...path.matchAll(/M([\d.]+) 30h([\d.]+)v/g)].map(([, x, width]) => ({
    x: Number(x),
    width: Number(width),
  }));

it('shades days of rest and lights working hours', () => {
  const [all, rests, hours] = [t.dayLines, t.rests, t.hours].map(columns) as [
    ReturnType<typeof columns>,
    ReturnType<typeof columns>,
    ReturnType<typeof columns>,
  ];
  expect(rests.every(({ x }) => all.some((day) => day.x === x))).toBe(true);
  expect(hours).toHaveLength(all.length - rests.length);
  expect(hours[0]!.width / all[0]!.width).toBeCloseTo(8.5 / 24, 2);
});

it('names days, then Mondays, then months as the plan grows longer', () => {
  const named = (width: number) =>
    layTimeline(made, job.rooms, job.calendar, width, String, String).names.length;
  expect(named(900)).toBe(columns(t.dayLines).length);
  expect(named(100)).toBeLessThan(columns(t.dayLines).length);
});

it('stands with nothing to show', () => {
  const empty = layTimeline(
    { tasks: [], rooms: [], finish: undefined, labourMin: 0, setupMin: 0, sanity: undefined },
    [],
    job.calendar,
    600,
    String,
    String,
  );
  expect(empty.lanes).toEqual([]);
  expect(columns(empty.dayLines).length).toBeGreaterThan(0);
});
