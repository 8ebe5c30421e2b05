export * from './say';
export { default as EN } from './en.json';
export type { Texts } from './takes';
