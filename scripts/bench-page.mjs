// From a key pressed on the drawing of the demo's biggest room to the new picture on the screen, in Chromium.
import { chromium } from '@playwright/test';
import { spawn } from 'node:child_process';
import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { CHROMIUM, ensureBuild, ensureChromium, ensurePackages, root } from './steps.mjs';

ensurePackages();
ensureChromium();
ensureBuild();

const PORT = 4397;
const EDITS = 60;
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
  times.sort((a, b) => a - b);
  const at = (share) => times[Math.min(times.length - 1, Math.floor(times.length * share))];
  const told = {
    what: 'a butt moved a stud in the reading room, key to picture',
    edits: EDITS,
    p50: at(0.5),
    p95: at(0.95),
  };
  writeFileSync(join(root, 'docs/performance-page.json'), `${JSON.stringify(told, null, 2)}\n`);
  console.log(told);
} finally {
  await browser.close();
  server.kill('SIGTERM');
}
