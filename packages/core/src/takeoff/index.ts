export * from './room';
export * from './joint';
export * from './order';
export * from './pace';
