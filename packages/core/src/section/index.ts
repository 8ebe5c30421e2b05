export * from './surface';
export * from './pull';
export * from './simulate';
export * from './readings';
export * from './dress';
