// From a clean clone to the running application with its example job.
import { spawn } from 'node:child_process';
import { ensureBuild, ensurePackages, root } from './steps.mjs';

ensurePackages();
await ensureBuild();
const server = spawn(process.execPath, ['apps/server/dist/main.mjs'], { cwd: root, stdio: 'inherit' });
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal));
server.on('exit', (code) => process.exit(code ?? 0));
