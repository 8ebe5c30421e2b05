// Takes the pictures of docs/screenshots from the example job on the production build.
import { chromium } from '@playwright/test';
import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { CHROMIUM, ensureBuild, ensureChromium, ensurePackages, root } from './steps.mjs';

ensurePackages();
await ensureChromium();
await ensureBuild();

const PORT = 4398;
const server = spawn(process.execPath, ['apps/server/dist/main.mjs'], {
  cwd: root,
  env: { ...process.env, PORT: String(PORT) },
});
await new Promise((resolve) => server.stdout.on('data', (text) => text.includes('Lisse is at') && resolve()));
const browser = await chromium.launch({
  executablePath: CHROMIUM,
  args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking'],
});
const take = (page, name) => page.screenshot({ path: join(root, `docs/screenshots/${name}.png`) });

async function visit(viewport, more = {}) {
  const context = await browser.newContext({
    viewport,
    reducedMotion: 'reduce',
    serviceWorkers: 'block',
    ...more,
  });
  // One day for all pictures: what they show does not change by when they are taken.
  await context.clock.setFixedTime(new Date('2026-11-29T12:00:00'));
  const page = await context.newPage();
  await page.goto(`http://localhost:${PORT}/`);
  await page.getByText('mud, all coats').waitFor();
  await page.evaluate(() => document.fonts.ready);
  return page;
}

async function go(page, place) {
  await page.goto(`http://localhost:${PORT}/job/tarn-ferry/${place}`);
  await page
    .getByText(/Local codes/)
    .first()
    .waitFor({ state: 'attached' });
  await page.waitForTimeout(600);
}

try {
  const page = await visit({ width: 1280, height: 800 });
  await page.getByRole('button', { name: /Study nook/ }).click();
  await page.waitForTimeout(400);
  await take(page, 'rooms');
  await page.getByRole('button', { name: /^Butt joint, wall 1/ }).click();
  await page.waitForTimeout(300);
  await take(page, 'joint');
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Boards', exact: true }).click();
  await page.getByRole('button', { name: 'Framing', exact: true }).click();
  await page.getByRole('button', { name: /Workroom/ }).click();
  await page.waitForTimeout(400);
  await take(page, 'boards');
  await page.getByRole('button', { name: 'Boards', exact: true }).click();
  await page.getByRole('button', { name: 'Framing', exact: true }).click();
  await page.getByRole('button', { name: /Reading room/ }).click();
  for (const place of ['finish', 'section', 'order', 'days']) {
    await go(page, place);
    if (place === 'days') {
      // The plan that a search has found, with a room opened into its coats.
      await page.getByText(/No earlier day was found|cannot be (sooner|ready)/).waitFor();
      await page.getByRole('button', { name: 'Coats of Workroom' }).click();
      await page.getByRole('button', { name: /^Tape coat, Reading room/ }).click();
    }
    await take(page, place);
  }
  await page.goto(`http://localhost:${PORT}/job/tarn-ferry/section/wall`);
  await page.waitForFunction(() => Number(document.querySelector('canvas')?.dataset.cell ?? 99) < 8);
  await page.getByLabel('Lamp distance').fill('500');
  await page.waitForTimeout(3000);
  await take(page, 'wall');
  for (const [name, seen] of [
    ['way', 'Which gaps get prefilled?'],
    ['agreement', 'Not part of this agreement'],
  ]) {
    await page.goto(`http://localhost:${PORT}/job/tarn-ferry/finish/${name}`);
    await page.getByText(seen).first().waitFor();
    // The ready date in the agreement is that of the best plan, which is looked for first.
    await page.waitForTimeout(5000);
    await take(page, name);
  }
  for (const [name, seen] of [
    ['list', 'Check stock and prices'],
    ['cutting', 'no way of cutting buys less'],
    ['bid', 'Rates'],
  ]) {
    await page.goto(`http://localhost:${PORT}/job/tarn-ferry/order/${name}`);
    await page.getByText(seen).first().waitFor();
    if (name === 'list') {
      await page.getByRole('button', { name: seen }).click();
      await page
        .getByRole('button', { name: /^Take / })
        .first()
        .waitFor();
    }
    // The total that stands, not one on its way.
    if (name === 'bid') await page.waitForFunction(() => document.querySelector('.act:disabled') === null);
    await page.waitForTimeout(500);
    await take(page, `order-${name}`);
  }
  await go(page, 'check');
  await page.getByRole('button', { name: /^Before primer/ }).click();
  await page.getByRole('button', { name: 'wall 1', exact: true }).click();
  await page.getByText(/^(Hold|Put) the lamp/).waitFor();
  await page.waitForTimeout(2500);
  await page.getByRole('application').click({ position: { x: 320, y: 150 } });
  await page.getByRole('button', { name: /^Low joint/ }).click();
  await page.getByText(/^Circle it on the wall/).waitFor();
  await page.waitForTimeout(800);
  await take(page, 'check');
  await go(page, 'check/repairs');
  await page.getByLabel('Repairs to add').fill('12 pops, 3 dents 1", 1 hole 5" in the hall, painted');
  await page.getByRole('button', { name: 'Add' }).click();
  await page.getByRole('button', { name: 'Tested and found clear' }).click();
  await page.waitForTimeout(1500);
  await take(page, 'repairs');
  await page.goto(`http://localhost:${PORT}/jobs`);
  await page.getByText('Pier house gallery').waitFor();
  await take(page, 'jobs');

  const phone = await visit(
    { width: 390, height: 844 },
    { isMobile: true, hasTouch: true, deviceScaleFactor: 2 },
  );
  await phone.waitForTimeout(400);
  await take(phone, 'phone-rooms');
  await go(phone, 'order');
  await take(phone, 'phone-order');

  // On the wall: a pot runs, seen in the light of a lamp.
  const wall = await visit(
    { width: 390, height: 844 },
    { isMobile: true, hasTouch: true, deviceScaleFactor: 2 },
  );
  await wall.clock.setFixedTime(new Date('2026-11-30T09:00:00'));
  await wall.getByRole('button', { name: 'Site (dark)' }).click();
  await wall.goto(`http://localhost:${PORT}/job/tarn-ferry/today`);
  for (const press of ['Ansa', 'Got it', 'Start', 'Mixed: start the timer'])
    await wall.getByRole('button', { name: press, exact: true }).first().click();
  await wall.getByRole('timer').waitFor();
  await wall.clock.setFixedTime(new Date('2026-11-30T09:06:00'));
  // The minutes of a task are looked at every ten seconds.
  await wall.waitForTimeout(11000);
  await wall.evaluate(() => window.scrollTo(0, 0));
  await take(wall, 'phone-today');
} finally {
  await browser.close();
  server.kill('SIGTERM');
}
