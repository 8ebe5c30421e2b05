/** The job document. Its classes say of each field what it may hold; to all but the door they are types. */
export type * from './document';
export type * from './floor';
export type * from './room';
export type * from './log';
export type * from './frozen';
export type * from './shop';
export type * from './trade';
