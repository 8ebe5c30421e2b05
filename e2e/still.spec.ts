import type { Page } from '@playwright/test';
import { expect, place, test } from './support';

/** How far what is seen has moved without a hand at it, each moved thing named with where it went. */
async function watchShifts(page: Page): Promise<void> {
  await page.addInitScript(() => {
    const shifts: { value: number; what: string }[] = [];
    Object.assign(window, { shifts });
    const where = ({ x, y, width, height }: DOMRectReadOnly) => [x, y, width, height].map(Math.round).join();
    new PerformanceObserver((list) => {
      for (const entry of list.getEntries() as (PerformanceEntry & {
        value: number;
        hadRecentInput: boolean;
        sources: { node?: Node; previousRect: DOMRectReadOnly; currentRect: DOMRectReadOnly }[];
      })[])
        if (!entry.hadRecentInput)
          shifts.push({
            value: entry.value,
            what: entry.sources
              .map(({ node, previousRect, currentRect }) => {
                const part = node instanceof Element ? node : node?.parentElement;
                return `${part?.tagName}.${part?.getAttribute('class')} ${where(previousRect)} → ${where(currentRect)}`;
              })
              .join('; '),
          });
    }).observe({ type: 'layout-shift', buffered: true });
  });
}

/** All of it so far; what moved is told where it is too much. */
const still = async (page: Page, name: string): Promise<void> => {
  const shifts = await page.evaluate(
    () => (window as unknown as { shifts: { value: number; what: string }[] }).shifts,
  );
  const sum = shifts.reduce((all, { value }) => all + value, 0);
  expect(
    sum,
    `${name}: ${shifts.map(({ value, what }) => `${value.toFixed(3)} ${what}`).join('\n')}`,
  ).toBeLessThanOrEqual(0.02);
};

/** The places in which most comes late; `order/list` and `days` as cures are tried and days are searched. */
const PLACES = ['rooms', 'finish', 'section', 'order/list', 'days', 'today'];

for (const [on, viewport] of [
  ['at the desk', { width: 1280, height: 800 }],
  ['on a phone', { width: 390, height: 844 }],
] as const)
  test(`nothing moves by itself ${on}: on a first visit, in any place, when a notice comes`, async ({
    page,
  }) => {
    await page.setViewportSize(viewport);
    await watchShifts(page);
    for (const path of PLACES) {
      await page.goto(`/job/tarn-ferry/${path}`);
      await expect(page.locator('main.place:not(.comes)')).toBeVisible();
      if (path === 'days')
        await expect(page.getByText(/No earlier day was found|cannot be (sooner|ready)/)).toBeVisible();
      await page.waitForTimeout(500);
      await still(page, path);
    }
    // A browser that is full says so over the foot of the page; what one works at stays where it is.
    await page.goto('/job/tarn-ferry/rooms');

    const field = page.getByLabel('Length').first();
    await expect(field).toBeVisible();
    const before = await field.boundingBox();
    await page.evaluate(() => {
      IDBObjectStore.prototype.put = () => {
        throw new DOMException('full', 'QuotaExceededError');
      };
    });
    await page.getByLabel('Job name').fill('Not kept');
    await page.getByLabel('Job name').press('Enter');
    await expect(page.getByRole('alert')).toContainText('out of storage');
    await page.waitForTimeout(700);
    expect(await field.boundingBox()).toEqual(before);
    await place(page, 'Finish');
    await expect(page.getByRole('alert')).toContainText('out of storage');
    await still(page, 'a notice');
    // Whoever turns back before a place has come sees the one before.
    await page.evaluate(async () => {
      for (const path of ['days', 'finish']) {
        document.querySelector<HTMLElement>(`ls-rail a[href$="/${path}"]`)!.click();
        await new Promise(requestAnimationFrame);
      }
    });
    await expect(page.locator('main.place:not(.comes)')).toBeVisible();
  });
