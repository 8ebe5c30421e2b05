export * from './turn';
export * from './mix';
export * from './checks';
export * from './tool-cards';
export * from './day';
