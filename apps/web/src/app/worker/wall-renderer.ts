import {
  bestLamp,
  coarser,
  hideShown,
  leaningOf,
  MUD,
  PAINTED,
  paletteOf,
  PAPER,
  plan,
  Reuse,
  seenOn,
  shade,
  shadeDifference,
  Shortener,
  suppliedWith,
  TONES,
  Trial,
  TYPICAL,
  wallOf,
  widthAdvice,
  type Advice,
  type FaceLight,
  type Feature,
  type Four,
  type Hidden,
  type Job,
  type Leaning,
  type OnSite,
  type Shades,
  type Pixels,
  type Rect,
  type Rgb,
  type RoomPlan,
  type Seen,
  type Stage,
  type Supplied,
  type ToHide,
  type ToolId,
  type Tried,
  type WidthAdvice,
  type WidthsInput,
} from '@lisse/core';
import type { ShortenedOne } from './api';

/** Which wall is to be drawn, and how finely. */
export interface WallRequest {
  /** The job with only the room that is looked at. */
  job: Job;
  face: string;
  stage: Stage;
  eyeMm: number;
  cellMm: number;
  rect?: Rect | undefined;
  /** The same room planned otherwise, to hold against it. */
  against?: Job | undefined;
}

export interface WallDrawn {
  rect: Rect;
  features: Feature[];
  /** How much of the difference between compound and paper is left under the paint, a share. */
  flashLeft: number;
}

/** How a drawn wall is to be lit. */
export interface LitRequest {
  light: FaceLight;
  /** Larger cells, while the lamp is moved. */
  coarse: boolean;
  primed: boolean;
  /** How much darker compound stands beside paper, a share. */
  flash: number;
}

/** A wall, and lamps one of which is to be held before it. */
export interface ExpectRequest extends Omit<WallRequest, 'against' | 'rect'> {
  lights: readonly FaceLight[];
  /** Contrast from which on something is seen. */
  shows: number;
  primed: boolean;
}

/** The lamp that shows most of a wall, by its index, what it shows, and the wall in its light. */
export interface Expected extends WallDrawn, Lit {
  best: number;
}

/** A photo of a wall that is to be seen straight on. */
export interface StraightRequest {
  picture: Pixels;
  /** The wall's corners in it, as shares of its width and height. */
  corners: Four;
  width: number;
  height: number;
}

/** A joint that is to be hidden, and with what. */
export interface WidthsRequest {
  input: WidthsInput;
  nowMm: number | undefined;
  kit: readonly ToolId[];
  book: Supplied;
}

/** A picture of the wall, the top row first; what shows of it where it was not a coarse one. */
export interface Lit {
  cols: number;
  rows: number;
  pixels: Uint32Array<ArrayBuffer>;
  seen: Seen[];
}

/** Cells of a coarse picture against those of a fine one. */
const COARSE = 4;

/** Draws walls and lights them; keeps the last one, so that a lamp can be moved before it. */
export class WallRenderer {
  private readonly reuse = new Reuse();
  private readonly tryReuse = new Reuse();
  private shortener: { text: string; of: Shortener } | undefined;
  private trial: { text: string; of: Trial } | undefined;
  private fine: Leaning | undefined;
  private coarse: Leaning | undefined;
  private then: { fine: Leaning; coarse: Leaning } | undefined;
  private readonly palettes = new Map<string, Shades>();

  /** Draws a wall; none where the room has no such face. */
  draw({ job, face, stage, eyeMm, cellMm, rect, against }: WallRequest): WallDrawn | undefined {
    const ask = { face, stage, cellMm, ...(rect ? { rect } : {}) };
    const drawn = (of: Job) => {
      const room = of.rooms[0];
      const planned = room && this.planned(of);
      const book = suppliedWith(TYPICAL, of);
      return planned && wallOf(planned, room, of.way, book, this.reuse.memo, ask);
    };
    const wall = drawn(job);
    if (!wall) return undefined;
    this.fine = leaningOf(wall.field, eyeMm);
    this.coarse = coarser(this.fine, COARSE);
    const other = against && drawn(against);
    this.then = undefined;
    if (other) {
      const fine = leaningOf(other.field, eyeMm);
      this.then = { fine, coarse: coarser(fine, COARSE) };
    }
    return { rect: wall.field.rect, features: wall.features, flashLeft: wall.flashLeft };
  }

