import { isFlat, type BoardRow, type Cell } from '../coat';
import { DECORATION_FACTS, grazingOf, needsOf } from '../finish';
import type { ToolId } from '../job';
import { SHOWS_ABOVE } from '../light';
import {
  floatThatHides,
  narrowestThatHides,
  skimOver,
  STEP_MM,
  type Hiding,
  type HidingInput,
  type SectionRead,
} from '../takeoff';
import type { Joint } from '../survey';
import { printBlade, printShare } from '../units';
import { TOOL } from '../way';
import { cellChange, hidingEdits } from './cell-cure';
import { lookChange } from './look-cure';
import type { Advice, Change, Cure, RoomContext, RoomRule } from './types';

/** Blades to buy when no owned one will do, narrowest first. */
const WIDER: readonly ToolId[] = ['blade-500', 'blade-600', 'blade-800'];

/** A-WIDTH: a coat no wider than the one under it, or a joint that shows in the stated light. */
export const aWidth: RoomRule = (context) => [...narrow(context), ...shows(context)];

function narrow({ area, room, rows, job }: RoomContext): Advice[] {
  return rows.flatMap((row) => {
    if (!isFlat(row.element)) return [];
    const cells = row.cells.filter((cell) => cell.coat !== 'prefill');
    const worse = cells.find((cell, i) => i > 0 && cell.bandMm < (cells[i - 1] as Cell).bandMm + 2 * STEP_MM);
    if (!worse) return [];
    const need = (cells[cells.indexOf(worse) - 1] as Cell).bandMm + 2 * STEP_MM;
    return [
      {
        code: 'A-WIDTH',
        severity: 'warn' as const,
        place: { room: room.id, area: area.id, row: row.id, element: row.element, coat: worse.coat },
        reason: `The ${worse.coat} is ${printBlade(worse.bandMm, job.units)} wide; it should reach ${printBlade(STEP_MM, job.units)} past the coat under it on each side.`,
        cures: [
          {
            text: `Widen to ${printBlade(need, job.units)}`,
            changes: cellChange(room, row, worse.coat, 'bandMm', need),
          },
        ],
      },
    ];
  });
}

/** Joints that would show, row by row: the strongest of them decides the width. */
function shows(context: RoomContext): Advice[] {
  const { area, room, rows, use, survey, job } = context;
  const sheen = DECORATION_FACTS[room.decoration].sheen;
  if (!sheen || needsOf(room.finish).flats < 2) return [];
  const limit = SHOWS_ABOVE[sheen];
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
      const bad = reads.filter((s) => s.contrast > limit && troubled(s) === trouble);
      const worst = bad.sort((a, b) => b.contrast - a.contrast)[0];
      const joint = worst && jointOf(worst);
      if (!worst || !joint) return [];
      const alone = trouble && !reads.every(troubled);
      const what = trouble ? `A humped ${SINGULAR[row.element] ?? 'joint'}` : `The ${row.element}`;
      return [
        {
          code: 'A-WIDTH',
          severity: 'warn',
          place: { room: room.id, area: area.id, row: row.id, element: row.element, coat: 'finish' },
          reason: `${what} would show ${printShare(worst.contrast)} in this light; ${DECORATION_FACTS[room.decoration].name} hides ${printShare(limit)}.`,
          cures: hidingCures(context, row, joint, bad, alone, limit, job.units),
        },
      ];
    });
  });
}

const SINGULAR: Partial<Record<string, string>> = { butts: 'butt', flats: 'flat', mixed: 'mixed joint' };

function hidingCures(
  context: RoomContext,
  row: BoardRow,
  joint: Joint,
  reads: readonly SectionRead[],
  alone: boolean,
  limit: number,
  units: RoomContext['job']['units'],
): Cure[] {
  const { kit, room, area, survey, book, memo, job } = context;
  const words = ({ fill, finish }: Hiding) =>
    `${fill?.float ? `float ${printBlade(fill.bandMm ?? 0, units)} wide${fill.layers ? ` in ${fill.layers} layers` : ''}, ` : ''}finish ${printBlade(finish?.bandMm ?? 0, units)} wide${finish?.camberMm === undefined ? '' : ', blade held stiff'}`;
  const input = (most: number): HidingInput => ({
    joint,
    row,
    board: { needs: needsOf(room.finish), way: job.way, room: room.cells },
    own: room.joints?.[joint.id]?.cells ?? {},
    grazingDeg: grazingOf(room.light),
    limit: most,
    way: job.way,
    skim: skimOver(context.rows, room, book),
  });
  const narrowest = (most: number, tools: readonly ToolId[]) =>
    narrowestThatHides(input(most), tools, book, memo);
  const owned = narrowest(limit, kit);
  const write = (found: Hiding) => hidingChanges(room, row, reads, alone, found);
  if (owned) return [{ text: upper(words(owned)), changes: write(owned) }];
  const float = floatThatHides(input(limit), kit, book, memo);
  const floats: Cure[] = float ? [{ text: upper(words(float)), changes: write(float) }] : [];
  for (const id of WIDER) {
    const bought = kit.includes(id) ? undefined : narrowest(limit, [...kit, id]);
    if (bought)
      return [
        {
          text: `Get a ${printBlade(TOOL[id].widthMm ?? 0, units)} blade: ${words(bought)}`,
          changes: [{ path: ['shop', 'kit'], value: [...kit, id] }, ...write(bought)],
        },
        ...floats,
      ];
  }
  // No blade hides it in this sheen; a lower one may.
  const lower = LOWER.find((id) => SHOWS_ABOVE[SHEEN[id]] > limit && narrowest(SHOWS_ABOVE[SHEEN[id]], kit));
  const wide = lower && narrowest(SHOWS_ABOVE[SHEEN[lower]], kit);
  const painted: Cure[] =
    lower && wide
      ? [
          {
            text: `Paint ${DECORATION_FACTS[lower].name}, ${words(wide)}`,
            changes: [...lookChange(area, survey, 'decoration', lower), ...write(wide)],
          },
        ]
      : [];
  return [
    ...floats,
    ...painted,
    { text: 'No blade hides it in this sheen: else shift the joint, mend the framing or change the light' },
  ];
}

const upper = (text: string): string => text.replace(/^./, (c) => c.toUpperCase());

/** Paints by sheen, the glossiest first. */
const LOWER = ['semi-gloss', 'satin', 'eggshell', 'flat-paint'] as const;
const SHEEN = {
  'semi-gloss': 'semi-gloss',
  satin: 'satin',
  eggshell: 'eggshell',
  'flat-paint': 'flat',
} as const;

/** Writes a finish into the cells it is decided in: of the row, or of the joints that need it. */
function hidingChanges(
  room: RoomContext['room'],
  row: BoardRow,
  reads: readonly SectionRead[],
  alone: boolean,
  hiding: Hiding,
): Change[] {
  const only = alone ? { ...row, joints: reads.flatMap((read) => read.joints) } : row;
  return hidingEdits(hiding).flatMap(({ coat, key, value }) =>
    cellChange(room, only, coat, key, value, alone ? 'joint' : undefined),
  );
}
