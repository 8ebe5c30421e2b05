export * from './speech';
export * from './spoken';
