import {
  BTU_PER_W_M3K,
  L_PER_GAL,
  L_PER_PINT,
  LB_PER_KG,
  say,
  SQFT_PER_M2,
  type FigureUnit,
  type Message,
  type UnitSystem,
} from '@lisse/core';

/** How a figure is typed and shown: so much of its own unit is one of that, and what it is called. */
export interface ShownUnit {
  per: number;
  name: Message | '';
}

const MM_PER_IN = 25.4;
const M_PER_FT = 0.3048;
const L_PER_QT = L_PER_GAL / 4;

const asKept = (name: Message | ''): ((system: UnitSystem) => ShownUnit) => {
  const unit = { per: 1, name };
  return () => unit;
};
/** @param per so much of the kept unit is one of the shown in feet */
const inFeet =
  (metric: Message, feet: Message, per: number, metricPer = 1) =>
  (system: UnitSystem): ShownUnit =>
    system === 'metric' ? { per: metricPer, name: metric } : { per, name: feet };

const UNITS: Record<FigureUnit, (system: UnitSystem) => ShownUnit> = {
  mm: inFeet(say('unit.mm'), say('unit.in'), MM_PER_IN),
  mm2: asKept(say('unit.mm2')),
  m: inFeet(say('unit.m'), say('unit.ft'), M_PER_FT),
  m2: inFeet(say('unit.m2'), say('unit.sq-ft'), 1 / SQFT_PER_M2),
  L: inFeet(say('unit.litre'), say('unit.quart'), L_PER_QT),
  'L/m': inFeet(say('unit.ml-a-metre'), say('unit.quart-a-run'), L_PER_QT / (100 * M_PER_FT), 0.001),
  'L/100m2': inFeet(say('unit.litre-an-area'), say('unit.gallon-an-area'), (L_PER_GAL * SQFT_PER_M2) / 10),
  'm/100m2': inFeet(say('unit.m-an-area'), say('unit.ft-an-area'), (M_PER_FT * SQFT_PER_M2) / 10),
  kg: inFeet(say('unit.kg'), say('unit.lb'), 1 / LB_PER_KG),
  // Typed with its degree sign, in either scale.
  C: asKept(''),
  min: asKept(say('unit.min')),
  h: asKept(say('unit.h')),
  'h/m2': inFeet(say('unit.h-an-area-metric'), say('unit.h-an-area-feet'), SQFT_PER_M2 / 1000, 0.01),
  share: () => ({ per: 0.01, name: say('unit.percent') }),
  'per-h': asKept(say('unit.an-hour')),
  'm/h': inFeet(say('unit.m-an-hour'), say('unit.ft-an-hour'), M_PER_FT),
  'm2/h': inFeet(say('unit.m2-an-hour'), say('unit.sq-ft-an-hour'), 1 / SQFT_PER_M2),
  'L/h': inFeet(say('unit.litre-an-hour'), say('unit.quart-an-hour'), L_PER_QT),
  '1/h': asKept(say('unit.times-an-hour-each')),
  'm3/h': inFeet(say('unit.m3-an-hour'), say('unit.cu-ft-an-hour'), M_PER_FT ** 3),
  kW: asKept(say('unit.kw')),
  'kWh/L': inFeet(say('unit.kwh-a-litre'), say('unit.kwh-a-pint'), 1 / L_PER_PINT),
  'W/m3K': inFeet(say('unit.w-m3k'), say('unit.btu'), 1 / BTU_PER_W_M3K),
  money: asKept(''),
  factor: asKept(say('unit.factor')),
  count: asKept(''),
  '': asKept(''),
};

/** Mud on one head is less than anybody counts in litres. */
const DAB_BELOW_L = 0.01;
const L_PER_FLOZ = L_PER_QT / 32;
const dab = inFeet(say('unit.ml'), say('unit.fl-oz'), L_PER_FLOZ, 0.001);

/** How a typical figure is typed and shown in the job's units. */
export const shownUnit = (
  { unit, value }: { unit: FigureUnit; value: number },
  system: UnitSystem,
): ShownUnit => (unit === 'L' && value < DAB_BELOW_L ? dab : UNITS[unit])(system);
