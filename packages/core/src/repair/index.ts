export * from './kinds';
export * from './apart';
export * from './size';
export * from './said';
