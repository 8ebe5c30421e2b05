import { expect, test as base, type BrowserContext, type Locator, type Page } from '@playwright/test';
import axe from 'axe-core';
import { spawn } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { createServer } from 'node:net';
import { join } from 'node:path';
import { ON_SITE } from './playwright.config';

export const root = join(import.meta.dirname, '..');

/** The day before the examples begin as they are written. */
export const SUNDAY = '2026-11-29T12:00:00';

declare global {
  interface Window {
    axe?: typeof axe;
  }
  /** Stops the clock of a page at a moment, ms. */
  var stopClock: ((ms: number) => void) | undefined;
}

/** Has the pages of a browser live at another time. Only what they read of it is another: timers run as ever. */
export const liveAt = (context: BrowserContext, now: string): Promise<unknown> =>
  context.addInitScript(
    (skewMs) => {
      const real = Date;
      let read = () => real.now() + skewMs;
      globalThis.stopClock = (ms) => (read = () => ms);
      globalThis.Date = new Proxy(real, {
        construct: (_, given, made) =>
          given.length > 0 ? Reflect.construct(real, given, made) : new real(read()),
        get: (_, key) => (key === 'now' ? read : Reflect.get(real, key)),
      });
    },
    Date.parse(now) - Date.now(),
  );

/** Stops the clock of a page and of those it loads next, or moves it on. */
export async function at(page: Page, time: string): Promise<void> {
  const stop = (ms: number) => globalThis.stopClock?.(ms);
  await page.addInitScript(stop, Date.parse(time));
  await page.evaluate(stop, Date.parse(time));
}

/**
 * Every test says when it takes place, or does on the day it is asked to; none takes place today. Every test watches
 * its page: a script error, a refused style or script, or a request to anywhere but the server fails it.
 */
export const test = base.extend<{ now: string; trouble: string[] }>({
  now: [process.env['LISSE_NOW'] ?? SUNDAY, { option: true }],
  trouble: [
    async ({ context, now }, use) => {
      await liveAt(context, now);
      const trouble: string[] = [];
      context.on('page', (page) => {
        page.on('pageerror', (error) => trouble.push(`script error: ${error.message}`));
        page.on('console', (message) => {
          if (
            message.type() === 'error' &&
            !/Failed to load resource|net::ERR|Opener-Policy header has been ignored/.test(message.text())
          )
            trouble.push(message.text());
        });
      });
      context.on('request', (request) => {
        const url = new URL(request.url());
        if (
          !['localhost', '127.0.0.1', ON_SITE].includes(url.hostname) &&
          !['data:', 'blob:'].includes(url.protocol)
        )
          trouble.push(`left the origin: ${request.url()}`);
      });
      await use(trouble);
      for (const page of context.pages())
        if (!page.isClosed() && (await page.content().catch(() => '')).includes('[object Object]'))
          trouble.push(`something that is no text is shown at ${page.url()}`);
      expect(trouble).toEqual([]);
    },
    { auto: true },
  ],
});

export { expect };

/** Until nothing moves or fades in any more: before that it has not its own size and colours yet, nor all its words. */
export const still = (page: Page) =>
  page.evaluate(async () => {
    for (let frame = 0; frame < 2; frame++) await new Promise(requestAnimationFrame);
    await Promise.allSettled(document.getAnimations().map((animation) => animation.finished));
  });

/** Where something stands, once it stands still: what comes after it no longer pushes it on. */
export async function standing(
  of: Locator,
): Promise<NonNullable<Awaited<ReturnType<Locator['boundingBox']>>>> {
  let before = '';
  await expect
    .poll(
      async () => {
        const now = JSON.stringify(await of.boundingBox());
        const same = now === before && now !== 'null';
        before = now;
        return same;
      },
      { intervals: [150] },
    )
    .toBe(true);
  return (await of.boundingBox())!;
}

/** A first visit: the example job, planned. */
export async function firstVisit(page: Page): Promise<void> {
  await page.goto('/');
  await expect(page.getByText('mud, all coats')).toBeVisible();
}

