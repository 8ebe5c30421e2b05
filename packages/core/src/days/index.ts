export * from './calendar';
export * from './days';
