export default {
  // By default one core is left alone; nobody works beside these tests.
  maxWorkers: '100%',
  // A busy machine takes several times as long as a quiet one; what hangs is still ended.
  testTimeout: 20000,
  projects: ['<rootDir>/packages/core', '<rootDir>/apps/server', '<rootDir>/apps/cli', '<rootDir>/apps/web'],
};