export const place = (page: Page, name: string) =>
  page.getByRole('navigation', { name: 'Main menu' }).getByRole('link', { name }).click();

/** A part of Finish or of Section. */
export const part = (page: Page, name: string) =>
  page
    .getByRole('navigation', { name: /^Pages of/ })
    .getByRole('link', { name })
    .click();

/** The parts of places, each with what is read in it once it is there. */
export const PARTS = {
  Finish: {
    'Level and coats': 'Local codes',
    Method: 'Can lightweight compound bed tape?',
    Compounds: 'Compound types',
    Tools: 'Consistency',
    Agreement: 'Not part of this agreement',
  },
  Order: {
    'Load list': 'Local codes',
    'Order list': 'Weight',
    'Cut list': 'Sheets of board',
    'On hand': 'Receive materials',
    Bid: 'depend on local law',
  },
  Today: {
    Now: 'Then',
    Joints: /Working order|no joint list/,
    Notes: 'What is it?',
    'Tool cards': 'Local codes',
    Day: 'Before you leave',
    Share: 'Get from another phone',
  },
} as const;

/** Until everything is written; “not saved” is not that. */
export const saved = (page: Page) => expect(page.locator('.saved')).toHaveText(/^\s*saved /);

/** Chooses from one of the lists. */
export async function choose(page: Page, label: string, option: string): Promise<void> {
  await page.getByRole('combobox', { name: label, exact: true }).click();
  await page.getByRole('option', { name: option, exact: true }).click();
}

/** Takes a new metric job with one room, 4800 × 3600 × 2400 mm. */
export async function plainJob(page: Page): Promise<void> {
  await page.goto('/jobs');
  await page.getByRole('button', { name: 'New job, millimeters' }).click();
  const form = page.getByRole('form', { name: 'Add a room' });
  await form.getByLabel('Length').fill('4800');
  await form.getByLabel('Width').fill('3.6 m');
  await form.getByLabel('Height').fill('2400 mm');
  await form.getByLabel('Height').press('Enter');
  await expect(page.getByText('27.6 m', { exact: true })).toBeVisible();
}

/** A server of the test's own, so that it can be stopped or its files changed. */
export async function ownServer(
  folder = join(root, 'apps/web/dist'),
): Promise<{ url: string; stop: () => Promise<void> }> {
  const port = await new Promise<number>((resolve) => {
    const probe = createServer().listen(0, '127.0.0.1', () => {
      const { port } = probe.address() as { port: number };
      probe.close(() => resolve(port));
    });
  });
  const server = spawn(process.execPath, [join(root, 'apps/server/dist/main.mjs'), folder], {
    env: { ...process.env, PORT: String(port) },
  });
  await new Promise<void>((resolve, reject) => {
    server.stdout.on('data', (text: Buffer) => text.includes('Lisse is at') && resolve());
    server.on('exit', (code) => reject(new Error(`the server ended with ${code}`)));
  });
  const ended = new Promise<void>((resolve) => server.on('exit', () => resolve()));
  return {
    url: `http://localhost:${port}`,
    stop: async () => {
      server.kill('SIGTERM');
      await ended;
    },
  };
}

/** Waits until the service worker has kept the whole application and answers for this page. */
export async function installed(page: Page): Promise<void> {
  await page.evaluate(() => navigator.serviceWorker.ready);
  const { assetGroups } = JSON.parse(readFileSync(join(root, 'apps/web/dist/ngsw.json'), 'utf8')) as {
    assetGroups: { installMode: string; urls: string[] }[];
  };
  const files = assetGroups.flatMap(({ installMode, urls }) => (installMode === 'prefetch' ? urls : []));
  await expect
    .poll(
      () =>
        page.evaluate(async () => {
          const names = (await caches.keys()).filter(
            (name) => name.includes('assets') && name.endsWith(':cache'),
          );
          return (
            await Promise.all(names.map(async (name) => (await (await caches.open(name)).keys()).length))
          ).reduce((a, b) => a + b, 0);
        }),
      { timeout: 60000 },
    )
    .toBeGreaterThanOrEqual(files.length);
  await page.reload();
  await expect.poll(() => page.evaluate(() => navigator.serviceWorker.controller !== null)).toBe(true);
}

