// Everything that must hold: lint, types, Jest, the production build, Playwright against the real server.
// Ends with one line: N passed, N failed.
import { existsSync, mkdtempSync, readFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { ensureBuild, ensureChromium, ensurePackages, step } from './steps.mjs';

let passed = 0;
let failed = 0;
const count = (good) => (good ? passed++ : failed++);

ensurePackages();
ensureChromium();
const results = mkdtempSync(join(tmpdir(), 'lisse-test-'));

count(step('Lint', 'npm', ['run', '-s', 'lint']) === 0);
count(step('Types', 'npm', ['run', '-s', 'types']) === 0);

const jest = join(results, 'jest.json');
const jestCode = step('Jest', 'npx', ['jest', '--ci', '--json', `--outputFile=${jest}`]);
if (existsSync(jest)) {
  const told = JSON.parse(readFileSync(jest, 'utf8'));
  passed += told.numPassedTests;
  failed += told.numFailedTests + told.numRuntimeErrorTestSuites;
} else count(jestCode === 0);

try {
  ensureBuild();
  const e2e = join(results, 'playwright.json');
  const e2eCode = step('Playwright', 'npx', ['playwright', 'test', '-c', 'e2e/playwright.config.ts'], {
    env: { ...process.env, PLAYWRIGHT_JSON_OUTPUT_FILE: e2e },
  });
  if (existsSync(e2e)) {
    const { stats } = JSON.parse(readFileSync(e2e, 'utf8'));
    passed += stats.expected;
    failed += stats.unexpected + stats.flaky;
  }
  if (e2eCode !== 0 && failed === 0) failed++;
} catch (error) {
  console.error(error);
  failed++;
}

console.log(`\n${passed} passed, ${failed} failed`);
process.exitCode = failed === 0 ? 0 : 1;
