import type { Message, Sayable } from '../texts';

/** Where a figure comes from. Typical figures are shown as such until they are edited or learned. */
export type Origin = 'typical' | 'entered' | 'learned' | 'computed';

/** What a typical figure rests on. */
export type Rests = 'law' | 'guide' | 'model' | 'judgement';

/** Units inside the core; what people see is converted when it is printed. */
export type FigureUnit =
  | 'mm'
  | 'mm2'
  | 'm2'
  | 'L'
  | 'L/m'
  | 'L/100m2'
  | 'm'
  | 'm/100m2'
  | 'kg'
  | 'C'
  | 'min'
  | 'h'
  | 'h/m2'
  | 'share'
  | 'factor'
  | 'count'
  | 'per-h'
  | 'm/h'
  | 'm2/h'
  | 'L/h'
  | '1/h'
  | 'm3/h'
  | 'kW'
  | 'kWh/L'
  | 'W/m3K'
  | 'money'
  | '';

export interface Figure {
  value: number;
  unit: FigureUnit;
  from: Origin;
  label: Message;
  /** What it rests on, where it is typical. */
  source?: Rests;
}

/** One thing a figure was made from, shown when somebody asks "why?". */
export interface WhyInput {
  label: Message;
  value: Sayable;
  unit: FigureUnit;
  from: Origin;
  source?: Rests;
  /** What it is made of can be asked in turn, by this. */
  key?: string;
}

/** The answer to "why?": the rule in a sentence and what went into it. */
export interface Why {
  rule: Message;
  inputs: WhyInput[];
}

/** A figure as an input of an answer. */
export function input(figure: Figure): WhyInput {
  const { label, value, unit, from, source } = figure;
  return { label, value, unit, from, ...(from === 'typical' && source ? { source } : {}) };
}

/** A computed or entered amount as an input of an answer. */
export function given(
  label: Message,
  value: Sayable,
  unit: FigureUnit = '',
  from: Origin = 'computed',
): WhyInput {
  return { label, value, unit, from };
}
