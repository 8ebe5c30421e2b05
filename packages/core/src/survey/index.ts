export * from './geometry';
export * from './layout';
export * from './rows';
export * from './sheets';
export * from './space';
export * from './reveals';
export * from './survey';
export * from './unfold';
export { solidOf } from './solid';
