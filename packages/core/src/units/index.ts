export * from './locale';
export * from './length';
export * from './quantity';
export * from './apart';
export * from './clock';
export * from './sequence';
export * from './steps';
export * from './once';
