export * from './cells';
