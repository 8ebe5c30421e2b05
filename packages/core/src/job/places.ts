import { say, type Message, type TextKey } from '../texts';
import { BOXES, OPENING_KINDS } from './vocabulary';

/** Fields of the job that have a word of their own. */
const FIELDS = [
  'rooms',
  'lengthMm',
  'widthMm',
  'heightMm',
  'depthMm',
  'leftMm',
  'bottomMm',
  'topMm',
  'offMm',
  'alongMm',
  'outMm',
  'archMm',
  'highMm',
  'flatMm',
  'doorLeftMm',
  'doorWidthMm',
  'doorHeightMm',
  'lengthsMm',
  'alsoWidthsMm',
  'thicknessMm',
  'walls',
  'wallMm',
  'ceilingMm',
  'ceilingAlong',
  'gapMm',
  'humpMm',
  'spanMm',
  'lippageMm',
  'notchMm',
  'stepMm',
  'atMm',
  'at',
  'sizeMm',
  'bandMm',
  'bladeMm',
  'camberMm',
  'setMin',
  'waitMin',
  'setChosen',
  'setsAtHand',
  'prefillOverMm',
  'batchL',
  'compoundFor',
  'oneCompound',
  'yieldsL',
  'massKg',
  'waterL',
  'storey',
  'onHandL',
  'amount',
  'each',
  'lot',
  'ware',
  'price',
  'buying',
  'sure',
  'inStock',
  'leadDays',
  'total',
  'useBy',
  'inUse',
  'tornCm2',
  'cleanCm2',
  'liftKg',
  'grazingDeg',
  'tempC',
  'rhPct',
  'startDate',
  'from',
  'to',
  'setAside',
  'areaM2',
  'mm',
  'oldWork',
  'count',
  'oldClear',
  'instead',
  'hand',
  'cells',
  'counts',
  'plan',
  'outline',
] as const;

/** Lists and records of a job, whose entries are told one by one. */
const LISTS = [
  'rooms',
  'openings',
  'boxes',
  'closets',
  'lamps',
  'seams',
  'damage',
  'joints',
  'faces',
  'products',
  'sticks',
  'peels',
  'ways',
  'cells',
  'setAside',
  'people',
  'pins',
  'weather',
  'care',
  'doors',
  'shut',
  'log',
  'prices',
  'lines',
  'equipment',
] as const;
type List = (typeof LISTS)[number];

const isField = (key: string): key is (typeof FIELDS)[number] => (FIELDS as readonly string[]).includes(key);
const isList = (key: string): key is List => (LISTS as readonly string[]).includes(key);

const inside = (value: unknown, key: string): unknown =>
  typeof value === 'object' && value !== null ? (value as Record<string, unknown>)[key] : undefined;

const textAt = (value: unknown, key: string): string | undefined => {
  const text = inside(value, key);
  return typeof text === 'string' && text.trim() !== '' ? text.slice(0, 60) : undefined;
};

/**
 * A path of a job file as a person would say it: `rooms[0].openings[1].widthMm` is
 * `window 2 of the Reading room, width`.
 */
export function placeInWords(doc: unknown, path: string): Message | string {
  const steps = [...path.matchAll(/\[([^\]]*)\]|([^.[\]]+)/g)].map((m) => m[1] ?? m[2] ?? '');
  const things: (Message | string)[] = [];
  let fields: (Message | string)[] = [];
  let at = doc;
  for (let i = 0; i < steps.length; i++) {
    const key = steps[i] as string;
    const next = steps[i + 1];
    const held = inside(at, key);
    if (isList(key) && next !== undefined && typeof held === 'object' && held !== null) {
      things.unshift(oneInWords(key, held, next));
      fields = [];
      at = inside(held, next);
      i++;
    } else {
      // What only holds others together says nothing of its own where more follows.
      if (
        next === undefined ||
        !['plan', 'shop', 'calendar', 'climate', 'quote', 'bidding', 'agreed'].includes(key)
      )
        fields.push(isField(key) ? say(`field.${key}`) : key);
      at = held;
    }
  }
  // The innermost stands first: a window of a room, then its width.
  const thing =
    things.length > 0 ? things.reduce((part, whole) => say('part.of', { part, whole })) : undefined;
  return (
    [...(thing === undefined ? [] : [thing]), ...fields].reduce<Message | string>(
      (part, field) => (part === '' ? field : say('part.field', { part, field })),
      '',
    ) || path
  );
}

/** Kinds of parts that have a name of their own: a window, a soffit. */
const KINDS: Partial<Record<List, (kind: string | undefined) => TextKey | undefined>> = {
  openings: (kind) => OPENING_KINDS.map((k) => [k, `opening.${k}`] as const).find(([k]) => k === kind)?.[1],
  boxes: (kind) => BOXES.map((k) => [k, `box.${k}`] as const).find(([k]) => k === kind)?.[1],
};

function oneInWords(list: List, held: object, key: string): Message | string {
  const part = say(`part.${list}`);
  if (!Array.isArray(held)) return say('part.nth', { part, n: key });
  const n = Number(key);
  const thing = (held as unknown[])[n];
  const name = list === 'rooms' || list === 'products' || list === 'ways' ? textAt(thing, 'name') : undefined;
  if (name !== undefined) return list === 'rooms' ? name : say('part.named', { part, name });
  const kind = textAt(thing, 'kind');
  const known = KINDS[list]?.(kind);
  if (known === undefined) return say('part.nth', { part, n: n + 1 });
  const same = (held as unknown[]).slice(0, n).filter((other) => textAt(other, 'kind') === kind);
  return say('part.nth', { part: { key: known }, n: same.length + 1 });
}
