import type { Download, Page } from '@playwright/test';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import {
  at,
  expect,
  installed,
  liveAt,
  ownServer,
  part,
  place,
  root,
  saved,
  sound,
  SUNDAY,
  test,
} from './support';

test.use({ serviceWorkers: 'allow', now: SUNDAY });

const MONDAY = '2026-11-30T';

/** The study nook of the example as a job of its own. */
function nook(): { name: string; mimeType: string; buffer: Buffer } {
  const text = readFileSync(join(root, 'apps/web/public/demo/tarn-ferry.lisse.json'), 'utf8');
  const job = JSON.parse(text) as { rooms: { id: string }[] };
  const own = {
    ...job,
    id: 'nook',
    name: 'Study nook',
    rooms: job.rooms.filter(({ id }) => id === 'study-nook'),
  };
  return { name: 'nook.lisse.json', mimeType: 'application/json', buffer: Buffer.from(JSON.stringify(own)) };
}
const picture = join(root, 'docs/screenshots/finish.png');

const tap = (page: Page, name: string | RegExp) =>
  page
    .getByRole('button', { name, ...(typeof name === 'string' ? { exact: true } : {}) })
    .first()
    .tap();
const task = (page: Page) => page.locator('ls-task-card h1');

/** All that is pressed on the wall is as large as a thumb in a glove. */
async function large(page: Page): Promise<void> {
  const small = await page.evaluate(() =>
    Array.from(
      document.querySelectorAll<HTMLElement>(
        'ls-part-frame > :not(nav) button, ls-part-frame > :not(nav) a, ls-part-frame > :not(nav) summary, ls-part-frame > :not(nav) label.big',
      ),
    )
      .filter(
        (one) => !one.closest('ls-why, .p-select, svg') && one.checkVisibility({ visibilityProperty: true }),
      )
      .map(
        (one) =>
          [one.textContent?.trim().slice(0, 30), Math.round(one.getBoundingClientRect().height)] as const,
      )
      .filter(([, height]) => height < 56),
  );
  expect(small).toEqual([]);
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
}

/** Takes a job in from a file on the list of jobs. */
async function bring(page: Page, url: string, file: string | ReturnType<typeof nook>): Promise<void> {
  await page.goto(`${url}/jobs`);
  await page.locator('input[type=file]').setInputFiles(file);
  await expect(page.getByLabel('Job name')).toHaveValue('Study nook');
}

async function sent(page: Page): Promise<string> {
  await part(page, 'Share');
  const download = page.waitForEvent('download');
  await tap(page, 'Save the file');
  const file: Download = await download;
  const path = join(test.info().outputDir, file.suggestedFilename());
  await file.saveAs(path);
  return path;
}

