import { isFlat, rowCells, type BoardRow, type Cell } from '../coat';
import { DECORATION_FACTS, grazingOf, needsOf } from '../finish';
import type { CellEdit, Coat, ToolId } from '../job';
import { SHOWS_ABOVE } from '../light';
import { sectionInput, type SectionRead } from '../takeoff';
import type { Joint } from '../survey';
import { printBlade, printShare } from '../units';
import { TOOL } from '../way';
import { cellChange } from './cell-cure';
import { lookChange } from './look-cure';
import type { Advice, Change, Cure, RoomContext, RoomRule } from './types';

/** Finish widths to try, mm. */
const WIDTHS = [350, 400, 500, 600, 700, 800, 900, 1000, 1200, 1400, 1600];

/** How stiff the blade is held over finish and fill, by what it leaves at its middle, mm; none is as usual. */
const STIFF: readonly (readonly [number?, number?])[] = [[], [0.15], [0.08], [0.15, 0.15], [0.08, 0.08]];

/** Blades to buy when no owned one will do, narrowest first. */
const WIDER: readonly ToolId[] = ['blade-500', 'blade-600', 'blade-800'];

/** Each coat must reach past the one under it by this much a side, mm. */
const STEP_MM = 50;

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

/** A finish that hides a joint: how wide, and how stiff the blade is held over fill and finish. */
interface Hiding {
  bandMm: number;
  finishMm?: number;
  fillMm?: number;
}

function hidingCures(
  context: RoomContext,
  row: BoardRow,
  joint: Joint,
  reads: readonly SectionRead[],
  alone: boolean,
  limit: number,
  units: RoomContext['job']['units'],
): Cure[] {
  const { kit, room, area, survey } = context;
  const words = ({ bandMm, finishMm }: Hiding) =>
    `finish ${printBlade(bandMm, units)} wide${finishMm === undefined ? '' : ', blade held stiff'}`;
  const owned = narrowestThatHides(context, row, joint, limit, kit);
  const write = (found: Hiding) => hidingChanges(room, row, reads, alone, found);
  if (owned) return [{ text: upper(words(owned)), changes: write(owned) }];
  for (const id of WIDER) {
    if (kit.includes(id)) continue;
    const bought = narrowestThatHides(context, row, joint, limit, [...kit, id]);
    if (bought)
      return [
        {
          text: `Get a ${printBlade(TOOL[id].widthMm ?? 0, units)} blade: ${words(bought)}`,
          changes: [{ path: ['shop', 'kit'], value: [...kit, id] }, ...write(bought)],
        },
      ];
  }
  // No blade hides it in this sheen; a lower one may.
  const lower = LOWER.find(
    (id) =>
      SHOWS_ABOVE[SHEEN[id]] > limit && narrowestThatHides(context, row, joint, SHOWS_ABOVE[SHEEN[id]], kit),
  );
  const wide = lower && narrowestThatHides(context, row, joint, SHOWS_ABOVE[SHEEN[lower]], kit);
  return [
    ...(lower && wide
      ? [
          {
            text: `No width hides it in this sheen: paint ${DECORATION_FACTS[lower].name}, ${words(wide)}`,
            changes: [...lookChange(area, survey, 'decoration', lower), ...write(wide)],
          },
        ]
      : []),
    { text: 'Or float the wall, shift the joint or change the light' },
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
  { bandMm, finishMm, fillMm }: Hiding,
): Change[] {
  const set = (coat: Coat, key: 'bandMm' | 'camberMm', value: number | undefined): Change[] => {
    if (value === undefined) return [];
    if (!alone) return cellChange(room, row, coat, key, value);
    return reads
      .flatMap((read) => read.joints)
      .map((id) => ({ room: room.id, path: ['joints', id, 'cells', coat, key], value }));
  };
  return [
    ...set('finish', 'bandMm', bandMm),
    ...set('finish', 'camberMm', finishMm),
    ...set('fill', 'camberMm', fillMm),
  ];
}

/** The smallest finish whose simulated section stays under the limit; none when no width does. */
function narrowestThatHides(
  { job, room, book, memo }: RoomContext,
  row: BoardRow,
  joint: Joint,
  limit: number,
  kit: readonly ToolId[],
): Hiding | undefined {
  const needs = needsOf(room.finish);
  const coated = row.cells.filter((cell) => cell.coat !== 'prefill' && cell.coat !== 'finish');
  const least = (coated.at(-1)?.bandMm ?? 0) + 2 * STEP_MM;
  const now = row.cells.find((cell) => cell.coat === 'finish')?.bandMm ?? 0;
  const own = room.joints?.[joint.id]?.cells ?? {};
  const hides = (bandMm: number, finishMm: number | undefined, fillMm: number | undefined): boolean => {
    const tried: Partial<Record<Coat, CellEdit>> = {
      ...own,
      finish: { ...own.finish, bandMm, ...(finishMm === undefined ? {} : { camberMm: finishMm }) },
      ...(fillMm === undefined ? {} : { fill: { ...own.fill, camberMm: fillMm } }),
    };
    const cells = rowCells(row.element, { needs, way: job.way, kit, room: room.cells, joint: tried });
    const { bare, coats } = sectionInput(joint, cells, job.way, book);
    return memo.contrast(bare, coats, grazingOf(room.light)) <= limit;
  };
  for (const [finishMm, fillMm] of STIFF) {
    const widths = WIDTHS.filter((mm) => mm >= least && mm >= now && (finishMm !== undefined || mm !== now));
    const widest = widths.at(-1);
    // What the widest does not hide the narrower ones do not: most searches end here.
    if (widest === undefined || !hides(widest, finishMm, fillMm)) continue;
    const bandMm = widths.find((mm) => hides(mm, finishMm, fillMm)) ?? widest;
    return {
      bandMm,
      ...(finishMm === undefined ? {} : { finishMm }),
      ...(fillMm === undefined ? {} : { fillMm }),
    };
  }
  return undefined;
}