  /** Lights the wall that was drawn last; none before one was. */
  light({ light, coarse, primed, flash }: LitRequest): Lit | undefined {
    const leaning = coarse ? this.coarse : this.fine;
    if (!leaning) return undefined;
    const { cols, rows } = leaning;
    const pixels = new Uint32Array(cols * rows);
    const then = coarse ? this.then?.coarse : this.then?.fine;
    if (then) shadeDifference(leaning, then, light, this.palette('difference', 0), pixels);
    else shade(leaning, light, this.palette(primed ? 'paint' : 'bare', flash), pixels);
    return { cols, rows, pixels, seen: coarse ? [] : seenOn(leaning, light) };
  }

  /** What shows most of a wall, and under which of some lamps; none where the room has no such face. */
  expect({ lights, shows, primed, eyeMm, ...ask }: ExpectRequest): Expected | undefined {
    const { job, face, stage, cellMm } = ask;
    const room = job.rooms[0];
    const planned = room && this.planned(job);
    const book = suppliedWith(TYPICAL, job);
    const wall = planned && wallOf(planned, room, job.way, book, this.reuse.memo, { face, stage, cellMm });
    if (!wall) return undefined;
    const leaning = leaningOf(wall.field, eyeMm);
    const seen = lights.map((light) => seenOn(leaning, light));
    const best = bestLamp(seen, shows);
    const { cols, rows } = leaning;
    const pixels = new Uint32Array(cols * rows);
    const light = lights[best];
    if (light) shade(leaning, light, this.palette(primed ? 'paint' : 'bare', 0), pixels);
    const { field, features, flashLeft } = wall;
    return { rect: field.rect, features, flashLeft, best, cols, rows, pixels, seen: seen[best] ?? [] };
  }

  /** What would hide these joints in this light. */
  hide(job: Job, light: FaceLight, shown: readonly ToHide[], limit?: number): Hidden[] {
    const room = job.rooms[0];
    const planned = room && this.planned(job);
    return planned
      ? hideShown(planned, room, job, suppliedWith(TYPICAL, job), this.reuse.memo, light, shown, limit)
      : [];
  }

  /** Tries the cures of an advice; the job is planned once for all of them as long as it is the same. */
  tryCures(job: Job, advice: Advice): (Tried | undefined)[] {
    const text = JSON.stringify(job);
    if (this.trial?.text !== text) this.trial = { text, of: new Trial(job, TYPICAL, this.tryReuse) };
    const { of } = this.trial;
    return advice.cures.map((cure) => cure.changes && of.try(advice, cure.changes));
  }

  /** What one of the ways to be ready sooner comes to; the job is planned once for all of them. */
  shorten(job: Job, site: OnSite, n: number): ShortenedOne {
    const text = JSON.stringify([job, site]);
    if (this.shortener?.text !== text)
      this.shortener = { text, of: new Shortener(job, site, TYPICAL, this.tryReuse) };
    const { of } = this.shortener;
    return { way: of.try(n), count: of.count };
  }

  /** How wide a joint must be finished to hide. */
  widths({ input, nowMm, kit, book }: WidthsRequest): WidthAdvice {
    return widthAdvice(input, nowMm, kit, book, this.reuse.memo);
  }

  private planned(job: Job): RoomPlan | undefined {
    return plan(job, TYPICAL, this.reuse).rooms[0];
  }

  private palette(kind: 'paint' | 'bare' | 'difference', flash: number): Shades {
    const key = `${kind} ${flash}`;
    const known = this.palettes.get(key);
    if (known) return known;
    const made =
      kind === 'difference'
        ? differences()
        : kind === 'paint'
          ? paletteOf(PAINTED, PAINTED, -flash)
          : paletteOf(PAPER, MUD);
    this.palettes.set(key, made);
    return made;
  }
}

/** Where the wall as planned shows more, and where it shows less. */
const MORE: Rgb = [62, 52, 46];
const LESS: Rgb = [92, 158, 106];
/** A difference as large as this is drawn in full colour. */
const FULL = 0.07;

function differences(): Shades {
  const words = new Uint32Array(TONES);
  const bytes = new Uint8ClampedArray(words.buffer);
  for (let t = 0; t < TONES; t++) {
    const by = (2 * t) / TONES - 1;
    const share = Math.min(1, Math.abs(by) / FULL);
    const toward = by > 0 ? MORE : LESS;
    for (let k = 0; k < 3; k++)
      bytes[4 * t + k] = (PAINTED[k] as number) * (1 - share) + (toward[k] as number) * share;
    bytes[4 * t + 3] = 255;
  }
  return { words };
}
