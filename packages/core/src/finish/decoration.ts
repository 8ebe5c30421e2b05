import { DECORATIONS, type Decoration, type Finish, type Light, type FinishSpec, type Primer } from '../job';
import { say, type Message } from '../texts';
import { gradeName } from './needs';

export const SHEENS = ['flat', 'eggshell', 'satin', 'semi-gloss', 'gloss'] as const;
export type Sheen = (typeof SHEENS)[number];

/** What hangs on a decoration. */
interface Facts {
  /** Smallest sensible level in ordinary and in critical light. */
  ordinary: Level;
  critical: Level;
  /** How the face throws light, for what shows; none where nothing is seen. */
  sheen: Sheen | undefined;
  kind: 'none' | 'tile' | 'texture' | 'covering' | 'paint';
}

type Level = 1 | 2 | 3 | 4 | 5;

export interface DecorationFacts extends Facts {
  name: Message;
}

const facts = (kind: Facts['kind'], ordinary: Level, critical: Level, sheen?: Sheen): Facts => ({
  kind,
  ordinary,
  critical,
  sheen,
});

const FACTS: Record<Decoration, Facts> = {
  none: facts('none', 1, 1),
  tile: facts('tile', 2, 2),
  knockdown: facts('texture', 3, 4),
  'heavy-spray': facts('texture', 3, 4),
  'heavy-texture': facts('texture', 3, 4),
  'heavy-wallcovering': facts('covering', 3, 4),
  'skip-trowel': facts('texture', 3, 4),
  'medium-texture': facts('texture', 3, 4),
  'light-spray': facts('texture', 4, 5, 'flat'),
  'imperfect-smooth': facts('texture', 4, 5, 'flat'),
  'light-texture': facts('texture', 4, 5, 'flat'),
  'light-wallcovering': facts('covering', 4, 5, 'flat'),
  'flat-paint': facts('paint', 4, 5, 'flat'),
  eggshell: facts('paint', 4, 5, 'eggshell'),
  satin: facts('paint', 4, 5, 'satin'),
  'semi-gloss': facts('paint', 5, 5, 'semi-gloss'),
  gloss: facts('paint', 5, 5, 'gloss'),
  // A deep colour shows a joint as a half-gloss does, whatever its own sheen.
  'deep-colour': facts('paint', 5, 5, 'semi-gloss'),
};

export const DECORATION_FACTS = Object.fromEntries(
  DECORATIONS.map((id): [Decoration, DecorationFacts] => [
    id,
    { ...FACTS[id], name: say(`decoration.${id}`) },
  ]),
) as Record<Decoration, DecorationFacts>;

/** Primer before paint and texture; sealer before wallcovering, so that it can come off again. */
export function usualPrimer(decoration: Decoration): Primer {
  const { kind } = DECORATION_FACTS[decoration];
  return kind === 'covering' ? 'sealer' : kind === 'paint' || kind === 'texture' ? 'primer' : 'none';
}

export const primerOf = (look: FinishSpec): Primer => look.primer ?? usualPrimer(look.decoration);

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
  sentence: Message;
}

/** Whether a grade holds for what is seen on it, and why. */
export function judgeFinish(finish: Finish, decoration: Decoration, light: Light): FinishVerdict {
  const smallest = smallestFinish(decoration, light, finish.scale);
  const holds = finish.grade >= smallest.grade;
  const of = {
    decoration: DECORATION_FACTS[decoration].name,
    light: isCritical(light) ? 'critical' : 'ordinary',
    grade: gradeName(finish),
  };
  const asked = { ...of, smallest: gradeName(smallest) };
  const sentence = !holds
    ? say('verdict.asks', asked)
    : finish.grade > smallest.grade
      ? say('verdict.more', asked)
      : say('verdict.holds', of);
  return { smallest, holds, sentence };
}
