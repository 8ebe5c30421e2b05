import { expect, firstVisit, part, place, plainJob, test } from './support';

test('the story on a phone: a room, its finish, what to buy, the days', async ({ page }) => {
  await plainJob(page);
  await expect(page.locator('footer')).toContainText('26.4 m');
  await place(page, 'Finish');
  await page.getByRole('group', { name: 'Level' }).getByRole('button', { name: '4' }).tap();
  await expect(page.getByText(/Q4 is (more than )?enough/)).toBeVisible();
  await place(page, 'Order');
  await expect(page.getByRole('heading', { name: /kg bag/ }).first()).toBeVisible();
  await place(page, 'Days');
  await expect(page.getByText('All ready for primer')).toBeVisible();
});

test('by thumb: what shows on a wall is picked, a cell of the coat board changed, a joint read, a room added with every press large', async ({
  page,
}) => {
  await firstVisit(page);
  await place(page, 'Section');
  await part(page, 'Wall in light');
  const first = page.locator('.shows button').first();
  await first.tap();
  await expect(first).toHaveAttribute('aria-pressed', 'true');
  await page.getByRole('combobox', { name: 'Light from' }).tap();
  await page.getByRole('option').nth(1).tap();
  await expect(page.getByRole('button', { name: "Back to the room's light" })).toBeVisible();
  // The lamp is as large as a thumb.
  const reach = await page.locator('.lamp .reach').boundingBox();
  expect(reach!.width).toBeGreaterThanOrEqual(40);

  await place(page, 'Finish');
  await page.getByRole('gridcell', { name: /^Flats, fill/ }).tap();
  await expect(page.getByRole('heading', { name: 'Flats · fill coat' })).toBeInViewport();
  await page.getByRole('button', { name: 'Skip this coat' }).tap();
  await expect(page.getByRole('gridcell', { name: /^Flats, fill coat: skipped/ })).toBeVisible();

  await place(page, 'Rooms');
  await page.getByRole('button', { name: /Study nook/ }).tap();
  await expect(page.getByRole('group', { name: /Unfolded drawing of Study nook/ })).toBeVisible();
  await page.getByRole('button', { name: /^Butt joint, wall 1/ }).tap();
  await page.getByRole('button', { name: /Butt joint.*details/ }).tap();
  await expect(page.getByRole('heading', { name: /^Butt joint/ })).toBeInViewport();
  await expect(page.getByText('hump', { exact: false }).last()).toBeVisible();
  await page.getByRole('button', { name: 'Back to the room' }).tap();

  // In reach of the lower screen, or by scrolling.
  const thumb = async (name: string | RegExp, exact = true) => {
    const target = page.getByRole('button', { name, exact }).first();
    await target.scrollIntoViewIfNeeded();
    const box = (await target.boundingBox())!;
    expect(box.height).toBeGreaterThanOrEqual(40);
    await target.tap();
  };
  await thumb('Add');
  const form = page.getByRole('form', { name: 'Add a room' });
  for (const [label, value] of [
    ['Length', '12'],
    ['Width', '10'],
    ['Height', '8'],
  ] as const) {
    const field = form.getByLabel(label, { exact: true });
    expect((await field.boundingBox())!.height).toBeGreaterThanOrEqual(40);
    await field.tap();
    await field.pressSequentially(value);
  }
  await thumb('Add room');
  await expect(page.getByRole('group', { name: /Unfolded drawing of Room 6/ })).toBeVisible();
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
});

test('several joints are gathered with a thumb, and a butt is pulled to the next stud', async ({ page }) => {
  await plainJob(page);
  await page.getByRole('button', { name: 'Select several' }).tap();
  for (const name of [/^Butt joint, wall 1/, /^Butt joint, wall 3/])
    await page.getByRole('button', { name }).first().tap();
  await expect(page.getByRole('button', { name: /2 joints.*details/ })).toBeVisible();
  await page.getByRole('button', { name: 'Select several' }).tap();
  const butt = page.getByRole('button', { name: /^Butt joint, wall 1/ }).first();
  await butt.tap();
  await expect(butt).toHaveAttribute('aria-pressed', 'true');
  const box = (await butt.locator('.hit').boundingBox())!;
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  const touch = await page.context().newCDPSession(page);
  const send = (type: 'touchStart' | 'touchMove' | 'touchEnd', at?: number) =>
    touch.send('Input.dispatchTouchEvent', { type, touchPoints: at === undefined ? [] : [{ x: at, y }] });
  await send('touchStart', x);
  for (let step = 5; step <= 45; step += 5) await send('touchMove', x + step);
  await send('touchEnd');
  await expect
    .poll(async () => Math.abs(((await butt.locator('.hit').boundingBox())?.x ?? 0) - box.x))
    .toBeGreaterThan(8);
});

test('on its side the phone has every place in reach, and the task and its presses in view', async ({
  page,
}) => {
  await page.setViewportSize({ width: 844, height: 390 });
  await firstVisit(page);
  await place(page, 'Today');
  const begin = page.getByRole('button', { name: 'Start', exact: true });
  await begin.scrollIntoViewIfNeeded();
  await expect(begin).toBeInViewport();
  for (const name of ['Rooms', 'Today', 'Jobs'])
    await expect(
      page.getByRole('navigation', { name: 'Main menu' }).getByRole('link', { name }),
    ).toBeInViewport({ ratio: 0.9 });
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(844);
});
