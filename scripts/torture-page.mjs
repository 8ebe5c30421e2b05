// Trials in Chromium on the production build: browsers killed in mid-write, two tabs, a building of 150 rooms, and a
// first visit on a slow machine.
import { chromium } from '@playwright/test';
import { execFileSync, spawn } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { buildingOf } from './bench-building.mjs';
import { firstVisit } from './bench-start.mjs';
import { CHROMIUM, CHROMIUM_ARGS, root } from './steps.mjs';

const PORT = 4396;
const url = `http://localhost:${PORT}`;
const server = spawn(process.execPath, ['apps/server/dist/main.mjs'], {
  cwd: root,
  env: { ...process.env, PORT: String(PORT) },
});
await new Promise((resolve) => server.stdout.on('data', (text) => text.includes('Lisse is at') && resolve()));
const temporary = mkdtempSync(join(tmpdir(), 'lisse-torture-'));
const options = { executablePath: CHROMIUM, args: CHROMIUM_ARGS, viewport: { width: 1280, height: 800 } };
const name = (page) => page.getByLabel('Job name');
const rename = async (page, text) => {
  await name(page).fill(text);
  await name(page).press('Enter');
};
const saved = (page) =>
  page.waitForFunction(() => /^\s*saved/.test(document.querySelector('.saved')?.textContent ?? ''));

/** Browsers killed while edits are on their way: what was shown as saved is there, and undo works. */
async function browsers(count = 12) {
  let lost = 0;
  for (let i = 0; i < count; i++) {
    const profile = join(temporary, `kill-${i}`);
    const browser = await chromium.launchPersistentContext(profile, options);
    const page = await browser.newPage();
    await page.goto(url);
    await page.getByText('mud, all coats').waitFor();
    await rename(page, 'Saved 0');
    await saved(page);
    await page.evaluate(() => {
      const field = document.querySelector('[aria-label="Job name"]');
      for (let n = 1; n <= 60; n++) {
        field.value = `Saved ${n}`;
        field.dispatchEvent(new Event('change'));
      }
    });
    await new Promise((done) => setTimeout(done, 20 * i));
    execFileSync('pkill', ['-9', '-f', profile]);
    await browser.close().catch(() => undefined);
    const again = await chromium.launchPersistentContext(profile, options);
    const reopened = await again.newPage();
    await reopened.goto(url);
    await reopened.getByText('mud, all coats').waitFor();
    if (!/^Saved \d+$/.test(await name(reopened).inputValue())) lost++;
    await reopened.keyboard.press('Control+z');
    await saved(reopened);
    await again.close();
  }
  console.log(`${count} browsers killed in mid-write: ${lost} saved edits lost.`);
  return lost === 0;
}

/** Two tabs editing one job at once: every edit of both is in it. */
async function tabs(edits = 40) {
  const browser = await chromium.launch(options);
  const context = await browser.newContext();
  const [one, two] = [await context.newPage(), await context.newPage()];
  for (const page of [one, two]) {
    await page.goto(`${url}/jobs`);
    await page.getByRole('button', { name: /New job, mill/ }).waitFor();
  }
  await one.goto(url);
  await one.getByText('mud, all coats').waitFor();
  await two.goto(one.url());
  await two.getByText('mud, all coats').waitFor();
  const rooms = (page) => page.getByRole('region', { name: 'Rooms' }).locator('button.room');
  const before = await rooms(one).count();
  const duplicate = async (page) => {
    for (let i = 0; i < edits / 2; i++)
      await page.getByRole('button', { name: 'Duplicate room', exact: true }).click();
    // The page says “saving …” a frame after the press.
    await page.waitForTimeout(300);
    await saved(page);
  };
  await Promise.all([duplicate(one), duplicate(two)]);
  await one.reload();
  await one.getByText('mud, all coats').waitFor();
  const lost = before + edits - (await rooms(one).count());
  console.log(`Two tabs, ${edits} edits: ${lost} lost.`);
  await browser.close();
  return lost === 0;
}

