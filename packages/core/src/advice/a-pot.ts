import { batchOf, coatOf, crewSize, handsIn, usedPerMin, usedUp, type RoomStep } from '../days';
import { SET_CLASSES, type Coat } from '../job';
import { say } from '../texts';
import { once } from '../units';
import { cellChange } from './cell-cure';
import { inJob } from './change';
import type { Advice, Change, JobContext, JobRule } from './types';

/** Mud that sets in one coat of a room, and how fast it is used up. */
interface Bag {
  coat: Coat;
  setMin: number;
  wetL: number;
  perMin: number;
}

/** How much of each set time goes into a step, L; nothing where no mud sets. */
const settingIn = once(({ rows }: Pick<RoomStep, 'rows'>): ReadonlyMap<number, number> => {
  const bySet = new Map<number, number>();
  for (const { mud } of rows)
    for (const { setMin, wetL } of mud)
      if (setMin !== undefined) bySet.set(setMin, (bySet.get(setMin) ?? 0) + wetL);
  return bySet;
});

/** What is mixed for the coats of every room, at the pace of each with the whole crew on it. */
function bagsOf({ rooms, job, book }: JobContext): Bag[] {
  return rooms.flatMap(({ steps, floorM2 }) =>
    steps.flatMap((step) => {
      const coat = coatOf(step.step);
      const bySet = settingIn(step);
      if (!coat || bySet.size === 0) return [];
      const perMin = usedPerMin(step, handsIn(floorM2, crewSize(job.calendar), book));
      return Array.from(bySet, ([setMin, wetL]): Bag => ({ coat, setMin, wetL, perMin }));
    }),
  );
}

/** A-POT: a batch that hardens in the pan before it is used up. */
export const aPot: JobRule = (context) => {
  const { book } = context;
  const { way } = context.job;
  const usableOf = ({ perMin, setMin }: Bag): number => usedUp(perMin, setMin, book);
  const batchFor = ({ wetL, perMin }: Bag): number => batchOf(wetL, perMin, way, book);
  const short = bagsOf(context).filter((bag) => batchFor(bag) > usableOf(bag) + 1e-9);
  const bag = short.sort((a, b) => usableOf(a) - usableOf(b))[0];
  if (!bag) return [];
  const { coat, setMin } = bag;
  const usable = usableOf(bag);
  const longer = SET_CLASSES.find((min) => min > setMin && usedUp(bag.perMin, min, book) >= batchFor(bag));
  const cures: Advice['cures'] = [];
  if (usable >= 0.5)
    cures.push({
      text: say('a-pot.mix', { usable }),
      changes: [inJob(['way', 'batchL'], Math.floor(usable * 10) / 10)],
    });
  const slower = longer && slowed(context, bag, longer);
  if (longer && slower) cures.push({ text: say('cure.class', { set: longer }), changes: slower });
  return [
    {
      code: 'A-POT',
      severity: 'warn',
      place: { coat },
      reason: say('a-pot', { batch: way.batchL ?? batchFor(bag), set: setMin, usable }),
      cures: cures.length > 0 ? cures : [{ text: say('a-pot.slower') }],
    },
  ];
};

/** Another set time where this one is decided: in the cells that name it, or in the way; none where it is the bag's own. */
function slowed(
  { job: { way }, rooms, book }: JobContext,
  { coat, setMin }: Bag,
  to: number,
): Change[] | undefined {
  const own: Change[] = [];
  let [byWay, byBag] = [false, false];
  for (const room of rooms)
    for (const row of room.areas.flatMap((area) => area.rows))
      for (const cell of row.cells) {
        if (cell.coat !== coat || book.compounds[cell.compound].hardens === 'drying') continue;
        if (cell.own.setMin) {
          if (cell.setMin === setMin) own.push(...cellChange(room, row, coat, 'setMin', to));
        } else if (book.compounds[cell.compound].product?.setMin !== undefined) byBag = true;
        else byWay ||= cell.setMin === setMin;
      }
  if (own.length > 0) return own;
  return byWay && !byBag && !way.setChosen ? [inJob(['way', 'setMin'], to)] : undefined;
}
