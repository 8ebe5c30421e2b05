export * from './vocabulary';
export * from './types';
export * from './outline';
export * from './new';
export * from './read';
export * from './schema';
