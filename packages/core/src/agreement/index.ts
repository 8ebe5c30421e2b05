export * from './texts';
export * from './texts-en';
export * from './texture';
export * from './agreement';
