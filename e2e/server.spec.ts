import { spawn } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { createServer, type Server } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, root, test } from './support';

const main = join(root, 'apps/server/dist/main.mjs');

/** Runs the server until it says something that matches, or ends. */
function run(args: string[], env: Record<string, string>, until: RegExp) {
  const server = spawn(process.execPath, [main, ...args], { env: { ...process.env, ...env } });
  let said = '';
  const ended = new Promise<number | null>((resolve) => server.on('exit', resolve));
  const ready = new Promise<void>((resolve) => {
    const hear = (text: Buffer) => {
      said += text.toString();
      if (until.test(said)) resolve();
    };
    server.stdout.on('data', hear);
    server.stderr.on('data', hear);
    server.on('exit', () => resolve());
  });
  return { server, ready, ended, said: () => said };
}

const take = (port: number) =>
  new Promise<Server>((resolve) => {
    const busy = createServer().listen(port, '127.0.0.1', () => resolve(busy));
  });
const portOf = (server: Server) => (server.address() as { port: number }).port;

test('takes the next port when its own is busy, says so, and ends cleanly on Ctrl+C', async ({ request }) => {
  const busy = await take(0);
  const port = portOf(busy);
  const { server, ready, ended, said } = run([], { PORT: String(port) }, /Lisse is at/);
  await ready;
  expect(said()).toMatch(new RegExp(`Port ${port} is taken; using \\d+\\.`));
  const address = /http:\S+/.exec(said())?.[0] ?? '';
  expect((await request.get(address)).status()).toBe(200);
  server.kill('SIGINT');
  expect(await ended).toBe(0);
  busy.close();
});

test('says what to do when there is nothing to serve, or the port is no number', async () => {
  const empty = run([mkdtempSync(join(tmpdir(), 'lisse-empty-'))], {}, /never/);
  expect(await empty.ended).toBe(1);
  expect(empty.said()).toContain('Run: npm run build');
  const wrong = run([], { PORT: 'eighty' }, /never/);
  expect(await wrong.ended).toBe(1);
  expect(wrong.said()).toContain('must be a number from 1 to 65535');
});

test('an error tells nothing of the machine, and the server writes it down', async ({ request }) => {
  const folder = mkdtempSync(join(tmpdir(), 'lisse-broken-'));
  writeFileSync(join(folder, 'index.html'), '');
  const { server, ready, ended, said } = run([folder], { PORT: '4460' }, /Lisse is at/);
  await ready;
  rmSync(join(folder, 'index.html'));
  const answer = await request.get(/http:\S+/.exec(said())?.[0] ?? '');
  expect(answer.status()).toBe(500);
  expect(await answer.text()).not.toMatch(/lisse-broken|ENOENT|\//);
  await expect.poll(said).toContain('ENOENT');
  server.kill('SIGTERM');
  await ended;
});
