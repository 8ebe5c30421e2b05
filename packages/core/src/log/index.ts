export * from './log';
export * from './stock';
export * from './pots';
export * from './ran';
export * from './pins';
