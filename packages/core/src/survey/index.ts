export * from './geometry';
export * from './layout';
export * from './survey';
export * from './unfold';
