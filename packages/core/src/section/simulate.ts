import type { Blade } from '../coat';
import { pull } from './pull';
import { areaUnder, HALF, SAMPLES, bareSurface, type BareJoint, type Surface } from './surface';

/** The bed a tape lies in, and the tape. */
export interface Bed {
  bedMm: number;
  rampMm: number;
  tapeWidthMm: number;
  tapeMm: number;
}

/** One coat across a joint: a bedded tape, pulls of a blade, or a bed with a cover pulled over it at once. */
export interface SectionCoat {
  bed?: Bed;
  pulls: readonly Blade[];
  /** Share of the wet volume lost in hardening. */
  shrink: number;
}

export interface CoatResult {
  /** Wet and hardened mud, L per metre of joint; the tape itself is not counted. */
  wetLPerM: number;
  dryLPerM: number;
  /** Thickest single wet layer, mm. */
  layerMm: number;
  /** Tallest point above the true plane after hardening, mm. */
  crownMm: number;
  /** The surface as the blade left it, and hardened. */
  wet: Surface;
  surface: Surface;
}

/**
 * Lays coats over a joint one after the other. What is added shrinks as it hardens before the next coat
 * goes on; the tape does not shrink.
 */
export function simulate(bare: BareJoint, coats: readonly SectionCoat[]): CoatResult[] {
  let f = bareSurface(bare);
  return coats.map((coat) => {
    const result = layCoat(f, coat);
    f = result.surface;
    return result;
  });
}

function layCoat(f: Surface, coat: SectionCoat): CoatResult {
  const tape = new Float64Array(SAMPLES);
  const wet = f.slice();
  if (coat.bed) layBed(wet, tape, coat.bed);
  // Pulls see the tape as a high point; its own thickness is taken out again where mud is counted.
  for (let i = 0; i < SAMPLES; i++) wet[i] = (wet[i] as number) + (tape[i] as number);
  for (const blade of coat.pulls) pull(wet, blade);
  const surface = new Float64Array(SAMPLES);
  const added = new Float64Array(SAMPLES);
  let layerMm = 0;
  let crownMm = 0;
  for (let i = 0; i < SAMPLES; i++) {
    const mud = (wet[i] as number) - (f[i] as number) - (tape[i] as number);
    added[i] = mud;
    const dry = (f[i] as number) + (tape[i] as number) + mud * (1 - coat.shrink);
    surface[i] = dry;
    if (mud > layerMm) layerMm = mud;
    if (dry > crownMm) crownMm = dry;
  }
  const wetLPerM = areaUnder(added) / 1000;
  return { wetLPerM, dryLPerM: wetLPerM * (1 - coat.shrink), layerMm, crownMm, wet, surface };
}

function layBed(wet: Surface, tape: Surface, bed: Bed): void {
  const half = bed.tapeWidthMm / 2;
  for (let i = 0; i < SAMPLES; i++) {
    const a = Math.abs(i - HALF);
    if (a <= half) {
      wet[i] = (wet[i] as number) + bed.bedMm;
      tape[i] = bed.tapeMm;
    } else if (a < half + bed.rampMm) {
      wet[i] = (wet[i] as number) + bed.bedMm * (1 - (a - half) / bed.rampMm);
    }
  }
}
