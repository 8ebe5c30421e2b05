import type { Book } from '../book';
import { WATER_L, WATER_SHARE, type Compound } from '../compound';
import type { Air, Climate, Consistency, Substrate, Tape } from '../job';

/** What a compound's hardening goes by. */
type Hardens = Pick<Compound, 'hardens' | 'densityKgL' | 'dryFactor'>;

/** Saturation pressure of water vapour, kPa; temperature °C. */
export const saturationKPa = (tempC: number): number => 0.61078 * Math.exp((17.27 * tempC) / (tempC + 237.3));

/** Drying in such air against still air. */
export const airFactor = (air: Air, book: Book): number => book[`air-${air}`].value;

/** The reference coat: all-purpose over bare paper tape, wet, mm. */
export const REFERENCE_MM = 1.8;

/**
 * Hours for the reference coat: 1.8 mm of all-purpose, wet, over bare paper tape in still air.
 * 21.1 °C and 50 % give about 17 h, 15.6 °C and 50 % about 24.6 h.
 */
export function referenceHours(tempC: number, rhPct: number): number {
  const rh = Math.min(0.99, Math.max(0, rhPct / 100));
  const deficit = saturationKPa(tempC) * (1 - rh);
  return (23.2 * (1 - 0.28 * rh ** 2.2)) / deficit;
}

/** How much the water added for a consistency lengthens drying; it counts as the water already there. */
export function thinningFactor(
  { densityKgL }: Pick<Hardens, 'densityKgL'>,
  consistency: Consistency,
): number {
  const pailL = 17;
  const own = WATER_SHARE * densityKgL * pailL;
  return (own + WATER_L[consistency]) / own;
}

/** How long a layer dries against the reference coat: water must find its way out of twice the depth. */
export function depthFactor(layerMm: number): number {
  const u = layerMm / REFERENCE_MM;
  return 0.65 * u + 0.35 * u ** 2;
}

/** What dries, and in which air. */
export interface Drying {
  compound: Hardens;
  consistency: Consistency;
  climate: Climate;
  /** The tape that lies in it: it lets less water through than an open face. */
  tape?: Tape | undefined;
  book: Book;
}

/**
 * A coat under tape dries as the reference does, however thin its bed: paper is wet through and gives off its water
 * last, and an open tape dries a little sooner. Thicker beds wait for their thickness. The least depth it dries by, mm wet.
 */
export const leastUnder = (tape: Tape, book: Book): number =>
  REFERENCE_MM * (tape === 'paper' ? 1 : book.dryOpenTape.value);

/**
 * How long a wet layer dries against the reference coat in the same air.
 * @param layerMm how thick it lies, mm wet
 */
export function dryingFactor(
  layerMm: number,
  { compound, consistency, tape, book }: Omit<Drying, 'climate'>,
): number {
  const powder = compound.hardens !== 'drying';
  const thinned = powder ? 1 : thinningFactor(compound, consistency);
  const laid = tape
    ? depthFactor(Math.max(leastUnder(tape, book), layerMm))
    : book.dryOpen.value * depthFactor(layerMm);
  return laid * compound.dryFactor * thinned;
}

/**
 * Hours until a wet layer is dry through.
 * @param layerMm how thick it lies, mm wet
 */
export const dryingHours = (layerMm: number, drying: Drying): number =>
  referenceHours(drying.climate.tempC, drying.climate.rhPct) *
  dryingFactor(layerMm, drying) *
  airFactor(drying.climate.air, drying.book);

/** Of the powder's mass, the water that becomes part of it as it sets. */
const BOUND_SHARE = 0.16;

/** Water that has to leave a litre of wet compound, g: of powder, what it is mixed with less what it binds. */
export function waterGPerL(
  { hardens, densityKgL, packages }: Pick<Compound, 'hardens' | 'densityKgL' | 'packages'>,
  consistency: Consistency,
): number {
  const powder = packages.find(({ waterL }) => waterL !== undefined);
  if (hardens === 'drying' || !powder)
    return (1000 * (WATER_SHARE * densityKgL * 17 + WATER_L[consistency])) / (17 + WATER_L[consistency]);
  const { waterL = 0, massKg, yieldsL } = powder;
  return (1000 * Math.max(0, waterL - BOUND_SHARE * massKg)) / yieldsL;
}

/** Minutes from mixing until a setting coat is hard enough to recoat; painted faces take no water. */
export const settingMinutes = (setMin: number, substrate: Substrate, book: Book): number =>
  setMin * book[substrate === 'painted' ? 'setRecoatPainted' : 'setRecoat'].value;

export interface Hardening {
  how: 'setting' | 'drying';
  hours: number;
}

/**
 * Hours until a coat can be coated over, and how it hardens. A hybrid sets first and dries from then on. Each
 * layer of a coat waits for its own thickness.
 */
export function hardening(
  layersMm: readonly number[],
  { setMin, substrate, ...drying }: Drying & { setMin: number; substrate: Substrate },
): Hardening {
  const { hardens } = drying.compound;
  const setting = (layersMm.length * settingMinutes(setMin, substrate, drying.book)) / 60;
  if (hardens === 'setting') return { how: 'setting', hours: setting };
  const dries = layersMm.reduce((sum, mm) => sum + dryingHours(mm, drying), 0);
  return { how: 'drying', hours: hardens === 'both' ? setting + dries : dries };
}
