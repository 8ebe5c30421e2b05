import { COATS, SET_CLASSES, type Coat } from '../job';
import { say } from '../texts';
import { mixable } from '../takeoff';
import { cellChange } from './cell-cure';
import type { Advice, Change, JobContext, JobRule } from './types';

/** Mud that hardens by itself, by the coat and the bag it comes from, L. */
function bagsOf(
  rooms: JobContext['rooms'],
  book: JobContext['book'],
): { coat: Coat; setMin: number; wetL: number }[] {
  const bags = new Map<string, { coat: Coat; setMin: number; wetL: number }>();
  for (const { use } of rooms)
    for (const { coat, compound, setMin, wetL } of use.uses) {
      if (wetL <= 0 || book.compounds[compound].hardens === 'drying') continue;
      const key = `${coat} ${setMin}`;
      const bag = bags.get(key) ?? { coat, setMin, wetL: 0 };
      bags.set(key, { ...bag, wetL: bag.wetL + wetL });
    }
  return [...bags.values()].sort(
    (a, b) => COATS.indexOf(a.coat) - COATS.indexOf(b.coat) || a.setMin - b.setMin,
  );
}

/** A-POT: a batch that hardens in the pan before it is used up. */
export const aPot: JobRule = ({ job, rooms, book }) => {
  const batch = job.way.batchL ?? book.panL.value;
  const { crew } = job.calendar;
  // A batch is never larger than what the coat takes.
  const bag = bagsOf(rooms, book).find(
    ({ setMin, wetL }) => Math.min(batch, wetL) > mixable(setMin, crew, book) + 1e-9,
  );
  if (!bag) return [];
  const { coat, setMin } = bag;
  const usable = mixable(setMin, crew, book);
  const longer = SET_CLASSES.find((min) => min > setMin && mixable(min, crew, book) >= batch);
  const cures: Advice['cures'] = [];
  if (usable >= 0.5)
    cures.push({
      text: say('a-pot.mix', { usable }),
      changes: [{ path: ['way', 'batchL'], value: Math.floor(usable * 10) / 10 }],
    });
  const slower = longer && slowed(rooms, book, bag, longer);
  if (longer && slower) cures.push({ text: say('cure.class', { set: longer }), changes: slower });
  return [
    {
      code: 'A-POT',
      severity: 'warn',
      place: { coat },
      reason: say('a-pot', { batch, set: setMin, usable }),
      cures: cures.length > 0 ? cures : [{ text: say('a-pot.slower') }],
    },
  ];
};

/** Another set time where this one is decided: in the cells that name it, or in the way; none where it is the bag's own. */
function slowed(
  rooms: JobContext['rooms'],
  book: JobContext['book'],
  { coat, setMin }: { coat: Coat; setMin: number },
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
  return byWay && !byBag ? [{ path: ['way', 'setMin'], value: to }] : undefined;
}
