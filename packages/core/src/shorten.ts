import { applyChanges, cellChange, inJob, inRoom, oneMoreHand, type Change } from './advice';
import { TYPICAL, type Book } from './book';
import { suppliedWith } from './compound';
import { coatOf, searchDays, type Days } from './days';
import { gradeName, smallestFinish } from './finish';
import type { Job } from './job';
import { plan, Reuse, type Making, type Plan } from './plan';
import { say, type Message } from './texts';
import { moreCost } from './tried';
import { solved } from './units';

/** Something that could have all ready sooner, as a press. */
export interface Shortening {
  id: string;
  press: Message;
  /** What it asks for in return. */
  risk: Message;
  changes: Change[];
}

/** What it comes to, found by planning the job with it. */
export interface Shortened extends Shortening {
  finish: string;
  /** How much sooner, as the clock runs, min. */
  soonerMin: number;
  /** More work, min of one person; more money for goods, hours and power. */
  labourMin: number;
  cost: number;
}

/** Warm enough for any compound, and as much warmer as a heater makes it: °C. */
const WARM_C = 24;
const WARMER_C = 4;
const DRY_PCT = 40;
/** A dehumidifier as it is hired, L a day. */
const DRY_L = 30;

type Find = (job: Job, days: Days, made: Plan) => Omit<Shortening, 'id'> | undefined;

/** Every way to be ready sooner that is known; each says whether the job has room for it. */
const WAYS: Record<string, Find> = {
  setting: ({ way }) => {
    if (way.tools === 'machine' || (way.compounds !== 'drying' && way.compounds !== 'setting-below'))
      return undefined;
    const to = way.compounds === 'drying' ? 'setting-below' : 'setting-same-day';
    return {
      press: to === 'setting-below' ? say('shorten.setting') : say('shorten.same-day'),
      risk: say('shorten.setting.risk'),
      changes: [inJob(['way', 'compounds'], to)],
    };
  },
  fan: ({ climate }) =>
    climate.air === 'fan'
      ? undefined
      : {
          press: say('shorten.fan'),
          risk: say('shorten.fan.risk'),
          changes: [inJob(['climate', 'air'], 'fan')],
        },
  dry: ({ climate, rooms }, { decides }) => {
    if (climate.reckoned !== true) {
      if (climate.rhPct <= DRY_PCT) return undefined;
      return {
        press: say('shorten.dry-air', { to: DRY_PCT / 100 }),
        risk: say('shorten.dry.risk'),
        changes: [inJob(['climate', 'rhPct'], DRY_PCT)],
      };
    }
    const room = rooms.find(({ id }) => id === decides?.room);
    const care = climate.care ?? [];
    const id = room ? `dry-${room.id}`.slice(0, 60) : 'dry';
    if (care.some((one) => one.id === id)) return undefined;
    const one = { id, dryLPerDay: DRY_L, ...(room ? { room: room.id } : {}) };
    return {
      press: room ? say('shorten.dry-room', { room: room.name }) : say('shorten.dry-all'),
      risk: say('shorten.dry.risk'),
      changes: [inJob(['climate', 'care'], [...care, one])],
    };
  },
  heat: ({ climate }) => {
    const to = Math.min(WARM_C, climate.tempC + WARMER_C);
    if (to - climate.tempC < 1) return undefined;
    return {
      press: say('shorten.heat', { to }),
      risk: say('shorten.heat.risk'),
      changes: [inJob(['climate', 'tempC'], to)],
    };
  },
  hand: ({ calendar }) => ({
    press: say('shorten.hand'),
    risk: say('shorten.hand.risk'),
    changes: [oneMoreHand(calendar)],
  }),
  saturday: ({ calendar: { weekdays } }) => {
    if (weekdays.includes(6)) return undefined;
    const value = [...weekdays, 6];
    return {
      press: say('shorten.saturday'),
      risk: say('shorten.saturday.risk'),
      changes: [inJob(['calendar', 'weekdays'], value)],
    };
  },
  layers: (_, { decides }, made) => {
    const room = made.rooms.find(({ id }) => id === decides?.room);
    const coat = decides?.step && coatOf(decides.step);
    if (decides?.how !== 'drying' || !room || !coat || coat === 'skim') return undefined;
    const uses = room.areas.flatMap(({ rows, use }) =>
      use.uses.flatMap((part) => {
        const row = rows.find(({ id }) => id === part.row);
        return part.coat === coat && row && part.hardens ? [{ part, row }] : [];
      }),
    );
    const slowest = uses.sort((a, b) => b.part.waitMin - a.part.waitMin)[0];
    const cell = slowest?.row.cells.find((one) => one.coat === coat);
    if (!slowest || !cell || cell.layers >= 3) return undefined;
    return {
      press: say('shorten.layers', {
        element: say(`element.${slowest.row.element}`),
        layers: cell.layers + 1,
      }),
      risk: say('shorten.layers.risk'),
      changes: cellChange(room, slowest.row, coat, 'layers', cell.layers + 1),
    };
  },
  grade: ({ rooms }, { decides, rooms: ready }) => {
    const last = [...ready].sort((a, b) => (a.ready < b.ready ? 1 : -1))[0]?.room;
    const room = rooms.find(({ id }) => id === (decides?.room ?? last));
    if (!room || room.finish.grade <= 1) return undefined;
    const lower = { ...room.finish, grade: room.finish.grade - 1 } as typeof room.finish;
    const least = smallestFinish(room.decoration, room.light, room.finish.scale);
    return {
      press: say('shorten.grade', { grade: gradeName(lower), room: room.name }),
      risk:
        lower.grade < least.grade
          ? say('shorten.grade.less', { asks: gradeName(least) })
          : say('shorten.grade.risk'),
      changes: [inRoom(room.id, ['finish', 'grade'], lower.grade)],
    };
  },
};

