export * from './classes';
export * from './consistency';
export * from './catalogue';
export * from './nearest';
