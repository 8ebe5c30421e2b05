export * from './air-cost';
export * from './alternatives';
export * from './bid';
export * from './money';
export * from './table';
export * from './platform-hire';
