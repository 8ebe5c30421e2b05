// Builds the application, then takes the page itself out of the service worker's list of hashes: the
// server writes a fresh nonce into it for every request, so its bytes are never the same twice. The
// worker still keeps it for use offline, as a page without a hash.
import { spawnSync } from 'node:child_process';
import { readFileSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

const root = join(dirname(fileURLToPath(import.meta.url)), '..');
const web = join(root, 'apps/web');
const build = spawnSync(process.execPath, [join(root, 'node_modules/@angular/cli/bin/ng.js'), 'build'], {
  cwd: web,
  stdio: 'inherit',
  env: { ...process.env, NG_CLI_ANALYTICS: 'false' },
});
if (build.status !== 0) process.exit(build.status ?? 1);

const file = join(web, 'dist/ngsw.json');
const manifest = JSON.parse(readFileSync(file, 'utf8'));
if (!manifest.hashTable['/index.html'])
  throw new Error('The page is not where the service worker expects it.');
delete manifest.hashTable['/index.html'];
writeFileSync(file, JSON.stringify(manifest, null, 2));
