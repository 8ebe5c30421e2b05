import { choose, expect, firstVisit, place, plainJob, saved, test } from './support';

test('a butt is cut across from its coat board cell, widened by its edge, and put back', async ({ page }) => {
  await plainJob(page);
  await place(page, 'Finish');
  await page.getByRole('gridcell', { name: /^Butts, finish/ }).click();
  await page.getByRole('link', { name: 'Show section' }).click();
  await expect(page).toHaveTitle('Section · Lisse');
  await expect(page.getByRole('combobox', { name: /^Joint/ })).toContainText('Butt');
  const right = page.getByRole('slider', { name: 'Right edge of the coat' });
  const before = Number(await right.getAttribute('aria-valuenow'));
  const box = (await right.locator('path').boundingBox())!;
  await page.mouse.move(box.x + 6, box.y + 8);
  await page.mouse.down();
  await page.mouse.move(box.x + 36, box.y + 8, { steps: 5 });
  await page.mouse.up();
  await expect(async () =>
    expect(Number(await right.getAttribute('aria-valuenow'))).toBeGreaterThan(before),
  ).toPass();
  await saved(page);
  // The coat board has it as a joint of its own.
  await place(page, 'Finish');
  await expect(page.getByText('1 changed')).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByText('1 changed')).toHaveCount(0);
});

test('the width advice is taken with one press, the order takes more mud, and another room is chosen', async ({
  page,
}) => {
  await firstVisit(page);
  await place(page, 'Order');
  const mud = page.getByRole('article', { name: 'lightweight compound' }).locator('dd').first();
  const before = await mud.textContent();
  await place(page, 'Section');
  const shows = page.getByRole('complementary', { name: 'Readings and width' }).locator('.big');
  await expect(shows).toHaveClass(/over/);
  await choose(page, 'For', 'its whole row in the room');
  await page.getByRole('button', { name: /the narrowest that hides it/ }).click();
  await expect(shows).not.toHaveClass(/over/);
  await place(page, 'Order');
  await expect(mud).not.toHaveText(before ?? '');
  await place(page, 'Section');
  await choose(page, 'Room', 'Study nook');
  await expect(page.getByText(/flat paint hides 10.0%/)).toBeVisible();
});

test('the strip darkens as the lamp comes down, coat by coat; a hump is moved by keys, one press back each', async ({
  page,
}) => {
  await plainJob(page);
  await place(page, 'Section');
  await choose(page, 'Joint (most visible first)', 'Flat 1, wall 1');
  const spread = () =>
    page.locator('ls-wall-strip canvas').evaluate((canvas) => {
      const { data } = (canvas as HTMLCanvasElement).getContext('2d')!.getImageData(0, 0, 900, 1);
      const greys = Array.from({ length: 900 }, (_, i) => data[4 * i]!);
      return Math.max(...greys) - Math.min(...greys);
    });
  const lamp = page.getByRole('slider', { name: /^Light/ });
  await lamp.fill('45');
  const high = await spread();
  await lamp.fill('4');
  await expect(async () => expect(await spread()).toBeGreaterThan(4 * high)).toPass();
  await page.getByRole('button', { name: "Back to the room's light" }).click();
  await page.getByRole('group', { name: 'After coat' }).getByRole('button', { name: 'Tape coat' }).click();
  await expect(page.getByRole('group', { name: /Section of the joint: 1 coat,/ })).toBeVisible();
  await page.getByRole('button', { name: 'Play' }).click();
  await expect(page.getByRole('group', { name: /Section of the joint: 3 coats/ })).toBeVisible();

  const hump = page.getByRole('slider', { name: 'Hump of the framing' });
  await hump.focus();
  for (let i = 0; i < 3; i++) await page.keyboard.press('ArrowUp');
  await expect(hump).toHaveAttribute('aria-valuenow', '0.3');
  await saved(page);
  await place(page, 'Rooms');
  await expect(page.getByText(/0.3 mm hump/).first()).toBeVisible();
});
