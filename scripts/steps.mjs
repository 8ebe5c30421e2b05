// What the commands share: running a step, and seeing to what must be installed.
import { spawn, spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

export const root = join(dirname(fileURLToPath(import.meta.url)), '..');
export const CHROMIUM = '/usr/bin/chromium';
/** The same browser without what draws windows. */
export const SHELL = '/usr/bin/chromium-headless-shell';
/** How Debian's Chromium is started where it may not reach out. */
export const CHROMIUM_ARGS = [
  '--no-sandbox',
  '--disable-gpu',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
];

const seconds = (since) => `${Math.round((Date.now() - since) / 1000)} s`;

/** Runs a command from the root with its output shown, and how long it took; returns its exit code. */
export function step(title, command, args, options = {}) {
  console.log(`\n— ${title}`);
  const since = Date.now();
  const done = spawnSync(command, args, { cwd: root, stdio: 'inherit', ...options });
  console.log(`— ${title}: ${seconds(since)}`);
  return done.status ?? 1;
}

/** Runs a command beside others; its output is shown whole when it has ended, so that theirs does not run into it. */
export function stepBeside(title, command, args, options = {}) {
  const since = Date.now();
  const run = spawn(command, args, { cwd: root, stdio: ['ignore', 'pipe', 'pipe'], ...options });
  const output = [];
  for (const stream of [run.stdout, run.stderr]) stream.on('data', (text) => output.push(text));
  return new Promise((resolve) => {
    const end = (code) => {
      console.log(`\n— ${title}: ${seconds(since)}`);
      process.stdout.write(Buffer.concat(output));
      resolve(code ?? 1);
    };
    run.on('close', end);
    run.on('error', (error) => {
      output.push(Buffer.from(String(error)));
      end(1);
    });
  });
}

export function must(title, command, args, options) {
  const code = step(title, command, args, options);
  if (code !== 0) {
    console.error(`\n${title} failed.`);
    process.exit(code);
  }
  return code;
}

/** Installs the npm packages of the lock file, unless they are there already. */
export function ensurePackages() {
  const mark = join(root, 'node_modules/.package-lock.json');
  const lock = join(root, 'package-lock.json');
  if (existsSync(mark) && statSync(mark).mtimeMs >= statSync(lock).mtimeMs) return;
  must('Installing npm packages', 'npm', ['ci', '--no-audit', '--no-fund']);
}

/** Installs one of Debian's packages, as root or by sudo without a question; `run` is how. What came of it is looked at after. */
async function apt(run, name) {
  const asRoot = process.getuid?.() === 0 ? [] : ['sudo', '-n'];
  const [command, ...before] = [...asRoot, 'env', 'DEBIAN_FRONTEND=noninteractive', 'apt-get'];
  const get = (...args) => run(`apt-get ${args.join(' ')}`, command, [...before, ...args]);
  if ((await get('update', '-qq')) === 0) await get('install', '-y', '-qq', '--no-install-recommends', name);
}

/** Installs Debian's Chromium when there is none; says what to do where that cannot be done. */
export async function ensureChromium(run = step) {
  if (!existsSync(CHROMIUM)) await apt(run, 'chromium');
  if (!existsSync(CHROMIUM)) {
    console.error(
      `\nThe browser tests need Chromium at ${CHROMIUM}, and it could not be installed here.\nInstall Debian's package as root: apt-get install chromium`,
    );
    process.exit(1);
  }
}

/** Installs Debian's Chromium without a window, in which the stories take a quarter less; else the whole one serves. */
export async function ensureShell(run) {
  if (!existsSync(SHELL)) await apt(run, 'chromium-headless-shell');
  if (!existsSync(SHELL)) await ensureChromium(run);
}

const BUILT_FROM = [
  'packages/core/src',
  'apps/web/src',
  'apps/web/public',
  'apps/server/src',
  'apps/web/angular.json',
  'apps/web/ngsw-config.json',
  'package-lock.json',
  'scripts/build-web.mjs',
  'scripts/build-server.mjs',
];

function files(path) {
  if (!statSync(path).isDirectory()) return [path];
  return readdirSync(path)
    .sort()
    .flatMap((name) => files(join(path, name)));
}

/** One hash over everything the build is made from. */
function sourceHash() {
  const hash = createHash('sha256');
  for (const part of BUILT_FROM) {
    for (const file of files(join(root, part))) {
      if (!/\.spec\.ts$/.test(file)) hash.update(file.slice(root.length)).update(readFileSync(file));
    }
  }
  return hash.digest('hex');
}

/** Builds for production, unless what is built was made from just these sources; `run` is how. Returns its exit code. */
export async function build(run) {
  const mark = join(root, 'apps/server/dist/.built-from');
  const now = sourceHash();
  const built =
    existsSync(join(root, 'apps/web/dist/ngsw.json')) &&
    existsSync(mark) &&
    readFileSync(mark, 'utf8') === now;
  if (built) return 0;
  const code = await run('Building', 'npm', ['run', '-s', 'build']);
  if (code === 0) {
    mkdirSync(dirname(mark), { recursive: true });
    writeFileSync(mark, now);
  }
  return code;
}

export const ensureBuild = () => build(must);
