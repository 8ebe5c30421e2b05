import { injectedGlobals, together } from '../../jest.node.mjs';
import presets from 'jest-preset-angular/presets/index.js';

const esm = [
  'd3',
  'd3-[a-z-]+',
  'internmap',
  'delaunator',
  'robust-predicates',
  'dexie',
  'comlink',
  '@fontsource',
  '@formatjs',
  'intl-messageformat',
  'immer',
  'flatqueue',
  'ulid',
  'ical.js',
  'nanoid',
  'runes2',
  '@ngrx',
  '@angular',
  'primeng',
  '@primeuix',
  'rxjs',
  'tslib',
];

const preset = presets.createCjsPreset({ tsconfig: '<rootDir>/tsconfig.jest.json' });

export default {
  ...preset,
  transform: {
    // The core has nothing of Angular's, and packages are translated already.
    '/packages/core/.+\\.ts$|/node_modules/.+\\.m?js$': '<rootDir>/../../jest.esbuild.mjs',
    ...preset.transform,
    '\\.woff$': '<rootDir>/src/testing/woff.mjs',
  },
  displayName: 'web',
  sandboxInjectedGlobals: injectedGlobals,
  testEnvironment: '<rootDir>/src/testing/environment.mjs',
  setupFilesAfterEnv: ['<rootDir>/src/testing/setup.ts'],
  moduleNameMapper: {
    // Jest has no import.meta and no workers; tests answer in the core's place.
    'worker-factory$': '<rootDir>/src/testing/worker-factory.ts',
    '^@lisse/core/texts/(.*)$': '<rootDir>/../../packages/core/src/texts/$1',
    '^@lisse/core$': '<rootDir>/../../packages/core/src/index.ts',
  },
  transformIgnorePatterns: [`node_modules/(?!(${esm.join('|')})/|.*\\.mjs$)`],
  ...together,
};
