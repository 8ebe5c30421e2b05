import type { Page } from '@playwright/test';
import { readFileSync } from 'node:fs';
import { extractText, getDocumentProxy } from 'unpdf';
import { at, expect, firstVisit, part, place, saved, sound, SUNDAY, test } from './support';

test.use({ now: SUNDAY });

const words = async (pdf: Buffer): Promise<string> => {
  const { text } = await extractText(await getDocumentProxy(new Uint8Array(pdf)), { mergePages: true });
  return text.replace(/\s+/g, ' ');
};
const tap = (page: Page, name: string | RegExp) =>
  page
    .getByRole('button', { name, ...(typeof name === 'string' ? { exact: true } : {}) })
    .first()
    .tap();
/** The line of a finding by the number in its ring. */
const ringed = (page: Page, ring: string) =>
  page
    .locator('.list button')
    .filter({ has: page.locator('ls-defect-badge').getByText(ring, { exact: true }) });
const room = async (page: Page, name: string): Promise<void> => {
  await page.getByRole('combobox', { name: 'Room', exact: true }).click();
  await page.getByRole('option', { name, exact: true }).click();
};

/** A made-up photo of a wall seen from aside, its corners at known shares of the picture. */
const CORNERS = [
  [0.12, 0.9],
  [0.9, 0.78],
  [0.86, 0.2],
  [0.18, 0.08],
] as const;
const photoOf = (page: Page): Promise<Buffer> =>
  page
    .evaluate(
      (corners) => {
        const canvas = document.createElement('canvas');
        [canvas.width, canvas.height] = [800, 600];
        const pen = canvas.getContext('2d')!;
        pen.fillStyle = '#404040';
        pen.fillRect(0, 0, 800, 600);
        pen.fillStyle = '#e8e2d4';
        pen.beginPath();
        for (const [x, y] of corners) pen.lineTo(x! * 800, y! * 600);
        pen.fill();
        return canvas.toDataURL('image/jpeg', 0.9).split(',')[1]!;
      },
      CORNERS.map((at) => [...at]),
    )
    .then((text) => Buffer.from(text, 'base64'));

