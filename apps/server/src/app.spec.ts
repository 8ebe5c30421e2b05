import { mkdtempSync, mkdirSync, symlinkSync, writeFileSync } from 'node:fs';
import { brotliCompressSync, gzipSync } from 'node:zlib';
import { connect, createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { serve } from '@hono/node-server';
import { makeApp } from './app';
import { freePort } from './port';

const folder = mkdtempSync(join(tmpdir(), 'lisse-'));
mkdirSync(join(folder, 'demo'));
writeFileSync(
  join(folder, 'index.html'),
  '<ls-root ngCspNonce="__NONCE__"></ls-root><style nonce="__NONCE__"></style>',
);
const script = `/* ${'long enough to compress '.repeat(100)} */`;
writeFileSync(join(folder, 'main-ABCD1234.js'), script);
writeFileSync(join(folder, 'main-ABCD1234.js.gz'), gzipSync(script));
writeFileSync(join(folder, 'main-ABCD1234.js.br'), brotliCompressSync(script));
writeFileSync(join(folder, 'demo/job.lisse.json'), '{}');
const SECRET = 'what lies beside the folder';
writeFileSync(join(tmpdir(), 'lisse-secret.txt'), SECRET);

symlinkSync(join(tmpdir(), 'lisse-secret.txt'), join(folder, 'link.txt'));
symlinkSync(tmpdir(), join(folder, 'out'));

const app = makeApp(folder);
const get = (path: string, headers: Record<string, string> = {}) => app.request(path, { headers });

describe('pages', () => {
  it.each(['/', '/jobs', '/job/tarn-ferry/rooms', '/index.html'])(
    '%s is the application with a nonce of its own',
    async (path) => {
      const [first, second] = [await get(path), await get(path)];
      const [body, policy] = [await first.text(), first.headers.get('Content-Security-Policy') ?? ''];
      const nonce = /ngCspNonce="([^"]+)"/.exec(body)?.[1] ?? '';
      expect(nonce).toHaveLength(24);
      expect(body).toContain(`<style nonce="${nonce}">`);
      expect(body).not.toContain('__NONCE__');
      expect(policy).toContain(`style-src-elem 'self' 'nonce-${nonce}'`);
      expect(await second.text()).not.toBe(body);
      expect(first.headers.get('Cache-Control')).toBe('no-cache');
    },
  );

  it('allow no inline script and no other origin', async () => {
    const policy = (await get('/')).headers.get('Content-Security-Policy') ?? '';
    expect(policy).toContain("script-src 'self' 'wasm-unsafe-eval';");
    // Compiled code of our own may run; no script in the page, and none made of text.
    expect(policy).not.toMatch(/'unsafe-/);
    expect(policy).not.toMatch(/https?:|\*/);
  });
});

describe('files', () => {
  it('with a hash are kept for a year, others are asked for again', async () => {
    expect((await get('/main-ABCD1234.js')).headers.get('Cache-Control')).toContain('immutable');
    expect((await get('/demo/job.lisse.json')).headers.get('Cache-Control')).toBe('no-cache');
  });

  it.each([
    ['br, gzip', 'br'],
    ['gzip', 'gzip'],
    ['', null],
  ])('go out as they were compressed when they were built, for who accepts %j', async (accepts, coding) => {
    const answer = await get('/main-ABCD1234.js', accepts ? { 'Accept-Encoding': accepts } : {});
    expect(answer.headers.get('Content-Encoding')).toBe(coding);
    expect(answer.headers.get('Vary')).toContain('Accept-Encoding');
  });

  it('are not sent again to who has them', async () => {
    const tag = (await get('/demo/job.lisse.json')).headers.get('ETag') ?? '';
    expect(tag).toMatch(/^W\/".+"$/);
    const again = await get('/demo/job.lisse.json', { 'If-None-Match': `"other", ${tag}` });
    expect([again.status, await again.text()]).toEqual([304, '']);
    writeFileSync(join(folder, 'demo/job.lisse.json'), '{"changed":true}');
    expect((await get('/demo/job.lisse.json', { 'If-None-Match': tag })).status).toBe(200);
  });

  it.each(['bytes=0-3', 'bytes=99999-', 'bytes=x', 'bytes=0-1,4-5'])(
    'are sent whole when asked for %s',
    async (range) => {
      const answer = await get('/main-ABCD1234.js', { Range: range });
      expect([answer.status, await answer.text()]).toEqual([200, script]);
    },
  );

  it.each([
    '/gone.js',
    '/demo/none.json',
    '/api/none',
    '/api/none.json',
    '/../lisse-secret.txt',
    '/%2e%2e/lisse-secret.txt',
    '/link.txt',
    '/out/lisse-secret.txt',
    '/%zz.js',
    '/demo.dir/../gone.js',
  ])('%s is 404', async (path) => {
    const answer = await get(path);
    expect(answer.status).toBe(404);
    expect(await answer.text()).not.toContain(SECRET);
  });
});

