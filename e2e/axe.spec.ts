import { at, expect, firstVisit, part, PARTS, place, sound, soundInBoth, SUNDAY, test } from './support';

test('every place is sound in both themes', async ({ page }) => {
  await firstVisit(page);
  await soundInBoth(page);
  for (const name of ['Finish', 'Section', 'Order', 'Days', 'Today', 'Check']) {
    await place(page, name);
    await expect(page).toHaveTitle(`${name} · Lisse`);
    // What comes last in every place.
    await expect(page.getByText(/Local codes/).first()).toBeAttached();
    if (name === 'Days') await expect(page.getByRole('region', { name: 'Day sheet' })).toBeAttached();
    await soundInBoth(page);
  }
  await page.goto('/jobs');
  await expect(page.getByText('Pier house gallery')).toBeVisible();
  await soundInBoth(page);
});

test('every part of Finish, Section and Order is sound, with a cell, its light and its weighing open, the wall held against another way, the supply house asked and a lot past its date', async ({
  page,
}) => {
  await firstVisit(page);
  await place(page, 'Finish');
  await page.getByRole('gridcell', { name: /^Butts, finish/ }).click();
  await page.getByRole('button', { name: 'Which suits best here, and why' }).click();
  await sound(page);
  await page.getByRole('button', { name: 'Pick the light on the drawing' }).click();
  await page.getByRole('button', { name: 'Add a lamp' }).click();
  await sound(page);
  for (const [name, read] of Object.entries(PARTS.Finish).slice(1)) {
    await part(page, name);
    await expect(page.getByText(read)).toBeVisible();
    if (name === 'Compounds') {
      await page.getByRole('button', { name: 'Add a product' }).click();
      await page.locator('summary', { hasText: 'Figures the plan is made with' }).click();
    }
    await sound(page);
  }

  await place(page, 'Section');
  await part(page, 'Whole wall');
  await expect(page.getByText(/Local codes/).first()).toBeAttached();
  await page.locator('.shows button').first().click();
  await sound(page);
  await page.getByRole('button', { name: 'Pin the plan as it is now' }).click();
  await sound(page);
  await place(page, 'Section');
  await page.getByRole('button', { name: 'Pin this finish' }).click();
  await page.getByRole('button', { name: 'Scraped and sanded' }).click();
  await sound(page);

  await place(page, 'Order');
  for (const [name, read] of Object.entries(PARTS.Order).slice(1)) {
    await part(page, name);
    await expect(page.getByText(read).first()).toBeVisible();
    if (name === 'List') {
      await page.getByRole('button', { name: 'Ask for stock and prices' }).click();
      await expect(page.getByRole('button', { name: 'Keep these prices' })).toBeVisible();
    } else if (name === 'Cutting') {
      await page.getByRole('button', { name: /^Piece 18,/ }).click();
      await page.locator('.tape summary').click();
    } else if (name === 'On hand') {
      await page.getByLabel('Use by').fill('2026-01-31');
      await page.getByRole('button', { name: 'Put it on the shelf' }).click();
      await expect(page.getByLabel(/^Out of date/)).toBeVisible();
    } else {
      await page.getByRole('button', { name: 'It is agreed' }).click();
      await page.getByRole('button', { name: 'Weigh them' }).click();
      await expect(page.getByText('A grade lower', { exact: true })).toBeVisible({ timeout: 20000 });
    }
    await sound(page);
  }
});

test.describe('on the first day', () => {
  test.use({ now: SUNDAY });
  test('every part of Today is sound, with a pot that rings and a pin put', async ({ page }) => {
    await firstVisit(page);
    await at(page, '2026-11-30T07:00:00');
    await place(page, 'Today');
    await page.getByRole('button', { name: 'Ansa' }).click();
    await page.getByRole('button', { name: 'Begin' }).click();
    await page.getByRole('button', { name: 'Mixed: start the clock' }).first().click();
    await expect(page.getByRole('timer')).toBeVisible();
    await sound(page);
    await at(page, '2026-11-30T12:00:00');
    await expect(page.getByRole('button', { name: 'Heard' })).toBeVisible();
    for (const [name, read] of Object.entries(PARTS.Today).slice(1)) {
      await part(page, name);
      await expect(page.getByText(read).first()).toBeVisible();
      if (name === 'Pins') {
        await page
          .getByRole('button', { name: /^Put it on/ })
          .first()
          .click();
        await page.getByRole('button', { name: 'Dent', exact: true }).click();
        await page.getByRole('button', { name: 'Note', exact: true }).click();
      }
      await sound(page);
    }
  });
});

