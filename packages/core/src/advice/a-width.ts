import { cellsFor, type Cell } from '../coat';
import { COATS, type Room } from '../job';
import { DECORATION_FACTS, grazingOf, needsOf } from '../finish';
import { SHOWS_ABOVE } from '../light';
import { sectionInput } from '../takeoff';
import type { Joint } from '../survey';
import { printBlade } from '../units';
import type { Advice, RoomContext, RoomRule } from './types';

/** Finish widths to try, mm; the blades of two lanes run to 800. */
const WIDTHS = [350, 400, 500, 600, 700, 800, 900, 1000, 1200, 1400, 1600];

/** Each coat must reach past the one under it by this much a side, mm. */
const STEP_MM = 50;

/** A-WIDTH: a coat no wider than the one under it, or a joint that shows in the stated light. */
export const aWidth: RoomRule = (context) => [...narrow(context), ...shows(context)];

function narrow({ room, cells, job }: RoomContext): Advice[] {
  return (['flats', 'butts'] as const).flatMap((element) => {
    const row = rowOf(cells, element);
    const worse = row.find((cell, i) => i > 0 && cell.bandMm < (row[i - 1] as Cell).bandMm + 2 * STEP_MM);
    if (!worse) return [];
    const need = (row[row.indexOf(worse) - 1] as Cell).bandMm + 2 * STEP_MM;
    const key = element === 'flats' ? 'flatMm' : 'buttMm';
    return [
      {
        code: 'A-WIDTH',
        severity: 'warn' as const,
        place: { room: room.id, element, coat: worse.coat },
        reason: `The ${worse.coat} is ${printBlade(worse.bandMm, job.units)} wide; it should reach ${printBlade(STEP_MM, job.units)} past the coat under it on each side.`,
        cures: [
          {
            text: `Widen to ${printBlade(need, job.units)}`,
            changes: [{ room: room.id, path: ['bands', key], value: need }],
          },
        ],
      },
    ];
  });
}

const rowOf = (cells: readonly Cell[], element: string): Cell[] =>
  COATS.flatMap((coat) =>
    cells.filter((c) => c.element === element && c.coat === coat && c.coat !== 'prefill'),
  );

/** Joints that would show, element by element: the strongest of them decides the width. */
function shows(context: RoomContext): Advice[] {
  const { room, use, survey, job } = context;
  const sheen = DECORATION_FACTS[room.decoration].sheen;
  if (!sheen || needsOf(room.finish).flats < 2) return [];
  const limit = SHOWS_ABOVE[sheen];
  return (['flats', 'butts'] as const).flatMap((element) => {
    const worst = use.sections
      .filter((s) => s.element === element && s.contrast > limit)
      .sort((a, b) => b.contrast - a.contrast)[0];
    if (!worst) return [];
    const joint = survey.joints.find(
      (j) =>
        (element === 'butts') === (j.kind === 'butt') &&
        j.humpMm === worst.humpMm &&
        j.kind !== 'inside-angle',
    );
    const key = element === 'flats' ? 'flatMm' : 'buttMm';
    const width = joint && narrowestThatHides(context, joint, key, limit);
    const percent = (share: number) => `${(share * 100).toFixed(share < 0.1 ? 1 : 0)} %`;
    const name = element === 'flats' ? 'The flats' : worst.humpMm ? 'A humped butt' : 'The butts';
    return [
      {
        code: 'A-WIDTH',
        severity: 'warn' as const,
        place: { room: room.id, element, coat: 'finish' as const },
        reason: `${name} would show ${percent(worst.contrast)} in this light; ${DECORATION_FACTS[room.decoration].name} hides ${percent(limit)}.`,
        cures: width
          ? [
              {
                text: `Finish ${printBlade(width, job.units)} wide`,
                changes: [{ room: room.id, path: ['bands', key], value: width }],
              },
            ]
          : [{ text: 'No width hides it: float the wall, lower the sheen or change the light' }],
      },
    ];
  });
}

/** Smallest finish width whose simulated section stays under the limit, mm; none when no width does. */
function narrowestThatHides(
  { job, room, book, memo }: RoomContext,
  joint: Joint,
  key: 'flatMm' | 'buttMm',
  limit: number,
): number | undefined {
  const needs = needsOf(room.finish);
  const now = room.bands?.[key] ?? 0;
  return WIDTHS.find((width) => {
    if (width <= now || (key === 'buttMm' && width < 600)) return false;
    const bands: Room['bands'] = { ...room.bands, [key]: width };
    const { bare, coats } = sectionInput(joint, cellsFor(needs, job.way, bands), job.way, book);
    return memo.contrast(bare, coats, grazingOf(room.light)) <= limit;
  });
}
