import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import type { Page } from '@playwright/test';
import type { Job } from '@lisse/core';
import { expect, firstVisit, liveAt, place, plainJob, root, saved, SUNDAY, test } from './support';

const demo = join(root, 'apps/web/public/demo/tarn-ferry.lisse.json');
const length = (page: Page) => page.getByLabel('Length').first();
const bringIn = (page: Page, file: Parameters<ReturnType<Page['locator']>['setInputFiles']>[0]) =>
  page.locator('input[type=file]').setInputFiles(file);
const textFile = (name: string, text: string) => ({
  name,
  mimeType: 'application/json',
  buffer: Buffer.from(text),
});

test('a reload in the middle of typing keeps what was understood, and undo still works', async ({ page }) => {
  await plainJob(page);
  await length(page).fill('5200');
  await expect(page.getByText('wall 1 · 5,200 mm')).toBeAttached();
  await saved(page);
  await length(page).pressSequentially(' and then');
  await page.reload();
  await expect(length(page)).toHaveValue('5,200 mm');
  await page.keyboard.press('Control+z');
  await expect(length(page)).toHaveValue('4,800 mm');
  await page.reload();
  await expect(length(page)).toHaveValue('4,800 mm');
  await page.keyboard.press('Control+Shift+z');
  await expect(length(page)).toHaveValue('5,200 mm');
});

test('two tabs stay in step and lose no edit; one torn away in the middle of writing leaves a whole job', async ({
  page,
  context,
}) => {
  await plainJob(page);
  await saved(page);
  const other = await context.newPage();
  await other.goto(page.url());
  await expect(length(other)).toHaveValue('4,800 mm');
  await Promise.all([length(page).fill('5000'), other.getByLabel('Width').first().fill('4000')]);
  for (const tab of [page, other]) {
    await tab.getByLabel('Job name').focus();
    await expect(length(tab)).toHaveValue('5,000 mm');
    await expect(tab.getByLabel('Width').first()).toHaveValue('4,000 mm');
  }

  await other.close();
  const address = page.url();
  // Many edits on their way at once, and the tab is gone.
  await page.evaluate(() => {
    const field = document.querySelector<HTMLInputElement>('[aria-label="Job name"]');
    for (let i = 0; i < 40 && field; i++) {
      field.value = `Name ${i}`;
      field.dispatchEvent(new Event('change'));
    }
  });
  await page.close();
  const again = await context.newPage();
  await again.goto(address);
  await expect(length(again)).toHaveValue('5,000 mm');
  await expect(again.getByLabel('Job name')).toHaveValue(/^(New job|Name \d+)$/);
  await again.keyboard.press('Control+z');
  await saved(again);
});

test.describe('on the day the examples were written for', () => {
  test.use({ now: SUNDAY });

  test('a job goes out and comes back byte for byte', async ({ page, browser, now }) => {
    await firstVisit(page);
    await page.goto('/jobs');
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name: 'Export Tarn Ferry reading room' }).click(),
    ]);
    expect(download.suggestedFilename()).toBe('tarn-ferry-reading-room.lisse.json');
    const out = readFileSync(await download.path(), 'utf8');
    expect(out).toBe(readFileSync(demo, 'utf8'));

    const other = await browser.newContext();
    await liveAt(other, now);
    const elsewhere = await other.newPage();
    await elsewhere.goto('/jobs');
    const changed = out
      .replace('"Study nook"', '"Study <b>nook</b>"')
      .replace('"tarn-ferry"', '"from-a-file"');
    await bringIn(elsewhere, textFile('job.json', changed));
    await expect(elsewhere.getByText('Study <b>nook</b>').first()).toBeVisible();
    await elsewhere.goto('/jobs');
    const [again] = await Promise.all([
      elsewhere.waitForEvent('download'),
      elsewhere.getByRole('button', { name: 'Export Tarn Ferry reading room' }).click(),
    ]);
    expect(readFileSync(await again.path(), 'utf8')).toBe(changed);
    await elsewhere.context().close();
  });
});

