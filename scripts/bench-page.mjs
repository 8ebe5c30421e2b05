// From a key pressed to the new picture on the screen, in Chromium: a butt moved on the drawing of the demo's biggest
// room, the lamp moved before one of its walls, and a hump dragged in a section.
import { chromium } from '@playwright/test';
import { spawn } from 'node:child_process';
import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { CHROMIUM, ensureBuild, ensureChromium, ensurePackages, root } from './steps.mjs';

ensurePackages();
await ensureChromium();
await ensureBuild();

const PORT = 4397;
const EDITS = 60;
/** A drag of some four seconds. */
const MOVES = 240;
const server = spawn(process.execPath, ['apps/server/dist/main.mjs'], {
  cwd: root,
  env: { ...process.env, PORT: String(PORT) },
});
await new Promise((resolve) => server.stdout.on('data', (text) => text.includes('Lisse is at') && resolve()));
const browser = await chromium.launch({
  executablePath: CHROMIUM,
  args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking'],
});
try {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await page.goto(`http://localhost:${PORT}/`);
  await page.getByText('mud, all coats').waitFor();
  await page
    .getByRole('button', { name: /^Butt joint, wall 1/ })
    .first()
    .click();
  await page.getByRole('group', { name: /Unfolded drawing of Reading room/ }).focus();
  const times = await page.evaluate(async (edits) => {
    const svg = document.querySelector('svg[role=group]');
    const butt = () => document.querySelector('.joint.on .hit')?.getAttribute('x1');
    const times = [];
    for (let i = 0; i < edits; i++) {
      const before = butt();
      const start = performance.now();
      const key = Math.floor(i / 4) % 2 ? 'ArrowLeft' : 'ArrowRight';
      svg.dispatchEvent(new KeyboardEvent('keydown', { key, altKey: true, bubbles: true }));
      // The picture has changed when the butt stands elsewhere and the frame that shows it has been made.
      while (butt() === before && performance.now() - start < 2000)
        await new Promise((done) => requestAnimationFrame(done));
      times.push(performance.now() - start);
      await new Promise((done) => setTimeout(done, 120));
    }
    return times;
  }, EDITS);
  await page.getByRole('link', { name: 'Section', exact: true }).click();
  await page.getByRole('link', { name: 'Whole wall', exact: true }).click();
  await page.waitForFunction(() => Number(document.querySelector('canvas')?.dataset.cell) < 8);
  const lamp = await page.evaluate(async (moves) => {
    const canvas = document.querySelector('canvas');
    const lamp = document.querySelector('.lamp');
    const until = async (holds) => {
      while (!holds()) await new Promise((done) => requestAnimationFrame(done));
    };
    const times = [];
    for (let i = 0; i < moves; i++) {
      // The fine picture is on the screen; the next one there is the coarse one of the lamp's new place.
      await until(() => Number(canvas.dataset.cell) < 8);
      const start = performance.now();
      const key = Math.floor(i / 10) % 2 ? 'ArrowLeft' : 'ArrowRight';
      lamp.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true }));
      await until(() => Number(canvas.dataset.cell) > 8 || performance.now() - start > 2000);
      times.push(performance.now() - start);
    }
    return times;
  }, EDITS);
  await page.getByRole('link', { name: 'Cut across', exact: true }).click();
  await page.getByRole('combobox', { name: 'Joint, what shows most first' }).click();
  await page.getByRole('option', { name: /^Butt/ }).first().click();
  await page.getByRole('slider', { name: 'Hump of the framing' }).waitFor();
  const hump = await page.evaluate(async (moves) => {
    const grip = document.querySelector('[aria-label="Hump of the framing"]');
    const svg = grip.closest('svg');
    const box = grip.getBoundingClientRect();
    const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
    const points = (type, at, to) =>
      to.dispatchEvent(
        new window.PointerEvent(type, {
          pointerId: 1,
          clientX: x,
          clientY: at,
          bubbles: true,
          cancelable: true,
        }),
      );
    // A pointer made up by a script cannot be captured.
    window.Element.prototype.setPointerCapture = () => undefined;
    const drawn = () => [...svg.querySelectorAll('path')].map((path) => path.getAttribute('d')).join();
    const still = [];
    new PerformanceObserver((list) =>
      still.push(...list.getEntries().map(({ duration }) => duration)),
    ).observe({
      type: 'longtask',
    });
    points('pointerdown', y, grip);
    const times = [];
    let next = 0;
    for (let i = 1; i <= moves; i++) {
      const before = drawn();
      const start = performance.now();
      // Up and down by 6 px, so that every move is another hump.
      points('pointermove', y - 6 * (1 + (i % 8)), svg);
      let frames = 0;
      for (; drawn() === before && performance.now() - start < 2000; frames++)
        await new Promise((done) => requestAnimationFrame(done));
      if (frames <= 1) next++;
      times.push(performance.now() - start);
    }
    points('pointerup', y, svg);
    return { times, next, still: Math.round(Math.max(0, ...still)) };
  }, MOVES);
  console.log(
    `A hump dragged: ${hump.next} of ${MOVES} moves on the very next frame, no task over ${Math.max(50, hump.still)} ms on the page.`,
  );
  const told = [
    ['a butt moved a stud in the reading room, key to picture', times],
    ['the lamp moved before a wall of it, key to coarse picture', lamp],
    ['the hump of a butt dragged in its section, pointer to picture', hump.times, { nextFrame: hump.next }],
  ].map(([what, taken, more]) => {
    taken.sort((a, b) => a - b);
    const at = (share) => taken[Math.min(taken.length - 1, Math.floor(taken.length * share))];
    return { what, times: taken.length, p50: at(0.5), p95: at(0.95), ...more };
  });
  writeFileSync(join(root, 'docs/performance-page.json'), `${JSON.stringify(told, null, 2)}\n`);
  console.log(told);
} finally {
  await browser.close();
  server.kill('SIGTERM');
}