/** A search so much shorter, for it is made for every way. */
const EFFORT = 0.1;
/** Sooner by less than this is not told, min. */
const LEAST_SOONER_MIN = 30;

/** Holds a job against itself with one thing changed, one after the other. */
export class Shortener {
  private readonly before: Plan;
  private readonly found: { id: string; find: Omit<Shortening, 'id'> }[];

  constructor(
    private readonly job: Job,
    private readonly site: Making['site'] = undefined,
    private readonly typical: Book = TYPICAL,
    private readonly reuse = new Reuse(),
  ) {
    this.before = this.best(job, reuse);
    this.found = Object.entries(WAYS).flatMap(([id, way]) => {
      const find = way(job, this.before.days, this.before);
      return find ? [{ id, find }] : [];
    });
  }

  /** How many ways there are to try. */
  get count(): number {
    return this.found.length;
  }

  /** What one of them comes to; none where all is ready no sooner. */
  try(n: number): Shortened | undefined {
    const one = this.found[n];
    if (!one) return undefined;
    const job = structuredClone(this.job);
    applyChanges(job, one.find.changes);
    const after = this.best(job, this.reuse.beside());
    const [was, is] = [this.before.days.finish, after.days.finish];
    if (was === undefined || is === undefined) return undefined;
    const soonerMin = (Date.parse(`${was}Z`) - Date.parse(`${is}Z`)) / 60000;
    if (soonerMin < LEAST_SOONER_MIN) return undefined;
    const labourMin = after.days.labourMin - this.before.days.labourMin;
    const cost = moreCost([this.job, this.before], [job, after], suppliedWith(this.typical, this.job));
    return { id: one.id, ...one.find, finish: is, soonerMin, labourMin, cost };
  }

  private best(job: Job, reuse: Reuse): Plan {
    const site = this.site ?? { log: job.log ?? [] };
    const ruled = plan(job, this.typical, reuse, { site });
    const book = suppliedWith(this.typical, job);
    const { run, proved } = solved(searchDays(job, ruled.rooms, book, site, { effort: EFFORT }));
    return plan(job, this.typical, reuse, { site, days: { run, proved } });
  }
}
