import { solved } from '../units';
import { kPaPerVapour, vapourOf, type AirHour } from './air';

/** A coat that gives off its water. */
export interface WetCoat {
  /** When it was laid, h from the start. */
  atH: number;
  /** Water that must leave it, g. */
  waterG: number;
  /** How long it dries against the reference coat. */
  factor: number;
}

/** What is done to the air of a room in one hour. */
export interface Airing {
  /** Air it takes from outside, changes an hour. */
  changesPerH: number;
  /** Held at that temperature where it would be colder, °C. */
  heatC: number | undefined;
  /** Water a dehumidifier takes out at most, g/h, down to that humidity, 0 to 1. */
  dryGPerH: number;
  dryTo: number;
  /** How much faster mud dries in moved air: 1 where it is still. */
  speed: number;
}

/** A room whose air is reckoned. */
export interface AiredRoom {
  volumeM3: number;
  coats: readonly WetCoat[];
  /** By the hour from the start. */
  care: (hour: number) => Airing;
}

/** An open door between two rooms, by their indices, and the air that goes through it each way, m³/h. */
export interface OpenDoor {
  between: readonly [number, number];
  m3PerH: number;
  open: (hour: number) => boolean;
}

/** The air of one room through the hours, and what became of its coats. */
export interface RoomAir {
  /** The hours that are told, rising from 0; those a room is long dry in are left out. */
  hours: number[];
  /** At the end of each of them. */
  tempC: number[];
  rh: number[];
  /** Water still in its coats, g. */
  waterG: number[];
  /** Water they gave off in each of them, g. */
  givenG: number[];
  /** When each coat is dry, h from the start; none where it still is not. */
  dryAtH: (number | undefined)[];
  /** Taken out by the dehumidifier and by the air that was changed, g. */
  driedG: number;
  ventedG: number;
  /** Run down the windows as the air cooled, g. */
  condensedG: number;
}

/** The reference coat by its own formula, apart from what the air takes: hours times kPa. */
const referenceOf = (rh: number): number => 23.2 * (1 - 0.28 * Math.min(0.99, rh) ** 2.2);

/** What the air of rooms goes by beside what is in them. */
export interface Balancing {
  doors?: readonly OpenDoor[] | undefined;
  /** Length of a step, h. */
  stepH?: number | undefined;
  /** Humidity it all begins with, 0 to 1; as outside where it is not given. */
  startRh?: number | undefined;
  /** The air of rooms that was reckoned before from the very same, by their indices; no door may stand open there. */
  known?: readonly (RoomAir | undefined)[] | undefined;
}

/** The air of rooms, and after how many hours the last of them was dry. */
export interface Balanced {
  air: RoomAir[];
  hours: number;
}

/**
 * The air of rooms while their coats dry: what leaves the mud raises the vapour, which slows the mud; changed air and
 * dehumidifiers take it out again. Each coat gives off its water at the rate that has the reference coat dry in its
 * time in air that is kept as it is.
 *
 * Within a step the vapour goes exponentially to where it would settle, so that no step is too long to be stable, and
 * what is lost in one place is found in another to the last digit.
 * @param outside by the hour from the start
 * @yields after every room or hour, for others to be let in
 */
export function* balancing(
  rooms: readonly AiredRoom[],
  outside: (hour: number) => AirHour,
  hours: number,
  { doors = [], stepH = 0.125, startRh, known = [] }: Balancing = {},
): Generator<undefined, Balanced> {
  const steps = Math.round(1 / stepH);
  const first = outside(0);
  const joined = new Set(doors.flatMap(({ between }) => [...between]));
  const states = new Map<number, RoomState>();
  const air: RoomAir[] = [];
  for (const [i, room] of rooms.entries()) {
    const kept = joined.has(i) ? undefined : known[i];
    if (kept) {
      air.push(kept);
      continue;
    }
    const state = new RoomState(room, first, startRh);
    air.push(state.air);
    if (joined.has(i)) states.set(i, state);
    else alone(state, outside, hours, steps);
    yield;
  }
  // Rooms that air passes between go through the hours together.
  const together = [...states.values()];
  for (let hour = 0; hour < hours && !together.every((state) => state.isDone); hour++) {
    const out = outside(hour);
    for (const state of together) state.hour(out, hour);
    for (let n = 0; n < steps; n++) {
      for (const state of together) state.step(hour + n * stepH, stepH, out.vapour);
      for (const { between, m3PerH, open } of doors) {
        const [a, b] = [states.get(between[0]), states.get(between[1])];
        if (a && b && open(hour)) mix(a, b, m3PerH * stepH);
      }
    }
    for (const state of together) state.told(hour);
    yield;
  }
  return { air, hours: air.reduce((most, { hours: told }) => Math.max(most, (told.at(-1) ?? -1) + 1), 0) };
}

