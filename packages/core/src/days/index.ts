export * from './calendar';
export * from './work';
export * from './days';
