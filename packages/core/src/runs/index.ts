export * from './corners';
export { picksFor, type Picks } from './picks';
export * from './run';
