import { saturationKPa } from './drying';

/** Vapour in a cubic metre of air per kPa of its pressure, g·K: density is this times the pressure over the temperature. */
const VAPOUR = 2166.79;
const KELVIN = 273.15;

/** Vapour in air, g/m³; humidity 0 to 1. */
export const vapourOf = (tempC: number, rh: number): number =>
  (VAPOUR * saturationKPa(tempC) * rh) / (tempC + KELVIN);

/** Humidity of air with so much vapour in it, 0 to 1; what is over condenses. */
export const humidityOf = (tempC: number, vapour: number): number =>
  Math.min(1, Math.max(0, vapour / vapourOf(tempC, 1)));

/** How far air is from full, kPa for each g/m³ that is missing. */
export const kPaPerVapour = (tempC: number): number => (tempC + KELVIN) / VAPOUR;

/** One hour of air: °C, and vapour in it, g/m³. */
export interface AirHour {
  tempC: number;
  vapour: number;
}
