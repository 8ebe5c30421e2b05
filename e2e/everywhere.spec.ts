import { parse, TYPE, type MessageFormatElement } from '@formatjs/icu-messageformat-parser';
import type { Page } from '@playwright/test';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { OTHER_UNITS } from '../packages/core/src/testing/other-units';
import { expect, root, still, test } from './support';

const read = (path: string): unknown => JSON.parse(readFileSync(join(root, path), 'utf8'));
const EN = read('packages/core/src/texts/en.json') as Record<string, string>;

const ACCENTS: Record<string, string> = { a: 'á', e: 'é', i: 'í', o: 'ó', u: 'ú', y: 'ý' };

/** A language nobody speaks: every vowel has an accent and stands twice, which makes texts some 40 % longer. */
const pseudo = (words: string): string =>
  words.replace(/[aeiouy]/gi, (vowel) => {
    const accented = ACCENTS[vowel.toLowerCase()] as string;
    return vowel === vowel.toLowerCase() ? accented.repeat(2) : accented.toUpperCase() + accented;
  });

/** Where the words of a text stand in it. */
const literals = (parts: MessageFormatElement[]): [from: number, to: number][] =>
  parts.flatMap((part): [number, number][] => {
    if (part.type === TYPE.literal) return [[part.location!.start.offset, part.location!.end.offset]];
    if (part.type !== TYPE.select && part.type !== TYPE.plural) return [];
    return Object.values(part.options).flatMap((option) => literals(option.value));
  });

const PSEUDO = Object.fromEntries(
  Object.entries(EN).map(([key, text]) => {
    const words = literals(parse(text, { ignoreTag: true, captureLocation: true }));
    const said = words.reduceRight(
      (all, [from, to]) => all.slice(0, from) + pseudo(all.slice(from, to)) + all.slice(to),
      text,
    );
    return [key, said];
  }),
);

/** Words that are nobody's to translate: what people wrote in the example, units, and what a locale writes. */
const OWN = new Set(
  [
    ...Object.values(read('apps/web/public/demo/tarn-ferry.lisse.json') as object),
    ...Object.values(read('apps/web/public/demo/pier-house.lisse.json') as object),
  ].flatMap((part) => JSON.stringify(part).match(/\p{L}+/gu) ?? []),
);
const UNITS = 'min gal oz in sq days day';
const CALENDAR = 'Mon Tue Wed Thu Fri Sat Sun Aug Oct Nov Dec Jan AM PM American British English';
for (const word of `${UNITS} ${CALENDAR} WIDTH OLD HIGH THICK Lisse`.split(' ')) OWN.add(word);

interface Shown {
  text: string;
  /** What is wrong with how it stands. */
  faults: string[];
}

