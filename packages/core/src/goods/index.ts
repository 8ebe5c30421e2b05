export * from './items';
export * from './on-hand';
export * from './packages';
export * from './sundries';
export * from './tape';
export * from './wares';
export * from './tables';
export * from './house';
