export * from './classes';
export * from './consistency';
