import { humidityOf, kPaPerVapour, vapourOf, type AirHour } from './air';

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
  /** At the end of each hour; nothing while the room is long dry. */
  tempC: Float32Array;
  rh: Float32Array;
  /** Water still in its coats, g. */
  waterG: Float32Array;
  /** Water they gave off in each hour, g. */
  givenG: Float32Array;
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

/**
 * The air of rooms while their coats dry: what leaves the mud raises the vapour, which slows the mud; changed air and
 * dehumidifiers take it out again. Each coat gives off its water at the rate that has the reference coat dry in its
 * time in air that is kept as it is.
 *
 * Within a step the vapour goes exponentially to where it would settle, so that no step is too long to be stable, and
 * what is lost in one place is found in another to the last digit.
 * @param outside by the hour from the start
 * @param stepH length of a step, h
 */
export function balance(
  rooms: readonly AiredRoom[],
  outside: (hour: number) => AirHour,
  hours: number,
  {
    doors = [],
    stepH = 0.125,
    startRh,
  }: { doors?: readonly OpenDoor[]; stepH?: number; startRh?: number } = {},
): RoomAir[] {
  const steps = Math.round(1 / stepH);
  const states = rooms.map((room) => new RoomState(room, hours));
  const first = outside(0);
  for (const state of states) state.begin(first, startRh);
  const joined = new Set(doors.flatMap(({ between }) => [...between]));
  let until = 0;
  states.forEach((state, i) => {
    if (!joined.has(i)) until = Math.max(until, alone(state, outside, hours, steps));
  });
  // Rooms that air passes between go through the hours together.
  const together = states.filter((_, i) => joined.has(i));
  for (let hour = 0; hour < hours && !together.every((state) => state.isDone); hour++) {
    const out = outside(hour);
    for (const state of together) state.hour(out, hour);
    for (let n = 0; n < steps; n++) {
      for (const state of together) state.step(hour + n * stepH, stepH, out.vapour);
      for (const { between, m3PerH, open } of doors) {
        const [a, b] = [states[between[0]], states[between[1]]];
        if (a && b && open(hour)) mix(a, b, m3PerH * stepH);
      }
    }
    for (const state of together) state.told(hour);
    until = Math.max(until, hour + 1);
  }
  return states.map(({ air }) => upTo(air, until));
}

/** The air of a dry room has come to rest with what it takes from outside after so long, h. */
const RESTED_H = 48;

/** A room through the hours by itself; in those it is long dry nothing is reckoned. Gives the hour it is dry for good. */
function alone(state: RoomState, outside: (hour: number) => AirHour, hours: number, steps: number): number {
  for (let hour = 0; hour < hours; hour++) {
    if (state.isDone) return hour;
    const next = state.nextAtH;
    if (state.rests(hour) && next - hour > RESTED_H + 1) {
      hour = Math.min(hours, Math.floor(next - RESTED_H)) - 1;
      continue;
    }
    const out = outside(hour);
    state.hour(out, hour);
    // A dry room goes an hour in one step.
    if (state.rests(hour)) state.step(hour, 1, out.vapour);
    else for (let n = 0; n < steps; n++) state.step(hour + n / steps, 1 / steps, out.vapour);
    state.told(hour);
  }
  return hours;
}

/** Nothing is left to dry: what comes after is of no interest. */
const upTo = (air: RoomAir, hours: number): RoomAir => ({
  ...air,
  tempC: air.tempC.subarray(0, hours),
  rh: air.rh.subarray(0, hours),
  waterG: air.waterG.subarray(0, hours),
  givenG: air.givenG.subarray(0, hours),
});

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
  private tempC = 0;
  private full = 0;
  private care: Airing = { changesPerH: 0, heatC: undefined, dryGPerH: 0, dryTo: 0.5, speed: 1 };
  private readonly left: Float64Array;
  /** Coats that are laid and not dry, and the first that is not laid. */
  private wet: number[] = [];
  private next = 0;
  private readonly byTime: number[];

  constructor(
    readonly room: AiredRoom,
    hours: number,
  ) {
    this.left = Float64Array.from(room.coats, ({ waterG }) => waterG);
    this.byTime = room.coats.map((_, i) => i).sort((a, b) => this.coat(a).atH - this.coat(b).atH);
    this.air = {
      tempC: new Float32Array(hours).fill(NaN),
      rh: new Float32Array(hours).fill(NaN),
      waterG: new Float32Array(hours),
      givenG: new Float32Array(hours),
      dryAtH: room.coats.map(() => undefined),
      driedG: 0,
      ventedG: 0,
      condensedG: 0,
    };
  }

  private coat(i: number): WetCoat {
    return this.room.coats[i] as WetCoat;
  }

  begin(out: AirHour, startRh: number | undefined): void {
    const { heatC } = this.room.care(0);
    const tempC = Math.max(out.tempC, heatC ?? -Infinity);
    this.vapour = startRh === undefined ? out.vapour : vapourOf(tempC, startRh);
  }

  hour(out: AirHour, hour: number): void {
    this.care = this.room.care(hour);
    this.tempC = Math.max(out.tempC, this.care.heatC ?? -Infinity);
    this.full = vapourOf(this.tempC, 1);
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
    const next = this.byTime[this.next];
    return next === undefined ? Infinity : this.coat(next).atH;
  }

  /** Every coat is laid and dry. */
  get isDone(): boolean {
    return this.wet.length === 0 && this.next === this.byTime.length;
  }

  step(at: number, stepH: number, outside: number): void {
    const { coats, volumeM3 } = this.room;
    while (this.next < coats.length && this.coat(this.byTime[this.next] as number).atH <= at + 1e-9)
      this.wet.push(this.byTime[this.next++] as number);
    const { changesPerH, dryGPerH, dryTo, speed } = this.care;
    // Rate at which each coat gives off water for each g/m³ the air is short of full, 1/h of the room's air.
    const perShort = (speed * kPaPerVapour(this.tempC)) / referenceOf(humidityOf(this.tempC, this.vapour));
    let gives = 0;
    for (const i of this.wet) gives += (this.coat(i).waterG * perShort) / this.coat(i).factor / volumeM3;
    const rate = gives + changesPerH;
    const decay = Math.exp(-rate * stepH);
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
    let given = 0;
    let stay = 0;
    for (const i of this.wet) {
      const { waterG, factor } = this.coat(i);
      const had = this.left[i] as number;
      const would = (waterG * share) / factor;
      given += Math.min(had, would);
      if (would < had) {
        this.left[i] = had - would;
        this.wet[stay++] = i;
      } else {
        this.left[i] = 0;
        this.air.dryAtH[i] = at + (would > 0 ? (stepH * had) / would : 0);
      }
    }
    this.wet.length = stay;
    return given;
  }

  told(hour: number): void {
    this.air.tempC[hour] = this.tempC;
    this.air.rh[hour] = humidityOf(this.tempC, this.vapour);
    let water = 0;
    for (const i of this.wet) water += this.left[i] as number;
    this.air.waterG[hour] = water;
    this.air.givenG[hour] = this.given;
    this.given = 0;
  }
}
