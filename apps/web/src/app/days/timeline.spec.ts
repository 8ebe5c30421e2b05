import { plan, US, type Days } from '@lisse/core';
import { sampleJob } from '../../testing/app';
import { later, layTimeline } from './timeline';

const job = sampleJob();
const made = plan(job).days;
const lay = (over: Partial<Parameters<typeof layTimeline>[0]> = {}) =>
  layTimeline({
    locale: US,
    days: made,
    rooms: job.rooms,
    calendar: job.calendar,
    width: 900,
    span: undefined,
    open: new Set(),
    ...over,
  });

it('places coats in order, each hardening from where its work ends, and sure a while later', () => {
  const line = lay();
  const { ready } = line.lanes[0]!;
  const bars = line.barsOf(line.lanes[0]!);
  expect(bars.map(({ task }) => task.step)).toEqual(['tape', 'fill', 'finish', 'sand']);
  bars.slice(1).forEach((bar, i) => {
    const { x, work, harden, late } = bars[i]!;
    expect(bar.x).toBeGreaterThanOrEqual(x + work + harden + late - 4);
    expect(late).toBeGreaterThan(0);
  });
  expect(ready?.at).toBe(made.finish);
});

it('opens a room into its coats, and has a row for each person', () => {
  const kinds = (open: string[]) => lay({ open: new Set(open) }).lanes.map(({ kind }) => kind);
  expect(kinds([])).toEqual(['room', 'person']);
  expect(kinds(['hall'])).toEqual(['room', 'task', 'task', 'task', 'task', 'person']);
});

it('grows wider than its frame where only part of the time is to be seen', () => {
  expect(lay().width).toBe(900);
  expect(lay({ span: 1 }).width).toBeGreaterThan(2000);
});

/** Each column of a path as where it begins and how wide it is. */
const columns = (path: string) =>
  [...path.matchAll(/M([\d.]+) 30h([\d.]+)v/g)].map(([, x, width]) => ({
    x: Number(x),
    width: Number(width),
  }));

it('shades days of rest and lights working hours', () => {
  const t = lay();
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
  const named = (width: number) => lay({ width }).names.length;
  expect(named(900)).toBe(columns(lay().dayLines).length);
  expect(named(100)).toBeLessThan(named(900));
});

it('stands with nothing to show, and draws the air where it is reckoned', () => {
  const empty: Days = { ...made, tasks: [], rooms: [], people: [], finish: undefined };
  expect(lay({ days: empty, rooms: [] }).lanes).toEqual([]);
  expect(lay().air).toEqual([]);
  const reckoned = plan({ ...job, climate: { ...job.climate, reckoned: true } }).days;
  const drawn = lay({ days: reckoned });
  expect(drawn.air[0]!.path).toMatch(/^M[\d.]+ [\d.]+L/);
  expect(drawn.leaving.length).toBeGreaterThan(0);
});

it('reckons with the clock on site, over midnight and the end of daylight saving', () => {
  expect(later('2026-10-24T23:30', 60)).toBe('2026-10-25T00:30');
  expect(later('2026-10-25T01:30', 120)).toBe('2026-10-25T03:30');
});
