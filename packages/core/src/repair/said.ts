import type { Bare, Damage, DamageKind } from '../job';
import { DAMAGES, LIMITS, within } from '../job';
import { say, type Message } from '../texts';
import { parseLength, type UnitSystem } from '../units';
import { REPAIR } from './kinds';

/** Repairs as a line of text tells them: how many of what, how large, in which room and where in it, on what. */
export interface SaidSpots extends Pick<Damage, 'kind' | 'sizeMm'> {
  widthMm?: number;
  depthMm?: number;
  count: number;
  room?: string;
  on?: Bare;
  /** Where in the room, as it was written: `by the door`. */
  note?: string;
}

export interface SaidLine {
  spots: SaidSpots[];
  /** What was not understood, as it was written, and why; nothing else of the line is lost. */
  left: string;
  problems: Message[];
  /** What was taken as typical. */
  taken: Message[];
}

/** Each kind by the words people use for it, without sizes and small words. */
const WORDS: Record<DamageKind, RegExp> = {
  'popped-head':
    /^((nail|screw|fastener|head|drywall) )?(pops?|popped (heads?|nails?|screws?|fasteners?)|(nails?|screws?|fasteners?|heads?) (popped|popping|pops?))$/,
  dent: /^(dents?|dings?|nicks?|dimples?|dented (spots?|places?)|door stop marks?|chair marks?)$/,
  'anchor-hole':
    /^((anchor|plug|screw|nail|picture|hook|picture hook|tv mount|shelf|molly|toggle)( holes?)|(wall )?anchors?|wall plugs?|pin ?holes?)$/,
  'large-hole':
    /^((large|big|huge|wide) holes?|(kicked|punched) (in )?(holes?|board)|holes? (punched|kicked))$/,
  'small-hole': /^((small|little|tiny|round|door ?knob|knob|fist|pipe|outlet|cable) )?holes?$/,
  blister:
    /^((tape )?(blisters?|bubbles?)|bubbl(ed|ing) tapes?|blister(ed|ing) tapes?|tapes? (bubbl|blister)(ed|ing))$/,
  'failed-tape':
    /^(((failed|failing|bad|loose|peeling|lifted|lifting|cracked|open|split|hanging) )?(joint )?tapes?|tapes? (failed|failing|loose|peeling|lifted|lifting|hanging|coming (off|loose)|let go|cracked)|(cracked|open|split|failed) (joints?|seams?)|(joint|seam) cracks?)$/,
  'crushed-joint': /^(crushed|broken) (joints?|seams?|edges?)$/,
  ridge: /^(ridges?|ridging|ridged (joints?|seams?))$/,
  stain:
    /^((water|smoke|leak|brown) )?(stains?|stained (spots?|places?))$|^water (marks?|spots?|damage|rings?)$/,
  'corner-crack':
    /^((corner|hairline|hair|stress|settling|settlement|door|window|long) )?cracks?$|^cracked (corners?|angles?)$/,
  bead: /^(((damaged|bent|dented|crushed|loose|cracked|broken|chipped|bad) )?(corner )?beads?|(dented|chipped|crushed|broken|damaged) (outside )?corners?|corner bead (dents?|damage))$/,
  step: /^(steps?|offsets?)$/,
  low: /^(lows?|hollows?|dips?|low (places?|spots?|joints?)|hollow (spots?|joints?))$/,
  proud: /^(crowns?|(proud|high) (places?|spots?|joints?)|crowned joints?)$/,
  rough:
    /^(gouges?|scratch(es)?|scrapes?|scuffs?|rough (places?|spots?)|torn (drywall |face )?(paper|board|facing)|(ripped|peeled) paper|paper tears?|tears?)$/,
  texture: /^((texture|popcorn)s?( (removal|ceilings?))?|textured (ceilings?|walls?)|old texture)$/,
  angle: /^((wavy|crooked) (angles?|corners?)|angles?)$/,
};

/** Across a hole that a door knob leaves, mm. */
const KNOB_MM = 65;

/** A hole wider than this takes a new piece, mm. */
export const SMALL_HOLE_MM = 150;

/** What is repaired, by what is said of it. */
const ON: readonly [RegExp, Bare][] = [
  [
    /^(?:(?:all|both|everything|it is|they are|on) )*(?:painted|paint)(?: (?:walls?|surfaces?|board))?$/,
    'painted',
  ],
  [
    /^(?:(?:all|both|everything|on) )*(?:bare|unpainted|not painted|raw)(?: (?:walls?|board|mud|surfaces?))?$/,
    'bare',
  ],
];
const onOf = (words: string): Bare | undefined => ON.find(([said]) => said.test(words))?.[1];

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
/** Counts that are said and not counted. */
const ROUGHLY: Record<string, number> = {
  'a couple': 2,
  couple: 2,
  'a pair': 2,
  'a few': 3,
  few: 3,
  some: 3,
  several: 4,
  'half a dozen': 6,
  'a dozen': 12,
  dozen: 12,
  'two dozen': 24,
};

