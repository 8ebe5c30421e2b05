import type { Blade } from '../coat';
import { camberOver, pull } from './pull';
import { areaUnder, bareSurface, HALF, middleOf, type BareJoint, type Surface } from './surface';

/** The bed a tape lies in, and the tape. */
export interface Bed {
  bedMm: number;
  rampMm: number;
  tapeWidthMm: number;
  tapeMm: number;
}

/** A film drawn tight over the whole face by a wide blade, lane beside lane. */
export interface Film {
  filmMm: number;
  bladeMm: number;
}

/** One coat across a joint: a bedded tape, pulls of a blade, a bed with a cover pulled over it at once, or a skim. */
export interface SectionCoat {
  bed?: Bed;
  pulls: readonly Blade[];
  /** Boxes among the pulls are dialled to leave at least this film over what stands, mm; by these steps, mm. */
  dial?: { filmMm: number; stepsMm: readonly number[] };
  film?: Film;
  /** Laid in so many layers of like thickness, each hard before the next; one where not given. */
  layers?: number;
  /** Share of the wet volume lost in hardening. */
  shrink: number;
}

/** A coat waits for what lies so wide; a ridge of mud in a narrow place dries from its sides, mm. */
const WAIT_OVER_MM = 25;

/** How finely a section is reckoned, and over which width a layer counts for drying, mm. */
interface Grid {
  stepMm: number;
  overMm: number;
}

export interface CoatResult {
  /** Wet and hardened mud, L per metre of joint; the tape itself is not counted. */
  wetLPerM: number;
  dryLPerM: number;
  /** Thickest single wet layer, mm. */
  layerMm: number;
  /** How thick each layer lies over a width that counts for drying, mm wet. */
  waitsMm: number[];
  /** Tallest point above the true plane after hardening, mm. */
  crownMm: number;
  /** How far its boxes were opened, by what they leave at mid-blade, mm; none where no box pulls it. */
  dialMm?: number;
  /** The surface as the blade left it, and hardened. */
  wet: Surface;
  surface: Surface;
}

/** How far a section must run to each side to hold a joint and its coats, mm. */
export function halfFor(bare: BareJoint, coats: readonly SectionCoat[]): number {
  const reach = coats.flatMap(({ pulls }) => pulls.map((p) => Math.abs(p.offsetMm) + p.widthMm / 2));
  return Math.max(HALF, Math.ceil((Math.max(bare.humpSpanMm, ...reach) + 50) / 50) * 50);
}

/**
 * Lays coats over a joint one after the other. What is added shrinks as it hardens before the next coat
 * goes on; the tape does not shrink.
 */
export function simulate(bare: BareJoint, coats: readonly SectionCoat[], stepMm = 1): CoatResult[] {
  let f = bareSurface(bare, halfFor(bare, coats), stepMm);
  return coats.map((coat) => {
    const result = coatOn(f, coat, bare, stepMm);
    f = result.surface;
    return result;
  });
}

/** One coat on what is hard already. */
export function coatOn(under: Surface, coat: SectionCoat, bare: BareJoint, stepMm = 1): CoatResult {
  const overMm = Math.min(WAIT_OVER_MM, bare.dimpleRadiusMm ?? Infinity);
  return inLayers(under, coat, { stepMm, overMm });
}

/** More layers than this are another way of working. */
export const MOST_LAYERS = 8;

/**
 * The fewest layers that keep each of a coat's layers within what its class takes; the most where none do.
 * @param lay lays coats over a joint: a search brings what it has laid before
 */
export function layersWithin(
  bare: BareJoint,
  coats: readonly SectionCoat[],
  at: number,
  maxMm: number,
  most = MOST_LAYERS,
  lay: (bare: BareJoint, coats: readonly SectionCoat[]) => CoatResult[] = simulate,
): number {
  const before = coats.slice(0, at);
  const coat = coats[at] as SectionCoat;
  for (let layers = 1; layers < most; layers++)
    if ((lay(bare, [...before, { ...coat, layers }])[at] as CoatResult).layerMm <= maxMm) return layers;
  return most;
}

/** One coat in its layers: each but the last stops where an even share of what is missing lies on. */
function inLayers(f: Surface, coat: SectionCoat, grid: Grid): CoatResult {
  const layers = coat.layers ?? 1;
  if (layers <= 1) return layCoat(f, coat, grid);
  let done: CoatResult | undefined;
  for (let left = layers; left > 0; left--) {
    const { bed, ...rest } = coat;
    const from: Surface = done?.surface ?? f;
    const part = done ? rest : { ...rest, ...(bed ? { bed } : {}) };
    const whole = layCoat(from, part, grid);
    const next = left === 1 ? whole : layCoat(from, part, grid, whole.layerMm / left);
    done = done
      ? {
          ...next,
          wetLPerM: done.wetLPerM + next.wetLPerM,
          dryLPerM: done.dryLPerM + next.dryLPerM,
          layerMm: Math.max(done.layerMm, next.layerMm),
          waitsMm: [...done.waitsMm, ...next.waitsMm],
        }
      : next;
  }
  return done as CoatResult;
}

