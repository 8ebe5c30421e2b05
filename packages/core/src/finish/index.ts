export * from './needs';
export * from './decoration';
