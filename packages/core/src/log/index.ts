export * from './log';
export * from './doubts';
export * from './stock';
export * from './pots';
export * from './ran';
export * from './pins';
