import type { BoardRow, Cell } from '../coat';
import { DECORATION_FACTS, needsOf } from '../finish';
import { isCut, type ToolId } from '../job';
import { showsAbove } from '../light';
import {
  floatThatHides,
  narrowestThatHides,
  STEP_MM,
  type Hiding,
  type HidingInput,
  type SectionRead,
} from '../takeoff';
import type { Joint } from '../survey';
import { compare, say } from '../texts';
import { TOOL } from '../way';
import { cellChange } from './cell-cure';
import { inJob } from './change';
import { hidingChanges, hidingInput, hidingWords, shapeOf } from './hiding-cure';
import { lookChange } from './look-cure';
import { NEAR } from './near';
import type { Advice, Cure, RoomContext, RoomRule } from './types';

/** Blades to buy when no owned one will do, narrowest first. */
const WIDER: readonly ToolId[] = ['blade-500', 'blade-600', 'blade-800'];

/** A-WIDTH: a coat no wider than the one under it, or a joint that shows in the stated light. */
export const aWidth: RoomRule = (context) => [...narrow(context), ...shows(context)];

/** How wide a coat must be over the one under it, mm: boxes come in fixed sizes, so there the next larger is enough. */
const leastOver = (under: Cell, cell: Cell): number =>
  cell.tool && TOOL[cell.tool].kind === 'box' ? under.bandMm + 1 : under.bandMm + 2 * STEP_MM;

function narrow({ area, room, rows }: RoomContext): Advice[] {
  // A full skim goes over the edges of every coat.
  if (needsOf(room.finish).surface === 'skim') return [];
  return rows.flatMap((row) => {
    if (!isCut(row.element)) return [];
    const cells = row.cells.filter((cell) => cell.coat !== 'prefill');
    const under = (cell: Cell): Cell | undefined => cells[cells.indexOf(cell) - 1];
    const worse = cells.find((cell) => {
      const below = under(cell);
      return below !== undefined && cell.bandMm < leastOver(below, cell);
    });
    if (!worse) return [];
    const need = (under(worse) as Cell).bandMm + 2 * STEP_MM;
    return [
      {
        code: 'A-WIDTH',
        severity: 'warn' as const,
        place: {
          room: room.id,
          area: area.id,
          row: row.id,
          element: row.element,
          coat: worse.coat,
          cause: 'lap',
        },
        reason: say('a-width.lap', { coat: say(`coat.${worse.coat}`), wide: worse.bandMm, past: STEP_MM }),
        cures: [
          {
            text: say('a-width.widen', { to: need }),
            changes: cellChange(room, row, worse.coat, 'bandMm', need),
          },
        ],
      },
    ];
  });
}

/** Joints that would show, row by row: the strongest of them decides the width. */
function shows(context: RoomContext): Advice[] {
  const { area, room, rows, use, survey, book } = context;
  const sheen = DECORATION_FACTS[room.decoration].sheen;
  if (!sheen || needsOf(room.finish).flats < 2) return [];
  const limit = showsAbove(sheen, book);
  const jointOf = (read: SectionRead) => survey.joints.find((j) => j.id === read.joints[0]);
  return rows.flatMap((row): Advice[] => {
    if (!row.cells.some((cell) => cell.coat === 'finish')) return [];
    const reads = use.sections.filter((s) => s.row === row.id);
    const troubled = (read: SectionRead): boolean => {
      const joint = jointOf(read);
      return joint !== undefined && (joint.humpMm !== 0 || joint.lippageMm !== 0);
    };
    // A few humped joints are widened by themselves; the plain ones of their row stay narrow.
    return [false, true].flatMap((trouble): Advice[] => {
      const bad = reads.filter((s) => s.contrast > limit * NEAR && troubled(s) === trouble);
      const worst = bad.sort((a, b) => b.contrast - a.contrast)[0];
      const joint = worst && jointOf(worst);
      if (!worst || !joint) return [];
      const alone = trouble && !reads.every(troubled);
      const [shown, hidden] = compare(worst.contrast, limit);
      const paint = DECORATION_FACTS[room.decoration].name;
      return [
        {
          code: 'A-WIDTH',
          severity: 'warn',
          place: {
            room: room.id,
            area: area.id,
            row: row.id,
            element: row.element,
            coat: 'finish',
            ...(trouble ? { joint: joint.id } : {}),
          },
          reason: trouble
            ? say('a-width.joint', {
                shape: shapeOf(worst),
                joint: say(`one.${worst.element}`),
                shown,
                hidden,
                paint,
              })
            : say('a-width', { element: say(`element.${row.element}`), shown, hidden, paint }),
          cures: hidingCures(context, row, joint, bad, alone, limit),
        },
      ];
    });
  });
}

function hidingCures(
  context: RoomContext,
  row: BoardRow,
  joint: Joint,
  reads: readonly SectionRead[],
  alone: boolean,
  limit: number,
): Cure[] {
  const { kit, room, area, survey, book, memo } = context;
  const told = (found: Hiding) => say('start', { what: hidingWords(found) });
  const input = (most: number): HidingInput => hidingInput(context, row, joint, most);
  const narrowest = (most: number, tools: readonly ToolId[]) =>
    narrowestThatHides(input(most), tools, book, memo);
  const owned = narrowest(limit, kit);
  const write = (found: Hiding) => hidingChanges(room, row, reads, alone, found);
  if (owned) return [{ text: told(owned), changes: write(owned) }];
  // Boards that lie flat are not floated to hide a joint.
  const lies = joint.humpMm !== 0 || joint.lippageMm !== 0;
  const float = lies ? floatThatHides(input(limit), kit, book, memo) : undefined;
  const floats: Cure[] = float ? [{ text: told(float), changes: write(float) }] : [];
  for (const id of WIDER) {
    const bought = kit.includes(id) ? undefined : narrowest(limit, [...kit, id]);
    if (bought)
      return [
        {
          text: say('a-width.get', { blade: TOOL[id].widthMm ?? 0, what: hidingWords(bought) }),
          changes: [inJob(['shop', 'kit'], [...kit, id]), ...write(bought)],
        },
        ...floats,
      ];
  }
  // No blade hides it in this sheen; a lower one may.
  const lower = LOWER.find(
    (id) => showsAbove(SHEEN[id], book) > limit && narrowest(showsAbove(SHEEN[id], book), kit),
  );
  const wide = lower && narrowest(showsAbove(SHEEN[lower], book), kit);
  const painted: Cure[] =
    lower && wide
      ? [
          {
            text: say('a-width.paint', { paint: DECORATION_FACTS[lower].name, what: hidingWords(wide) }),
            changes: [...lookChange(area, survey, 'decoration', lower), ...write(wide)],
          },
        ]
      : [];
  return [...floats, ...painted, { text: say('a-width.none') }];
}

/** Paints by sheen, the glossiest first. */
const LOWER = ['semi-gloss', 'satin', 'eggshell', 'flat-paint'] as const;
const SHEEN = {
  'semi-gloss': 'semi-gloss',
  satin: 'satin',
  eggshell: 'eggshell',
  'flat-paint': 'flat',
} as const;
