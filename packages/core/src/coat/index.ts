export * from './cells';
export * from './rows';
export * from './texts';