const UNITS = String.raw`(?:mm|millimeters?|cm|m|meters?|metres?|inches|inch|in(?=[\s.]|$)|feet|foot|ft|"|')`;
const HAS_UNIT = new RegExp(UNITS);
const NUMBER = String.raw`\d+(?:\.\d+)?(?:[ -]?\d+\/\d+|\/\d+)?`;
/** One length in a text, with its unit where it has one: `5"`, `1' 2 1/2"`, `2 m`, `1 1/2`; what is deep is another. */
const LENGTH = new RegExp(
  String.raw`${NUMBER}(?:[ -]?(?:'|ft|feet|foot)(?: ?${NUMBER} ?(?:"|in(?=[\s.]|$))(?! deep))?(?![a-z])|[ -]?${UNITS})?`,
  'g',
);
/** A number that is a length and not a count: with a unit behind it, or as one of two sides. */
const MEASURED = new RegExp(String.raw`^${NUMBER}[ -]?(?:${UNITS}|(?:x|×|by) ?\d)`);
/** A number or its word before what is counted: `12 pops`, `a hole`, `3 x dents`, `half a dozen pops`. */
const COUNTED = new RegExp(
  String.raw`^(\d{1,4}(?!\d)|${Object.keys(ROUGHLY)
    .sort((a, b) => b.length - a.length)
    .join('|')}|an?|${SPELLED.slice(1).join('|')})(?![\w/.-])\s*(?:[x×](?=\s)\s*)?(?:of\s+)?(.*)$`,
);
/** A number said in a word before its unit: `six feet`, `a foot`. */
const SPELLED_LENGTH = new RegExp(`\\b(${SPELLED.slice(1).join('|')}|an?)[ -](?=${UNITS}(?:\\s|$))`, 'g');
/** Small words around what is told. */
const SMALL =
  /(?:^|(?<=\s))(?:the|of|in|from|about|around|roughly|approx|approximately|ca|maybe|more|other|another|also|with|to|is|are|there|there's|we|i|have|got|has|need|needs|fix|fixing|repair|patch|mend|each|total|long|wide|deep|tall|across|square|diameter|sized?|size|x|×|by|old|new|ugly|nasty|plus|and|on it|please)(?=\s|$)/g;

const FRACTIONS: Record<string, string> = {
  '½': '1/2',
  '¼': '1/4',
  '¾': '3/4',
  '⅛': '1/8',
  '⅜': '3/8',
  '⅝': '5/8',
  '⅞': '7/8',
};

/** Where in a room something is, up to the room it is said to be in. */
const PLACE = new RegExp(
  String.raw`(?:^|\s)((?:(?:by|near|next to|beside|behind|under|underneath|below|above|over|around|between|left of|right of|to the (?:left|right) of|on|opposite) (?:the |a |our |my )?(?!paint|bare)[a-z]|at (?:a |the )?corner).*?)(?=\s(?:in|at|inside) (?:the )?[a-z]|\s${NUMBER}[ -]?${UNITS}|$)`,
);
/** A room behind what is in it. */
const IN_ROOM = /(?:^|\s)(?:(?:all |both |everything )?(?:in|at|inside|for)) (?:the |our |my )?([a-z].*)$/;
/** A room in front of what is in it: `Hall: 3 dents`. */
const ROOM_AHEAD = /^([a-z][^:]*?)\s*:\s*(.*)$/i;

/**
 * Reads repairs as people write them down on a walk: `12 pops, 3 dents 30 mm, 1 hole 120 mm in the hall, painted`, `a 4 ft
 * crack by the door`, `Bath: 6 ft bad tape and two stains`. A room and what it lies on hold for all that stands before
 * them since the last room.
 * @param units what a bare number stands for: inches, or millimeters
 */
export function spotsSaid(text: string, units: UnitSystem): SaidLine {
  const bare = units === 'feet' ? 'in' : 'mm';
  const spots: SaidSpots[] = [];
  const problems: Message[] = [];
  const taken: Message[] = [];
  const left: { words: string; room?: string }[] = [];
  let first = 0;
  let firstLeft = 0;
  let room: string | undefined;
  let ahead: string | undefined;
  const inRoom = (name: string): void => {
    // A second room closes the first.
    if (spots.length === first && left.length === firstLeft)
      first = spots.findIndex((spot) => spot.room === spots.at(-1)?.room);
    for (const spot of spots.slice(first)) spot.room = name;
    for (const words of left.slice(firstLeft)) words.room = name;
    room = name;
    first = spots.length;
    firstLeft = left.length;
  };
  const misses = (words: string, why: Message): void => {
    problems.push(why);
    left.push(ahead === undefined ? { words } : { words: `${ahead}: ${words}` });
  };
  for (const one of partsOf(text, bare)) {
    const named = ROOM_AHEAD.exec(one);
    const words = named?.[2] ?? one;
    if (named) {
      ahead = named[1];
      first = spots.length;
      firstLeft = left.length;
      room = named[1]?.toLowerCase();
    }
    const part = plain(words);
    if (part === '') continue;
    const on = onOf(part);
    if (on) {
      const from = spots.length > first ? first : spots.findIndex((spot) => spot.room === room);
      if (spots.length === 0) misses(words, say('said.nothing-before', { words }));
      for (const spot of spots.slice(Math.max(0, from))) spot.on = on;
      continue;
    }
    const alone = IN_ROOM.exec(part);
    if (alone?.index === 0 && alone[1] && spots.length + left.length > 0) {
      inRoom(alone[1]);
      continue;
    }
    const read = partRead(part, bare);
    if ('wrong' in read && measures(part, spots.at(-1), bare)) {
      // It was not given before, and is no longer typical.
      if (taken.at(-1)?.key === 'said.usual') taken.pop();
      continue;
    }
    if ('wrong' in read) {
      misses(words, read.wrong);
      if (read.room !== undefined && ahead === undefined) {
        // It names its room itself; what stands before it is there too.
        for (const spot of spots.slice(first)) spot.room = read.room;
        room = read.room;
        first = spots.length;
        firstLeft = left.length;
      }
      continue;
    }
    taken.push(...read.taken);
    spots.push(ahead === undefined ? read.spot : { ...read.spot, room: ahead.toLowerCase() });
    if (read.room !== undefined) {
      inRoom(read.room);
      ahead = undefined;
    }
  }
  if (spots.length === 0 && problems.length === 0)
    problems.push(say('said.empty', { such: say('repairs.such', { units }) }));
  const kept = left.map(({ words, room: of }) => (of === undefined ? words : `${words} in the ${of}`));
  return { spots, left: kept.join(', '), problems, taken };
}

/** Parts between commas, semicolons, lines, sentences and `and`; a comma inside a number parts nothing. */
function partsOf(text: string, bare: 'in' | 'mm'): string[] {
  const pieces = text
    .replace(/[”″]/g, '"')
    .replace(/[’′]/g, "'")
    .replace(/[½¼¾⅛⅜⅝⅞]/g, (one) => ` ${FRACTIONS[one] ?? ''}`)
    .replace(/(\d),(\d)/g, '$1.$2')
    .replace(/[^\S\n]+/g, ' ')
    .split(/\s*[,;\n]+\s*|(?<=[a-z)"'])(?<!\b(?:in|ft))[.!]+(?:\s+|$)/i)
    .map((part) => part.trim())
    .filter((part) => part !== '');
  return pieces.flatMap((piece) => {
    // `and` parts only what is told behind it: rooms and lengths have one in their middle.
    const [start = '', ...others] = piece.split(/\s+(?:and|plus|&|\+)\s+/i);
    const made = [start];
    for (const other of others) {
      const words = plain(other);
      const tells =
        onOf(words) !== undefined ||
        /^(?:all|both|everything) in /.test(words) ||
        'spot' in partRead(words, bare) ||
        COUNTED.test(words);
      if (tells) made.push(other);
      else made.push(`${made.pop() ?? ''} and ${other}`);
    }
    return made;
  });
}

/** The words of a part as they are looked for. */
const plain = (words: string): string =>
  words
    .toLowerCase()
    .replace(/^and\s+/, '')
    .replace(/\s+/g, ' ')
    .trim();

type Read = { spot: SaidSpots; taken: Message[]; room?: string } | { wrong: Message; room?: string };

/** What one part tells: of what kind, how many, how large, and where. */
function partRead(part: string, bare: 'in' | 'mm'): Read {
  let rest = part;
  const cut = (found: RegExpExecArray | null): string | undefined => {
    if (found) rest = `${rest.slice(0, found.index)} ${rest.slice(found.index + found[0].length)}`.trim();
    return found?.[1]?.trim();
  };
  const noted = cut(PLACE.exec(rest));
  const where = IN_ROOM.exec(rest);
  // A number with inches is no room, and a corner is a part of one.
  const room = where && !/^(a |the )?corners?\b/.test(where[1] ?? '') ? cut(where) : undefined;
  const inside = room === undefined ? {} : { room };
  const painted = /(?:^|\s)(painted|unpainted|bare)$/.exec(rest);
  const on = painted && rest !== painted[1] ? onOf(cut(painted) ?? '') : undefined;
  rest = rest.replace(
    /^(?:(?:there (?:are|is)|there's|we have|i have|got|fix|repair|patch|mend|about|around|roughly|also|maybe|another) )+/,
    '',
  );
  // Words for numbers where a unit follows: `six feet of tape`, `a foot`, `half an inch`.
  rest = rest
    .replace(/\bhalf an? (?=(?:inch|foot|meter|metre)\b)/g, '1/2 ')
    .replace(SPELLED_LENGTH, (_, word: string) => (/^an?$/.test(word) ? '1 ' : `${SPELLED.indexOf(word)} `));
  const counted = MEASURED.test(rest) ? null : COUNTED.exec(rest);
  const many = counted?.[1];
  const rough = many === undefined ? undefined : ROUGHLY[many];
  const count =
    many === undefined
      ? 1
      : (rough ?? (/^\d/.test(many) ? Number(many) : Math.max(1, SPELLED.indexOf(many))));
  const { name, lengths, deep } = sizesIn((counted?.[2] ?? rest).trim());
  const named = kindOf(name);
  if (!named || lengths.length > 3) return { wrong: say('said.kind', { words: part }), ...inside };
  if (count < LIMITS.damage.count.least || count > LIMITS.damage.count.most)
    return { wrong: say('said.count', { words: part, most: LIMITS.damage.count.most }), ...inside };
  const mm = lengths.map((one) => lengthIn(one, bare));
  const depth = deep ? mm.pop() : undefined;
  const [size, width] = mm;
  if ([size, width, depth].some((one) => one !== undefined && !within(one, LIMITS.damage.sizeMm)))
    return { wrong: say('said.size', { words: part }), ...inside };
  const usualMm = /knob/.test(name) ? KNOB_MM : REPAIR[named].usualMm;
  const sizeMm = Math.max(size ?? usualMm, width ?? 0);
  const kind = named === 'small-hole' && sizeMm > SMALL_HOLE_MM ? 'large-hole' : named;
  return {
    spot: {
      kind,
      sizeMm,
      count,
      ...(width === undefined || size === undefined ? {} : { widthMm: Math.min(size, width) }),
      ...(depth === undefined ? {} : { depthMm: depth }),
      ...(on === undefined ? {} : { on }),
      ...(noted === undefined ? {} : { note: noted }),
    },
    taken: [
      ...(rough === undefined ? [] : [say('said.roughly', { words: many ?? '', count })]),
      ...(size === undefined ? [say('said.usual', { kind: say(`damage.${named}`), size: usualMm })] : []),
    ],
    ...inside,
  };
}

/** Gives a spot the size, or the depth, that is told behind it: `crack, 4 ft`, `dip 4 ft, 3/8" deep`. */
function measures(part: string, spot: SaidSpots | undefined, bare: 'in' | 'mm'): boolean {
  const { name, lengths } = sizesIn(part);
  const [mm] = lengths.map((one) => lengthIn(one, bare));
  if (!spot || name !== '' || lengths.length !== 1 || mm === undefined) return false;
  if (!HAS_UNIT.test(part) || !within(mm, LIMITS.damage.sizeMm)) return false;
  if (/\bdeep\b/.test(part)) {
    if (spot.depthMm !== undefined) return false;
    spot.depthMm = mm;
    return true;
  }
  if (spot.sizeMm !== REPAIR[spot.kind].usualMm || spot.widthMm !== undefined) return false;
  spot.sizeMm = mm;
  if (spot.kind === 'small-hole' && mm > SMALL_HOLE_MM) spot.kind = 'large-hole';
  return true;
}

/** The name of a kind, and the lengths around it; the last of them its depth where that is said. */
function sizesIn(text: string): { name: string; lengths: string[]; deep: boolean } {
  const lengths = (text.match(LENGTH) ?? []).map((one) => one.trim());
  const without = text.replace(LENGTH, ' ');
  return {
    name: without
      .replace(SMALL, ' ')
      .replace(/[\s.()-]+/g, ' ')
      .trim(),
    lengths,
    deep: /\bdeep\b/.test(without) && lengths.length > 1,
  };
}

const kindOf = (words: string): DamageKind | undefined =>
  DAMAGES.find((kind) => WORDS[kind].test(words)) ??
  DAMAGES.find((kind) =>
    WORDS[kind].test(words.replace(/^(?:(?:small|little|tiny|big|large|huge|bad) )+/, '')),
  );

function lengthIn(text: string, bare: 'in' | 'mm'): number {
  const read = parseLength(text.replace(/(?<=\d)-(?=[a-z])/g, ' ').replace(/[-\s]+$/, ''), bare);
  return read.ok ? read.mm : NaN;
}