interface Colour {
  r: number;
  g: number;
  b: number;
  alpha: number;
  parseString(text: string): this;
}

/** Once a page: what has run there before runs half as long, and a colour read once is known, which is a third more. */
async function bringAxe(page: Page): Promise<void> {
  await page.evaluate(axe.source);
  await page.evaluate(() => {
    const { prototype } = (window.axe!.commons as unknown as { color: { Color: { prototype: Colour } } })
      .color.Color;
    const parse = prototype.parseString;
    const known = new Map<string, Pick<Colour, 'r' | 'g' | 'b' | 'alpha'>>();
    prototype.parseString = function (text) {
      if (known.has(text)) return Object.assign(this, known.get(text));
      const { r, g, b, alpha } = parse.call(this, text);
      known.set(text, { r, g, b, alpha });
      return this;
    };
  });
}

/** Nothing that a machine finds hinders anybody, by some of its rules where nothing else can have changed. */
export async function clean(page: Page, only?: readonly string[]): Promise<void> {
  await still(page);
  if (await page.evaluate(() => window.axe === undefined)) await bringAxe(page);
  const found = await page.evaluate(async (rules) => {
    const { violations } = await window.axe!.run(document, {
      resultTypes: ['violations'],
      ...(rules ? { runOnly: { type: 'rule', values: [...rules] } } : {}),
    });
    const where = (nodes: (typeof violations)[number]['nodes']) =>
      nodes.map(({ target }) => target.join(' ')).slice(0, 4);
    return violations.map(({ id, nodes }) => `${id}: ${where(nodes).join(' | ')}`);
  }, only);
  expect(found).toEqual([]);
}

/** Pressed often, with dusty hands. */
const OFTEN = '.act, .quiet, nav a, button.room, [role=gridcell], input[type=text], [role=combobox]';
/** All that can be pressed but the lines of a drawing, which lie as close as the joints do. */
const PRESSED = 'a, button, input:not([type=file]), select, summary, [role=option], [tabindex="0"]';

/** Nothing hinders anybody here, and on a phone it fits the screen and the thumb. */
export async function sound(page: Page): Promise<void> {
  // A message that was written into a template without being said.
  expect(await page.locator('body').innerText()).not.toContain('[object');
  await clean(page);
  if (page.viewportSize()!.width < 500) await fits(page);
}

/** The same by day and in the dark theme for the site, which differ in their colours. */
export async function soundInBoth(page: Page): Promise<void> {
  await sound(page);
  const wear = (theme: string) =>
    page.evaluate((name) => document.documentElement.setAttribute('data-theme', name), theme);
  await wear('site');
  await clean(page, ['color-contrast', 'link-in-text-block']);
  await wear('light');
}

/** No wider than the phone, and all that is pressed large enough for a thumb: 24 px, and 44 where it is pressed often. */
async function fits(page: Page): Promise<void> {
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
  await still(page);
  const [some, small] = await page.evaluate(
    ([often, pressed]) => {
      const all = Array.from(document.querySelectorAll<HTMLElement>(pressed!)).filter(
        (one) => !one.closest('svg') && one.checkVisibility({ visibilityProperty: true }),
      );
      const told = all.flatMap((one) => {
        // A box is pressed by its words as well, a list by its frame.
        const { width, height } = (one.closest('label, .p-select') ?? one).getBoundingClientRect();
        if (width <= 1 || height <= 1) return [];
        const least = one.matches(often!) ? 44 : 24;
        const name = one.getAttribute('aria-label') ?? one.textContent?.trim().slice(0, 40);
        return height < least || width < 24
          ? [
              `${one.parentElement?.tagName} ${one.parentElement?.className} ${one.tagName} ${one.className} “${name}” ${Math.round(width)} × ${Math.round(height)}`,
            ]
          : [];
      });
      return [all.length, told] as const;
    },
    [OFTEN, PRESSED],
  );
  expect(some).toBeGreaterThan(10);
  expect(small).toEqual([]);
}
