import type { Book } from '../book';
import type { Climate } from '../job';

/** What is dried, and for how long the air is held. */
export interface HeldAir {
  floorM2: number;
  volumeM3: number;
  /** Water the mud gives off, L. */
  waterL: number;
  /** From the first day to the last. */
  days: number;
}

/** What of a plan the air is held for. */
export interface DriedRooms {
  rooms: readonly { floorM2: number; volumeM3: number; use: { uses: readonly { waterG: number }[] } }[];
  days: { finish: string | undefined; tasks: readonly { start: string }[] };
}

/** The air that a plan holds, from its first task to its last coat dry. */
export function heldAir({ rooms, days: { finish, tasks } }: DriedRooms): HeldAir {
  const first = tasks.reduce((least, { start }) => (start < least ? start : least), finish ?? '');
  const water = rooms.flatMap(({ use }) => use.uses).reduce((sum, { waterG }) => sum + waterG, 0);
  return {
    floorM2: rooms.reduce((sum, { floorM2 }) => sum + floorM2, 0),
    volumeM3: rooms.reduce((sum, { volumeM3 }) => sum + volumeM3, 0),
    waterL: water / 1000,
    days: finish ? Math.ceil((Date.parse(`${finish}Z`) - Date.parse(`${first}Z`)) / 864e5) : 0,
  };
}

/** Heat is on so many days before the first coat. */
const DAYS_AHEAD = 2;

/**
 * What it costs to hold rooms in better air than a job says they have: machines by the day, each for so much floor, the
 * power of their heat, and that of the water they take out. Where the air is planned from the weather, power is a figure
 * of that plan.
 */
export function airCost(
  was: Climate,
  now: Climate,
  { floorM2, volumeM3, waterL, days }: HeldAir,
  book: Book,
): number {
  if (was.reckoned || now.reckoned || days <= 0) return 0;
  const machines = Math.ceil(floorM2 / book.hireCoversM2.value);
  const kWh = book.priceKWh.value;
  const warmer = Math.max(0, now.tempC - was.tempC);
  const heatedDays = days + DAYS_AHEAD;
  const heat =
    warmer > 0
      ? heatedDays * machines * book.hireHeaterDay.value +
        ((heatedDays * 24 * warmer * volumeM3 * book.heatWM3K.value) / 1000) * kWh
      : 0;
  const dry =
    now.rhPct < was.rhPct ? days * machines * book.hireDryerDay.value + waterL * book.dryKWhL.value * kWh : 0;
  const fan =
    now.air === 'fan' && was.air !== 'fan'
      ? days * machines * (book.hireFanDay.value + 24 * book.fanKW.value * kWh)
      : 0;
  return heat + dry + fan;
}
