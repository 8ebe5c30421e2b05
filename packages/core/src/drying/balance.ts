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
  /** At the end of each hour. */
  tempC: Float64Array;
  rh: Float64Array;
  /** Water still in its coats, g. */
  waterG: Float64Array;
  /** Water they gave off in each hour, g. */
  givenG: Float64Array;
  /** When each coat is dry, h from the start; none where it still is not. */
  dryAtH: (number | undefined)[];
  /** Taken out by the dehumidifier and by the air that was changed, g. */
  driedG: number;
  ventedG: number;
  /** Run down the windows as the air cooled, g. */
  condensedG: number;
  /** Heat it took, degree hours that the outside was colder, and hours that were heated. */
  heatedCH: number;
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
  for (let hour = 0; hour < hours; hour++) {
    const out = outside(hour);
    for (const state of states) state.hour(out, hour);
    for (let n = 0; n < steps; n++) {
      const at = hour + n * stepH;
      for (const state of states) state.step(at, stepH, out.vapour);
      for (const { between, m3PerH, open } of doors) {
        const [a, b] = [states[between[0]], states[between[1]]];
        if (a && b && open(hour)) mix(a, b, m3PerH * stepH);
      }
    }
    for (const state of states) state.told(hour);
  }
  return states.map(({ air }) => air);
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
      tempC: new Float64Array(hours),
      rh: new Float64Array(hours),
      waterG: new Float64Array(hours),
      givenG: new Float64Array(hours),
      dryAtH: room.coats.map(() => undefined),
      driedG: 0,
      ventedG: 0,
      condensedG: 0,
      heatedCH: 0,
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
    this.air.heatedCH += this.tempC - out.tempC;
    this.full = vapourOf(this.tempC, 1);
    // Cold air holds less: the rest runs down the windows.
    const over = Math.max(0, this.vapour - this.full);
    this.air.condensedG += over * this.room.volumeM3;
    this.vapour -= over;
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
    const settle = (out: number): number =>
      rate > 0 ? (changesPerH * outside + gives * this.full - out) / rate : 0;
    const decay = Math.exp(-rate * stepH);
    const after = (out: number): number =>
      rate > 0 ? settle(out) + (this.vapour - settle(out)) * decay : this.vapour - out * stepH;
    const target = dryTo * this.full;
    let out = 0;
    const free = after(0);
    if (dryGPerH > 0 && free > target) {
      const most = dryGPerH / volumeM3;
      const withIt = after(most);
      // As much as it can, or as much as it takes to hold the air where it is wanted.
      out = withIt >= target ? most : (most * (free - target)) / (free - withIt);
    }
    const end = after(out);
    const mean =
      rate > 0
        ? settle(out) + ((this.vapour - settle(out)) * (1 - decay)) / (rate * stepH)
        : (this.vapour + end) / 2;
    let given = 0;
    const short = Math.max(0, this.full - mean);
    this.wet = this.wet.filter((i) => {
      const { waterG, factor } = this.coat(i);
      const had = this.left[i] as number;
      const would = ((waterG * perShort) / factor) * short * stepH;
      given += Math.min(had, would);
      if (would < had) {
        this.left[i] = had - would;
        return true;
      }
      this.left[i] = 0;
      this.air.dryAtH[i] = at + (would > 0 ? (stepH * had) / would : 0);
      return false;
    });
    this.given += given;
    this.air.driedG += out * stepH * volumeM3;
    const vented = changesPerH * (mean - outside) * stepH * volumeM3;
    this.air.ventedG += vented;
    // By the books: what was given off, less what went out.
    this.vapour += (given - vented - out * stepH * volumeM3) / volumeM3;
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
