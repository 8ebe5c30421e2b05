import { defineConfig, devices } from '@playwright/test';
import { existsSync } from 'node:fs';
import { CHROMIUM, CHROMIUM_ARGS, SHELL } from '../scripts/steps.mjs';

const PORT = 4399;
/** The same server as another machine on site reaches it: by plain http, which is no secure address. */
export const ON_SITE = 'lisse.test';
/** How the browser is started, with its own ways of making code fast where none are given. */
export const browser = (jsFlags = '') => ({
  executablePath: existsSync(SHELL) ? SHELL : CHROMIUM,
  args: [...CHROMIUM_ARGS, `--js-flags=${jsFlags}`, `--host-resolver-rules=MAP ${ON_SITE} 127.0.0.1`],
});

export default defineConfig({
  testDir: '.',
  outputDir: '../test-results',
  fullyParallel: true,
  workers: 2,
  // Where nobody watches, one that failed runs once more; the run names it, and it is mended next.
  retries: process.env['CI'] === 'true' ? 1 : 0,
  timeout: 180000,
  expect: { timeout: 30000 },
  reporter: [
    ['list'],
    ['json', { outputFile: process.env['PLAYWRIGHT_JSON_OUTPUT_FILE'] ?? '../test-results/results.json' }],
  ],
  use: {
    baseURL: `http://localhost:${PORT}`,
    trace: 'off',
    // Where being offline is not the matter, nothing is fetched a second time behind the test.
    serviceWorkers: 'block',
    // A story is a visit of seconds: what is made faster for the long run is not worth its making there.
    launchOptions: browser('--no-opt --invocation-count-for-maglev=3000 --min-semi-space-size=16'),
  },
  projects: [
    // The longest story is a phone's: begun last it would keep one core waiting for it.
    {
      name: 'phone',
      use: { ...devices['Pixel 5'], viewport: { width: 390, height: 844 }, deviceScaleFactor: 2 },
      testMatch: /(phone|axe)\.spec/,
    },
    { name: 'desktop', use: { viewport: { width: 1280, height: 800 } }, testIgnore: /phone/ },
  ],
  webServer: {
    command: 'node apps/server/dist/main.mjs',
    cwd: '..',
    env: { PORT: String(PORT) },
    url: `http://localhost:${PORT}/api/health`,
    reuseExistingServer: false,
  },
});
