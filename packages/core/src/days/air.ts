import type { Book } from '../book';
import {
  airFactor,
  balance,
  vapourOf,
  type Airing,
  type AirHour,
  type AiredRoom,
  type OpenDoor,
  type RoomAir,
  type WetCoat,
} from '../drying';
import type { AirCare, Climate, Step } from '../job';
import type { Schedule, Scheduler } from './schedule';
import type { RoomRows, Sitework } from './tasks';
import { keyOf, type RowStep, type Wait } from './work';

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
  if (!outside) return () => ({ tempC, vapour: vapourOf(tempC, rhPct / 100) });
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
  key: string;
  row: RowStep;
  endMin: number;
}

export const waitKey = (room: number, step: Step, row: RowStep): string => `${room}|${step}|${keyOf(row)}`;

/** The air through a schedule, and how long each coat waits in it. */
export interface Reckoned {
  air: RoomAir[];
  hours: number;
  waits: Map<string, Wait>;
}

/** The air of the rooms as a schedule has them coated. */
export function reckon(climate: Climate, scheduler: Scheduler, { end }: Schedule, book: Book): Reckoned {
  const { site } = scheduler;
  const startDate = site.base.iso(0).slice(0, 10);
  const laid: Laid[][] = site.rooms.map(() => []);
  const lay = (room: number, step: Step, rows: readonly RowStep[], endMin: number) => {
    for (const row of rows)
      if (row.waterG > 0 && row.dryFactor > 0)
        laid[room]?.push({
          key: waitKey(room, step, row),
          row,
          endMin,
          // A coat that sets first gives off its water from then on.
          atH: (endMin + row.setsMin) / 60,
          waterG: row.waterG,
          factor: row.dryFactor,
        });
  };
  for (const { room, step, rows, endMin } of site.past) lay(room, step, rows, endMin);
  site.tasks.forEach(({ room, step, rows }, i) => lay(room, step, rows, end[i] as number));
  const last = laid.flat().reduce((most, { atH }) => Math.max(most, atH), 0);
  const hours = Math.min(MOST_H, Math.ceil(last + AFTER_H));
  const rooms = site.rooms.map(({ id, volumeM3 }, i): AiredRoom => ({
    volumeM3: Math.max(1, volumeM3),
    coats: laid[i] ?? [],
    care: careOf(climate, id, site, book),
  }));
  const air = balance(rooms, outsideOf(climate, startDate), hours, {
    doors: doorsOf(climate, site.rooms, book),
    startRh: climate.rhPct / 100,
    stepH: site.rooms.length > MANY_ROOMS ? 0.5 : 0.125,
  });
  const waits = new Map<string, Wait>();
  air.forEach(({ dryAtH }, i) =>
    (laid[i] ?? []).forEach(({ key, row, endMin }, n) => {
      if (row.how !== 'drying' || row.byHand) return;
      const hardenMin = (dryAtH[n] ?? hours) * 60 - endMin;
      waits.set(key, {
        earlyMin: hardenMin * book.dryEarly.value,
        hardenMin,
        lateMin: hardenMin * book.dryLate.value,
      });
    }),
  );
  return { air, hours: air[0]?.rh.length ?? hours, waits };
}

function doorsOf({ doors = [] }: Climate, rooms: readonly RoomRows[], book: Book): OpenDoor[] {
  const index = new Map(rooms.map(({ id }, i) => [id, i]));
  return doors.flatMap(({ a, b, open }): OpenDoor[] => {
    const between = [index.get(a), index.get(b)] as const;
    if (between[0] === undefined || between[1] === undefined || between[0] === between[1]) return [];
    return [{ between: [between[0], between[1]], m3PerH: book.doorM3H.value, open: () => open }];
  });
}

/** Rooms with the waits of their coats as they were reckoned. */
export function withWaits<R extends RoomRows>(rooms: readonly R[], waits: ReadonlyMap<string, Wait>): R[] {
  return rooms.map((room, i) => ({
    ...room,
    steps: room.steps.map((one) => ({
      ...one,
      rows: one.rows.map((row) => ({ ...row, ...waits.get(waitKey(i, one.step, row)) })),
    })),
  }));
}

/** Rows of air so many hours apart at least, so that a building's plan does not consist of them. */
const EVERY_H = [1, 3, 6, 12, 24];
const MOST_ROWS = 4000;

/** What is told of the air: by the hour where there are few rooms, from the first coat until all is dry. */
export function airOf({ air, hours }: Reckoned, climate: Climate, scheduler: Scheduler, book: Book): AirPlan {
  const { site } = scheduler;
  const until = hours;
  const every = EVERY_H.find((h) => (until / h) * air.length <= MOST_ROWS) ?? 24;
  const rooms = air.flatMap(({ tempC, rh, waterG }, i) => {
    const told: AirAt[] = [];
    for (let hour = 0; hour < until; hour += every) {
      if (Number.isNaN(rh[hour])) continue;
      told.push({
        room: site.rooms[i]?.id ?? '',
        at: site.base.iso((hour + 1) * 60),
        tempC: Math.round((tempC[hour] as number) * 10) / 10,
        rhPct: Math.round((rh[hour] as number) * 100),
        waterL: Math.round(waterG[hour] as number) / 1000,
      });
    }
    return told;
  });
  const leaving = leavingOf(air, site, until);
  const days = Math.ceil(until / 24);
  let [fans, heat, drying] = [0, 0, 0];
  const colder = degreeHours(outsideOf(climate, site.base.iso(0).slice(0, 10)), until);
  air.forEach(({ driedG }, i) => {
    const { id, volumeM3 } = site.rooms[i] as RoomRows;
    const care = careOf(climate, id, site, book);
    const fanDays = Array.from({ length: days }, (_, day) => care(day * 24)).filter(
      ({ speed }) => speed > 1,
    ).length;
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
    const isSame = Array.from(
      { length: Math.ceil(hours / 24) },
      (_, day) => care(day * 24).heatC ?? -Infinity,
    );
    if (isSame.some((heatC) => heatC !== first)) return sum((hour) => care(hour).heatC ?? -Infinity);
    let all = known.get(first);
    if (all === undefined) known.set(first, (all = sum(() => first)));
    return all;
  };
}

/** Water given off on each day by all rooms, L. */
function leavingOf(air: readonly RoomAir[], site: Sitework, until: number): AirPlan['leaving'] {
  return Array.from({ length: Math.ceil(until / 24) }, (_, day) => {
    const grams = air.reduce(
      (sum, { givenG }) => givenG.slice(day * 24, day * 24 + 24).reduce((all, g) => all + g, sum),
      0,
    );
    return { date: site.base.iso(day * 1440).slice(0, 10), litres: Math.round(grams / 10) / 100 };
  });
}
