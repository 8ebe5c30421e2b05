import type { Book } from '../book';
import type { Job } from '../job';
import type { RoomStep } from './work';

/** Of the set time on the bag, the part mud can still be worked in. */
export const WORKED = 0.8;

/** Minutes a batch is worked with before it stiffens; mixing and loading take some of them. */
export const potMin = (setMin: number, book: Book): number =>
  Math.max(0, setMin * WORKED - book.mixMin.value);

/** Of what is mixed so much is used up before it stiffens, L. */
export const usedUp = (perMin: number, setMin: number, book: Book): number => perMin * potMin(setMin, book);

/** What is mixed at once of so much: as set by hand, else a pan, or what lasts as long as is worth mixing for, L. */
export const batchOf = (wetL: number, perMin: number, { batchL }: Job['way'], book: Book): number =>
  Math.min(wetL, batchL ?? Math.min(book.panL.value, perMin * book.leastPotMin.value));

/** Mud of a step that sets, L. */
export const settingL = ({ rows }: Pick<RoomStep, 'rows'>): number =>
  rows.reduce(
    (sum, { mud }) => sum + mud.reduce((own, { setMin, wetL }) => own + (setMin === undefined ? 0 : wetL), 0),
    0,
  );

/** How fast the mud of a step that sets is used up by so many pairs of hands, L a minute. */
export const usedPerMin = (step: Pick<RoomStep, 'rows' | 'labourMin'>, hands: number): number =>
  (settingL(step) * hands) / step.labourMin;
