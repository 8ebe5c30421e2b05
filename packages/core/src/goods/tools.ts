import { given } from '../book';
import { cellsIn, type BoardRow } from '../coat';
import type { Coat, Job, Way } from '../job';
import { say } from '../texts';
import { once } from '../units';
import { bladesFor, kitOf, TOOL, toolReaching, type Tool } from '../way';

/** The blade a cell asks for that is not among the tools: the smallest made that reaches, or none where one is at hand. */
export function lackingFor(
  row: Pick<BoardRow, 'element'>,
  cell: { coat: Coat; bladeMm: number; float?: unknown },
  tools: Way['tools'],
  kit: ReturnType<typeof kitOf>,
): { tool: Tool | undefined; kinds: ReturnType<typeof bladesFor> } | undefined {
  // A float is struck off with a straightedge that no finisher lacks.
  if (cell.float) return undefined;
  const kinds = bladesFor(tools, row.element, cell.coat);
  const there = kit.some(
    (id) => kinds.includes(TOOL[id].kind) && Math.abs((TOOL[id].widthMm ?? 0) - cell.bladeMm) < 1,
  );
  return there ? undefined : { tool: toolReaching(kinds, cell.bladeMm), kinds };
}

/** The coats of a board that ask for the same blade are told once, with how many they are. */
const bladesAsked = once((rows: readonly BoardRow[]) => {
  const asked = new Map<string, { row: BoardRow; cell: BoardRow['cells'][number]; cells: number }>();
  for (const { row, cell } of cellsIn(rows)) {
    const key = `${row.element} ${cell.coat} ${cell.bladeMm} ${cell.float ? 'float' : ''}`;
    const known = asked.get(key);
    if (known) known.cells++;
    else asked.set(key, { row, cell, cells: 1 });
  }
  return [...asked.values()];
});

/** Every blade that coats ask for and is not there, with how many coats do. */
export function lackingTools({
  job,
  rooms,
}: {
  job: Pick<Job, 'shop' | 'way'>;
  rooms: readonly { areas: readonly { rows: readonly BoardRow[] }[] }[];
}): { tool: Tool; cells: number }[] {
  const kit = kitOf(job.shop, job.way.tools);
  const found = new Map<string, { tool: Tool; cells: number }>();
  for (const { rows } of rooms.flatMap((room) => room.areas))
    for (const { row, cell, cells } of bladesAsked(rows)) {
      const tool = lackingFor(row, cell, job.way.tools, kit)?.tool;
      if (!tool) continue;
      const known = found.get(tool.id);
      if (known) known.cells += cells;
      else found.set(tool.id, { tool, cells });
    }
  return [...found.values()];
}

/** What a blade costs by its width, and what it weighs; typical. */
const BLADE = { base: 12, perMm: 0.06, kg: 0.4 };

/** A blade to buy, and its package. */
export const toolOf = (tool: Tool, cells: number) => ({
  id: tool.id,
  kind: 'tool' as const,
  name: say('sundry.tool', { wide: tool.widthMm ?? 0, tool: say(`tool.${tool.kind}`) }),
  unit: 'count' as const,
  likely: 1,
  inputs: [given(say('sundry.cells'), cells, 'count')],
  pack: {
    id: 'one',
    kind: 'tool' as const,
    holds: 1,
    massKg: BLADE.kg,
    price: Math.round(BLADE.base + BLADE.perMm * (tool.widthMm ?? 0)),
  },
});
