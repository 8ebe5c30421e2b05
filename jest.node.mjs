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

/** The specs one by one, translated file by file; or several in one file each, translated already. */
export const together = process.env['TOGETHER']
  ? { testMatch: ['<rootDir>/test-results/together/*.spec.js'], transform: {}, setupFilesAfterEnv: [] }
  : { testMatch: ['<rootDir>/src/**/*.spec.ts'] };

/** Jest for the packages that run on plain Node; core is consumed as source. */
export const nodeProject = (displayName) => ({
  displayName,
  testEnvironment: 'node',
  sandboxInjectedGlobals: injectedGlobals,
  extensionsToTreatAsEsm: [],
  transform: {
    // TypeScript, and packages that come as modules only.
    '^.+\\.ts$|/node_modules/.+\\.js$': '<rootDir>/../../jest.esbuild.mjs',
  },
  transformIgnorePatterns: ['/node_modules/(?!(@formatjs|intl-messageformat|flatqueue)/)'],
  moduleNameMapper: { '^@lisse/core$': '<rootDir>/../../packages/core/src/index.ts' },
  ...together,
});
