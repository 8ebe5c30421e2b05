export * from './measure';
export * from './as-built';
export * from './weather';
export * from './instruments';
export * from './rectify';