/** The same at one go. */
export const balance = (...about: Parameters<typeof balancing>): Balanced => solved(balancing(...about));

/** The air of a dry room has come to rest with what it takes from outside after so long, h. */
const RESTED_H = 48;

/** A room through the hours by itself; in those it is long dry nothing is reckoned. */
function alone(state: RoomState, outside: (hour: number) => AirHour, hours: number, steps: number): void {
  for (let hour = 0; hour < hours && !state.isDone; hour++) {
    const next = state.nextAtH;
    const rests = state.rests(hour);
    if (rests && next - hour > RESTED_H + 1) {
      hour = Math.min(hours, Math.floor(next - RESTED_H)) - 1;
      continue;
    }
    const out = outside(hour);
    state.hour(out, hour);
    // A dry room goes an hour in one step.
    if (rests) state.step(hour, 1, out.vapour);
    else for (let n = 0; n < steps; n++) state.step(hour + n / steps, 1 / steps, out.vapour);
    state.told(hour);
  }
}

/** Two rooms come nearer to each other through a door, as they would in that time; what one gives the other takes. */
function mix(a: RoomState, b: RoomState, m3: number): void {
  const [va, vb] = [a.room.volumeM3, b.room.volumeM3];
  const both = (va * vb) / (va + vb);
  const moved = both * (a.vapour - b.vapour) * (1 - Math.exp(-m3 / both));
  a.vapour -= moved / va;
  b.vapour += moved / vb;
}

class RoomState {
  readonly air: RoomAir;
  vapour = 0;
  private given = 0;
  private by = 0;
  private decay = 1;
  private tempC = NaN;
  /** Vapour that air so warm can hold, g/m³. */
  private full = 0;
  /** How far air so warm is from full, kPa for each g/m³ that is missing. */
  private kPa = 0;
  private care: Airing = { changesPerH: 0, heatC: undefined, dryGPerH: 0, dryTo: 0.5, speed: 1 };
  private readonly atH: Float64Array;
  private readonly waterG: Float64Array;
  private readonly factor: Float64Array;
  private readonly left: Float64Array;
  /** Coats that are laid and not dry, and the first that is not laid. */
  private wet: number[] = [];
  private next = 0;
  private readonly byTime: number[];

  constructor(
    readonly room: AiredRoom,
    out: AirHour,
    startRh: number | undefined,
  ) {
    const { coats } = room;
    const { heatC } = room.care(0);
    const tempC = Math.max(out.tempC, heatC ?? -Infinity);
    this.vapour = startRh === undefined ? out.vapour : vapourOf(tempC, startRh);
    this.atH = Float64Array.from(coats, ({ atH }) => atH);
    this.waterG = Float64Array.from(coats, ({ waterG }) => waterG);
    this.factor = Float64Array.from(coats, ({ factor }) => factor);
    this.left = this.waterG.slice();
    this.byTime = coats.map((_, i) => i).sort((a, b) => (this.atH[a] as number) - (this.atH[b] as number));
    this.air = {
      hours: [],
      tempC: [],
      rh: [],
      waterG: [],
      givenG: [],
      dryAtH: coats.map(() => undefined),
      driedG: 0,
      ventedG: 0,
      condensedG: 0,
    };
  }

  hour(out: AirHour, hour: number): void {
    this.care = this.room.care(hour);
    const tempC = Math.max(out.tempC, this.care.heatC ?? -Infinity);
    if (tempC !== this.tempC) {
      this.tempC = tempC;
      this.full = vapourOf(tempC, 1);
      this.kPa = kPaPerVapour(tempC);
    }
    // Cold air holds less: the rest runs down the windows.
    const over = Math.max(0, this.vapour - this.full);
    this.air.condensedG += over * this.room.volumeM3;
    this.vapour -= over;
  }

