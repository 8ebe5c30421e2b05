export default {
  // By default one core is left alone; nobody works beside these tests.
  maxWorkers: '100%',
  projects: ['<rootDir>/packages/core', '<rootDir>/apps/server', '<rootDir>/apps/cli', '<rootDir>/apps/web'],
};
