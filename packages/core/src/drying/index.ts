export * from './drying';
export * from './air';
export * from './balance';
