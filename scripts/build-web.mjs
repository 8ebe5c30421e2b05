// Builds the application, then takes the page itself out of the service worker's list of hashes: the
// server writes a fresh nonce into it for every request, so its bytes are never the same twice. The
// worker still keeps it for use offline, as a page without a hash. Last, every file that gets smaller by it is
// compressed once and for all, beside itself.
import { spawnSync } from 'node:child_process';
import { readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { brotliCompressSync, constants, gzipSync } from 'node:zlib';

const root = join(dirname(fileURLToPath(import.meta.url)), '..');
const web = join(root, 'apps/web');
const build = spawnSync(
  process.execPath,
  [join(root, 'node_modules/@angular-devkit/architect/bin/cli.js'), 'web:build'],
  {
    cwd: web,
    stdio: 'inherit',
    env: { ...process.env, NG_BUILD_OPTIMIZE_CHUNKS: '1' },
  },
);
if (build.status !== 0) process.exit(build.status ?? 1);

const dist = join(web, 'dist');
const names = readdirSync(dist);
const read = (name) => readFileSync(join(dist, name), 'utf8');
const found = (what, holds) => {
  const name = names.find(holds);
  if (name === undefined) throw new Error(`The build has no ${what}.`);
  return name;
};
/** Workers are told apart by what is in them. */
const worker = (...words) =>
  found(`worker with ${words.join(', ')}`, (name) => {
    if (!/^worker-.*\.js$/.test(name)) return false;
    const text = read(name);
    return words.every((word) => text.includes(word));
  });

const manifest = JSON.parse(read('ngsw.json'));
if (!manifest.hashTable['/index.html'])
  throw new Error('The page is not where the service worker expects it.');
delete manifest.hashTable['/index.html'];
// What makes PDFs is as large as all the rest together: it is kept once it was wanted.
const paper = `/${worker('pdfmake')}`;
const [application] = manifest.assetGroups;
application.urls = application.urls.filter((url) => url !== paper);
manifest.assetGroups.unshift({
  ...application,
  name: 'paper',
  installMode: 'lazy',
  updateMode: 'lazy',
  urls: [paper],
});
writeFileSync(join(dist, 'ngsw.json'), JSON.stringify(manifest, null, 2));

// The first place is fetched together with the frame, not after it: every file it needs stands in the page.
// The worker that plans and holds jobs against their format is the only one that does both.
const planner = worker('lisse-plan/1', 'forbidUnknownValues');
const needed = new Set();
const need = (name) => {
  if (needed.has(name)) return;
  needed.add(name);
  for (const [, inner] of read(name).matchAll(/(?:from|import)\s*["']\.\/([\w-]+\.js)["']/g)) need(inner);
};
need(found('main script', (name) => /^main-.*\.js$/.test(name)));
need(found('first place', (name) => /^rooms-page-.*\.js$/.test(name)));
need(found('catalogue', (name) => /^en-(?!GB-).*\.js$/.test(name)));
need(planner);
const links = [...needed].map((name) => `<link rel="modulepreload" href="${name}">`);
const page = read('index.html').replaceAll(/<link rel="modulepreload"[^>]*>/g, '');
writeFileSync(join(dist, 'index.html'), page.replace('</head>', `${links.join('')}</head>`));

const PACKED = /\.(?:js|css|json|svg|webmanifest|txt|wasm)$/;
const LEAST_BYTES = 1024;
for (const entry of readdirSync(dist, { recursive: true, withFileTypes: true })) {
  if (!entry.isFile() || !PACKED.test(entry.name)) continue;
  const path = join(entry.parentPath, entry.name);
  const bytes = readFileSync(path);
  if (bytes.length < LEAST_BYTES) continue;
  // What the first place waits for as small as it goes; the last tenth of all the rest would take ten times as long.
  const quality = needed.has(entry.name) ? 11 : 9;
  writeFileSync(
    `${path}.br`,
    brotliCompressSync(bytes, { params: { [constants.BROTLI_PARAM_QUALITY]: quality } }),
  );
  writeFileSync(`${path}.gz`, gzipSync(bytes, { level: 9 }));
}
