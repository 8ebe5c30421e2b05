export * from './figure';
export * from './book';
