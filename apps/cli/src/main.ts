import { readFileSync, statSync } from 'node:fs';
import { run } from './run';

process.exitCode = run(process.argv.slice(2), {
  size: (path) => statSync(path, { throwIfNoEntry: false })?.size,
  read: (path) => readFileSync(path),
  nowMs: () => Date.now(),
  out: (text) => console.log(text),
  err: (text) => console.error(text),
});