test('bad files are refused with reasons and change nothing', async ({ page }) => {
  const big = test.info().outputPath('big.json');
  writeFileSync(big, `"${'x'.repeat(40 * 1024 * 1024)}"`);
  const good = readFileSync(demo, 'utf8');
  const cases: [string, Parameters<typeof bringIn>[1], RegExp][] = [
    ['not JSON', textFile('notes.txt', 'a list of things'), /not readable JSON/],
    ['cut off', textFile('cut.json', good.slice(0, 900)), /It looks cut off/],
    ['another kind of file', textFile('other.json', '{"name":"x"}'), /Format: is missing/],
    ['too large', big, /is 40\.1 MB\. A job file can be at most 40 MB/],
    [
      'prototype',
      textFile('proto.json', good.replace('"format"', '"__proto__": {}, "format"')),
      /“__proto__” is not allowed/,
    ],
    [
      'negative size',
      textFile('neg.json', good.replace('"lengthMm": 8534.4', '"lengthMm": -8534.4')),
      /Reading room, length: must be a number from 300 to 100000 mm; it is -8534\.4/,
    ],
    [
      'a thousand deep',
      textFile('deep.json', `${'{"a":'.repeat(1000)}1${'}'.repeat(1000)}`),
      /more than 40 levels deep/,
    ],
    [
      'HTML',
      textFile('html.json', good.replace('"flat-paint"', '"<img src=x onerror=alert(1)>"')),
      /must be one of none, tile/,
    ],
  ];
  await firstVisit(page);
  await page.goto('/jobs');
  await expect(page.getByRole('list', { name: 'Jobs' }).getByRole('listitem')).toHaveCount(2);
  for (const [, file, reason] of cases) {
    await bringIn(page, file);
    await expect(page.getByRole('alert')).toContainText('Nothing was changed');
    await expect(page.getByRole('alert')).toContainText(reason);
    await page.getByRole('button', { name: 'Close' }).click();
  }
  await expect(page.getByRole('list', { name: 'Jobs' }).getByRole('listitem')).toHaveCount(2);
});

/** From now on the browser has no room, until `makeRoom` is called. */
const fullDisk = (page: Page) =>
  page.evaluate(() => {
    const { put, add } = IDBObjectStore.prototype;
    const full = () => {
      throw new DOMException('full', 'QuotaExceededError');
    };
    Object.assign(IDBObjectStore.prototype, { put: full, add: full });
    Object.assign(window, { makeRoom: () => Object.assign(IDBObjectStore.prototype, { put, add }) });
  });

test('a full browser says so, keeps the edit on the page, and saves when there is room', async ({ page }) => {
  await plainJob(page);
  await saved(page);
  await fullDisk(page);
  await length(page).fill('6000');
  await expect(page.getByRole('alert')).toContainText('out of storage');
  await expect(page.locator('.saved')).toHaveText('not saved');
  await expect(page.getByText('wall 1 · 6,000 mm')).toBeAttached();
  await page.evaluate(() => (window as unknown as { makeRoom: () => void }).makeRoom());
  await page.getByRole('button', { name: 'Try again' }).click();
  await saved(page);
  await page.reload();
  await expect(length(page)).toHaveValue('6,000 mm');
});

test('what is done on site with the browser full is not said to be saved, goes on, goes out, and is kept when there is room', async ({
  page,
}) => {
  await plainJob(page);
  await saved(page);
  await place(page, 'Today');
  await expect(page.getByRole('button', { name: 'Start', exact: true })).toBeVisible();
  await fullDisk(page);
  await page.getByRole('button', { name: 'Start', exact: true }).click();
  await expect(page.getByRole('alert')).toContainText('out of storage');
  await expect(page.locator('.saved')).toHaveText('not saved');
  await page.getByRole('button', { name: 'Mixed: start the timer' }).first().click();
  await expect(page.getByRole('timer')).toBeVisible();
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('alert').getByRole('button', { name: 'Export the job' }).click(),
  ]);
  const { log } = JSON.parse(readFileSync(await file.path(), 'utf8')) as Job;
  expect(log?.map(({ kind }) => kind)).toEqual(['started', 'mixed']);
  await page.evaluate(() => (window as unknown as { makeRoom: () => void }).makeRoom());
  await page.getByRole('button', { name: 'Try again' }).click();
  await saved(page);
  await expect(page.getByRole('alert')).toHaveCount(0);
  await page.reload();
  await expect(page.getByRole('button', { name: 'Pause' })).toBeVisible();
  await expect(page.getByRole('timer')).toBeVisible();
});

test('jobs are duplicated, deleted, put back and removed for good', async ({ page }) => {
  await firstVisit(page);
  await page.goto('/jobs');
  const jobs = page.getByRole('list', { name: 'Jobs' }).getByRole('listitem');
  await page.getByRole('button', { name: 'Duplicate Pier house gallery' }).click();
  await expect(jobs).toHaveCount(3);
  await page.getByRole('button', { name: 'Delete Pier house gallery, copy' }).click();
  await expect(jobs).toHaveCount(2);
  await page.getByRole('button', { name: 'Restore Pier house gallery, copy' }).click();
  await expect(jobs).toHaveCount(3);
  await page.getByRole('button', { name: 'Delete Pier house gallery, copy' }).click();
  await page.getByRole('button', { name: 'Delete Pier house gallery, copy for good' }).click();
  await page.reload();
  await expect(jobs).toHaveCount(2);
});

test('an address with no job behind it says so', async ({ page }) => {
  await page.goto('/job/no-such-job/order');
  await expect(page.getByRole('heading', { name: 'This job is not in this browser' })).toBeVisible();
  await page.getByRole('link', { name: 'All jobs', exact: true }).click();
  await expect(page).toHaveURL(/\/jobs$/);
});
