export * from './choices';
export * from './presets';
export * from './compounds';
export * from './tools';
export * from './beads';
export * from './tape';
