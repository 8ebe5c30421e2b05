import AxeBuilder from '@axe-core/playwright';
import { readFileSync } from 'node:fs';
import { expect, firstVisit, place, test } from './support';

test('sticks are cut as few as can be; a piece shows its corner; what is on hand is used first', async ({
  page,
}) => {
  await firstVisit(page);
  await place(page, 'Order');
  const bench = page.locator('ls-cut-bench');
  // The solver is compiled code, fetched when it is wanted.
  await expect(bench).toContainText('no way to cut buys less', { timeout: 20000 });
  const before = await bench.locator('p').first().textContent();
  await page.getByLabel('Length on hand').fill("10'");
  await page.getByLabel('Length on hand').press('Enter');
  await page.getByRole('button', { name: 'Put on the rack' }).click();
  await expect(bench.locator('li', { hasText: 'on hand' })).toHaveCount(1);
  await expect(bench.locator('p').first()).not.toHaveText(before!);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(bench.locator('li', { hasText: 'on hand' })).toHaveCount(0);
  await bench.getByRole('button', { name: /^Piece 18,/ }).focus();
  await page.keyboard.press('Enter');
  await expect(bench.locator('.picked')).toContainText('Study nook');
  expect((await new AxeBuilder({ page }).include('ls-cut-bench').analyze()).violations).toEqual([]);
  await page.getByRole('button', { name: 'Show the corner' }).click();
  await expect(page).toHaveURL(/rooms/);
  await expect(page.getByRole('heading', { name: /Outside corner/ })).toBeVisible();
});

test('the order and the cutting list go out as tables and as text', async ({ page, context }) => {
  await context.grantPermissions(['clipboard-read', 'clipboard-write']);
  await firstVisit(page);
  await place(page, 'Order');
  const file = async (name: string): Promise<string> => {
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name, exact: true }).click(),
    ]);
    return readFileSync(await download.path(), 'utf8');
  };
  expect(await file('Table')).toContain('ware,package,count');
  expect((await file('Cutting list')).split('\r\n').filter(Boolean)).toHaveLength(29);
  await page.getByRole('button', { name: 'Copy as text' }).click();
  await expect(page.getByText('Copied.')).toBeVisible();
  expect(await page.evaluate(() => navigator.clipboard.readText())).toContain(
    '4 × roll of 500 ft, paper tape',
  );
});
