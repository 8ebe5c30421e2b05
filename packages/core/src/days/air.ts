import type { Book } from '../book';
import {
  airFactor,
  balancing,
  vapourOf,
  type Airing,
  type AirHour,
  type AiredRoom,
  type OpenDoor,
  type RoomAir,
  type WetCoat,
} from '../drying';
import type { AirCare, Climate } from '../job';
import type { Schedule, Scheduler } from './schedule';
import type { RoomRows } from './nodes';
import type { Sitework } from './tasks';
import type { RowStep, Wait } from './work';

/** The air of a room at one time, and the water still in its coats. */
export interface AirAt {
  room: string;
  at: string;
  tempC: number;
  rhPct: number;
  waterL: number;
}

/** What the air of the rooms comes to. */
export interface AirPlan {
  air: AirAt[];
  /** Water that must leave the building on each day, L. */
  leaving: { date: string; litres: number }[];
  /** What fans, heat and dehumidifiers use, kWh, and cost. */
  power: { fansKWh: number; heatKWh: number; dryingKWh: number; cost: number };
}

/** As far as the air is reckoned past the last coat, h. */
const AFTER_H = 21 * 24;
/** Where there are more rooms, steps are longer: a coat's time is the same within a few minutes. */
const MANY_ROOMS = 50;
/** No longer than that in all, h. */
const MOST_H = 400 * 24;

/** Weather outside by the hour, from midnight of the first day. */
export function outsideOf(climate: Climate, startDate: string): (hour: number) => AirHour {
  const { weather = [], outside, tempC, rhPct } = climate;
  if (weather.length > 0) {
    const startMs = Date.parse(`${startDate}T00:00Z`);
    const byHour = new Map<number, AirHour>();
    let [first, last] = [Infinity, -Infinity];
    for (const one of weather) {
      const hour = Math.floor((Date.parse(`${one.at}Z`) - startMs) / 36e5);
      byHour.set(hour, { tempC: one.tempC, vapour: vapourOf(one.tempC, one.rhPct / 100) });
      [first, last] = [Math.min(first, hour), Math.max(last, hour)];
    }
    // Before the first day and after the last it goes on as that day was; a gap is as the hour before it.
    const within = (hour: number): number =>
      hour > last ? last - 23 + ((hour - last - 1) % 24) : Math.max(first, hour);
    return (hour) => {
      for (let h = Math.max(first, within(hour)); h >= first; h--) {
        const found = byHour.get(h);
        if (found) return found;
      }
      return byHour.get(first) as AirHour;
    };
  }
  if (!outside) {
    const always = { tempC, vapour: vapourOf(tempC, rhPct / 100) };
    return () => always;
  }
  const { lowC, highC } = outside;
  const mean = (lowC + highC) / 2;
  const vapour = vapourOf(mean, outside.rhPct / 100);
  // Coldest before dawn, warmest in the afternoon.
  return (hour) => ({
    tempC: mean + ((highC - lowC) / 2) * Math.sin(((hour - 9) / 24) * 2 * Math.PI),
    vapour,
  });
}

/** What is done to the air of a room in an hour: what is said last of it on that day, else as the job has it. */
function careOf(climate: Climate, room: string, site: Sitework, book: Book): (hour: number) => Airing {
  const own = (climate.care ?? []).filter((one) => one.room === undefined || one.room === room);
  const days = new Map<number, Airing>();
  const dated = own.some(({ from, to }) => from !== undefined || to !== undefined);
  const lookUp = (day: number): Airing => {
    const date = site.base.iso(day * 1440).slice(0, 10);
    const holds = own.filter(({ from, to }) => (from ?? date) <= date && (to ?? date) >= date);
    const last = <K extends keyof AirCare>(key: K): AirCare[K] | undefined =>
      holds.map((one) => one[key]).findLast((value) => value !== undefined);
    const fan = last('fan') ?? climate.air === 'fan';
    return {
      changesPerH: last('changesPerH') ?? book[`changes-${fan ? 'fan' : climate.air}`].value,
      heatC: site.readC.get(room) ?? last('heatC') ?? climate.tempC,
      dryGPerH: ((last('dryLPerDay') ?? 0) * 1000) / 24,
      dryTo: book.dryToShare.value,
      speed: fan ? 1 / airFactor('fan', book) : 1,
    };
  };
  return (hour) => {
    // Where nothing is said of single days they are all alike.
    const day = dated ? Math.floor(hour / 24) : 0;
    let care = days.get(day);
    if (!care) days.set(day, (care = lookUp(day)));
    return care;
  };
}

