import type { Decoration, Finish, Light, Look, Primer } from '../job';
import { gradeName } from './needs';

export const SHEENS = ['flat', 'eggshell', 'satin', 'semi-gloss', 'gloss'] as const;
export type Sheen = (typeof SHEENS)[number];

export interface DecorationFacts {
  name: string;
  /** Smallest sensible level in ordinary and in critical light. */
  ordinary: Level;
  critical: Level;
  /** How the face throws light, for what shows; none where nothing is seen. */
  sheen: Sheen | undefined;
  kind: 'none' | 'tile' | 'texture' | 'covering' | 'paint';
}

type Level = 1 | 2 | 3 | 4 | 5;

const facts = (
  kind: DecorationFacts['kind'],
  name: string,
  ordinary: Level,
  critical: Level,
  sheen?: Sheen,
): DecorationFacts => ({ kind, name, ordinary, critical, sheen });

export const DECORATION_FACTS: Record<Decoration, DecorationFacts> = {
  none: facts('none', 'concealed', 1, 1),
  tile: facts('tile', 'tile', 2, 2),
  knockdown: facts('texture', 'knockdown texture', 3, 4),
  'heavy-spray': facts('texture', 'heavy spray texture', 3, 4),
  'heavy-texture': facts('texture', 'other heavy texture', 3, 4),
  'heavy-wallcovering': facts('covering', 'heavy wallcovering', 3, 4),
  'skip-trowel': facts('texture', 'skip-trowel texture', 3, 4),
  'medium-texture': facts('texture', 'other hand texture', 3, 4),
  'light-spray': facts('texture', 'light spray texture', 4, 5, 'flat'),
  'imperfect-smooth': facts('texture', 'imperfect-smooth texture', 4, 5, 'flat'),
  'light-texture': facts('texture', 'other light texture', 4, 5, 'flat'),
  'light-wallcovering': facts('covering', 'light wallcovering', 4, 5, 'flat'),
  'flat-paint': facts('paint', 'flat paint', 4, 5, 'flat'),
  eggshell: facts('paint', 'eggshell', 4, 5, 'eggshell'),
  satin: facts('paint', 'satin', 4, 5, 'satin'),
  'semi-gloss': facts('paint', 'semi-gloss', 5, 5, 'semi-gloss'),
  gloss: facts('paint', 'gloss', 5, 5, 'gloss'),
  // A deep colour shows a joint as a half-gloss does, whatever its own sheen.
  'deep-colour': facts('paint', 'deep colour', 5, 5, 'semi-gloss'),
};

export const PRIMER_NAME: Record<Primer, string> = {
  none: 'no primer',
  primer: 'primer',
  'high-build': 'high-build primer',
  sealer: 'sealer',
};

/** Primer before paint and texture; sealer before wallcovering, so that it can come off again. */
export function usualPrimer(decoration: Decoration): Primer {
  const { kind } = DECORATION_FACTS[decoration];
  return kind === 'covering' ? 'sealer' : kind === 'paint' || kind === 'texture' ? 'primer' : 'none';
}

export const primerOf = (look: Look): Primer => look.primer ?? usualPrimer(look.decoration);

/** Light this near to the wall plane is critical whatever it is called, degrees. */
export const CRITICAL_BELOW_DEG = 10;

export const isCritical = (light: Light): boolean =>
  light.kind === 'critical' || (light.grazingDeg !== undefined && light.grazingDeg < CRITICAL_BELOW_DEG);

/** Grazing angle to reckon with, degrees from the wall plane; typical where none is given. */
export const grazingOf = (light: Light): number => light.grazingDeg ?? (light.kind === 'critical' ? 5 : 30);

/** Smallest sensible grade on a scale for a decoration in a light. */
export function smallestFinish(decoration: Decoration, light: Light, scale: Finish['scale']): Finish {
  const row = DECORATION_FACTS[decoration];
  const level = isCritical(light) ? row.critical : row.ordinary;
  if (scale === 'level') return { scale, grade: level };
  // The scales do not map one to one: the quality whose needs are at least those of the level.
  const grade = ({ 1: 1, 2: 2, 3: 2, 4: 3, 5: 4 } as const)[level];
  return { scale, grade };
}

export interface FinishVerdict {
  smallest: Finish;
  holds: boolean;
  /** One sentence for the owner. */
  sentence: string;
}

/** Whether a grade holds for what is seen on it, and why. */
export function judgeFinish(finish: Finish, decoration: Decoration, light: Light): FinishVerdict {
  const smallest = smallestFinish(decoration, light, finish.scale);
  const name = DECORATION_FACTS[decoration].name;
  const subject = `${name.charAt(0).toUpperCase()}${name.slice(1)} in ${isCritical(light) ? 'grazing' : 'ordinary'} light`;
  const holds = finish.grade >= smallest.grade;
  const more = finish.grade > smallest.grade ? `; ${gradeName(smallest)} would do` : '';
  const sentence = holds
    ? `${subject}: ${gradeName(finish)} holds${more}.`
    : `${subject} asks for ${gradeName(smallest)}; at ${gradeName(finish)} the joints will show.`;
  return { smallest, holds, sentence };
}
