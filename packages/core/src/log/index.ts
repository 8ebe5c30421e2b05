export * from './log';
export * from './doubts';
export * from './stock';
export * from './pots';
export * from './completed-joints';
export * from './pins';
