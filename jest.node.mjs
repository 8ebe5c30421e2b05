/** What hot loops call by its global name: looked up once a file, where a look through Jest's sandbox at each call is slow. */
export const injectedGlobals = [
  'Array',
  'Float32Array',
  'Float64Array',
  'Infinity',
  'Int32Array',
  'JSON',
  'Map',
  'Math',
  'Number',
  'Object',
  'Set',
  'String',
  'Uint8Array',
  'Uint32Array',
];

/** Jest for the packages that run on plain Node; core is consumed as source. */
export const nodeProject = (displayName) => ({
  displayName,
  testEnvironment: 'node',
  sandboxInjectedGlobals: injectedGlobals,
  extensionsToTreatAsEsm: [],
  transform: {
    '^.+\\.ts$': ['ts-jest', { tsconfig: '<rootDir>/tsconfig.spec.json', diagnostics: false }],
    // Packages that come as modules only.
    '/node_modules/.+\\.js$': [
      'ts-jest',
      { tsconfig: { allowJs: true, isolatedModules: true, module: 'commonjs' }, diagnostics: false },
    ],
  },
  transformIgnorePatterns: ['/node_modules/(?!(@formatjs|intl-messageformat|flatqueue)/)'],
  moduleNameMapper: { '^@lisse/core$': '<rootDir>/../../packages/core/src/index.ts' },
  testMatch: ['<rootDir>/src/**/*.spec.ts'],
});
