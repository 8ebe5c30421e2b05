export * from './length';
export * from './quantity';
export * from './apart';
