import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { Page } from '@playwright/test';
import { ON_SITE } from './playwright.config';
import { expect, place, plainJob, root, saved, test } from './support';

const length = (page: Page) => page.getByLabel('Length').first();

test('a browser that does not store anything says so and what to do, at every address', async ({ page }) => {
  await page.addInitScript(() => Object.defineProperty(window, 'indexedDB', { value: undefined }));
  for (const address of ['/', '/job/tarn-ferry/rooms']) {
    await page.goto(address);
    await expect(page.getByRole('alert').first()).toContainText('does not store anything');
    await expect(page.getByText('Opening the job')).toHaveCount(0);
  }
});

test('a database that never answers is said at every address, with what can be done', async ({ page }) => {
  await page.addInitScript(() => {
    // A request that nothing ever comes of.
    IDBFactory.prototype.open = () => new EventTarget() as IDBOpenDBRequest;
  });
  for (const address of ['/', '/job/tarn-ferry/rooms']) {
    await page.goto(address);
    await expect(page.getByRole('alert').first()).toContainText('has not answered for 5 seconds', {
      timeout: 12000,
    });
  }
  await expect(page.getByRole('button', { name: 'Reload the page' })).toBeVisible();
});

test('what never arrives of Lisse itself is said: the planner, then a place', async ({ page }) => {
  await page.route(/worker-.*\.js$/, () => undefined);
  await page.goto('/job/tarn-ferry/rooms');
  await expect(page.getByRole('alert')).toContainText('takes longer than it should', { timeout: 12000 });
  await page.unroute(/worker-.*\.js$/);
  await page.getByRole('button', { name: 'Reload the page' }).click();
  await expect(page.getByText('mud, all coats')).toBeVisible();
  await page.route(/days-page-.*\.js$/, () => undefined);
  await place(page, 'Days');
  await expect(page.getByRole('alert')).toContainText('has not arrived yet', { timeout: 12000 });
  await place(page, 'Order');
  await expect(page.getByRole('heading', { name: 'Load list' })).toBeVisible();
  await expect(page.getByRole('alert')).toHaveCount(0);
});

test('everything works by plain http, as from another machine on site', async ({ page, baseURL }) => {
  const site = baseURL!.replace('localhost', ON_SITE);
  await page.goto(`${site}/jobs`);
  expect(await page.evaluate(() => [isSecureContext, typeof crypto.randomUUID])).toEqual([
    false,
    'undefined',
  ]);
  await page.getByRole('button', { name: 'New job, millimeters' }).click();
  const form = page.getByRole('form', { name: 'Add a room' });
  await form.getByLabel('Length').fill('4800');
  await form.getByLabel('Width').fill('3600');
  await form.getByLabel('Height').fill('2400');
  await form.getByLabel('Height').press('Enter');
  await page.getByRole('button', { name: 'Add door' }).click();
  await page.getByRole('button', { name: 'Duplicate room', exact: true }).click();
  await saved(page);
  await place(page, 'Today');
  await page.getByRole('button', { name: 'Start', exact: true }).click();
  await expect(page.getByRole('button', { name: 'Pause' })).toBeVisible();
  await saved(page);
  await page.goto(`${site}/jobs`);
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Export New job' }).click(),
  ]);
  await page.locator('input[type=file]').setInputFiles(await file.path());
  await expect(page.getByLabel('Job name')).toHaveValue('New job');
  await place(page, 'Order');
  await expect(page.getByRole('heading', { name: 'Load list' })).toBeVisible();
});

test('a planner that does not load says so instead of waiting for ever; a place that does not leaves the page as it is', async ({
  page,
  trouble,
}) => {
  await page.route(/worker-.*\.js$/, (route) => route.abort());
  await page.goto('/');
  await expect(page.getByRole('alert')).toContainText('could not be loaded');
  await page.unroute(/worker-.*\.js$/);
  await page.getByRole('button', { name: 'Reload the page' }).click();
  await expect(page.getByText('mud, all coats')).toBeVisible();

  await page.route(/days-page-.*\.js$/, (route) => route.abort());
  await place(page, 'Days');
  await expect(page.getByRole('alert')).toContainText('could not be loaded');
  await expect(page.getByText('mud, all coats')).toBeVisible();
  await page.unroute(/days-page-.*\.js$/);
  await page.getByRole('button', { name: 'Close', exact: true }).click();
  await place(page, 'Order');
  await expect(page.getByRole('heading', { name: 'Load list' })).toBeVisible();
  // Written to the console for whoever looks into it.
  expect(trouble.splice(0)).toEqual([expect.stringContaining('days-page')]);
});

test('a room shortened below its window and left opens again, with a cure for the window', async ({
  page,
}) => {
  await plainJob(page);
  await page.getByRole('button', { name: 'Add window' }).click();
  await saved(page);
  await length(page).fill('700');
  await expect(page.getByText('wall 1 · 700 mm')).toBeAttached();
  await saved(page);
  await page.reload();
  await expect(length(page)).toHaveValue('700 mm');
  await expect(page.getByText('A-OPENING')).toBeVisible();
  await page.getByRole('button', { name: 'Fit it into its wall' }).click();
  await expect(page.getByText('A-OPENING')).toHaveCount(0);
  await saved(page);
});

test('a damaged drawing is found before it is read, and said, and the plan goes on following edits', async ({
  page,
}) => {
  await plainJob(page);
  await page.getByRole('button', { name: 'Import and export' }).click();
  const dialog = page.getByRole('dialog', { name: 'Import and export' });
  // A section that is never ended: the package that reads drawings looks for its end for ever.
  const text = '0\nSECTION\n2\nENTITIES\n0\nPOLYLINE\n8\n0\n0\nVERTEX\n8\n0\n10\n0\n20\n0\n';
  await dialog
    .locator('input[type=file]')
    .setInputFiles({ name: 'broken.dxf', mimeType: 'image/vnd.dxf', buffer: Buffer.from(text) });
  await expect(dialog.getByRole('alert')).toContainText('is damaged', { timeout: 4000 });
  await page.keyboard.press('Escape');
  await length(page).fill('5200');
  await expect(page.getByText('wall 1 · 5,200 mm')).toBeAttached();
});

test('a job another tab puts away and back is here again', async ({ page, context }) => {
  await plainJob(page);
  await saved(page);
  const other = await context.newPage();
  await other.goto('/jobs');
  await other.getByRole('button', { name: 'Delete New job' }).click();
  await expect(page.getByRole('heading', { name: 'This job is not in this browser' })).toBeVisible();
  await other.getByRole('button', { name: 'Restore', exact: true }).click();
  await expect(length(page)).toHaveValue('4,800 mm');
});

test('a file that only has to be mended says so and is taken with one press', async ({ page }) => {
  await page.goto('/jobs');
  const text = readFileSync(join(root, 'apps/web/public/demo/pier-house.lisse.json'), 'utf8').replace(
    '"name": "Pier house gallery"',
    `"name": "${'x'.repeat(206)}"`,
  );
  await page
    .locator('input[type=file]')
    .setInputFiles({ name: 'long.json', mimeType: 'application/json', buffer: Buffer.from(text) });
  await expect(page.getByRole('alert')).toContainText('at most 200 characters; it has 206');
  await page.getByRole('button', { name: 'Import with repairs' }).click();
  await expect(page.getByText('was repaired when it was opened')).toBeVisible();
  await expect(page.getByLabel('Job name')).toHaveValue('x'.repeat(200));
});
