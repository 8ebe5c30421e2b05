import type { Book, Figure } from '../book';
import { ELEMENT, type Coat, type Element, type Shop, type ToolId, type Way } from '../job';
import { say, type Message } from '../texts';

export type ToolKind =
  | 'knife'
  | 'cambered'
  | 'flat'
  | 'wide'
  | 'pan'
  | 'hawk'
  | 'taper'
  | 'roller'
  | 'tube'
  | 'box'
  | 'head'
  | 'spotter';

export interface Tool {
  id: ToolId;
  kind: ToolKind;
  name: Message;
  /** Width of its blade, mm; none for what holds or lays. */
  widthMm?: number;
}

const tool = (id: ToolId, kind: ToolKind, widthMm?: number): Tool => ({
  id,
  kind,
  name: say(`tool.${kind}`),
  ...(widthMm === undefined ? {} : { widthMm }),
});

/** Everything a finisher may own, by width. */
export const TOOL: Readonly<Record<ToolId, Tool>> = Object.fromEntries(
  [
    ...([75, 100, 125, 150, 200, 250, 300, 350] as const).map((mm) => tool(`knife-${mm}`, 'knife', mm)),
    tool('trowel-cambered-355', 'cambered', 355),
    tool('trowel-flat-405', 'flat', 405),
    ...([500, 600, 800] as const).map((mm) => tool(`blade-${mm}`, 'wide', mm)),
    tool('pan', 'pan'),
    tool('hawk', 'hawk'),
    tool('taper', 'taper'),
    tool('roller', 'roller'),
    tool('tube', 'tube'),
    tool('box-180', 'box', 180),
    tool('box-250', 'box', 250),
    tool('box-300', 'box', 300),
    ...([65, 75, 90] as const).map((mm) => tool(`head-${mm}`, 'head', mm)),
    tool('spotter-75', 'spotter', 75),
  ].map((t) => [t.id, t]),
) as Record<ToolId, Tool>;

const HAND: ToolId[] = ['knife-75', 'knife-100', 'knife-125', 'knife-150'];

/** What somebody who works so usually owns. */
const USUAL: Record<Way['tools'], readonly ToolId[]> = {
  knives: ['pan', ...HAND, 'knife-200', 'knife-250', 'knife-300'],
  trowels: ['hawk', ...HAND, 'knife-200', 'knife-250', 'trowel-cambered-355', 'trowel-flat-405'],
  machine: [
    'pan',
    ...HAND,
    'knife-200',
    'knife-250',
    'knife-300',
    'taper',
    'roller',
    'tube',
    'box-180',
    'box-250',
    'box-300',
    'head-75',
    'head-90',
    'spotter-75',
  ],
};

/** The tools at hand: the user's own, or what is usual for the way. */
export const kitOf = (shop: Pick<Shop, 'kit'> | undefined, tools: Way['tools']): readonly ToolId[] =>
  shop?.kit ?? USUAL[tools];

/** Kinds of blade that do a coat, the one reached for first in front. */
export function bladesFor(tools: Way['tools'], element: Element, coat: Coat): readonly ToolKind[] {
  const flat = element !== 'angles' && element !== 'corners' && element !== 'heads';
  const over = coat === 'fill' || coat === 'finish';
  if (coat === 'skim') return ['wide', 'flat', 'knife'];
  if (tools === 'machine') {
    if (element === 'angles' && coat !== 'prefill') return ['head', 'knife'];
    if (element === 'heads') return ['spotter', 'knife'];
    if (flat && over && element !== 'repairs') return ['box', 'knife', 'wide'];
  }
  if (tools === 'trowels' && over && flat)
    return coat === 'fill' ? ['cambered', 'knife', 'wide'] : ['flat', 'cambered', 'knife', 'wide'];
  return ['knife', 'wide'];
}

/** The smallest owned blade of the first kind that reaches a width; none where every owned blade is narrower. */
export function bladeReaching(
  kit: readonly ToolId[],
  kinds: readonly ToolKind[],
  widthMm: number,
): Tool | undefined {
  for (const kind of kinds) {
    const found = owned(kit, [kind]).find((t) => (t.widthMm ?? 0) >= widthMm - 0.5);
    if (found) return found;
  }
  return undefined;
}

/** The widest blade that pulls a coat, mm; none owned gives 0. */
export const widestOf = (kit: readonly ToolId[], kinds: readonly ToolKind[]): number =>
  Math.max(0, ...owned(kit, kinds).map((t) => t.widthMm ?? 0));

/** The widths of the blades at hand that are wider than so much, the widest first, mm. */
export const widthsOf = (kit: readonly ToolId[], kinds: readonly ToolKind[], overMm: number): number[] =>
  [...new Set(owned(kit, kinds).map((t) => t.widthMm ?? 0))].filter((mm) => mm > overMm).reverse();

const owned = (kit: readonly ToolId[], kinds: readonly ToolKind[]): Tool[] =>
  kit
    .map((id) => TOOL[id])
    .filter((t) => kinds.includes(t.kind))
    .sort((a, b) => (a.widthMm ?? 0) - (b.widthMm ?? 0));

/** Steps a box's dial has. */
const DIAL_STEPS = 6;
/** However its figures are set, a box leaves something, mm. */
const LEAST_MM = 0.05;

/** What a box leaves at mid-blade at each step of its dial, from open to closed, mm. */
export const dialOf = ({ dialOpenMm, dialStepMm }: Pick<Book, 'dialOpenMm' | 'dialStepMm'>): number[] =>
  Array.from({ length: DIAL_STEPS }, (_, i) =>
    Math.max(LEAST_MM, Math.round((dialOpenMm.value - i * dialStepMm.value) * 1e6) / 1e6),
  );

/** The step of a dial that leaves about so much: 1 is open. */
export const dialFor = (camberMm: number, dial: readonly number[]): number =>
  dial.reduce(
    (best, c, i) => (Math.abs(c - camberMm) < Math.abs((dial[best] ?? 0) - camberMm) ? i : best),
    0,
  ) + 1;

/** The smallest tool made that reaches a width, of the kinds that do the work. */
export const toolReaching = (kinds: readonly ToolKind[], widthMm: number): Tool | undefined =>
  bladeReaching(
    Object.values(TOOL).map((t) => t.id),
    kinds,
    widthMm,
  );

/** Mud in one fill of a tool; none of a blade. */
export const fillOf = (id: ToolId, book: Book): Figure | undefined =>
  (book as Partial<Record<string, Figure>>)[`fill-${id}`];

/** The tool that is filled for a coat: the taper, the tube, the box, or the pan or hawk in the hand. */
export function filledFor(
  tools: Way['tools'],
  element: Element,
  coat: Coat,
  blade: ToolId | undefined,
): ToolId {
  const hand = tools === 'trowels' ? 'hawk' : 'pan';
  if (tools !== 'machine') return hand;
  if (ELEMENT[element].closed && coat === 'tape') return 'taper';
  if (element === 'angles' && coat !== 'prefill') return 'tube';
  return blade && TOOL[blade].kind === 'box' ? blade : hand;
}
