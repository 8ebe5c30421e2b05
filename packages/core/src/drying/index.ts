export * from './drying';