for (const theme of ['light', 'site'] as const)
  test(`every part of Check is sound in the ${theme} theme, with a round walked, a ring drawn and repairs put in`, async ({
    page,
    isMobile,
  }) => {
    // By day at the desk, by a lamp on the wall.
    test.skip((theme === 'site') !== isMobile);
    await page.addInitScript((name) => localStorage.setItem('lisse theme', name), theme);
    await firstVisit(page);
    await place(page, 'Check');
    await expect(page.getByRole('button', { name: /^Before primer/ })).toBeVisible();
    await sound(page);
    await page.getByRole('button', { name: /^Before primer/ }).click();
    await expect(page.getByRole('heading', { name: 'What is wrong?' })).toBeVisible();
    await page.getByRole('application').press('ArrowRight');
    await page.getByRole('button', { name: /^Hollow/ }).click();
    await page.getByRole('button', { name: 'Take its cure into the plan' }).click();
    await expect(page.getByText('with its waits')).toBeVisible();
    await sound(page);
    for (const name of ['Findings', 'Lamp photo', 'Sign-off', 'Repairs'] as const) {
      await part(page, name);
      const title = name === 'Sign-off' ? 'Sign' : name;
      await expect(page.getByRole('heading', { name: title, exact: true })).toBeVisible();
      if (name === 'Repairs') {
        await page.getByLabel('What is to be mended').fill('1 hole 5" in the hall, painted');
        await page.getByRole('button', { name: 'Put it in' }).click();
        await expect(page.getByRole('alert')).toContainText('asbestos');
      }
      await sound(page);
    }
  });

test('what Rooms shows beside its drawing, in place of it and over it is sound too', async ({
  page,
  isMobile,
}) => {
  await firstVisit(page);
  await page
    .getByRole('button', { name: /^Butt joint, wall 1/ })
    .first()
    .click();
  if (isMobile) await page.getByRole('button', { name: /Butt joint.*read/ }).tap();
  await expect(page.getByRole('heading', { name: /^Butt joint/ })).toBeVisible();
  await sound(page);
  await page.getByRole('button', { name: 'Back to the room' }).click();
  for (const part of ['Openings', 'Single faces', 'Damage', 'Counted besides'])
    await page.locator('summary', { hasText: part }).click();
  await sound(page);
  await page.getByRole('button', { name: 'Tables' }).click();
  await expect(page.getByRole('columnheader', { name: 'Butts' })).toBeAttached();
  await page.getByRole('checkbox').nth(1).check();
  await sound(page);
  await page.getByRole('button', { name: 'Joints', exact: true }).click();
  await page.getByRole('checkbox').nth(1).check();
  await sound(page);
  await page.getByRole('button', { name: 'Compare boards' }).click();
  await expect(page.getByRole('button', { name: 'Take upright' })).toBeVisible();
  await sound(page);

  await page.getByRole('button', { name: 'Drawing', exact: true }).click();
  await page.getByRole('button', { name: 'Why the mud for this room?' }).click();
  await expect(page.getByText('Every coat on every joint')).toBeVisible();
  await sound(page);
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  for (const way of ['Wall by wall', 'Meter', 'Count']) {
    await page.getByRole('button', { name: way, exact: true }).click();
    await sound(page);
  }
  await page.getByRole('button', { name: 'In and out' }).click();
  await expect(page.getByRole('dialog')).toBeVisible();
  await sound(page);
  await page.keyboard.press('Escape');
  await page.keyboard.press('Control+k');
  await expect(page.getByRole('combobox', { name: 'Find or do' })).toBeVisible();
  await sound(page);
});
