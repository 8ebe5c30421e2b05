export * from './contrast';
export * from './field';
export * from './shade';
export * from './flash';
