import ICAL from 'ical.js';
import type { Job } from '@lisse/core';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { Page } from '@playwright/test';
import { at, expect, firstVisit, place, root, saved, standing, SUNDAY, test } from './support';

test.use({ now: SUNDAY });

const finish = (page: Page) => page.locator('.title .big').first();

/** Until the plan has been searched, and it is said how good it is. */
const searched = (page: Page) =>
  expect(page.getByText(/No earlier day was found|cannot be (sooner|ready)/)).toBeVisible({ timeout: 45000 });

async function days(page: Page): Promise<void> {
  await firstVisit(page);
  await place(page, 'Days');
  await searched(page);
}

test('a dehumidifier has the rooms ready sooner, and undo takes it away', async ({ page }) => {
  await days(page);
  const ready = page.locator('svg .ready').first();
  await page.getByLabel('Humidity, %').first().fill('70');
  await page.getByLabel('Humidity, %').first().press('Enter');
  await page.getByRole('combobox', { name: 'Air', exact: true }).click();
  await page.getByRole('option', { name: 'closed up' }).click();
  await expect(finish(page)).not.toContainText('Dec 4');
  const before = await finish(page).textContent();
  const at = await ready.getAttribute('d');
  await page.getByLabel(/^Dehumidifier, /).fill('85');
  await page.getByLabel(/^Dehumidifier, /).press('Enter');
  await expect(finish(page)).not.toHaveText(before!);
  expect(await ready.getAttribute('d')).not.toBe(at);
  await expect(page.getByText(/drying \d+ kWh/)).toBeVisible();
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(finish(page)).toHaveText(before!);
});

test('what decides the finish is shortened with a press, and given back', async ({ page }) => {
  const job = JSON.parse(
    readFileSync(join(root, 'apps/web/public/demo/pier-house.lisse.json'), 'utf8'),
  ) as Job;
  const drying = { ...job, id: 'damp', name: 'Damp', way: { ...job.way, compounds: 'drying' } };
  await page.goto('/jobs');
  await page.locator('input[type=file]').setInputFiles({
    name: 'damp.json',
    mimeType: 'application/json',
    buffer: Buffer.from(JSON.stringify(drying)),
  });
  await expect(page.getByLabel('Job name')).toHaveValue('Damp');
  await place(page, 'Days');
  await searched(page);
  const before = await finish(page).textContent();
  await page.getByRole('button', { name: 'Find ways to finish sooner' }).click();
  await page.getByRole('button', { name: 'Setting compound below' }).click();
  await expect(finish(page)).not.toHaveText(before!);
  await saved(page);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(finish(page)).toHaveText(before!);
});

test('a coat dragged onto wet mud is refused with the reason; dragged later it stays there', async ({
  page,
}) => {
  await days(page);
  const fill = page.getByRole('button', { name: /^Fill coat, Stair hall/ });
  const drag = async (by: number) => {
    const box = await standing(fill.locator('.work').first());
    await page.mouse.move(box.x + 4, box.y + 8);
    await page.mouse.down();
    await page.mouse.move(box.x + 4 + by, box.y + 8, { steps: 5 });
    await page.mouse.up();
  };
  await drag(-140);
  await expect(
    page.getByText(/Fill coat cannot start before .*: tape coat there may still be wet until then/),
  ).toBeVisible();
  await drag(130);
  await expect(page.getByText(/Fill coat not before|Pinned to/)).toBeVisible();
  await expect(fill.locator('.pin')).toBeVisible();
  await saved(page);
  await page.reload();
  await expect(fill.locator('.pin')).toBeVisible();
});

test('a task told done stays done through a reload, and the rest is planned from now', async ({ page }) => {
  await days(page);
  await at(page, '2026-11-30T10:30:00');
  const tape = page.getByRole('button', { name: /^Tape coat, Stair hall/ });
  await tape.focus();
  await page.keyboard.press('Enter');
  await page.locator('ls-task-sheet').getByRole('button', { name: 'Done' }).click();
  await expect(page.getByText(/^Done Mon, Nov 30/)).toBeVisible();
  await page.reload();
  await expect(page.locator('svg .now')).toBeAttached();
  await expect(page.locator('[data-task="stair-hall:tape"]')).toHaveClass(/done/);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.locator('[data-task="stair-hall:tape"]')).not.toHaveClass(/done/);
});

test('the run is put in another order by drag, and by keys alone', async ({ page }) => {
  await days(page);
  await page.getByRole('button', { name: /^Tape coat, Stair hall/ }).click();
  await expect(page.locator('ls-run-view .head')).toContainText('Stair hall');
  const items = page.locator('ls-run-view li');
  const first = (await items.first().getByRole('button').first().textContent())!.trim();
  const grip = items.first().locator('.grip');
  await grip.scrollIntoViewIfNeeded();
  const [to, from] = [await standing(items.nth(3)), await standing(grip)];
  await page.mouse.move(from.x + 4, from.y + 6);
  await page.mouse.down();
  await page.mouse.move(from.x + 4, to.y + to.height / 2, { steps: 8 });
  // The list follows the hand a frame later.
  await standing(page.locator('.cdk-drag-preview'));
  await page.mouse.up();
  await expect(items.nth(3)).toContainText(first);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(items.first()).toContainText(first);

  await items.first().getByRole('button').first().focus();
  await page.keyboard.press('Alt+ArrowDown');
  await expect(items.nth(1)).toContainText(first);
  await page.getByRole('button', { name: 'Reset to the standard order' }).click();
  await expect(items.first()).toContainText(first);
});

test('the calendar holds every task; weather comes from the simulated logger; the day sheets are whole on paper', async ({
  page,
}) => {
  await days(page);
  const tasks = await page.locator('[data-task]').count();
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Calendar file' }).click(),
  ]);
  const events = new ICAL.Component(ICAL.parse(readFileSync(await file.path(), 'utf8')) as string);
  expect(events.getAllSubcomponents('vevent')).toHaveLength(tasks);

  await page.getByRole('button', { name: 'From the climate logger' }).click();
  await expect(page.getByText('960 hours of weather, simulated')).toBeVisible();
  await page.evaluate(() => (window.print = () => undefined));
  await page.getByRole('button', { name: 'Print day sheets' }).click();
  await page.emulateMedia({ media: 'print' });
  await page.setViewportSize({ width: 710, height: 950 });
  const sheets = page.locator('ls-day-sheets .sheet');
  await expect(sheets.first()).toContainText('Mon, Nov 30');
  // Nothing of the page is beside them, and nothing runs over the edge of letter paper.
  await expect(page.getByRole('heading', { name: 'Safety' })).toBeHidden();
  await expect(page.locator('ls-top-bar')).toBeHidden();
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(710);
});
