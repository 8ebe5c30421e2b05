// What Lisse takes, in one run: the core, then Chromium at the demo, at generated buildings and at a first visit on a
// slow machine. Tells it; `npm run bench -- write` puts it into docs/performance.md too.
import { spawn, spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { cpus, tmpdir } from 'node:os';
import { join } from 'node:path';
import { at, buildingOf } from './bench-building.mjs';
import { demoRows } from './bench-page.mjs';
import { firstVisit } from './bench-start.mjs';
import { ensureBuild, ensureChromium, ensurePackages, root } from './steps.mjs';

ensurePackages();
await ensureChromium();
await ensureBuild();

const PORT = 4397;
const url = `http://localhost:${PORT}`;
const FILE = join(root, 'docs/performance.md');

/** The rows of the core, made in a process of their own. */
function core() {
  const temporary = mkdtempSync(join(tmpdir(), 'lisse-bench-'));
  const file = join(temporary, 'core.json');
  const tsx = ['node_modules/tsx/dist/cli.mjs', '--tsconfig', 'packages/core/tsconfig.json'];
  try {
    const { status } = spawnSync(process.execPath, [...tsx, 'packages/core/bench/bench.ts', file], {
      cwd: root,
      stdio: 'inherit',
    });
    if (status !== 0) throw new Error('The bench of the core failed.');
    return JSON.parse(readFileSync(file, 'utf8'));
  } finally {
    rmSync(temporary, { recursive: true, force: true });
  }
}

const atMost = (figure, most, unit) => ({ text: `${most} ${unit} or less`, met: figure <= most });

/** A building in Chromium: opened, edited, and walked through. */
async function buildingRows(rooms, { keyMs, openMs }) {
  const { openMs: opened, keys, still } = await buildingOf(url, rooms);
  const stands = Object.entries(still);
  const longest = Math.max(...stands.map(([, ms]) => ms));
  const over = stands
    .filter(([, ms]) => ms > 50)
    .sort(([, a], [, b]) => b - a)
    .map(([what, ms]) => `${what} ${ms}`);
  return [
    {
      what: `${rooms} rooms opened`,
      took: `${(opened / 1000).toFixed(1)} s`,
      ...(openMs ? { aim: atMost(opened, openMs, 'ms') } : {}),
    },
    {
      what: `a butt moved a stud in ${rooms} rooms, key to picture`,
      took: `${at(keys, 0.5).toFixed(0)} ms, 95 % under ${at(keys, 0.95).toFixed(0)} ms`,
      against: `${keys.length} times in Chromium`,
      aim: { text: `95 % under ${keyMs} ms`, met: at(keys, 0.95) < keyMs },
    },
    {
      what: `the longest the page stands still in ${rooms} rooms, of ${stands.length} places and deeds`,
      took: longest === 0 ? 'under 50 ms' : `${longest} ms`,
      against: over.length > 0 ? `over 50: ${over.join(', ')}` : 'none over 50 ms',
      aim: { text: 'no task over 50 ms', met: over.length === 0 },
    },
  ];
}

async function visitRows() {
  const visits = [];
  for (let i = 0; i < 3; i++) visits.push(await firstVisit(url));
  const middle = (of) => at(visits.map(of), 0.5);
  const [painted, figures, usable] = [
    middle((v) => v.paintedMs),
    middle((v) => v.figuresMs),
    middle((v) => v.usableMs),
  ];
  const what = 'a first visit, processor 4 × slower at 10 Mbit/s';
  return [
    { what: `${what}: painted`, took: `${painted.toFixed(0)} ms`, aim: atMost(painted, 1100, 'ms') },
    {
      what: `${what}: first figures`,
      took: `${figures.toFixed(0)} ms`,
      against: `${visits[0].kB.toFixed(0)} kB in ${visits[0].files} files`,
      aim: atMost(figures, 2500, 'ms'),
    },
    { what: `${what}: all of the place`, took: `${usable.toFixed(0)} ms`, aim: atMost(usable, 3000, 'ms') },
  ];
}

const { about, rows } = core();
const server = spawn(process.execPath, ['apps/server/dist/main.mjs'], {
  cwd: root,
  env: { ...process.env, PORT: String(PORT) },
});
try {
  await new Promise((resolve) =>
    server.stdout.on('data', (text) => text.includes('Lisse is at') && resolve()),
  );
  rows.push(...(await demoRows(url)));
  rows.push(...(await buildingRows(5, { keyMs: 16 })));
  rows.push(...(await buildingRows(150, { keyMs: 50, openMs: 1500 })));
  rows.push(...(await buildingRows(400, { keyMs: 50 })));
  rows.push(...(await visitRows()));
} finally {
  server.kill('SIGTERM');
}

const aims = rows.filter(({ aim }) => aim);
const cells = ({ what, took, against = '', aim }) => [
  what,
  took,
  against,
  aim ? aim.text : '',
  aim ? (aim.met ? 'yes' : '**no**') : '',
];
const text = `# Performance

Made by one run of \`npm run bench -- write\`, never in a test. What counts is the ratio within one run; the times are
of one machine (${cpus().length} cores, Node ${process.versions.node}) and differ elsewhere, and on a busy one from hour to hour.
${aims.filter(({ aim }) => aim.met).length} of ${aims.length} aims are met in this run.

${about}

| What | Took | Against | Aim | Met |
| --- | --- | --- | --- | --- |
${rows.map((row) => `| ${cells(row).join(' | ')} |`).join('\n')}
`;
console.log(text);
if (process.argv.includes('write')) {
  const now = readFileSync(FILE, 'utf8');
  // What `npm run torture` came to stands below, and is written by hand.
  const trials = now.indexOf('\n## Hard trials');
  writeFileSync(FILE, trials < 0 ? text : text + now.slice(trials));
  spawnSync(process.execPath, ['node_modules/oxfmt/bin/oxfmt', FILE], { cwd: root, stdio: 'inherit' });
}
