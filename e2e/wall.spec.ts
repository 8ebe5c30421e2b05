import { choose, expect, firstVisit, part, place, plainJob, saved, test } from './support';
import type { Page } from '@playwright/test';

/** The wall at rest, in its fine cells, with the list of what shows on it. */
const atRest = (page: Page) =>
  page.waitForFunction(
    () =>
      document.querySelector('.shows')?.getAttribute('aria-busy') === 'false' &&
      Number(document.querySelector('canvas')?.dataset['cell'] ?? 99) < 8,
  );

async function wall(page: Page): Promise<void> {
  await place(page, 'Section');
  await part(page, 'Wall in light');
  await atRest(page);
}

/** Moves the lamp by dragging it across the picture, px. */
async function dragLamp(page: Page, dx: number, dy: number): Promise<void> {
  const box = (await page.locator('.lamp .reach').boundingBox())!;
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.mouse.move(x + dx, y + dy, { steps: 12 });
  await page.mouse.up();
}

/**
 * Grey at a place of wall 1 of the plain room, 4800 × 2400 mm, by the picture's own pixels; a share of the grey of
 * the flat wall.
 */
const greyAt = (page: Page, u: number, v: number) =>
  page.evaluate(
    ([u, v]) => {
      const canvas = document.querySelector('canvas')!;
      // Room for the lamp round the wall: 8 % of its length each side, half of that above and below.
      const pad = 0.08 * 4800;
      const scale = canvas.width / (4800 + 2 * pad);
      const [x, y] = [(u! + pad) * scale, (2400 + pad / 2 - v!) * scale];
      return canvas.getContext('2d')!.getImageData(Math.round(x), Math.round(y), 1, 1).data[0]! / 226;
    },
    [u, v],
  );

test('the lamp is dragged, and the wall under a butt brightens and darkens as computed; it is looked at closer, and held against another way', async ({
  page,
}) => {
  await plainJob(page);
  await wall(page);
  await choose(page, 'Surface', 'wall 1');
  await page.getByLabel('Lamp off the wall').fill('150');
  await page.getByLabel('Lamp off the wall').press('Enter');
  // By key: a press of the mouse may fall between two lists while the lamp's new light is reckoned.
  await page.getByRole('button', { name: /^Butt 1, wall 1/ }).press('Enter');
  await atRest(page);
  // Its place on the wall: the dashed frame round it is drawn about its line.
  const frame = (await page.locator('.mark.on rect').boundingBox())!;
  const canvas = (await page.locator('ls-wall-picture canvas').boundingBox())!;
  const scale = canvas.width / (4800 * 1.16);
  const u = (frame.x + frame.width / 2 - canvas.x) / scale - 0.08 * 4800;
  const v = 2400 + 0.04 * 4800 - (frame.y + frame.height / 2 - canvas.y) / scale;
  const sides = async () => [await greyAt(page, u - 150, v), await greyAt(page, u + 150, v)] as const;
  // From the left, as it starts: its left side leans to the lamp.
  await expect(async () => {
    const [left, right] = await sides();
    expect(left).toBeGreaterThan(1.01);
    expect(right).toBeLessThan(0.99);
  }).toPass();
  const [before] = await sides();
  // Across to the right of the wall: the other way round.
  await dragLamp(page, canvas.width * 0.9, 0);
  await expect(async () => {
    await atRest(page);
    const [left, right] = await sides();
    expect(left).toBeLessThan(0.99);
    expect(right).toBeGreaterThan(1.01);
  }).toPass();
  await page.getByRole('button', { name: "Back to the room's light" }).click();
  await page.getByLabel('Lamp off the wall').fill('300');
  await page.getByLabel('Lamp off the wall').press('Enter');
  // Twice as far off the wall: half as bright over the wall round it.
  await expect(async () => {
    await atRest(page);
    const [left] = await sides();
    expect((left - 1) / (before - 1)).toBeGreaterThan(0.3);
    expect((left - 1) / (before - 1)).toBeLessThan(0.7);
  }).toPass();

  await page.getByRole('button', { name: 'Zoom in' }).click();
  await page.waitForFunction(() => Number(document.querySelector('canvas')?.dataset['cell'] ?? 99) <= 2);
  await page.getByRole('button', { name: 'Zoom out', exact: true }).click();
  await choose(page, 'Compare with', 'Machine tools, drying');
  await expect(page.getByText('Dark: the plan shows more')).toBeVisible();
  await atRest(page);
});

test('what shows is hidden with one press, the order takes more mud, and undo takes it back', async ({
  page,
}) => {
  await plainJob(page);
  await place(page, 'Order');
  const order = page.locator('article dd');
  await expect(order.first()).toBeVisible();
  const mud = async () =>
    (await order.allTextContents()).reduce(
      (sum, text) => sum + Number(/^([\d.]+) L$/.exec(text)?.[1] ?? 0),
      0,
    );
  // The ends of a few batches more or less are a matter of the days.
  const ends = 0.6;
  const before = await mud();
  await wall(page);
  await page.getByLabel('Lamp off the wall').fill('140');
  await page.getByLabel('Lamp off the wall').press('Enter');
  const hide = page.getByRole('button', { name: /^Hide/ });
  await expect(hide).toBeVisible();
  const showing = async () =>
    Number(/(\d+)/.exec((await page.locator('ls-wall-page .big').allTextContents())[0] ?? '')?.[1] ?? 0);
  const shown = await showing();
  await hide.click();
  await expect(page.getByText(/finished wider/)).toBeVisible();
  await expect(page.getByText(/For the job: \+.* of mud/)).toBeVisible();
  await expect(async () => expect(await showing()).toBeLessThan(shown)).toPass();
  await saved(page);
  await place(page, 'Order');
  await expect(order.first()).toBeVisible();
  await expect(async () => expect(await mud()).toBeGreaterThan(before + ends)).toPass();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(async () => expect(Math.abs((await mud()) - before)).toBeLessThan(ends)).toPass();
});

test('the lamp is moved by keys alone, the coats are stepped, and a joint is cut across from the list', async ({
  page,
}) => {
  await firstVisit(page);
  await wall(page);
  const lamp = page.getByRole('button', { name: /^Lamp,/ });
  await lamp.focus();
  const off = await lamp.getAttribute('aria-label');
  for (let i = 0; i < 3; i++) await page.keyboard.press('Shift+PageDown');
  await expect(lamp).not.toHaveAttribute('aria-label', off ?? '');
  await page.keyboard.press('Shift+ArrowRight');
  await page.getByRole('button', { name: 'Boards' }).press('Enter');
  await atRest(page);
  const finish = page.getByRole('button', { name: 'Finish coat', exact: true });
  await finish.press('Enter');
  // The list of the boards stands until the new picture is there.
  await expect(finish).toHaveAttribute('aria-pressed', 'true');
  await atRest(page);
  const first = page
    .locator('.shows button')
    .filter({ hasText: /^\s*(Butt|Flat)/ })
    .first();
  await first.press('Enter');
  // The list may still have been sorted anew: what counts is what is marked.
  const marked = page.locator('.shows button[aria-pressed=true] span').first();
  await expect(marked).toBeVisible();
  const name = (await marked.allTextContents())[0]?.trim() ?? '';
  await page.getByRole('link', { name: 'Show section' }).press('Enter');
  await expect(page.getByRole('combobox', { name: /^Joint/ })).toContainText(name);
});
