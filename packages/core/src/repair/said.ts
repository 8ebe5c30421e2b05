import type { Bare, Damage, DamageKind } from '../job';
import { DAMAGES, LIMITS, within } from '../job';
import { say, type Message } from '../texts';
import { parseLength, type UnitSystem } from '../units';
import { REPAIR } from './kinds';

/** Spots as a line of text tells them: how many of what, how large, in which room, on what. */
export interface SaidSpots extends Pick<Damage, 'kind' | 'sizeMm'> {
  widthMm?: number;
  depthMm?: number;
  count: number;
  room?: string;
  on?: Bare;
}

export interface SaidLine {
  spots: SaidSpots[];
  /** What was not understood, and what was taken as typical. */
  problems: Message[];
  taken: Message[];
}

/** Each kind by the words people use for it. */
const WORDS: Record<DamageKind, RegExp> = {
  'popped-head': /^(nail |screw |fastener )?(pops?|popped (heads?|nails?|screws?))$/,
  dent: /^(dents?|dings?)$/,
  'anchor-hole': /^(anchors?|anchor holes?|plug holes?|screw holes?|nail holes?)$/,
  'small-hole': /^(small )?holes?$/,
  'large-hole': /^(large|big) holes?$/,
  blister: /^(blisters?|bubbles?)( in tape)?$/,
  'failed-tape': /^((failed|loose|peeling|lifted) )?tapes?$/,
  'crushed-joint': /^crushed (joints?|seams?)$/,
  ridge: /^(ridges?|ridged (joints?|seams?))$/,
  stain: /^(water )?stains?$/,
  'corner-crack': /^(corner )?cracks?( at (a |the )?corners?)?$/,
  bead: /^((damaged|bent|dented) )?(beads?|corner beads?)$/,
  step: /^steps?$/,
  low: /^(lows?|hollows?|low places?)$/,
  proud: /^(crowns?|proud places?)$/,
  rough: /^(gouges?|scratches|scratch|rough places?|scrapes?)$/,
  texture: /^textures?( removal)?$/,
  angle: /^(wavy )?angles?$/,
};

/** A hole wider than this takes a new piece, mm. */
export const SMALL_HOLE_MM = 150;

const ON: Record<string, Bare> = {
  painted: 'painted',
  'on paint': 'painted',
  'all painted': 'painted',
  bare: 'bare',
  unpainted: 'bare',
  'on bare board': 'bare',
};

/** Numbers said in words. */
const SPELLED = [
  'no',
  'one',
  'two',
  'three',
  'four',
  'five',
  'six',
  'seven',
  'eight',
  'nine',
  'ten',
  'eleven',
  'twelve',
];

/** A number or its word before what is counted: `12 pops`, `a hole`, `3 x dents`. */
const COUNTED = new RegExp(`^(\\d{1,4}|an?|${SPELLED.slice(1).join('|')})\\b\\s*(?:[x×]\\s*)?(.*)$`);
/** One length in a text, with its unit where it has one: `5"`, `1' 2 1/2"`, `2 m`, `1 1/2`. */
const NUMBER = String.raw`\d+(?:\.\d+)?(?:[ -]?\d+\/\d+|\/\d+)?`;
const LENGTH = new RegExp(
  String.raw`${NUMBER} ?(?:mm|cm|m|inches|inch|in|feet|foot|ft|"|')?(?: ?${NUMBER} ?(?:"|in\b))?`,
  'g',
);
/** What stands between lengths and behind them. */
const BETWEEN = /^(?:x|×|by|and|deep|wide|long|across|,|\s)*$/;
const FRACTIONS: Record<string, string> = {
  '½': '1/2',
  '¼': '1/4',
  '¾': '3/4',
  '⅛': '1/8',
  '⅜': '3/8',
  '⅝': '5/8',
  '⅞': '7/8',
};

/**
 * Reads spots as people write them down on a walk: `12 pops, 3 dents 30 mm, 1 hole 120 mm in the hall, painted`. A room
 * and what it lies on hold for all that stands before them since the last room.
 * @param units what a bare number stands for: inches, or millimetres
 */
