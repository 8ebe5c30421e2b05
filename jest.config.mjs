export default {
  projects: ['<rootDir>/packages/core', '<rootDir>/apps/server', '<rootDir>/apps/cli', '<rootDir>/apps/web'],
};
