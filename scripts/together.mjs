// Specs that stand beside each other run in one file each few of them, so that modules are read and templates compiled
// once for all of them: a third less work. Alone, as while one of them is written, each runs as it is.
import { mkdirSync, readdirSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { basename, join, relative } from 'node:path';
import { root } from './steps.mjs';

/** About as much text of specs goes into one file: enough to share, and few enough that both cores end together. */
const BYTES = 36000;

/** Specs in bundles of neighbours. */
function bundles(specs) {
  const made = [];
  let size = Infinity;
  for (const spec of specs) {
    if (size >= BYTES) {
      made.push([]);
      size = 0;
    }
    made.at(-1).push(spec);
    size += statSync(spec).size;
  }
  return made;
}

/** Writes the bundles of a package where its Jest looks for them; run with `TOGETHER=1`. */
export function writeTogether(folder) {
  const src = join(root, folder, 'src');
  const into = join(root, folder, 'test-results/together');
  rmSync(into, { recursive: true, force: true });
  mkdirSync(into, { recursive: true });
  const specs = readdirSync(src, { recursive: true, encoding: 'utf8' })
    .filter((file) => file.endsWith('.spec.ts'))
    .sort()
    .map((file) => join(src, file));
  bundles(specs).forEach((bundle, i) => {
    const lines = bundle.map(
      (file) => `describe('${relative(src, file)}', () => void require('${relative(into, file)}'));\n`,
    );
    writeFileSync(join(into, `${String(i + 1).padStart(2, '0')}-${basename(bundle[0])}`), lines.join(''));
  });
}
