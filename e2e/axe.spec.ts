import { at, expect, firstVisit, part, PARTS, place, sound, soundInBoth, SUNDAY, test } from './support';

test('every place is sound in both themes', async ({ page }) => {
  await firstVisit(page);
  await soundInBoth(page);
  for (const name of ['Finish', 'Section', 'Order', 'Days', 'Today', 'Inspect']) {
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
  await page.getByRole('button', { name: 'Compare compounds for this coat' }).click();
  await sound(page);
  await page.getByRole('button', { name: 'Pick the light on the drawing' }).click();
  await page.getByRole('button', { name: 'Add a lamp' }).click();
  await sound(page);
  for (const [name, read] of Object.entries(PARTS.Finish).slice(1)) {
    await part(page, name);
    await expect(page.getByText(read)).toBeVisible();
    if (name === 'Compounds') {
      await page.getByRole('button', { name: 'Add a product' }).click();
      await page.locator('summary', { hasText: 'Planning values' }).click();
    }
    await sound(page);
  }

  await place(page, 'Section');
  await part(page, 'Wall in light');
  await expect(page.getByText(/Local codes/).first()).toBeAttached();
  await page.locator('.shows button').first().click();
  await sound(page);
  await page.getByRole('button', { name: 'Pin this plan' }).click();
  await sound(page);
  await place(page, 'Section');
  await page.getByRole('button', { name: 'Pin for comparison' }).click();
  await page.getByRole('button', { name: 'Sanded' }).click();
  await sound(page);

  await place(page, 'Order');
  for (const [name, read] of Object.entries(PARTS.Order).slice(1)) {
    await part(page, name);
    await expect(page.getByText(read).first()).toBeVisible();
    if (name === 'Order list') {
      await page.getByRole('button', { name: 'Check stock and prices' }).click();
      await expect(page.getByRole('button', { name: 'Keep these prices' })).toBeVisible();
    } else if (name === 'Cut list') {
      await page.getByRole('button', { name: /^Piece 18,/ }).click();
      await page.locator('.tape summary').click();
    } else if (name === 'On hand') {
      await page.getByLabel('Use by').fill('2026-01-31');
      await page.getByRole('button', { name: 'Add to stock' }).click();
      await expect(page.getByLabel(/^Past its date/)).toBeVisible();
    } else {
      await page.getByRole('button', { name: 'Mark as agreed' }).click();
      await page.getByRole('button', { name: 'Compare' }).click();
      await expect(page.getByText('One level lower', { exact: true })).toBeVisible({ timeout: 20000 });
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
    await page.getByRole('button', { name: 'Start', exact: true }).click();
    await page.getByRole('button', { name: 'Mixed: start the timer' }).first().click();
    await expect(page.getByRole('timer')).toBeVisible();
    await sound(page);
    await at(page, '2026-11-30T12:00:00');
    await expect(page.getByRole('button', { name: 'Silence' })).toBeVisible();
    for (const [name, read] of Object.entries(PARTS.Today).slice(1)) {
      await part(page, name);
      await expect(page.getByText(read).first()).toBeVisible();
      if (name === 'Notes') {
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
    await place(page, 'Inspect');
    await expect(page.getByRole('button', { name: /^Before primer/ })).toBeVisible();
    await sound(page);
    await page.getByRole('button', { name: /^Before primer/ }).click();
    await expect(page.getByRole('heading', { name: 'What is the problem?' })).toBeVisible();
    await page.getByRole('application').press('ArrowRight');
    await page.getByRole('button', { name: /^Low joint/ }).click();
    await page.getByRole('button', { name: 'Add the repair to the plan' }).click();
    await expect(page.getByText('including waits')).toBeVisible();
    await sound(page);
    for (const name of ['Punch list', 'Lamp photo', 'Sign-off', 'Repairs'] as const) {
      await part(page, name);
      const title = name === 'Sign-off' ? 'Sign' : name;
      await expect(page.getByRole('heading', { name: title, exact: true })).toBeVisible();
      if (name === 'Repairs') {
        await page.getByLabel('Repairs to add').fill('1 hole 5" in the hall, painted');
        await page.getByRole('button', { name: 'Add' }).click();
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
  if (isMobile) await page.getByRole('button', { name: /Butt joint.*details/ }).tap();
  await expect(page.getByRole('heading', { name: /^Butt joint/ })).toBeVisible();
  await sound(page);
  await page.getByRole('button', { name: 'Back to the room' }).click();
  for (const part of ['Openings', 'Individual walls and ceilings', 'Damage', 'Also counted'])
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
  await expect(page.getByRole('button', { name: 'Use vertical (stand-up)' })).toBeVisible();
  await sound(page);

  await page.getByRole('button', { name: 'Drawing', exact: true }).click();
  await page.getByRole('button', { name: 'Why? Mud for this room' }).click();
  await expect(page.getByText('Every coat on every joint')).toBeVisible();
  await sound(page);
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  for (const way of ['Wall by wall', 'Laser meter', 'Quick count']) {
    await page.getByRole('button', { name: way, exact: true }).click();
    await sound(page);
  }
  await page.getByRole('button', { name: 'Import and export' }).click();
  await expect(page.getByRole('dialog')).toBeVisible();
  await sound(page);
  await page.keyboard.press('Escape');
  await page.keyboard.press('Control+k');
  await expect(page.getByRole('combobox', { name: 'Search or run a command' })).toBeVisible();
  await sound(page);
});
