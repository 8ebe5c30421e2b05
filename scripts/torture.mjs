// The hard trials, too long for every test run: `npm run torture`, or some of them by name:
// `npm run torture -- edits shapes properties files log merges browsers tabs openings storage notices rooms visit days`.
// Each is bounded; what it came to is printed, and the command fails where something was lost, did not open or stood still.
import { spawnSync } from 'node:child_process';
import { ensureBuild, ensureChromium, ensurePackages, root } from './steps.mjs';

ensurePackages();
await ensureChromium();
await ensureBuild();

const tsx = (file, ...args) => [
  process.execPath,
  ['node_modules/tsx/dist/cli.mjs', '--tsconfig', 'packages/core/tsconfig.json', file, ...args],
];
const stories = (...args) => [
  process.execPath,
  [
    'node_modules/@playwright/test/cli.js',
    'test',
    '-c',
    'e2e/playwright.config.ts',
    '--reporter',
    'dot',
    ...args,
  ],
  {},
];
const page = (name) => [process.execPath, ['scripts/torture-page.mjs', name]];
/** Days on which much goes wrong: no workday, a leap day, nights an hour shorter and longer, the last of a year, far off. */
const DAYS = [
  ['2026-12-06T12:00:00', 'UTC'],
  ['2028-02-29T08:00:00', 'UTC'],
  ['2027-03-14T01:30:00', 'America/New_York'],
  ['2026-11-01T01:30:00', 'America/New_York'],
  ['2027-03-28T01:30:00', 'Europe/Berlin'],
  ['2026-10-25T02:30:00', 'Europe/Berlin'],
  ['2026-12-31T23:30:00', 'UTC'],
  ['2036-06-13T10:00:00', 'Asia/Kolkata'],
];
/** Everything but lint and types on each of them; tests that are of a day of their own stay there. */
const days = DAYS.flatMap(([LISSE_NOW, TZ]) =>
  [[process.execPath, ['node_modules/jest/bin/jest.js', '--ci', '--silent']], stories()].map(
    ([command, args]) => [command, args, { LISSE_NOW, TZ }],
  ),
);
const TRIALS = {
  edits: [
    process.execPath,
    ['node_modules/jest/bin/jest.js', '--selectProjects', 'core', '--testPathPatterns', 'src/edits'],
    { LISSE_EDITS: '100000' },
  ],
  shapes: [
    process.execPath,
    ['node_modules/jest/bin/jest.js', '--selectProjects', 'core', '--testPathPatterns', 'any-room'],
    { LISSE_ROOMS: '10000' },
  ],
  properties: [
    process.execPath,
    ['node_modules/jest/bin/jest.js', '--selectProjects', 'core', '--testTimeout', '3600000'],
    { LISSE_TRIALS: '20' },
  ],
  files: tsx('packages/core/bench/torture-files.ts'),
  log: tsx('packages/core/bench/torture-log.ts'),
  merges: [
    process.execPath,
    [
      'node_modules/jest/bin/jest.js',
      '--selectProjects',
      'core',
      '--testPathPatterns',
      'log/|together|job/seal',
      '--testTimeout',
      '3600000',
    ],
    { LISSE_TRIALS: '20' },
  ],
  browsers: page('browsers'),
  tabs: page('tabs'),
  openings: page('openings'),
  storage: stories('--project=desktop', 'resilience', 'storage'),
  notices: stories('still', '--repeat-each', '10'),
  rooms: page('rooms'),
  visit: page('visit'),
  days,
};

const asked = process.argv.slice(2);
const unknown = asked.filter((name) => !(name in TRIALS));
if (unknown.length > 0) {
  console.error(`There is no trial ${unknown.join(', ')}. There are: ${Object.keys(TRIALS).join(', ')}.`);
  process.exit(2);
}
const failed = [];
for (const name of asked.length > 0 ? asked : Object.keys(TRIALS)) {
  console.log(`\n— ${name}`);
  const runs = Array.isArray(TRIALS[name][0]) ? TRIALS[name] : [TRIALS[name]];
  for (const [command, args, env = {}] of runs) {
    const told = Object.entries(env).map(([key, value]) => `${key}=${value}`);
    if (told.length > 0) console.log(told.join(' '));
    const done = spawnSync(command, args, { cwd: root, stdio: 'inherit', env: { ...process.env, ...env } });
    if (done.status !== 0) failed.push([name, ...told].join(' '));
  }
}
console.log(failed.length > 0 ? `\nFailed: ${failed.join(', ')}` : '\nAll held.');
process.exitCode = failed.length > 0 ? 1 : 0;
