import type { BoardRow } from '../coat';
import { DECORATION_FACTS, gradeName } from '../finish';
import { isCut } from '../job';
import { showsAbove } from '../light';
import { STRAIGHTEDGES } from '../section';
import { floatThatHides, type SectionRead } from '../takeoff';
import { compare, say } from '../texts';
import { hidingChanges, hidingInput, hidingWords, hollowLimit, shapeOf } from './hiding-cure';
import type { Advice, Cure, RoomContext, RoomRule } from './types';

/** A-HOLLOW: a belly, a hump or a step that the coats leave deeper under a straightedge than the grade allows. */
export const aHollow: RoomRule = (context) => {
  const limit = hollowLimit(context);
  if (limit === undefined) return [];
  const { rows, use, room, area } = context;
  return rows.flatMap((row): Advice[] => {
    const bad = use.sections
      .filter((read) => read.row === row.id && read.hollowMm > limit)
      .sort((a, b) => b.hollowMm - a.hollowMm);
    const worst = bad[0];
    if (!worst || !isCut(row.element)) return [];
    const [stays, takes] = compare(worst.hollowMm, limit);
    return [
      {
        code: 'A-HOLLOW',
        severity: 'warn',
        place: {
          room: room.id,
          area: area.id,
          row: row.id,
          element: row.element,
          coat: 'fill',
          ...(worst.joints[0] === undefined ? {} : { joint: worst.joints[0] }),
        },
        reason: say('a-hollow', {
          shape: shapeOf(worst),
          joint: say(`one.${worst.element}`),
          stays,
          takes,
          edge: STRAIGHTEDGES.level,
          grade: gradeName(room.finish),
        }),
        cures: floats(context, row, bad, worst),
      },
    ];
  });
};

function floats(
  context: RoomContext,
  row: BoardRow,
  bad: readonly SectionRead[],
  worst: SectionRead,
): Cure[] {
  const { room, survey, use, kit, book, memo } = context;
  const joint = survey.joints.find((j) => j.id === worst.joints[0]);
  if (!joint) return [];
  const { sheen, name: paint } = DECORATION_FACTS[room.decoration];
  const limit = sheen ? showsAbove(sheen, book) : Infinity;
  const alone = bad.length < use.sections.filter((read) => read.row === row.id).length;
  const hidden = floatThatHides(hidingInput(context, row, joint, limit), kit, book, memo);
  const flat = hidden ?? floatThatHides(hidingInput(context, row, joint, Infinity), kit, book, memo);
  if (!flat) return [{ text: say('a-hollow.none') }];
  const what = hidingWords(flat);
  return [
    {
      text: hidden ? say('start', { what }) : say('a-hollow.shows', { what, paint }),
      changes: hidingChanges(room, row, bad, alone, flat),
    },
  ];
}
