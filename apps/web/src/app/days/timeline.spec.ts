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

it('shades days of rest and lights working hours', () => {
  expect(t.days.find((d) => d.name.startsWith('Sat'))?.rest ?? true).toBe(true);
  expect(t.hours).toHaveLength(t.days.filter((d) => !d.rest).length);
  const [day, hour] = [t.days[0]!, t.hours[0]!];
  expect(hour.width / day.width).toBeCloseTo(8.5 / 24, 2);
});

it('names days, then Mondays, then months as the plan grows longer', () => {
  const named = (width: number) =>
    layTimeline(made, job.rooms, job.calendar, width, String, String).days.filter((d) => d.name).length;
  expect(named(900)).toBe(t.days.length);
  expect(named(200)).toBeLessThan(t.days.length);
});

it('stands with nothing to show', () => {
  const empty = layTimeline(
    { tasks: [], rooms: [], finish: undefined, labourMin: 0 },
    [],
    job.calendar,
    600,
    String,
    String,
  );
  expect(empty.lanes).toEqual([]);
  expect(empty.days.length).toBeGreaterThan(0);
});