/** A building of many rooms: the longest the page stands still in each place. */
async function rooms(count = 150) {
  const { openMs, still } = await buildingOf(url, count);
  console.log(`${count} rooms, opened in ${Math.round(openMs)} ms; the longest the page stood still, ms:`);
  for (const [what, ms] of Object.entries(still)) console.log(`  ${what.padEnd(22)} ${ms}`);
  return Object.values(still).every((ms) => ms < 500);
}

/** What a job can be opened at. */
const ADDRESSES = [
  '/',
  '/job/tarn-ferry/rooms',
  '/job/tarn-ferry/finish',
  '/job/tarn-ferry/section',
  '/job/tarn-ferry/order/list',
  '/job/tarn-ferry/days',
  '/job/tarn-ferry/today',
  '/job/tarn-ferry/check',
  '/job/pier-house/section',
];
/** An opening that has not come to its place by then stands still, ms. */
const STANDS_MS = 15000;

/**
 * Opened again and again: first visits and returns, at the desk and on a phone, by every address, in two tabs, while the
 * copy for use offline is being fetched. What stands where one did not come to its place is told.
 */
async function openings(count = 500) {
  const browser = await chromium.launch(options);
  const took = [];
  const stood = [];
  const opened = async (page, address, what) => {
    const start = Date.now();
    await page.goto(`${url}${address}`, { waitUntil: 'commit' });
    try {
      await page.locator('main.place:not(.comes)').waitFor({ timeout: STANDS_MS });
      took.push(Date.now() - start);
    } catch {
      const seen = await page.evaluate(() => document.body.innerText.slice(0, 200)).catch(() => 'nothing');
      stood.push(`${what} ${address}: ${seen.replaceAll(/\s+/g, ' ')}`);
    }
  };
  for (let n = 0; took.length + stood.length < count; n++) {
    const viewport = n % 2 ? { width: 390, height: 844 } : { width: 1280, height: 800 };
    const context = await browser.newContext({ viewport });
    const at = (i) => ADDRESSES[(n * 5 + i) % ADDRESSES.length];
    const page = await context.newPage();
    // A second tab comes while the first is still at its first visit.
    const second = n % 3 === 0 ? await context.newPage() : undefined;
    await Promise.all([
      opened(page, at(0), 'first visit'),
      ...(second ? [opened(second, at(2), 'second tab')] : []),
    ]);
    for (let i = 1; i < 5; i++) {
      // At once, and once the copy for use offline has been fetched.
      await page.waitForTimeout(i % 2 ? 0 : 1500);
      await opened(page, at(i), 'return');
    }
    await context.close();
  }
  await browser.close();
  const slowest = Math.max(...took);
  console.log(
    `${took.length + stood.length} openings: ${stood.length} stood still, the slowest of the others ${slowest} ms.`,
  );
  for (const what of stood) console.log(`  ${what}`);
  return stood.length === 0;
}

async function visit() {
  const visits = [];
  for (let i = 0; i < 3; i++) visits.push(await firstVisit(url));
  const middle = (of) => visits.map(of).sort((a, b) => a - b)[1];
  const [painted, figures, usable] = [
    middle((v) => v.paintedMs),
    middle((v) => v.figuresMs),
    middle((v) => v.usableMs),
  ];
  console.log(
    `A first visit, processor 4 times slower at 10 Mbit/s: painted after ${Math.round(painted)} ms, first figures after ${Math.round(figures)} ms, all after ${Math.round(usable)} ms, ${Math.round(visits[0].kB)} kB in ${visits[0].files} files.`,
  );
  return painted <= 2500 && usable <= 4500;
}

const TRIALS = { browsers, tabs, openings, rooms, visit };
try {
  process.exitCode = (await TRIALS[process.argv[2]]()) ? 0 : 1;
} finally {
  server.kill('SIGTERM');
  rmSync(temporary, { recursive: true, force: true });
}
