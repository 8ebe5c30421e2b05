export * from './log';
export * from './stock';
