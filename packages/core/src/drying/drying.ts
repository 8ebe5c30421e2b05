import { CONSISTENCY, WATER_SHARE, type Compound } from '../compound';
import type { Air, Climate, Consistency, Substrate } from '../job';

/** What a compound's hardening goes by. */
type Hardens = Pick<Compound, 'hardens' | 'densityKgL' | 'dryFactor'>;

/** Saturation pressure of water vapour, kPa; temperature °C. */
export const saturationKPa = (tempC: number): number => 0.61078 * Math.exp((17.27 * tempC) / (tempC + 237.3));

/** What still air holds back, and what moving air speeds up. */
const AIR: Record<Air, number> = { sealed: 1.3, still: 1, fan: 0.65 };

/**
 * Hours for the reference coat: tape bedded in all-purpose, 1.0 mm wet, still air.
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
  return (own + CONSISTENCY[consistency].waterL) / own;
}

/**
 * Hours until a wet coat is dry through.
 * @param layerMm thickest single wet layer, mm
 */
export function dryingHours(
  compound: Hardens,
  layerMm: number,
  climate: Climate,
  consistency: Consistency = 'C1',
): number {
  const thickness = 0.5 * layerMm + 0.5 * layerMm ** 2;
  const powder = compound.hardens !== 'drying';
  const thinned = powder ? 1 : thinningFactor(compound, consistency);
  return (
    referenceHours(climate.tempC, climate.rhPct) * thickness * compound.dryFactor * AIR[climate.air] * thinned
  );
}

/** Minutes from mixing until a setting coat is hard enough to recoat; painted faces take no water. */
export const settingMinutes = (setMin: number, substrate: Substrate): number =>
  setMin * (substrate === 'painted' ? 3 : 1.5);

export interface Hardening {
  how: 'setting' | 'drying';
  hours: number;
}

/** Hours until a coat can be coated over, and how it hardens. A hybrid sets, but is finished only when dry. */
export function hardening(
  compound: Hardens,
  layerMm: number,
  consistency: Consistency,
  climate: Climate,
  setMin: number,
  substrate: Substrate,
): Hardening {
  const setting = settingMinutes(setMin, substrate) / 60;
  if (compound.hardens === 'setting') return { how: 'setting', hours: setting };
  const hours = dryingHours(compound, layerMm, climate, consistency);
  return { how: 'drying', hours: compound.hardens === 'both' ? Math.max(hours, setting) : hours };
}