test('a round on the phone: two findings and a photo, their cures in Days and Order, fixed, closed, signed, and read back as PDF', async ({
  page,
}) => {
  await firstVisit(page);
  await at(page, '2026-12-07T09:00:00');
  await place(page, 'Inspect');
  await tap(page, /^Before primer/);
  await room(page, 'Study nook');
  await expect(page.getByText(/^(Hold|Put) the lamp/)).toBeVisible();

  // A wall, pressed where it is, and what it is.
  await tap(page, 'wall 2');
  await page.getByRole('application').tap({ position: { x: 120, y: 60 } });
  await page.getByLabel('Note').fill('left of the window');
  await tap(page, /^Low joint/);
  await expect(page.getByText('Circle it on the wall and write 1: low joint.')).toBeVisible();
  const picture = { name: 'low.jpg', mimeType: 'image/jpeg', buffer: await photoOf(page) };
  await page.locator('ls-find-card input[type=file]').setInputFiles(picture);
  await expect(page.getByText('Photo saved.')).toBeVisible();
  await expect(page.getByRole('img', { name: 'Low joint, wall 2' })).toBeVisible();
  await page.getByRole('application').tap({ position: { x: 200, y: 90 } });
  await tap(page, /^Hard edges/);
  await expect(page.getByText('Circle it on the wall and write 2: hard edges.')).toBeVisible();

  // Both cures in one press each: they have mud, work and days.
  await part(page, 'Punch list');
  for (const ring of ['1', '2']) {
    await ringed(page, ring).tap();
    await tap(page, 'Add the repair to the plan');
    await expect(page.getByText('including waits')).toBeVisible();
  }
  await saved(page);
  await place(page, 'Days');
  await expect(page.getByText(/Repairs, first coat/).first()).toBeAttached();
  await place(page, 'Order');
  await part(page, 'Order list');
  await expect(page.getByText(/Lightweight setting/i).first()).toBeVisible();

  // Mended, looked at again, closed; one of them is still there.
  await place(page, 'Inspect');
  await part(page, 'Punch list');
  for (const ring of ['1', '2']) {
    await ringed(page, ring).tap();
    await tap(page, 'Fixed');
    await tap(page, 'Rechecked: close');
    await expect(page.getByRole('button', { name: 'Still there' })).toBeVisible();
  }
  await expect(page.getByText('Every item is closed.')).toBeVisible();
  await tap(page, 'All');
  await ringed(page, '2').tap();
  await tap(page, 'Still there');
  await expect(page.getByText('1 open, 0 fixed and to recheck, 1 closed.')).toBeVisible();

  // The straightedge, and the faces of the room.
  await part(page, 'Inspection');
  await tap(page, 'wall 1');
  await page.getByLabel('Widest gap').fill('1/4');
  await tap(page, 'Save reading');
  await expect(page.getByText(/over the 1\/8" limit/)).toBeVisible();
  await tap(page, 'Float it out');
  await expect(page.getByText(/Float it .* wide in one layer/)).toBeVisible();
  await tap(page, 'Surface checked: next');
  await expect(page.getByText(/^1 of \d+$/)).toBeVisible();

  // Signed with a finger by somebody else; what was signed stays.
  await part(page, 'Sign-off');
  await page.getByLabel('Signed by').fill('M. Hale');
  const pad = (await page.locator('ls-name-pad canvas').boundingBox())!;
  await page.locator('ls-name-pad canvas').scrollIntoViewIfNeeded();
  const on = (await page.locator('ls-name-pad canvas').boundingBox()) ?? pad;
  await page.mouse.move(on.x + 20, on.y + 90);
  await page.mouse.down();
  await page.mouse.move(on.x + 90, on.y + 30, { steps: 5 });
  await page.mouse.move(on.x + 160, on.y + 100, { steps: 5 });
  await page.mouse.up();
  await expect(page.getByRole('button', { name: 'Clear' })).toBeEnabled();
  await tap(page, 'Sign and close the inspection');
  await expect(page.getByRole('heading', { name: 'Signed inspections' })).toBeVisible();
  const download = page.waitForEvent('download');
  await tap(page, 'PDF');
  const file = await download;
  expect(file.suggestedFilename()).toMatch(/^tarn-ferry-reading-room.*sign-off\.pdf$/);
  const pdf = await words(readFileSync(await file.path()));
  expect(pdf).toContain('M. Hale');
  expect(pdf).toContain('Inspection before primer');
  expect(pdf).toContain('Study nook Level 4');
  expect(pdf).toMatch(/1 of \d+/);
  expect(pdf).toContain('Hard edges 2 Study nook open');
  expect(pdf).toMatch(/Study nook 3' 11 1\/4" 1\/4" 1\/8"/);

  // Found later, it changes nothing that was signed.
  await part(page, 'Inspection');
  await expect(page.getByText('Start an inspection')).toBeVisible();
  await page.reload();
  await part(page, 'Sign-off');
  await expect(page.getByText('M. Hale ·')).toBeVisible();
  await expect(page.getByRole('img', { name: 'M. Hale' })).toBeVisible();
  await sound(page);
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
});

test('a photo under the lamp is laid over its face by four corners, pinned on, and kept', async ({
  page,
}) => {
  await firstVisit(page);
  await place(page, 'Inspect');
  await part(page, 'Lamp photo');
  await room(page, 'Study nook');
  await page.getByRole('combobox', { name: 'Surface', exact: true }).click();
  await page.getByRole('option', { name: 'wall 1', exact: true }).click();
  await page
    .locator('ls-lamp-photo-page input[type=file]')
    .first()
    .setInputFiles({ name: 'wall.jpg', mimeType: 'image/jpeg', buffer: await photoOf(page) });
  await expect(page.getByText('Now drag the four corners.')).toBeVisible();
  const frame = page.locator('ls-corner-picker .photo');
  const names = ['lower left', 'lower right', 'upper right', 'upper left'];
  for (const [i, name] of names.entries()) {
    // Clear of the bar at the foot, where a thumb would scroll it.
    await frame.evaluate((photo) => photo.scrollIntoView({ block: 'center' }));
    const box = (await frame.boundingBox())!;
    const corner = page.getByRole('button', { name: new RegExp(`${name} corner of the surface`, 'i') });
    const from = (await corner.boundingBox())!;
    const [x, y] = CORNERS[i]!;
    await page.mouse.move(from.x + from.width / 2, from.y + from.height / 2);
    await page.mouse.down();
    await page.mouse.move(box.x + x * box.width, box.y + y * box.height, { steps: 4 });
    await page.mouse.up();
  }
  // Straight on nothing but wall is seen, from edge to edge.
  const dark = () =>
    page.locator('ls-straight-photo canvas').evaluate((canvas: HTMLCanvasElement) => {
      const { data } = canvas.getContext('2d')!.getImageData(0, 0, canvas.width, canvas.height);
      let dark = 0;
      for (let i = 0; i < data.length; i += 4) if ((data[i] ?? 0) < 140) dark++;
      return (4 * dark) / data.length;
    });
  await expect.poll(dark, { timeout: 10000 }).toBeLessThan(0.015);
  await tap(page, 'Save the corners');
  await expect(page.getByText('The corners and the lamp are saved with the photo.')).toBeVisible();
  await page
    .locator('ls-face-press')
    .first()
    .getByRole('application')
    .tap({ position: { x: 100, y: 60 } });
  await tap(page, /^Crowned joint/);
  await expect(page.getByText('Circle it on the wall and write 1: crowned joint.')).toBeVisible();
  await expect(page.locator('ls-face-press ls-defect-badge').first()).toHaveText('1');
  await page.reload();
  await room(page, 'Study nook');
  await page.getByRole('combobox', { name: 'Surface', exact: true }).click();
  await page.getByRole('option', { name: 'wall 1', exact: true }).click();
  await expect.poll(dark, { timeout: 10000 }).toBeLessThan(0.015);
  // By the keys a corner moves too; where four are no wall it is said so.
  const corner = page.getByRole('button', { name: /lower left corner of the surface/i });
  for (let i = 0; i < 45; i++) await corner.press('Shift+ArrowRight');
  await expect(page.getByText('These four points are not the corners of a wall')).toBeVisible();
  await sound(page);
});

test('a repair job of five spots from one line of text to a price', async ({ page }) => {
  await at(page, '2026-11-30T06:30:00');
  await page.goto('/jobs');
  await tap(page, 'New job, millimeters');
  await place(page, 'Inspect');
  await part(page, 'Repairs');
  const line = page.getByLabel('Repairs to add');
  await line.fill('2 gizmos in the hall');
  await tap(page, 'Add');
  await expect(page.getByRole('alert')).toContainText('“2 gizmos in the hall” is not a kind of damage');
  await expect(line).toHaveValue('2 gizmos in the hall');
  await line.fill(
    '12 pops, 3 dents 30 mm, 1 hole 120 mm in the hall, painted, 1 crack 600 mm, 1 stain 400 mm in the bath',
  );
  await expect(page.getByText(/^Will be added: 12 × fastener pop/)).toBeVisible();
  await tap(page, 'Add');
  await expect(page.getByRole('heading', { name: /^18 repairs in one visit/ })).toBeVisible();
  await expect(page.getByRole('heading', { name: 'Hall', exact: true })).toBeVisible();
  await expect(page.getByRole('heading', { name: 'Bath', exact: true })).toBeVisible();
  // Old paint first: nothing is scraped until somebody answered.
  await expect(page.getByRole('alert')).toContainText('asbestos or lead');
  await tap(page, 'Tested and found clear');
  await expect(page.getByRole('alert')).toHaveCount(0);
  await expect(page.getByText('Visit 1: Mon, Nov 30')).toBeVisible();
  await expect(page.getByText(/of clean water, mixed in the pan/).first()).toBeVisible();
  await expect(page.getByText(/10 L of wash water/)).toBeVisible();
  await expect(page.getByText(/^€\d/)).toBeVisible();
  const price = await page.locator('.price').innerText();
  await page.getByRole('link', { name: 'See the bid' }).tap();
  await expect(page.getByText(price).first()).toBeVisible();
  await place(page, 'Days');
  await expect(page.getByText(/Repairs, first coat/).first()).toBeAttached();
  await place(page, 'Today');
  await expect(page.locator('ls-task-card h1')).toHaveText('Repairs, first coat');
  // All undone with one press.
  await place(page, 'Inspect');
  await part(page, 'Repairs');
  await tap(page, /Undo/);
  await tap(page, /Undo/);
  await expect(page.getByText('No repairs yet.')).toBeVisible();
  await sound(page);
});
