export * from './days';
export { type LabourSanity } from './labour';
export { type Batch } from './batches';
export { type AirPlan, type AirAt } from './air';
export { crewSize, handsIn } from './crew';
export { chosenSets, openSets, roomDay, setsAtHand, withSets } from './sets';
export { batchingOf, batchOf, laidMin, mixMinOf, usedPerMin, usedUp, WORKED } from './pot';
export { inReadAir, readFactor, readingsIn } from './readings';
export { movedBetween, type Moved } from './moved';
export { searchDays } from './settled';
export { searched, type Found, type Run, type Searching } from './search';
export {
  siteworkOf,
  type JobDays,
  type OnSite,
  type RoomRows,
  type RoomWorked,
  type Sitework,
} from './tasks';
export { type Told } from './told';
export { inOrder, mendSteps } from './mends';
export { fewestVisits, visitsBy, type MendVisits } from './mending';
export { daysCsv } from './table';
export * from './work';
