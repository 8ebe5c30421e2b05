import { expect, firstVisit, place, plainJob, test } from './support';

test('the story on a phone: a room, its finish, what to buy, the days', async ({ page }) => {
  await plainJob(page);
  await expect(page.locator('footer')).toContainText('26.4 m');
  await place(page, 'Finish');
  await page.getByRole('group', { name: 'Grade' }).getByRole('button', { name: '4' }).tap();
  await expect(page.getByText(/quality 4 holds/)).toBeVisible();
  await place(page, 'Order');
  await expect(page.getByRole('heading', { name: /kg bag/ }).first()).toBeVisible();
  await place(page, 'Days');
  await expect(page.getByText('All ready for primer')).toBeVisible();
});

test('no place is wider than the phone, and what is pressed is large enough', async ({ page }) => {
  await firstVisit(page);
  for (const name of ['Rooms', 'Finish', 'Order', 'Days']) {
    await place(page, name);
    await expect(page).toHaveTitle(`${name} · Lisse`);
    await page.waitForTimeout(300);
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
    const small = await page
      .locator('.act:visible, .quiet:visible, nav a:visible')
      .evaluateAll((all) =>
        all.filter((one) => one.getBoundingClientRect().height < 40).map((one) => one.textContent),
      );
    expect(small).toEqual([]);
  }
});

test('a joint is picked with a thumb', async ({ page }) => {
  await firstVisit(page);
  await page.getByRole('button', { name: /Study nook/ }).tap();
  await expect(page.getByRole('group', { name: /Unfolded drawing of Study nook/ })).toBeVisible();
  await page.getByRole('button', { name: /^Butt joint, wall 1/ }).tap();
  await page.getByRole('button', { name: /Butt joint.*read/ }).tap();
  await expect(page.getByRole('heading', { name: /^Butt joint/ })).toBeInViewport();
  await expect(page.getByText('proud', { exact: false }).last()).toBeVisible();
});