  /** No coat is wet, and none is laid in that hour. */
  rests(hour: number): boolean {
    return this.wet.length === 0 && this.nextAtH >= hour + 1;
  }

  /** When the next coat is laid, h; never where none is. */
  get nextAtH(): number {
    return this.next < this.byTime.length ? (this.atH[this.byTime[this.next] as number] as number) : Infinity;
  }

  /** Every coat is laid and dry. */
  get isDone(): boolean {
    return this.wet.length === 0 && this.next === this.byTime.length;
  }

  /** Humidity, 0 to 1; what is over condenses. */
  private get rh(): number {
    return Math.min(1, Math.max(0, this.vapour / this.full));
  }

  /** A room without wet mud asks for the same again and again. */
  private decayOf(by: number): number {
    if (by !== this.by) [this.by, this.decay] = [by, Math.exp(-by)];
    return this.decay;
  }

  step(at: number, stepH: number, outside: number): void {
    const { volumeM3 } = this.room;
    while (this.nextAtH <= at + 1e-9) this.wet.push(this.byTime[this.next++] as number);
    const { changesPerH, dryGPerH, dryTo, speed } = this.care;
    let gives = 0;
    // Rate at which each coat gives off water for each g/m³ the air is short of full, 1/h of the room's air.
    const perShort = this.wet.length > 0 ? (speed * this.kPa) / referenceOf(this.rh) : 0;
    for (const i of this.wet)
      gives += ((this.waterG[i] as number) * perShort) / (this.factor[i] as number) / volumeM3;
    const rate = gives + changesPerH;
    const decay = this.decayOf(rate * stepH);
    const had = this.vapour;
    // Where the vapour would settle, and how much lower for each g/m³h a dehumidifier takes.
    const settles = rate > 0 ? (changesPerH * outside + gives * this.full) / rate : had;
    const free = settles + (had - settles) * decay;
    const lower = rate > 0 ? (1 - decay) / rate : stepH;
    const target = dryTo * this.full;
    // As much as it can, or as much as it takes to hold the air where it is wanted.
    const out = dryGPerH > 0 && free > target ? Math.min(dryGPerH / volumeM3, (free - target) / lower) : 0;
    const settled = rate > 0 ? settles - out / rate : had;
    const mean =
      rate > 0 ? settled + ((had - settled) * (1 - decay)) / (rate * stepH) : had - (out * stepH) / 2;
    const given = this.giveOff(at, stepH, perShort * Math.max(0, this.full - mean) * stepH);
    this.given += given;
    const vented = changesPerH * (mean - outside) * stepH * volumeM3;
    this.air.ventedG += vented;
    // A coat that got dry within the step gave less than was thought, and no more is taken than holds the air.
    const still = had + (given - vented) / volumeM3;
    const dried = Math.min(out * stepH, Math.max(0, still - target));
    this.air.driedG += dried * volumeM3;
    // By the books: what was given off, less what went out.
    this.vapour = still - dried;
  }

  /** Takes from each wet coat what it gives in a step, as far as there is any; gives the sum, g. */
  private giveOff(at: number, stepH: number, share: number): number {
    if (this.wet.length === 0) return 0;
    let given = 0;
    let stay = 0;
    for (const i of this.wet) {
      const had = this.left[i] as number;
      const would = ((this.waterG[i] as number) * share) / (this.factor[i] as number);
      given += Math.min(had, would);
      if (would < had) {
        this.left[i] = had - would;
        this.wet[stay++] = i;
      } else {
        this.left[i] = 0;
        this.air.dryAtH[i] = at + (would > 0 ? (stepH * had) / would : 0);
      }
    }
    if (stay < this.wet.length) this.wet.length = stay;
    return given;
  }

  told(hour: number): void {
    const { air } = this;
    air.hours.push(hour);
    air.tempC.push(this.tempC);
    air.rh.push(this.rh);
    let water = 0;
    for (const i of this.wet) water += this.left[i] as number;
    air.waterG.push(water);
    air.givenG.push(this.given);
    this.given = 0;
  }
}
