export * from './peels';
export * from './rank';
export * from './schools';
