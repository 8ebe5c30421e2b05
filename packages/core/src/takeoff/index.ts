export * from './room';
export * from './section';
export * from './joint';
export * from './repairs';
export * from './order';
export * from './pace';
export * from './batch';
export * from './widths';
