export * from './measure';
export * from './as-built';
