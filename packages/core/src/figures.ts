import { TYPICAL, type Book } from './book';
import { suppliedWith, WATER_SHARE, type Compound, type Supplied } from './compound';
import { needsOf } from './finish';
import type { Finish, Job, Way } from './job';
import { plan, Reuse } from './plan';
import type { AreaPlan, RoomPlan } from './plan-room';

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
  stops: number;
  warnings: number;
}

const DAY_MS = 86_400_000;

/** What a job comes to. */
export function jobFigures(job: Job, typical: Book = TYPICAL, reuse = new Reuse()): JobFigures {
  const { rooms, totals, order, days, advice } = plan(job, typical, reuse);
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
    stops: advice.filter((a) => a.severity === 'stop').length,
    warnings: advice.filter((a) => a.severity === 'warn').length,
  };
}

/** Solids in a litre of wet compound, kg; setting compound binds its water. */
const solidsKgL = ({ densityKgL, hardens }: Compound): number =>
  densityKgL * (hardens === 'drying' ? 1 - WATER_SHARE : 0.85);

/** Dust of one room: a share of the last coat on each row, and of every coat where it is sanded between. */
export function dustOf(room: Pick<RoomPlan, 'areas'>, way: Pick<Way, 'between'>, book: Supplied): number {
  const ofArea = (area: AreaPlan): number => {
    const { surface } = needsOf(area.finish);
    if (surface === 'none') return 0;
    return area.rows.reduce((sum, { id }) => {
      const coats = area.use.uses.filter((u) => u.row === id && u.wetL > 0 && u.coat !== 'prefill');
      return coats.reduce((all, u, i) => {
        const compound = book.compounds[u.compound];
        const last = i === coats.length - 1 && surface !== 'ridge-free';
        const share = last
          ? book[compound.hardens === 'drying' ? 'dustDrying' : 'dustSetting'].value
          : way.between === 'sand'
            ? book.dustBetween.value
            : 0;
        return all + u.wetL * solidsKgL(compound) * share;
      }, sum);
    }, 0);
  };
  return room.areas.reduce((sum, area) => sum + ofArea(area), 0);
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
