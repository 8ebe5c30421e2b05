export * from './room';
export * from './order';
