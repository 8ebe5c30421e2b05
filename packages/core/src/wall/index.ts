export * from './wall';
export * from './hide';