/** A coat of a row as it was laid, and the row it stands for. */
interface Laid extends WetCoat {
  row: RowStep;
  endMin: number;
  /** Until something is laid on it, min: never for the last, nothing for one that is laid already. */
  freeMin: number;
}

/** How long a coat waits in the air, and until something is laid on it. */
export interface AirWait extends Wait {
  freeMin: number;
}

/** The waits of a room's coats by their steps and the rows of those; none where they do not go by the air. */
export type RoomWaits = readonly (readonly (AirWait | undefined)[])[];

/** The air through a schedule, and how long each coat waits in it, room by room. */
export interface ComputedAir {
  air: RoomAir[];
  hours: number;
  waits: RoomWaits[];
  /** What was laid in each room. */
  laid: readonly (readonly Laid[])[];
}

/**
 * The air of the rooms as a schedule has them coated.
 * @param before the same with another schedule: rooms that were coated at the same times have the same air
 * @yields again and again, for others to be let in
 */
export function* reckon(
  climate: Climate,
  scheduler: Scheduler,
  { start, end }: Schedule,
  book: Book,
  before?: ComputedAir,
): Generator<undefined, ComputedAir> {
  const { site } = scheduler;
  const startDate = site.base.iso(0).slice(0, 10);
  const laid: Laid[][] = site.rooms.map(() => []);
  const lay = (room: number, rows: readonly RowStep[], endMin: number, freeMin: number) => {
    for (const row of rows)
      if (row.waterG > 0 && row.dryFactor > 0)
        laid[room]?.push({
          row,
          endMin,
          freeMin,
          // A coat that sets first gives off its water from then on.
          atH: (endMin + row.setsMin) / 60,
          waterG: row.waterG,
          factor: row.dryFactor,
        });
  };
  for (const { room, rows, endMin } of site.past) lay(room, rows, endMin, 0);
  const nextAt = new Float64Array(site.tasks.length).fill(Infinity);
  site.tasks.forEach(({ after }, i) => {
    for (const { before: under } of after)
      nextAt[under] = Math.min(nextAt[under] as number, start[i] as number);
  });
  site.tasks.forEach(({ room, rows }, i) =>
    lay(room, rows, end[i] as number, (nextAt[i] as number) - (end[i] as number)),
  );
  let last = 0;
  for (const coats of laid) for (const { atH } of coats) last = Math.max(last, atH);
  const hours = Math.min(MOST_H, Math.ceil(last + AFTER_H));
  const rooms = site.rooms.map(({ id, volumeM3 }, i): AiredRoom => ({
    volumeM3: Math.max(1, volumeM3),
    coats: laid[i] ?? [],
    care: careOf(climate, id, site, book),
  }));
  const balanced = yield* balancing(rooms, outsideOf(climate, startDate), hours, {
    doors: doorsOf(climate, site.rooms, book),
    startRh: climate.rhPct / 100,
    stepH: site.rooms.length > MANY_ROOMS ? 0.5 : 0.125,
    known: laid.map((coats, i) => sameAir(coats, before, i)),
  });
  const waits = site.rooms.map(({ steps }, i): RoomWaits => {
    const { dryAtH } = balanced.air[i] as RoomAir;
    const coats = new Map(
      (laid[i] ?? []).map(({ row, endMin, freeMin }, n) => {
        const hardenMin = (dryAtH[n] ?? hours) * 60 - endMin;
        const wait: AirWait = {
          earlyMin: hardenMin * book.dryEarly.value,
          hardenMin,
          lateMin: hardenMin * book.dryLate.value,
          freeMin,
        };
        return [row, wait];
      }),
    );
    return steps.map(({ rows }) =>
      rows.map((row) => (row.how === 'drying' && !row.byHand ? coats.get(row) : undefined)),
    );
  });
  return { ...balanced, waits, laid };
}

/** The air of a room as it was reckoned before, where it was coated at the very same times and got dry. */
function sameAir(coats: readonly Laid[], before: ComputedAir | undefined, room: number): RoomAir | undefined {
  const [was, air] = [before?.laid[room], before?.air[room]];
  const isSame =
    was?.length === coats.length &&
    coats.every(({ atH, waterG, factor }, n) => {
      const old = was[n] as Laid;
      return old.atH === atH && old.waterG === waterG && old.factor === factor;
    });
  return isSame && air?.dryAtH.every((at) => at !== undefined) ? air : undefined;
}

function doorsOf({ doors = [] }: Climate, rooms: readonly RoomRows[], book: Book): OpenDoor[] {
  const index = new Map(rooms.map(({ id }, i) => [id, i]));
  return doors.flatMap(({ a, b, open }): OpenDoor[] => {
    const between = [index.get(a), index.get(b)] as const;
    if (between[0] === undefined || between[1] === undefined || between[0] === between[1]) return [];
    return [{ between: [between[0], between[1]], m3PerH: book.doorM3H.value, open: () => open }];
  });
}

