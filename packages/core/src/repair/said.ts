import type { Bare, Damage, DamageKind } from '../job';
import { LIMITS, within } from '../job';
import { say, type Message } from '../texts';
import { parseLength, type UnitSystem } from '../units';

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

/** A kind by the words people use for it, and its size where none is told, mm. */
const KINDS: readonly { kind: DamageKind; words: RegExp; usualMm: number }[] = [
  {
    kind: 'popped-head',
    words: /^(nail |screw |fastener )?(pops?|popped (heads?|nails?|screws?))$/,
    usualMm: 12,
  },
  { kind: 'dent', words: /^(dents?|dings?)$/, usualMm: 30 },
  {
    kind: 'anchor-hole',
    words: /^(anchors?|anchor holes?|plug holes?|screw holes?|nail holes?)$/,
    usualMm: 12,
  },
  { kind: 'small-hole', words: /^(small )?holes?$/, usualMm: 100 },
  { kind: 'large-hole', words: /^(large|big) holes?$/, usualMm: 300 },
  { kind: 'blister', words: /^(blisters?|bubbles?)( in tape)?$/, usualMm: 150 },
  { kind: 'failed-tape', words: /^((failed|loose|peeling|lifted) )?tapes?$/, usualMm: 1000 },
  { kind: 'crushed-joint', words: /^crushed (joints?|seams?)$/, usualMm: 600 },
  { kind: 'ridge', words: /^(ridges?|ridged (joints?|seams?))$/, usualMm: 1200 },
  { kind: 'stain', words: /^(water )?stains?$/, usualMm: 400 },
  { kind: 'corner-crack', words: /^(corner )?cracks?( at (a |the )?corners?)?$/, usualMm: 600 },
  { kind: 'bead', words: /^((damaged|bent|dented) )?(beads?|corner beads?)$/, usualMm: 600 },
  { kind: 'step', words: /^steps?$/, usualMm: 1200 },
  { kind: 'low', words: /^(lows?|hollows?|low places?)$/, usualMm: 600 },
  { kind: 'proud', words: /^(crowns?|proud places?)$/, usualMm: 1200 },
  { kind: 'rough', words: /^(gouges?|scratches|scratch|rough places?|scrapes?)$/, usualMm: 200 },
  { kind: 'texture', words: /^textures?( removal)?$/, usualMm: 3000 },
  { kind: 'angle', words: /^(wavy )?angles?$/, usualMm: 2400 },
];

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
  if (size === undefined)
    made.taken.push(say('said.usual', { kind: say(`damage.${named.kind}`), size: named.usualMm }));
  const sizeMm = Math.max(size ?? named.usualMm, width ?? 0);
  const kind = named.kind === 'small-hole' && sizeMm > SMALL_HOLE_MM ? 'large-hole' : named.kind;
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

const kindOf = (words: string) => KINDS.find((one) => one.words.test(words.trim()));

function lengthIn(text: string, bare: 'in' | 'mm'): number {
  const read = parseLength(text.trim().replace(/[-\s]+$/, ''), bare);
  return read.ok ? read.mm : NaN;
}
