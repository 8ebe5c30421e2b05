// A first visit on a slow machine: processor 4 times slower, 10 Mbit a second, nothing kept yet. Told are when the
// frame is painted, when the first figures are seen, when all of the place can be used, and how much was fetched until
// the figures were there.
import { chromium } from '@playwright/test';
import { CHROMIUM, CHROMIUM_ARGS } from './steps.mjs';

const LINE = { offline: false, latency: 40, downloadThroughput: 10e6 / 8, uploadThroughput: 10e6 / 8 };

export async function firstVisit(url, { cpu = 4, line = LINE } = {}) {
  const browser = await chromium.launch({ executablePath: CHROMIUM, args: CHROMIUM_ARGS });
  try {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
    const session = await page.context().newCDPSession(page);
    await session.send('Network.enable');
    await session.send('Network.emulateNetworkConditions', line);
    await session.send('Emulation.setCPUThrottlingRate', { rate: cpu });
    let fetched = 0;
    let files = 0;
    session.on('Network.loadingFinished', ({ encodedDataLength }) => {
      fetched += encodedDataLength;
      files++;
    });
    // The page looks for itself: asking it from outside would slow it down.
    await page.addInitScript(() => {
      const watch = new MutationObserver(() => {
        if (!document.querySelector('main.place:not(.comes) .figure')) return;
        if (!document.body.textContent.includes('mud, all coats')) return;
        if (!window.figuresMs) requestAnimationFrame(() => (window.figuresMs ??= performance.now()));
        if (document.querySelector('main.place.fills')) return;
        watch.disconnect();
        requestAnimationFrame(() => (window.usableMs = performance.now()));
      });
      watch.observe(document, { childList: true, subtree: true, attributeFilter: ['class'] });
    });
    await page.goto(url, { waitUntil: 'commit' });
    await page.waitForFunction(() => window.figuresMs, undefined, { polling: 250 });
    const told = { fetched, files };
    await page.waitForFunction(() => window.usableMs, undefined, { polling: 250 });
    const { figuresMs, usableMs } = await page.evaluate(() => ({
      figuresMs: window.figuresMs,
      usableMs: window.usableMs,
    }));
    const paintedMs = await page.evaluate(
      () => performance.getEntriesByName('first-contentful-paint')[0]?.startTime ?? NaN,
    );
    return { paintedMs, figuresMs, usableMs, kB: told.fetched / 1000, files: told.files };
  } finally {
    await browser.close();
  }
}
