export * from './mend';
export * from './float';
export * from './uses';
export * from './instead';
export { wetnessOf } from './laid';
