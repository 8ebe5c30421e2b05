export * from './choices';
export * from './presets';
export * from './compounds';
