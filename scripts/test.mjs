// Everything that must hold: lint, types, the production build, Jest, Playwright against the real server.
// Ends with one line: N passed, N failed.
import { existsSync, mkdtempSync, readFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { build, ensurePackages, ensureShell, step, stepBeside } from './steps.mjs';

let passed = 0;
let failed = 0;
const troubled = [];
const flaky = [];
const count = (title, good) => {
  if (good) passed++;
  else failed++;
  if (!good) troubled.push(title);
};

/** Stories that failed and passed the second time. */
const flakyIn = ({ suites = [], specs = [] }) => [
  ...specs.filter(({ tests }) => tests.some(({ status }) => status === 'flaky')).map(({ title }) => title),
  ...suites.flatMap(flakyIn),
];

ensurePackages();
const results = mkdtempSync(join(tmpdir(), 'lisse-test-'));

// The build keeps one core busy, what is read of the source the other, then Jest begins; the browser comes meanwhile.
const jest = join(results, 'jest.json');
const read = async () => [
  await stepBeside('Lint', 'npm', ['run', '-s', 'lint']),
  await stepBeside('Types', 'npm', ['run', '-s', 'types']),
  await stepBeside('Putting specs together', 'node', ['scripts/together.mjs']),
  await stepBeside('Jest', 'npx', ['jest', '--ci', '--json', `--outputFile=${jest}`], {
    env: { ...process.env, TOGETHER: '1' },
  }),
];
const [built, [lint, types, specs, jestCode]] = await Promise.all([
  build(stepBeside),
  read(),
  ensureShell(stepBeside),
]);
count('Lint', lint === 0);
count('Types', types === 0);
if (built !== 0) count('Building', false);
if (specs !== 0) count('Putting specs together', false);
if (existsSync(jest)) {
  const told = JSON.parse(readFileSync(jest, 'utf8'));
  passed += told.numPassedTests;
  failed += told.numFailedTests + told.numRuntimeErrorTestSuites;
  for (const { name, assertionResults, status } of told.testResults) {
    const tests = assertionResults.filter((test) => test.status === 'failed');
    if (status === 'failed') troubled.push(tests.map((test) => test.fullName).join(', ') || name);
  }
} else count('Jest', jestCode === 0);

if (built === 0) {
  const e2e = join(results, 'playwright.json');
  const e2eCode = step('Playwright', 'npx', ['playwright', 'test', '-c', 'e2e/playwright.config.ts'], {
    env: { ...process.env, PLAYWRIGHT_JSON_OUTPUT_FILE: e2e },
  });
  if (existsSync(e2e)) {
    const { stats, suites } = JSON.parse(readFileSync(e2e, 'utf8'));
    passed += stats.expected + stats.flaky;
    failed += stats.unexpected;
    flaky.push(...suites.flatMap(flakyIn));
  }
  if (e2eCode !== 0) troubled.push('Playwright');
  if (e2eCode !== 0 && failed === 0) failed++;
}

if (troubled.length > 0) console.log(`\nNot passed: ${troubled.join(', ')}`);

for (const title of flaky) console.log(`\nFlaky, to be mended next: ${title}`);

console.log(`\n${passed} passed, ${failed} failed`);
process.exitCode = failed === 0 ? 0 : 1;
