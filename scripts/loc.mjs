// Lines of code and of tests, blank lines left out, and the tests' share.
import { execFileSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { root } from './steps.mjs';

const CODE = /\.(ts|mts|mjs|js|html|css)$/;
const TEST = /(\.spec\.ts$|^e2e\/|\/testing\/)/;
const lines = (file) =>
  readFileSync(`${root}/${file}`, 'utf8')
    .split('\n')
    .filter((line) => line.trim() !== '').length;

const files = execFileSync('git', ['ls-files', '--cached', '--others', '--exclude-standard'], {
  cwd: root,
  encoding: 'utf8',
})
  .split('\n')
  // Written from the catalogue, which is texts.
  .filter((file) => CODE.test(file) && !file.endsWith('texts/takes.ts'));
const parts = new Map();
let code = 0;
let tests = 0;
for (const file of files) {
  const n = lines(file);
  const test = TEST.test(file);
  const part = file.split('/').slice(0, 2).join('/');
  const known = parts.get(part) ?? { code: 0, tests: 0 };
  parts.set(part, { code: known.code + (test ? 0 : n), tests: known.tests + (test ? n : 0) });
  if (test) tests += n;
  else code += n;
}
for (const [part, n] of [...parts].sort())
  console.log(`${part.padEnd(24)} ${String(n.code).padStart(6)} code ${String(n.tests).padStart(6)} tests`);
console.log(
  `${'all'.padEnd(24)} ${String(code).padStart(6)} code ${String(tests).padStart(6)} tests, tests are ${Math.round((100 * tests) / (code + tests))} %`,
);
