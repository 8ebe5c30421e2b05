export * from './contrast';
