import { printShare } from '../units';
import type { Advice, JobRule } from './types';

/** Longer than this and mud sours, grows mildew and holds everybody up, h. */
const TOO_LONG_H = 72;

/** A-HUMID: a coat forecast to dry for more than three days. */
export const aHumid: JobRule = ({ job, rooms }) => {
  const slow = rooms.flatMap((room) =>
    room.steps
      .filter((step) => step.how === 'drying' && step.hardenMin > TOO_LONG_H * 60)
      .map((step) => ({ room, step })),
  );
  const worst = slow.sort((a, b) => b.step.hardenMin - a.step.hardenMin)[0];
  if (!worst) return [];
  const cures: Advice['cures'] = [];
  if (job.climate.air !== 'fan')
    cures.push({ text: 'Run a fan', changes: [{ path: ['climate', 'air'], value: 'fan' }] });
  if (job.climate.rhPct > 50)
    cures.push({
      text: `Dehumidify and plan for ${printShare(0.5)}`,
      changes: [{ path: ['climate', 'rhPct'], value: 50 }],
    });
  cures.push({ text: 'Thinner coats, or setting compound below' });
  return [
    {
      code: 'A-HUMID',
      severity: 'warn',
      place: { room: worst.room.id, ...(worst.step.step === 'sand' ? {} : { coat: worst.step.step }) },
      reason: `The ${worst.step.step} would dry for ${Math.round(worst.step.hardenMin / 60)} h in this air; over ${TOO_LONG_H} h mud sours and joints crack.`,
      cures,
    },
  ];
};