describe('an address as it comes over the wire, which no browser sends', () => {
  let server: ReturnType<typeof serve>;
  let port = 0;
  beforeAll(
    () =>
      new Promise<void>((resolve) => {
        server = serve({ fetch: app.fetch, port: 0, hostname: '127.0.0.1' }, (at) => {
          port = at.port;
          resolve();
        });
      }),
  );
  afterAll(() => new Promise((resolve) => server.close(resolve)));

  /** What is answered to a path just as it is written here; nothing tidies it on its way. */
  const raw = (path: string) =>
    new Promise<string>((resolve, reject) => {
      const socket = connect(port, '127.0.0.1', () =>
        socket.write(`GET ${path} HTTP/1.1\r\nHost: localhost\r\nConnection: close\r\n\r\n`),
      );
      let answer = '';
      socket.on('data', (text) => (answer += text.toString()));
      socket.on('close', () => resolve(answer));
      socket.on('error', reject);
    });

  it('reaches what is in the folder', async () => {
    expect(await raw('/demo/job.lisse.json')).toMatch(/^HTTP\/1.1 200 /);
  });

  it.each([
    '/../lisse-secret.txt',
    '/demo/../../lisse-secret.txt',
    '/..%2flisse-secret.txt',
    '/demo/..%2F..%2Flisse-secret.txt',
    '/%2e%2e%2flisse-secret.txt',
    '/%252e%252e/lisse-secret.txt',
    '/..\\lisse-secret.txt',
    `//${join(tmpdir(), 'lisse-secret.txt')}`,
    `/${join(tmpdir(), 'lisse-secret.txt')}`,
    '/lisse-secret.txt%00.js',
  ])('%s does not lead out of it', async (path) => {
    const answer = await raw(path);
    expect(answer).toMatch(/^HTTP\/1.1 4\d\d /);
    expect(answer).not.toContain(SECRET);
  });
});

it.each(['POST', 'PUT', 'DELETE', 'PATCH'])('%s is answered with what is allowed', async (method) => {
  for (const path of ['/', '/api/health', '/main-ABCD1234.js']) {
    const answer = await app.request(path, { method });
    expect([answer.status, answer.headers.get('Allow')]).toEqual([405, 'GET, HEAD']);
  }
});

it('every answer has the security headers', async () => {
  for (const path of ['/', '/main-ABCD1234.js', '/gone.js', '/api/health', '/api/none']) {
    const { headers } = await get(path);
    expect(headers.get('X-Content-Type-Options')).toBe('nosniff');
    expect(headers.get('X-Frame-Options')).toBe('DENY');
    expect(headers.get('Content-Security-Policy')).toContain("default-src 'none'");
  }
});

it('takes the next port when one is busy', async () => {
  const busy = createServer();
  const port = await new Promise<number>((resolve) =>
    busy.listen(0, '127.0.0.1', () => resolve((busy.address() as { port: number }).port)),
  );
  expect(await freePort(port, '127.0.0.1')).toBeGreaterThan(port);
  await new Promise((resolve) => busy.close(resolve));
  expect(await freePort(port, '127.0.0.1')).toBe(port);
});
