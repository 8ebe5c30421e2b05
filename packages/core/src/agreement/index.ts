export * from './texture';
export * from './agreement';
