// A generated building in Chromium, its air reckoned and the work on site begun: how long it takes to open, from a key
// pressed to the new picture, and the longest the page stands still in each place.
import { chromium } from '@playwright/test';
import { execFileSync } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { CHROMIUM, CHROMIUM_ARGS, root } from './steps.mjs';

const EDITS = 60;

/** What some took, sorted, at a share of them. */
export const at = (times, share) =>
  [...times].sort((a, b) => a - b)[Math.min(times.length - 1, Math.floor(times.length * share))];

/** Butts of the drawn room moved a stud back and forth, from the key to the new picture, ms. */
export const buttsMoved = (page, edits = EDITS) =>
  page.evaluate(async (edits) => {
    const svg = document.querySelector('svg[role=group]');
    const butt = () => document.querySelector('.joint.on .hit')?.getAttribute('x1');
    const times = [];
    for (let i = 0; i < edits; i++) {
      const before = butt();
      const start = performance.now();
      const key = Math.floor(i / 4) % 2 ? 'ArrowLeft' : 'ArrowRight';
      svg.dispatchEvent(new KeyboardEvent('keydown', { key, altKey: true, bubbles: true }));
      // The picture has changed when the butt stands elsewhere and the frame that shows it has been made.
      while (butt() === before && performance.now() - start < 5000)
        await new Promise((done) => requestAnimationFrame(done));
      times.push(performance.now() - start);
      await new Promise((done) => setTimeout(done, 120));
    }
    return times;
  }, edits);

/** Chooses the first butt on the first wall of the room that is drawn. */
export async function chooseButt(page) {
  await page
    .getByRole('button', { name: /^Butt joint, wall/ })
    .first()
    .click();
  await page.getByRole('group', { name: /^Unfolded drawing of/ }).focus();
}

/**
 * @param url of the server
 * @param rooms how many the building has
 */
export async function buildingOf(url, rooms) {
  const temporary = mkdtempSync(join(tmpdir(), 'lisse-building-'));
  const file = join(temporary, 'building.lisse.json');
  const tsx = ['node_modules/tsx/dist/cli.mjs', '--tsconfig', 'packages/core/tsconfig.json'];
  execFileSync(process.execPath, [...tsx, 'packages/core/bench/write-building.ts', String(rooms), file], {
    cwd: root,
    stdio: 'inherit',
  });
  const browser = await chromium.launch({ executablePath: CHROMIUM, args: CHROMIUM_ARGS });
  try {
    const context = await browser.newContext({
      serviceWorkers: 'block',
      viewport: { width: 1280, height: 800 },
    });
    const page = await context.newPage();
    await page.addInitScript(() => {
      window.still = [];
      new PerformanceObserver((list) =>
        window.still.push(...list.getEntries().map((e) => Math.round(e.duration))),
      ).observe({ type: 'longtask' });
      const watch = new MutationObserver(() => {
        if (!document.querySelector('.figure, .figures')) return;
        if (!document.body.textContent.includes('mud, all coats')) return;
        watch.disconnect();
        requestAnimationFrame(() => (window.usableMs = performance.now()));
      });
      watch.observe(document, { childList: true, subtree: true });
    });
    const still = {};
    const during = async (what, act) => {
      await page.evaluate(() => (window.still.length = 0));
      await act();
      await page.waitForTimeout(2500);
      still[what] = await page.evaluate(() => Math.max(0, ...window.still));
    };
    const link = (nav, to) => () =>
      page.getByRole('navigation', { name: nav }).getByRole('link', { name: to }).click();
    await page.goto(`${url}/jobs`);
    await during('import', async () => {
      await page.locator('input[type=file]').setInputFiles(file);
      await page.getByText('mud, all coats').waitFor({ timeout: 60000 });
    });
    const opened = [];
    for (let i = 0; i < 3; i++) {
      await page.reload();
      await page.waitForFunction(() => window.usableMs, undefined, { polling: 50, timeout: 60000 });
      opened.push(await page.evaluate(() => window.usableMs));
      await page.waitForTimeout(1500);
    }
    await page
      .getByRole('button', { name: /^Room 2 / })
      .first()
      .click();
    await chooseButt(page);
    await page.waitForTimeout(1000);
    await page.evaluate(() => (window.still.length = 0));
    const keys = await buttsMoved(page);
    still['joints'] = await page.evaluate(() => Math.max(0, ...window.still));
    await page.keyboard.press('Escape');
    await during('a new length', async () => {
      await page.getByLabel('Length').first().fill('5111');
      await page.getByLabel('Length').first().press('Enter');
    });
    await during('Tables', () => page.getByRole('button', { name: 'Tables' }).click());
    await during('Finish', link('Main menu', 'Finish'));
    await during('Agreement', link(/^Pages of/, 'Agreement'));
    await during('its PDF', async () => {
      const download = page.waitForEvent('download', { timeout: 60000 });
      await page.getByRole('button', { name: /PDF/ }).first().click();
      await download;
    });
    await during('Section', link('Main menu', 'Section'));
    await during('Wall', link(/^Pages of/, 'Wall in light'));
    await during('Order', link('Main menu', 'Order'));
    await during('Days', link('Main menu', 'Days'));
    await during('Today', link('Main menu', 'Today'));
    await during('Inspect', link('Main menu', 'Inspect'));
    await during('Rooms', link('Main menu', 'Rooms'));
    return { rooms, openMs: at(opened, 0.5), keys, still };
  } finally {
    await browser.close();
    rmSync(temporary, { recursive: true, force: true });
  }
}
