export * from './needs';
export * from './decoration';
export * from './areas';