function layCoat(f: Surface, coat: SectionCoat, { stepMm, overMm }: Grid, mostMm = Infinity): CoatResult {
  const tape = new Float64Array(f.length);
  const wet = f.slice();
  if (coat.bed) layBed(wet, tape, coat.bed, stepMm);
  // Pulls see the tape as a high point; its own thickness is taken out again where mud is counted.
  for (let i = 0; i < f.length; i++) wet[i] = (wet[i] as number) + (tape[i] as number);
  let dialMm = 0;
  for (const blade of coat.pulls) {
    const set = coat.dial && blade.boxed ? dialled(f, wet, blade, coat.dial, stepMm) : blade;
    if (set.boxed) dialMm = Math.max(dialMm, set.camberMm);
    pull(wet, set, stepMm);
  }
  if (coat.film) skim(wet, coat.film, stepMm);
  const surface = new Float64Array(f.length);
  const added = new Float64Array(f.length);
  let layerMm = 0;
  let crownMm = 0;
  for (let i = 0; i < f.length; i++) {
    const under = (f[i] as number) + (tape[i] as number);
    const mud = Math.min(mostMm, (wet[i] as number) - under);
    added[i] = mud;
    wet[i] = under + mud;
    const dry = under + mud * (1 - coat.shrink);
    surface[i] = dry;
    if (mud > layerMm) layerMm = mud;
    if (dry > crownMm) crownMm = dry;
  }
  const wetLPerM = areaUnder(added, stepMm) / 1000;
  const waitsMm = [thickestOver(added, Math.max(1, Math.round(overMm / stepMm)))];
  return {
    wetLPerM,
    dryLPerM: wetLPerM * (1 - coat.shrink),
    layerMm,
    waitsMm,
    crownMm,
    wet,
    surface,
    ...(dialMm > 0 ? { dialMm } : {}),
  };
}

/** A box opened as far as it must be: never closer than its usual step, nor further than its dial goes. */
function dialled(
  under: Surface,
  wet: Surface,
  blade: Blade,
  { filmMm, stepsMm }: NonNullable<SectionCoat['dial']>,
  stepMm: number,
): Blade {
  const least = Math.max(blade.camberMm, camberOver(under, wet, blade, filmMm, stepMm));
  const enough = stepsMm.filter((mm) => mm >= least - 1e-9);
  return { ...blade, camberMm: enough.length > 0 ? Math.min(...enough) : Math.max(...stepsMm) };
}

/** The most that lies on every point of some stretch so many points long. */
export function thickestOver(added: Float64Array, points: number): number {
  // The lowest point of the stretch that ends at i is the first of those that could still be it.
  const lowest = new Int32Array(added.length);
  let [first, last] = [0, 0];
  let most = 0;
  for (let i = 0; i < added.length; i++) {
    while (last > first && (added[lowest[last - 1] as number] as number) >= (added[i] as number)) last--;
    lowest[last++] = i;
    if ((lowest[first] as number) <= i - points) first++;
    if (i + 1 >= points) most = Math.max(most, added[lowest[first] as number] as number);
  }
  return most;
}

function layBed(wet: Surface, tape: Surface, bed: Bed, stepMm: number): void {
  const half = bed.tapeWidthMm / 2;
  const middle = middleOf(wet);
  for (let i = 0; i < wet.length; i++) {
    const a = Math.abs(i - middle) * stepMm;
    if (a <= half) {
      wet[i] = (wet[i] as number) + bed.bedMm;
      tape[i] = bed.tapeMm;
    } else if (a < half + bed.rampMm) {
      wet[i] = (wet[i] as number) + bed.bedMm * (1 - (a - half) / bed.rampMm);
    }
  }
}

/** Lanes of a wide blade over the whole section, each riding on the high points and leaving its film on them. */
function skim(wet: Surface, { filmMm, bladeMm }: Film, stepMm: number): void {
  const middle = middleOf(wet);
  const lanes = Math.ceil((middle * stepMm) / bladeMm + 0.5);
  for (let lane = -lanes; lane <= lanes; lane++)
    pull(wet, { offsetMm: lane * bladeMm, widthMm: bladeMm, camberMm: 0 }, stepMm);
  for (let i = 0; i < wet.length; i++) wet[i] = (wet[i] as number) + filmMm;
}