export function spotsSaid(text: string, units: UnitSystem): SaidLine {
  const made: SaidLine = { spots: [], problems: [], taken: [] };
  const bare = units === 'feet' ? 'in' : 'mm';
  let first = 0;
  let room: string | undefined;
  const since = (): SaidSpots[] => made.spots.slice(first);
  const inRoom = (name: string): void => {
    // A second room closes the first.
    if (since().length === 0) first = made.spots.findIndex((spot) => spot.room === made.spots.at(-1)?.room);
    for (const spot of since()) spot.room = name;
    room = name;
    first = made.spots.length;
  };
  for (const part of partsOf(text)) {
    const on = ON[part];
    if (on) {
      const from = since().length > 0 ? first : made.spots.findIndex((spot) => spot.room === room);
      if (made.spots.length === 0) made.problems.push(say('said.nothing-before', { words: part }));
      for (const spot of made.spots.slice(Math.max(0, from))) spot.on = on;
      continue;
    }
    const alone = /^(?:(?:all )?in |at )(?:the )?(.+)$/.exec(part);
    if (alone?.[1] && made.spots.length > 0) {
      inRoom(alone[1]);
      continue;
    }
    const [what = '', where] = splitRoom(part);
    const spot = spotSaid(what, bare, made);
    if (spot) made.spots.push(spot);
    if (spot && where !== undefined) inRoom(where);
  }
  if (made.spots.length === 0 && made.problems.length === 0) made.problems.push(say('said.empty'));
  return made;
}

/** Parts between commas, semicolons, lines and `and`; a comma inside a number parts nothing. */
const partsOf = (text: string): string[] =>
  text
    .toLowerCase()
    .replace(/[”″]/g, '"')
    .replace(/[’′]/g, "'")
    .replace(/[½¼¾⅛⅜⅝⅞]/g, (one) => ` ${FRACTIONS[one] ?? ''}`)
    .replace(/(\d),(\d)/g, '$1.$2')
    .replace(/[^\S\n]+/g, ' ')
    .split(/\s*[,;\n]+\s*|\s+and\s+(?=\d|an? |all |in )|\s+plus\s+/)
    .map((part) => part.trim().replace(/[.!]+$/, ''))
    .filter((part) => part !== '');

const splitRoom = (part: string): [what: string, room?: string] => {
  const found = /^(.*?\S)\s+(?:in|at)\s+(?:the\s+)?(.+)$/.exec(part);
  // A number with inches is no room.
  return found?.[1] && found[2] && !/^\d/.test(found[2]) && !/^(a |the )?corners?\b/.test(found[2])
    ? [found[1], found[2]]
    : [part];
};

function spotSaid(text: string, bare: 'in' | 'mm', made: SaidLine): SaidSpots | undefined {
  const counted = COUNTED.exec(text);
  const many = counted?.[1];
  const count = many === undefined ? 1 : /^\d/.test(many) ? Number(many) : Math.max(1, SPELLED.indexOf(many));
  const rest = (counted?.[2] ?? text).trim();
  const { name, lengths, deep, over } = sizesIn(rest);
  const named = over ? undefined : kindOf(name);
  if (!named) {
    made.problems.push(say('said.kind', { words: text }));
    return undefined;
  }
  if (count < LIMITS.damage.count.least || count > LIMITS.damage.count.most) {
    made.problems.push(say('said.count', { words: text, most: LIMITS.damage.count.most }));
    return undefined;
  }
  const mm = lengths.map((one) => lengthIn(one, bare));
  const depth = deep ? mm.pop() : undefined;
  const [size, width] = mm;
  const told = [size, width, depth].filter((one) => one !== undefined);
  if (told.some((mm) => !within(mm, LIMITS.damage.sizeMm))) {
    made.problems.push(say('said.size', { words: text }));
    return undefined;
  }
  const { usualMm } = REPAIR[named];
  if (size === undefined) made.taken.push(say('said.usual', { kind: say(`damage.${named}`), size: usualMm }));
  const sizeMm = Math.max(size ?? usualMm, width ?? 0);
  const kind = named === 'small-hole' && sizeMm > SMALL_HOLE_MM ? 'large-hole' : named;
  return {
    kind,
    sizeMm,
    count,
    ...(width === undefined || size === undefined ? {} : { widthMm: Math.min(size, width) }),
    ...(depth === undefined ? {} : { depthMm: depth }),
  };
}

/** The name of a kind, and the lengths behind it; the last of them its depth where that is said. */
function sizesIn(text: string): { name: string; lengths: string[]; deep: boolean; over: boolean } {
  const at = text.search(/\d/);
  if (at < 0) return { name: text, lengths: [], deep: false, over: false };
  const behind = text.slice(at);
  const lengths = behind.match(LENGTH) ?? [];
  return {
    name: text.slice(0, at).replace(/\s*(?:of|,|about)?\s*$/, ''),
    lengths: lengths.map((one) => one.trim()).slice(0, 3),
    deep: /\bdeep\b/.test(behind) && lengths.length > 1,
    over: !BETWEEN.test(behind.replace(LENGTH, ' ')),
  };
}

const kindOf = (words: string): DamageKind | undefined =>
  DAMAGES.find((kind) => WORDS[kind].test(words.trim()));

function lengthIn(text: string, bare: 'in' | 'mm'): number {
  const read = parseLength(text.trim().replace(/[-\s]+$/, ''), bare);
  return read.ok ? read.mm : NaN;
}
