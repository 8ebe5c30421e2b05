// The application with live reload, for working on it.
import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { ensurePackages, root } from './steps.mjs';

ensurePackages();
const serve = spawn(
  process.execPath,
  [join(root, 'node_modules/@angular-devkit/architect/bin/cli.js'), 'web:serve', ...process.argv.slice(2)],
  {
    cwd: join(root, 'apps/web'),
    stdio: 'inherit',
  },
);
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => serve.kill(signal));
serve.on('exit', (code) => process.exit(code ?? 0));
