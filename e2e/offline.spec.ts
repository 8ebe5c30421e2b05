import { createHash } from 'node:crypto';
import { cpSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Page } from '@playwright/test';
import { browser } from './playwright.config';
import { expect, installed, ownServer, part, place, root, saved, test } from './support';

// All that is kept is hashed first, by code worth making fast.
test.use({ serviceWorkers: 'allow', launchOptions: browser() });

/**
 * A browser whose disk is full: what the service worker writes fails, and what the page writes.
 * @returns makes room again
 */
async function fill(page: Page, origin: string): Promise<() => Promise<void>> {
  const session = await page.context().newCDPSession(page);
  await session.send('Storage.overrideQuotaForOrigin', { origin, quotaSize: 1000 });
  // The override reaches the database only once its use is counted anew, so its writes are refused by hand.
  await page.addInitScript(() => {
    const put = IDBObjectStore.prototype.put;
    IDBObjectStore.prototype.put = function () {
      throw new DOMException('full', 'QuotaExceededError');
    };
    Object.assign(window, { makeRoom: () => void (IDBObjectStore.prototype.put = put) });
  });
  return async () => {
    await session.send('Storage.overrideQuotaForOrigin', { origin });
    await page.evaluate(() => (window as unknown as { makeRoom: () => void }).makeRoom());
  };
}

test('works without the server after the first load, edits and all', async ({ page }) => {
  const server = await ownServer();
  await page.goto(server.url);
  await expect(page.getByText('mud, all coats')).toBeVisible();
  await installed(page);
  await server.stop();

  await page.reload();
  await expect(page.getByText('mud, all coats')).toBeVisible();
  for (const name of ['Finish', 'Section', 'Order', 'Days', 'Today', 'Inspect', 'Rooms']) {
    await place(page, name);
    await expect(page).toHaveTitle(`${name} · Lisse`);
    if (name !== 'Section') continue;
    // A wall is drawn by a worker of its own.
    await part(page, 'Wall in light');
    await expect(page.locator('.shows button').first()).toBeVisible();
  }
  await page.getByLabel('Length').first().fill(`29'`);
  await expect(page.getByText(`wall 1 · 29' 0"`)).toBeAttached();
  await expect(page.locator('.saved')).toContainText('saved');
  await page.goto(`${server.url}/job/tarn-ferry/order`);
  await expect(page.getByRole('heading', { name: 'Load list' })).toBeVisible();
});

test('a new version says so and waits for a press', async ({ page }) => {
  const folder = mkdtempSync(join(tmpdir(), 'lisse-version-'));
  cpSync(join(root, 'apps/web/dist'), folder, { recursive: true });
  const server = await ownServer(folder);
  await page.goto(server.url);
  await expect(page.getByText('mud, all coats')).toBeVisible();
  await installed(page);

  const file = join(folder, 'demo/pier-house.lisse.json');
  writeFileSync(file, readFileSync(file, 'utf8').replace('Pier house gallery', 'Pier house, next version'));
  const list = join(folder, 'ngsw.json');
  // What was compressed when it was built is of the old version.
  for (const path of [file, list])
    for (const coding of ['br', 'gz']) rmSync(`${path}.${coding}`, { force: true });
  const manifest = JSON.parse(readFileSync(list, 'utf8')) as {
    hashTable: Record<string, string>;
    timestamp: number;
  };
  manifest.hashTable['/demo/pier-house.lisse.json'] = createHash('sha1')
    .update(readFileSync(file))
    .digest('hex');
  manifest.timestamp++;
  writeFileSync(list, JSON.stringify(manifest));

  await page.reload();
  await expect(page.getByText('A new version of Lisse is ready.')).toBeVisible({ timeout: 60000 });
  expect(await page.evaluate(async () => (await fetch('demo/pier-house.lisse.json')).text())).not.toContain(
    'next version',
  );
  await page.getByRole('button', { name: 'Update now' }).click();
  await expect(page.getByText('mud, all coats')).toBeVisible();
  await expect
    .poll(() => page.evaluate(async () => (await fetch('demo/pier-house.lisse.json')).text()))
    .toContain('next version');
  await server.stop();
});

test('can be installed: a manifest with icons that are there', async ({ page, request }) => {
  await page.goto('/');
  const manifest = (await (await request.get('/lisse.webmanifest')).json()) as {
    start_url: string;
    display: string;
    icons: { src: string }[];
  };
  expect(manifest).toMatchObject({ start_url: '/', display: 'standalone' });
  for (const icon of manifest.icons) expect((await request.get(`/${icon.src}`)).status()).toBe(200);
});

test('with the storage full the application opens, exports, removes, and then saves again', async ({
  page,
}) => {
  const server = await ownServer();
  await page.goto(server.url);
  await expect(page.getByText('mud, all coats')).toBeVisible();
  await installed(page);
  const makeRoom = await fill(page, server.url);

  await page.reload();
  await expect(page.getByText('mud, all coats')).toBeVisible();
  expect(await page.evaluate(() => navigator.serviceWorker.controller !== null)).toBe(true);
  await page.getByLabel('Job name').fill('Kept on the page');
  await page.getByLabel('Job name').press('Enter');
  await expect(page.getByRole('alert')).toContainText('out of storage');
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Export the job' }).click(),
  ]);
  expect(readFileSync(await download.path(), 'utf8')).toContain('Kept on the page');

  // Leaving asks first, and stays when told to.
  await page.getByRole('link', { name: 'Jobs', exact: true }).click();
  const question = page.getByRole('dialog', { name: 'The last change is not saved' });
  await question.getByRole('button', { name: 'Stay here' }).click();
  await expect(page.getByLabel('Job name')).toHaveValue('Kept on the page');
  await page.getByRole('link', { name: 'Jobs', exact: true }).click();
  await question.getByRole('button', { name: 'Leave without saving' }).click();

  await page.getByRole('button', { name: 'Delete Pier house gallery' }).click();
  await expect(page.getByRole('alert')).toContainText('not even room to keep');
  await page.getByRole('button', { name: 'Delete Pier house gallery for good' }).click();
  await expect(page.getByRole('list', { name: 'Jobs' }).getByRole('listitem')).toHaveCount(1);
  await makeRoom();
  await page.getByRole('link', { name: /Tarn Ferry/ }).click();
  await page.getByLabel('Job name').fill('Annex');
  await page.getByLabel('Job name').press('Enter');
  await saved(page);
  await server.stop();
});