test('a whole day in the study nook, offline, from the first mix to the last clean-up, then to a second phone and back', async ({
  page,
  browser,
}) => {
  const server = await ownServer();
  await at(page, `${MONDAY}06:50:00`);
  await bring(page, server.url, nook());
  await installed(page);
  await page.goto(`${server.url}/job/nook/today`);
  await expect(task(page)).toHaveText('Prefill');
  await server.stop();

  // Morning: what to bring, who I am.
  await part(page, 'Day');
  await tap(page, /Mud pan/);
  await large(page);
  await part(page, 'Now');
  await tap(page, 'Ansa');
  await tap(page, 'Got it');
  await at(page, `${MONDAY}07:00:00`);
  await tap(page, 'Start');
  await expect(page.getByRole('button', { name: 'Pause' })).toBeVisible();
  await tap(page, /Loose board, paper and dust/);
  await large(page);

  // The first mix; its clock is seen everywhere, and is right after a reload without a network.
  await tap(page, 'Mixed: start the timer');
  await expect(page.getByRole('timer')).toHaveText('1:12:00');
  await at(page, `${MONDAY}07:30:00`);
  await place(page, 'Rooms');
  await expect(page.getByRole('region', { name: 'Batches' })).toContainText('42:00');
  await page.reload();
  await expect(page.getByRole('region', { name: 'Batches' })).toContainText('42:00');
  await page.goto(`${server.url}/jobs`);
  await expect(page.getByRole('region', { name: 'Batches' })).toContainText('42:00');
  await page.getByRole('region', { name: 'Batches' }).getByRole('link').tap();

  // It stiffens, it rings, and what is left of it spoiled.
  await at(page, `${MONDAY}08:13:00`);
  await expect(page.getByText('The batch is stiffening')).toBeAttached();
  await tap(page, 'Silence');
  await tap(page, 'Spoiled …');
  await tap(page, 'All of it');
  await tap(page, 'Pan and tools are clean');
  await expect(page.getByRole('timer')).toHaveCount(0);
  await tap(page, 'Mixed: start the timer');
  await expect(page.getByRole('timer')).toHaveText('1:12:00');
  await sound(page);

  // Prefill: joint by joint, then the rest at once.
  await part(page, 'Joints');
  const first = await page.locator('h1.joint').textContent();
  await tap(page, 'Done, next joint');
  await expect(page.locator('h1.joint')).not.toHaveText(first!);
  await large(page);
  await tap(page, 'Mark the rest as done');
  await page.getByRole('link', { name: 'Back to the task' }).tap();
  await at(page, `${MONDAY}09:00:00`);
  await tap(page, 'Pan and tools are clean');
  // The card of the batch shrinks; what is below it comes up.
  await expect(page.getByRole('button', { name: 'Pan and tools are clean' })).toHaveCount(0);
  await tap(page, 'Done');
  await expect(page.getByRole('region', { name: 'Hardening' })).toContainText('Prefill, Study nook');

  // Hard sooner than the bag says: the chip tells, and the next clock goes by it.
  await at(page, `${MONDAY}09:50:00`);
  await tap(page, 'It is hard now');
  await expect(page.getByRole('timer')).toHaveCount(0);
  // The prefill is ready with it: its tape begins at once.
  await expect(task(page)).toHaveText('Tape coat');
  await expect(page.locator('.when')).toContainText('Mon, Nov 30, 9:50 AM');

  // A reading, typed; a finding and a photo, with two presses each.
  const readings = page.getByRole('region', { name: 'Readings' });
  await readings.getByLabel('Temperature').fill('61');
  await readings.getByLabel('Humidity').fill('70');
  await readings.getByLabel('Humidity').press('Tab');
  await readings.getByRole('button', { name: 'Save reading' }).first().tap();
  await expect(readings).toContainText('times as long to dry as planned');
  await readings.getByRole('button', { name: 'Read the hygrometer' }).tap();
  await expect(readings).toContainText('does not answer');
  await part(page, 'Notes');
  const wall = page.getByRole('button', { name: 'Put it on wall 1', exact: true });
  await wall.tap();
  await tap(page, 'Ridging');
  await expect(page.getByRole('region', { name: 'Pinned in this room' })).toContainText('Ridging, wall 1');
  await wall.tap();
  await page.locator('input[type=file]').setInputFiles(picture);
  await expect(page.locator('ls-kept-photo img')).toBeVisible();
  await large(page);
  await part(page, 'Tool cards');
  await large(page);

  // The tape, and whatever else the day holds.
  await part(page, 'Now');
  for (let hour = 10; hour < 15; hour++) {
    await at(page, `${MONDAY}${hour}:00:00`);
    await page.reload();
    await expect(page.locator('.when')).toBeVisible();
    if (!(await page.locator('.when').textContent())?.includes('Mon, Nov 30')) break;
    await tap(page, /^(Start|Resume)$/);
    await expect(page.getByRole('button', { name: 'Pause' })).toBeVisible();
    await at(page, `${MONDAY}${hour}:50:00`);
    await tap(page, 'Done');
    await expect(page.getByRole('button', { name: 'Pause' })).toHaveCount(0);
  }
  await expect(page.getByRole('region', { name: 'Hardening' })).toContainText('Tape coat, Study nook');

  // Evening: nothing is left dirty.
  await at(page, `${MONDAY}15:30:00`);
  await part(page, 'Day');
  await expect(page.getByText('not cleaned up yet')).toHaveCount(0);
  for (const done of [/trash bag/, /wash bucket/, /Dry the steel/, /heat and fans/]) await tap(page, done);
  await expect(page.getByRole('region', { name: 'Before you leave' }).getByText('✓')).toHaveCount(4);
  await saved(page);

  // To a second phone, which has never seen it.
  const out = await sent(page);
  expect(out).toMatch(/\.lisse\.zip$/);
  const again = await ownServer();
  const other = await browser.newContext({
    viewport: { width: 390, height: 844 },
    hasTouch: true,
    isMobile: true,
    acceptDownloads: true,
  });
  await liveAt(other, `${MONDAY}16:00:00`);
  const second = await other.newPage();
  await bring(second, again.url, out);
  await second.goto(`${again.url}/job/nook/today`);
  await second.getByRole('button', { name: 'Jori' }).tap();
  await part(second, 'Notes');
  await expect(second.getByRole('region', { name: 'Pinned in this room' })).toContainText('Ridging, wall 1');
  await expect(second.locator('ls-kept-photo img')).toBeVisible();
  await tap(second, 'Note');
  await second.locator('textarea').fill('Stud is proud behind wall 2');
  await tap(second, 'Save note');
  await expect(second.getByText('Note saved.')).toBeVisible();
  await second.getByLabel('Job name').fill('Nook, upstairs');
  await second.getByLabel('Job name').press('Enter');
  await saved(second);
  const back = await sent(second);
  await other.close();
  await again.stop();

  // And back: both sides’ work is there, and the same file is not taken in twice.
  const shared = page.getByLabel('Job name');
  await shared.fill('Nook, by the stairs');
  await shared.press('Enter');
  await saved(page);
  const choose = page.locator('input[type=file]');
  await choose.setInputFiles(back);
  const meeting = page.getByRole('region', { name: /is already on this device$/ });
  await expect(meeting).toContainText('1 new entry from site');
  await expect(meeting).toContainText('one thing was changed on both phones');
  await large(page);
  await sound(page);
  await meeting.getByRole('button', { name: /Nook, upstairs/ }).tap();
  await tap(page, 'Merge');
  await expect(page.getByText('Nothing was lost on either phone.')).toBeVisible();
  await expect(shared).toHaveValue('Nook, upstairs');
  await part(page, 'Notes');
  await expect(page.getByText('Stud is proud behind wall 2')).toBeVisible();
  await part(page, 'Share');
  await choose.setInputFiles(back);
  await expect(page.getByText('already merged')).toBeVisible();
});
