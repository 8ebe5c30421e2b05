import { isMessage } from '../texts';
import type { Say } from './speech';

/** Anything with its texts said: a plan as it is published, with sentences where the program keeps codes. */
export function spoken(value: unknown, say: Say): unknown {
  if (isMessage(value)) return say(value);
  if (Array.isArray(value)) return value.map((one) => spoken(one, say));
  if (typeof value !== 'object' || value === null) return value;
  return Object.fromEntries(Object.entries(value).map(([key, one]) => [key, spoken(one, say)]));
}