/** Every text that is seen, with what is cut off, runs out of the page or lies over another. */
function shown(): Shown[] {
  const inSight: (Shown & { of: Element; rects: DOMRect[]; floats: boolean })[] = [];
  const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
  for (let node = walker.nextNode(); node; node = walker.nextNode()) {
    const of = node.parentElement!;
    const text = (node.textContent ?? '').trim();
    if (text === '' || ['SCRIPT', 'STYLE', 'TITLE', 'title', 'desc', 'OPTION'].includes(of.tagName)) continue;
    if (!of.checkVisibility({ opacityProperty: true, visibilityProperty: true })) continue;
    const range = document.createRange();
    range.selectNodeContents(node);
    let rects = [...range.getClientRects()].filter((r) => r.width > 1 && r.height > 1);
    const faults: string[] = [];
    let [floats, scrolls] = [false, false];
    for (let up: Element | null = of; up && up !== document.body; up = up.parentElement) {
      const { position, overflowX, overflowY, display } = getComputedStyle(up);
      const box = up.getBoundingClientRect();
      // Words for those who hear the page.
      if (box.width <= 2) rects = [];
      if (up instanceof SVGElement || display === 'inline') continue;
      floats ||= position === 'fixed' || position === 'sticky';
      if (/auto|scroll/.test(overflowX + overflowY)) {
        scrolls = true;
        rects = rects.filter((r) => r.top >= box.top - 1 && r.bottom <= box.bottom + 1);
      } else if (!scrolls && /hidden|clip/.test(overflowX + overflowY)) {
        const across = Math.max(0, ...rects.map((r) => Math.max(r.right - box.right, box.left - r.left)));
        const down = Math.max(0, ...rects.map((r) => Math.max(r.bottom - box.bottom, box.top - r.top)));
        // A line is taller than its letters.
        if (across > 2 || down > 5) faults.push(`cut off by ${Math.round(Math.max(across, down))} px`);
      }
    }
    if (rects.length === 0) continue;
    const right = Math.max(...rects.map((r) => r.right));
    if (!scrolls && right > innerWidth + 1)
      faults.push(`${Math.round(right - innerWidth)} px out of the page`);
    inSight.push({ of, text, rects, floats, faults });
  }
  const lines = inSight
    .filter(({ floats }) => !floats)
    .flatMap((one) => one.rects.map((rect) => ({ one, rect })))
    .sort((a, b) => a.rect.top - b.rect.top);
  lines.forEach((a, i) => {
    for (const b of lines.slice(i + 1)) {
      if (b.rect.top > a.rect.bottom - 5) break;
      if (a.one.of.contains(b.one.of) || b.one.of.contains(a.one.of)) continue;
      const wide = Math.min(a.rect.right, b.rect.right) - Math.max(a.rect.left, b.rect.left);
      const high = Math.min(a.rect.bottom, b.rect.bottom) - b.rect.top;
      if (wide > 3 && high > 5) a.one.faults.push(`over “${b.one.text.slice(0, 40)}”`);
    }
  });
  return inSight.map(({ text, faults }) => ({ text, faults }));
}

/** Goes to every place of a job and every part of it, and to the jobs; tells what is read there. */
async function everywhere(page: Page, job: string, look: (at: string) => Promise<void>): Promise<void> {
  const settled = async () => {
    await expect(page.locator('main.place:not(.comes)')).toBeVisible();
    await page.waitForTimeout(300);
    await still(page);
  };
  const links = (of: string) =>
    page.locator(of).evaluateAll((all) => all.map((link) => link.getAttribute('href') ?? ''));
  await page.goto(`/job/${job}/rooms`);
  await settled();
  for (const place of await links('ls-rail nav a[href^="/job/"]')) {
    await page.locator(`ls-rail nav a[href="${place}"]`).click();
    await settled();
    await look(place);
    for (const part of (await links('ls-part-frame nav a[href^="/job/"]')).slice(1)) {
      await page.locator(`ls-part-frame nav a[href="${part}"]`).click();
      await settled();
      await look(part);
    }
  }
  await page.goto('/jobs');
  await expect(page.locator('.jobs li')).toHaveCount(2);
  await look('/jobs');
}

test('texts of 40 % more room fit everywhere, at a desk and on a phone, and none stands outside the catalogue', async ({
  page,
}) => {
  await page.route(/\/en-(?!GB-)[\w-]+\.js$/, (route) =>
    route.fulfill({ contentType: 'text/javascript', body: `export default ${JSON.stringify(PSEUDO)}` }),
  );
  const found: string[] = [];
  await everywhere(page, 'tarn-ferry', async (at) => {
    for (const size of [
      { width: 390, height: 844 },
      { width: 1280, height: 800 },
    ]) {
      await page.setViewportSize(size);
      await still(page);
      for (const { text, faults } of await page.evaluate(shown)) {
        const outside = (text.match(/\p{L}{2,}/gu) ?? []).filter(
          (word) => /[aeiouy]/i.test(word) && !OWN.has(word),
        );
        found.push(
          ...[...faults, ...outside.map((word) => `not in the catalogue: ${word}`)].map(
            (fault) => `${at} at ${size.width}: ${fault}: ${text}`,
          ),
        );
      }
    }
  });
  expect(found).toEqual([]);
});

for (const [job, system] of [
  ['tarn-ferry', 'feet'],
  ['pier-house', 'metric'],
] as const)
  test(`no unit of the other system stands anywhere in a ${system} job`, async ({ page }) => {
    const found: string[] = [];
    await everywhere(page, job, async (at) => {
      for (const { text } of await page.evaluate(shown))
        if (OTHER_UNITS[system].test(text)) found.push(`${at}: ${text}`);
    });
    expect(found).toEqual([]);
  });
