import { DECORATION_FACTS, gradeName, judgeFinish, primerOf } from '../finish';
import { SHOWS_ABOVE } from '../light';
import { apart, shareTo } from '../units';
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
      reason: `${verdict.sentence}${cutAcross(context)}`,
      cures: [
        {
          text: `Raise to ${gradeName(verdict.smallest)}`,
          changes: lookChange(area, survey, 'finish', verdict.smallest),
        },
      ],
    },
  ];
};

/** What the worst joint shows as it is planned, against what its paint hides. */
function cutAcross({ room, use }: RoomContext): string {
  const { sheen, name } = DECORATION_FACTS[room.decoration];
  const worst = use.sections.reduce((most, read) => Math.max(most, read.contrast), 0);
  if (!sheen || worst === 0) return '';
  const least = SHOWS_ABOVE[sheen];
  const [shown, hidden] = apart(worst, least, shareTo);
  if (worst > least) return ` Cut across, the worst of them shows ${shown}; ${name} hides ${hidden}.`;
  return primerOf(room) === 'high-build'
    ? ` In shape they hide, ${shown} of ${hidden}, and a high-build primer evens what paper and compound drink: see a sample before you hold to less.`
    : ` In shape they hide, ${shown} of ${hidden}: what shows is paper beside compound, drinking unequally.`;
}
