import type { Page } from '@playwright/test';
import { readFile } from 'node:fs/promises';
import { extractText, getDocumentProxy } from 'unpdf';
import { choose, expect, firstVisit, part, place, plainJob, saved, test } from './support';

/** The words of a PDF, with single spaces between them. */
async function wordsOf(file: Uint8Array): Promise<string> {
  const { text } = await extractText(await getDocumentProxy(new Uint8Array(file)), { mergePages: true });
  return text.replace(/\s+/g, ' ');
}

const advice = (page: Page) => page.getByRole('complementary', { name: 'Coat details and advice' });

test('a level-4 room with gloss under a clerestory becomes sound by pressing cures only', async ({
  page,
}) => {
  await plainJob(page);
  await place(page, 'Finish');
  await choose(page, 'Level system', 'levels 0 to 5');
  await page.getByRole('group', { name: 'Level' }).getByRole('button', { name: '4' }).click();
  const sentence = page.locator('.sentence');
  await choose(page, 'Decoration', 'gloss');
  await choose(page, 'Light', 'clerestory, 5°');
  await expect(sentence).toContainText('Gloss in grazing light needs Level 5');
  const warnings = advice(page)
    .getByRole('note')
    .filter({ hasText: /Warning|Stop/ });
  await expect(warnings.first()).toBeVisible();
  // Read all at once: an advice that is cured while it is read is simply gone.
  const texts = () => warnings.allTextContents();
  await saved(page);
  const before = await page.getByRole('button', { name: 'Undo' }).getAttribute('title');
  let pressed = 0;
  for (let left = await texts(); left.length > 0 && pressed < 12; pressed++) {
    const [first] = left;
    await warnings.first().locator('.cures button.quiet').first().click();
    await expect(async () => expect((await texts())[0]).not.toBe(first)).toPass();
    left = await texts();
  }
  await expect(warnings).toHaveCount(0);
  expect(pressed).toBeGreaterThan(1);
  await expect(sentence).toContainText('Level 5 is enough');
  // And every press can be undone; one on what was cured already was no step of its own.
  const [undo, redo] = [
    page.getByRole('button', { name: 'Undo' }),
    page.getByRole('button', { name: 'Redo' }),
  ];
  const label = async () => (await undo.getAttribute('title')) ?? '';
  for (let step = await label(); step !== before; step = await label()) {
    await undo.click();
    await expect(redo).toHaveAttribute('title', step);
  }
  await expect(sentence).toContainText('Gloss in grazing light needs Level 5');
});

test('the agreement is saved as a PDF and printed, and reads as the page does', async ({ page }) => {
  await firstVisit(page);
  await place(page, 'Finish');
  await choose(page, 'Applies to', 'wall 2');
  await choose(page, 'Decoration', 'skip-trowel texture');
  await part(page, 'Agreement');
  await page.getByLabel('Owner').fill('Tarn Ferry library trust');
  await page.getByLabel('Also agreed').fill('Keys are with the caretaker.');
  await page.getByLabel('Also agreed').blur();
  await expect(page.getByRole('article').getByText('Tarn Ferry library trust')).toBeVisible();
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save as PDF' }).click(),
  ]);
  expect(file.suggestedFilename()).toBe('tarn-ferry-reading-room-finish-agreement.pdf');
  const saved = await wordsOf(await readFile(await file.path()));
  await page.emulateMedia({ media: 'print' });
  const printed = await wordsOf(await page.pdf({ format: 'A4' }));
  for (const words of [saved, printed]) {
    for (const told of [
      'Finish agreement',
      'Tarn Ferry library trust',
      'Level 5: skimmed',
      'grazing light, down to 5°',
      'An even sheen. Gloss, deep color or grazing light will show the joints',
      'Thin arcs left by a skipping trowel',
      'Fire-rated assembly: use the tape, compound and coats its listing calls for',
      'From 5 ft, at eye height',
      'Keys are with the caretaker.',
      'Local codes, listings and licensed practice take precedence over this agreement.',
    ])
      expect(words).toContain(told);
    for (const room of ['Reading room', 'Study nook', 'Stair hall', 'Workroom', 'Plant room'])
      expect(words).toContain(room);
  }
  expect(printed).not.toContain('Save as PDF');
});

test('the coat board is walked, opened, changed and put back by the keyboard alone', async ({ page }) => {
  await plainJob(page);
  await place(page, 'Finish');
  const at = page.locator('[role=gridcell]:focus');
  await page.getByRole('gridcell', { name: /^Flats, tape/ }).focus();
  await page.keyboard.press('ArrowDown');
  await expect(at).toHaveAccessibleName(/^Butts, tape/);
  await page.keyboard.press('End');
  await expect(at).toHaveAccessibleName('Butts, skim coat: nothing to coat');
  // By levels there is no skim: its column goes, and with it the cell one stands on.
  await choose(page, 'Level system', 'levels 0 to 5');
  await expect(page.getByRole('columnheader', { name: 'Skim coat' })).toHaveCount(0);
  await page.getByRole('gridcell', { name: /^Butts, tape/ }).focus();
  await page.keyboard.press('Control+z');
  await expect(page.getByRole('columnheader', { name: 'Skim coat' })).toBeVisible();
  await page.keyboard.press('End');
  await expect(at).toHaveAccessibleName(/^Butts, skim/);
  await page.keyboard.press('Control+Shift+z');
  await expect(at).toHaveAccessibleName(/^Butts, finish/);
  await page.keyboard.press('Enter');
  const panel = advice(page);
  await expect(panel.getByRole('heading', { name: /^Butts/ })).toBeVisible();
  await page.keyboard.press('Home');
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('ArrowRight');
  await expect(panel.getByRole('heading', { name: 'Butts · fill coat' })).toBeVisible();
  await page.keyboard.press('Tab');
  await panel.getByLabel('Coat width').focus();
  await page.keyboard.type('560');
  await page.keyboard.press('Enter');
  await expect(
    page.getByRole('gridcell', { name: /^Butts, fill coat: \d passes, 560 mm.*changed/ }),
  ).toBeVisible();
  await panel.getByRole('button', { name: 'Restore' }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('gridcell', { name: /^Butts, fill.*changed/ })).toHaveCount(0);
  await page.getByRole('gridcell', { name: /^Butts, fill/ }).focus();
  await page.keyboard.press('Escape');
  await expect(panel.getByRole('heading', { name: 'Butts · fill coat' })).toHaveCount(0);
  await saved(page);
});

test('a blade that is not owned changes the lanes, and the order follows a product of one’s own', async ({
  page,
}) => {
  await plainJob(page);
  await place(page, 'Finish');
  await part(page, 'Method');
  await choose(page, 'Start from', 'Pan and knives, drying');
  await part(page, 'Tools');
  await page.getByRole('checkbox', { name: /^300 mm taping knife/ }).uncheck();
  await part(page, 'Level and coats');
  await expect(page.getByRole('gridcell', { name: /^Flats, finish coat: 3 passes, 300 mm/ })).toBeVisible();
  await part(page, 'Compounds');
  await page.getByRole('button', { name: 'Add a product' }).click();
  await page.getByLabel('Name', { exact: true }).fill('Quarry all-purpose');
  await page.getByLabel('Name', { exact: true }).press('Enter');
  await page.getByLabel('Price', { exact: true }).fill('31');
  await page.getByLabel('Price', { exact: true }).blur();
  await saved(page);
  await place(page, 'Order');
  await expect(page.getByText('1 × Quarry all-purpose').first()).toBeVisible();
});
