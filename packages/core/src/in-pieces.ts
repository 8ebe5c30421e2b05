/**
 * The same folders as `index.ts`, for the bundler that cuts the page into pieces: it follows a list of names to
 * everything the list names, and a star only to what is asked for. By `index.ts` the first page would hold the
 * whole core. Types are held against `index.ts`.
 */
export * from './texts';
export * from './units';
export * from './speech';
export * from './book';
export * from './job';
export * from './log';
export * from './measure';
export * from './repair';
export * from './survey';
export * from './exchange';
export * from './finish';
export * from './compound';
export * from './way';
export * from './coat';
export * from './section';
export * from './light';
export * from './cutting';
export * from './takeoff';
export * from './mend';
export * from './days';
export * from './runs';
export * from './goods';
export * from './bid';
export * from './today';
export * from './rank';
export * from './advice';
export * from './wall';
export * from './check';
export * from './agreement';
export * from './plan';
export * from './plan-room';
export * from './figures';
export * from './tried';
export * from './shorten';
