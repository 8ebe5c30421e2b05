export * from './days';
export { type LabourSanity } from './labour';
export { type Batch } from './batches';
export { handsIn } from './crew';
export { searched, solved, type Found, type Run } from './search';
export {
  siteworkOf,
  type JobDays,
  type OnSite,
  type RoomRows,
  type RoomWorked,
  type Sitework,
} from './tasks';
export * from './work';
