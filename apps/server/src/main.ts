import { serve } from '@hono/node-server';
import { existsSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { makeApp } from './app';
import { freePort } from './port';

const folder = resolve(process.argv[2] ?? join(import.meta.dirname, '../../web/dist'));
const wanted = Number(process.env['PORT'] ?? 4310);

if (!existsSync(join(folder, 'index.html'))) {
  console.error(`There is no built application in ${folder}. Run: npm run build`);
  process.exit(1);
}
if (!Number.isInteger(wanted) || wanted < 1 || wanted > 65535) {
  console.error(`PORT is “${process.env['PORT'] ?? ''}”; it must be a number from 1 to 65535.`);
  process.exit(1);
}

const port = await freePort(wanted, '127.0.0.1');
if (port !== wanted) console.log(`Port ${wanted} is taken; using ${port}.`);
const server = serve({ fetch: makeApp(folder).fetch, port, hostname: '127.0.0.1' }, () => {
  console.log(`Lisse is at http://localhost:${port}/`);
});

for (const signal of ['SIGINT', 'SIGTERM'] as const) {
  process.once(signal, () => {
    server.close(() => process.exit(0));
    // Browsers hold connections open; they are not worth waiting for.
    if ('closeAllConnections' in server) server.closeAllConnections();
  });
}
