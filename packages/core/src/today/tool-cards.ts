import type { Book, Figure } from '../book';
import type { Cell } from '../coat';
import type { Step, Way } from '../job';
import { say, type Message, type PlainKey } from '../texts';
import { fillOf, filledFor, TOOL, type ToolKind } from '../way';

/** What one does with a tool or a move of the hand, each drawn and told. */
export const ACTS = {
  paddle: ['water', 'powder', 'rest', 'stop', 'clean'],
  knife: ['load', 'run', 'lift', 'clean', 'store'],
  hawk: ['load', 'run', 'lift', 'clean', 'store'],
  taper: ['load', 'prime', 'run', 'cut', 'refill', 'clean', 'store'],
  roller: ['run', 'clean'],
  tube: ['load', 'run', 'refill', 'clean', 'store'],
  head: ['run', 'lift', 'clean', 'store'],
  box: ['load', 'prime', 'run', 'lift', 'dial', 'clean', 'store'],
  spotter: ['load', 'run', 'clean', 'store'],
  pole: ['load', 'run', 'edges', 'clean'],
  bead: ['one', 'two', 'three', 'four'],
  angle: ['one', 'two', 'three', 'four'],
  corner: ['one', 'two', 'three'],
  crossing: ['one', 'two', 'three'],
} as const;
export type CardId = keyof typeof ACTS;
export const CARD_IDS = Object.keys(ACTS) as CardId[];

export interface CardStep {
  act: string;
  name: Message;
  text: Message;
}

/** How a tool is handled, or a move is made. */
export interface ToolCard {
  id: CardId;
  name: Message;
  /** Mud in one fill of it. */
  fill?: Figure;
  steps: CardStep[];
}

/** Moves of the hand, whose steps are only counted. */
const MOVES: ReadonlySet<CardId> = new Set(['bead', 'angle', 'corner', 'crossing']);

/** A card; with the fill of the very tool where that is known. */
export const toolCard = (id: CardId, fill?: Figure): ToolCard => ({
  id,
  name: say(`card.${id}`),
  ...(fill ? { fill } : {}),
  steps: ACTS[id].map((act, i) => ({
    act,
    // The compiler cannot pair each card with its own acts; a test does.
    name: MOVES.has(id) ? say('card.step', { n: i + 1 }) : say(`card-act.${act}` as PlainKey),
    text: say(`card.${id}.${act}` as PlainKey),
  })),
});

const OF_KIND: Record<ToolKind, CardId> = {
  knife: 'knife',
  wide: 'knife',
  pan: 'knife',
  cambered: 'hawk',
  flat: 'hawk',
  hawk: 'hawk',
  taper: 'taper',
  roller: 'roller',
  tube: 'tube',
  head: 'head',
  box: 'box',
  spotter: 'spotter',
};

/** The cards a task wants, the tools in the order they are taken up, then the moves. */
export function cardsFor(
  step: Step,
  cells: readonly Cell[],
  { tools }: Pick<Way, 'tools'>,
  book: Book,
): ToolCard[] {
  if (step === 'sand') return [toolCard('pole')];
  const fills = new Map<CardId, Figure | undefined>();
  const add = (id: CardId | undefined, fill?: Figure) => {
    if (id !== undefined && !fills.get(id)) fills.set(id, fill);
  };
  if (cells.length > 0) add('paddle');
  for (const { element, coat, tool, machine, faces } of cells) {
    const holds = filledFor(
      machine ? tools : tools === 'trowels' ? 'trowels' : 'knives',
      element,
      coat,
      tool,
    );
    add(OF_KIND[TOOL[holds].kind], fillOf(holds, book));
    if (machine && element === 'angles' && coat === 'tape') add('roller');
    if (tool) add(OF_KIND[TOOL[tool].kind], fillOf(tool, book));
    if (element === 'angles' && !machine) add(coat === 'tape' ? 'angle' : faces === 1 ? 'corner' : undefined);
    if (element === 'corners' && coat === 'tape') add('bead');
    if (element === 'butts' && coat !== 'prefill' && coat !== 'tape') add('crossing');
  }
  const order = (id: CardId): number => CARD_IDS.indexOf(id);
  return [...fills].sort(([a], [b]) => order(a) - order(b)).map(([id, fill]) => toolCard(id, fill));
}
