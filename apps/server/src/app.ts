import { serveStatic } from '@hono/node-server/serve-static';
import { Hono } from 'hono';
import { compress } from 'hono/compress';
import { NONCE, secureHeaders, type SecureHeadersVariables } from 'hono/secure-headers';
import { climate } from './climate';
import { instruments } from './instruments';
import { meter } from './meter';
import { supply } from './supply';
import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import { fileIn } from './files';

/** A name with a content hash never changes what it holds. */
const HASHED = /[.-][\w-]{8}\.(?:js|css|woff2|wasm)$/;
const FILE = /\.[A-Za-z0-9]+$/;
const NONCE_MARK = '__NONCE__';
const READING = ['GET', 'HEAD'];

/**
 * Everything comes from here and nothing runs but what was built: no inline script, and style elements only with
 * this page's nonce. The solver that cuts sticks is compiled code; it is ours and comes from here too.
 */
const headers = secureHeaders({
  contentSecurityPolicy: {
    defaultSrc: ["'none'"],
    scriptSrc: ["'self'", "'wasm-unsafe-eval'"],
    styleSrcElem: ["'self'", NONCE],
    styleSrcAttr: ["'none'"],
    imgSrc: ["'self'", 'data:', 'blob:'],
    fontSrc: ["'self'"],
    connectSrc: ["'self'"],
    workerSrc: ["'self'"],
    manifestSrc: ["'self'"],
    baseUri: ["'self'"],
    formAction: ["'none'"],
    frameAncestors: ["'none'"],
    objectSrc: ["'none'"],
  },
  xFrameOptions: 'DENY',
  permissionsPolicy: { camera: [], microphone: [], geolocation: [], payment: [] },
  // This server speaks plain HTTP on the machine it runs on.
  strictTransportSecurity: false,
});

/**
 * Serves the built application and the simulated devices.
 * @param folder where the build lies
 * @param shotMs time between two shots of the simulated meter
 * @param log told of every error; the answer tells none of it
 */
export function makeApp(
  folder: string,
  { shotMs = 700, log = console.error }: { shotMs?: number; log?: (error: unknown) => void } = {},
): Hono<{ Variables: SecureHeadersVariables }> {
  const app = new Hono<{ Variables: SecureHeadersVariables }>();
  app.use(headers);
  app.use((c, next) =>
    READING.includes(c.req.method)
      ? next()
      : Promise.resolve(c.text('Here is only reading.', 405, { Allow: READING.join(', ') })),
  );

  app.get('/api/health', (c) => c.json({ ok: true }));
  app.route('/api/meter', meter(shotMs));
  app.route('/api/climate', climate());
  app.route('/api/instruments', instruments());
  app.route('/api/supply', supply());
  app.all('/api/*', (c) => c.json({ error: 'There is nothing at this address.' }, 404));

  const files = serveStatic({ root: folder, precompressed: true });
  app.get('*', async (c, next) => {
    const path = c.req.path;
    if (path === '/index.html' || !FILE.test(path)) return next();
    const file = await fileIn(folder, path);
    if (!file) return c.notFound();
    c.header('Cache-Control', HASHED.test(path) ? 'public, max-age=31536000, immutable' : 'no-cache');
    c.header('ETag', file.tag);
    c.header('Vary', 'Accept-Encoding');
    if (
      c.req
        .header('If-None-Match')
        ?.split(/\s*,\s*/)
        .includes(file.tag)
    )
      return c.body(null, 304);
    // Parts of files are not served: none is so large, and a part of a compressed one is of no use.
    c.req.raw.headers.delete('Range');
    return files(c, async () => undefined);
  });
  app.get('*', compress(), async (c) => {
    const page = await readFile(join(folder, 'index.html'), 'utf8');
    c.header('Cache-Control', 'no-cache');
    return c.html(page.replaceAll(NONCE_MARK, c.get('secureHeadersNonce') ?? ''));
  });
  app.notFound((c) => {
    c.header('Cache-Control', 'no-store');
    return c.text('There is no such file.', 404);
  });
  app.onError((error, c) => {
    log(error);
    return c.text('The page could not be served. The server has written down why.', 500);
  });
  return app;
}
