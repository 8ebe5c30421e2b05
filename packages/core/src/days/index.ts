export * from './days';
export { type LabourSanity } from './labour';
export { type Batch } from './batches';
export { type AirPlan, type AirAt } from './air';
export { crewSize, handsIn } from './crew';
export {
  batchOf,
  chosenSets,
  openSets,
  roomDay,
  setsAtHand,
  settingL,
  usedUp,
  withSets,
  type RoomDay,
} from './sets';
export { searchDays } from './settled';
export { searched, solved, type Found, type Run } from './search';
export {
  siteworkOf,
  type JobDays,
  type OnSite,
  type RoomRows,
  type RoomWorked,
  type Sitework,
} from './tasks';
export { daysCsv } from './table';
export * from './work';
