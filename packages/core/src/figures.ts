import { TYPICAL, type Book } from './book';
import { suppliedWith } from './compound';
import type { Finish, Job, Way } from './job';
import { plan, Reuse } from './plan';
import { dustOf } from './takeoff';

/** A job in the figures that ways of working and grades are held against each other by. */
export interface JobFigures {
  wetL: number;
  tapeMm: number;
  /** Coats of the room that takes most, sanding not counted. */
  coats: number;
  /** Work of one person, min. */
  labourMin: number;
  /** When the last room can be primed, local time. */
  ready: string | undefined;
  /** Days on the calendar from the start until then. */
  days: number;
  /** Dust from sanding, kg. */
  dustKg: number;
  /** What is bought, and the hours at their price. */
  goods: number;
  labour: number;
  /** What it is offered for. */
  bid: number;
  /** Compound bought, L. */
  boughtL: number;
  stops: number;
  warnings: number;
}

const DAY_MS = 86_400_000;

/** What a job comes to. */
export function jobFigures(job: Job, typical: Book = TYPICAL, reuse = new Reuse()): JobFigures {
  const { rooms, totals, order, days, bid, advice } = plan(job, typical, reuse);
  const book = suppliedWith(typical, job);
  const start = Date.parse(`${job.calendar.startDate}T00:00Z`);
  const end = days.finish ? Date.parse(`${days.finish.slice(0, 10)}T00:00Z`) : start;
  return {
    wetL: totals.wetL,
    tapeMm: Object.values(totals.tapeMm).reduce((a, b) => a + b, 0),
    coats: Math.max(0, ...rooms.map((room) => room.steps.filter((s) => s.step !== 'sand').length)),
    labourMin: days.labourMin,
    ready: days.finish,
    days: days.finish ? Math.round((end - start) / DAY_MS) + 1 : 0,
    dustKg: rooms.reduce((sum, room) => sum + dustOf(room, job.way, book), 0),
    goods: order.cost,
    labour: (days.labourMin / 60) * book.priceHour.value,
    bid: bid.total,
    boughtL: order.items.reduce((sum, item) => sum + (item.kind === 'compound' ? item.buy : 0), 0),
    stops: advice.filter((a) => a.severity === 'stop').length,
    warnings: advice.filter((a) => a.severity === 'warn').length,
  };
}

/** The job worked another way. */
export const withWay = (job: Job, way: Way): Job => ({ ...job, way });

/** The job with one area of one room at another grade. */
export function withGrade(job: Job, areaId: string, faces: readonly string[], finish: Finish): Job {
  const [id, face] = areaId.split('/');
  return {
    ...job,
    rooms: job.rooms.map((room) => {
      if (room.id !== id) return room;
      if (face === undefined) return { ...room, finish };
      const own = Object.fromEntries(faces.map((f) => [f, { ...room.faces?.[f], finish }]));
      return { ...room, faces: { ...room.faces, ...own } };
    }),
  };
}