/** A row that waits so long. */
export const asWaits = (row: RowStep, { earlyMin, hardenMin, lateMin }: Wait): RowStep => ({
  ...row,
  earlyMin,
  hardenMin,
  lateMin,
});

/** A room with the waits of its coats as they were reckoned. */
export const withWaits = <R extends RoomRows>(room: R, waits: RoomWaits): R => ({
  ...room,
  steps: room.steps.map((one, s) => ({
    ...one,
    rows: one.rows.map((row, r) => {
      const wait = waits[s]?.[r];
      return wait ? asWaits(row, wait) : row;
    }),
  })),
});

/** Rows of air so many hours apart at least, so that a building's plan does not consist of them. */
const EVERY_H = [1, 3, 6, 12, 24];
const MOST_ROWS = 4000;

/** What is told of the air: by the hour where there are few rooms, from the first coat until all is dry. */
export function airOf(
  { air, hours }: ComputedAir,
  climate: Climate,
  scheduler: Scheduler,
  book: Book,
): AirPlan {
  const { site } = scheduler;
  const until = hours;
  const every = EVERY_H.find((h) => (until / h) * air.length <= MOST_ROWS) ?? 24;
  // Making a time's text is slow, and the rooms share their hours.
  const times = Array.from({ length: Math.ceil(until / every) }, (_, n) =>
    site.base.iso((n * every + 1) * 60),
  );
  const rooms: AirAt[] = [];
  for (const [i, { hours: told, tempC, rh, waterG }] of air.entries()) {
    const room = site.rooms[i]?.id ?? '';
    for (let n = 0; n < told.length; n++) {
      const hour = told[n] as number;
      if (hour % every !== 0) continue;
      rooms.push({
        room,
        at: times[hour / every] as string,
        tempC: Math.round((tempC[n] as number) * 10) / 10,
        rhPct: Math.round((rh[n] as number) * 100),
        waterL: Math.round(waterG[n] as number) / 1000,
      });
    }
  }
  const leaving = leavingOf(air, site, until);
  const days = Math.ceil(until / 24);
  let [fans, heat, drying] = [0, 0, 0];
  const colder = degreeHours(outsideOf(climate, site.base.iso(0).slice(0, 10)), until);
  air.forEach(({ driedG }, i) => {
    const { id, volumeM3 } = site.rooms[i] as RoomRows;
    const care = careOf(climate, id, site, book);
    let fanDays = 0;
    for (let day = 0; day < days; day++) if (care(day * 24).speed > 1) fanDays++;
    fans += fanDays * 24 * book.fanKW.value;
    heat += (colder(care) * book.heatWM3K.value * volumeM3) / 1000;
    drying += (driedG / 1000) * book.dryKWhL.value;
  });
  return {
    air: rooms,
    leaving,
    power: {
      fansKWh: fans,
      heatKWh: heat,
      dryingKWh: drying,
      cost: (fans + heat + drying) * book.priceKWh.value,
    },
  };
}

/** How much colder than a room the outside is, through all hours, °C·h; rooms held at one temperature share it. */
function degreeHours(
  outside: (hour: number) => AirHour,
  hours: number,
): (care: (hour: number) => Airing) => number {
  const cold = Float64Array.from({ length: hours }, (_, hour) => outside(hour).tempC);
  const known = new Map<number, number>();
  return (care) => {
    const sum = (heatAt: (hour: number) => number): number =>
      cold.reduce((all, tempC, hour) => all + Math.max(0, heatAt(hour) - tempC), 0);
    const first = care(0).heatC ?? -Infinity;
    let same = true;
    for (let hour = 0; hour < hours; hour += 24) same &&= (care(hour).heatC ?? -Infinity) === first;
    if (!same) return sum((hour) => care(hour).heatC ?? -Infinity);
    let all = known.get(first);
    if (all === undefined) known.set(first, (all = sum(() => first)));
    return all;
  };
}

/** Water given off on each day by all rooms, L. */
function leavingOf(air: readonly RoomAir[], site: Sitework, until: number): AirPlan['leaving'] {
  const grams = new Float64Array(Math.ceil(until / 24));
  for (const { hours, givenG } of air)
    for (let n = 0; n < hours.length; n++) {
      const day = Math.floor((hours[n] as number) / 24);
      grams[day] = (grams[day] as number) + (givenG[n] as number);
    }
  return Array.from(grams, (g, day) => ({
    date: site.base.iso(day * 1440).slice(0, 10),
    litres: Math.round(g / 10) / 100,
  }));
}
