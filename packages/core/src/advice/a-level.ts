import { DECORATION_FACTS, gradeName, judgeFinish, primerOf } from '../finish';
import { showsAbove } from '../light';
import { compare, say, type Message } from '../texts';
import { lookChange } from './look-cure';
import type { RoomContext, RoomRule } from './types';

/** A-LEVEL: decoration or light asks for more than the grade gives. */
export const aLevel: RoomRule = (context) => {
  const { area, room, survey } = context;
  const verdict = judgeFinish(room.finish, room.decoration, room.light);
  if (verdict.holds) return [];
  return [
    {
      code: 'A-LEVEL',
      severity: 'warn',
      place: { room: room.id, area: area.id },
      reason: cutAcross(context, verdict.sentence),
      cures: [
        {
          text: say('cure.raise', { grade: gradeName(verdict.smallest) }),
          changes: lookChange(area, survey, 'finish', verdict.smallest),
        },
      ],
    },
  ];
};

/** The verdict, and what the worst joint shows as it is planned, against what its paint hides. */
function cutAcross({ room, use, book }: RoomContext, verdict: Message): Message {
  const { sheen, name: paint } = DECORATION_FACTS[room.decoration];
  const worst = use.sections.reduce((most, read) => Math.max(most, read.contrast), 0);
  if (!sheen || worst === 0) return verdict;
  const least = showsAbove(sheen, book);
  const [shown, hidden] = compare(worst, least);
  if (worst > least) return say('a-level.shows', { verdict, shown, hidden, paint });
  return say(primerOf(room) === 'high-build' ? 'a-level.primed' : 'a-level.drinks', {
    verdict,
    shown,
    hidden,
  });
}
