import { serveStatic } from '@hono/node-server/serve-static';
import { Hono } from 'hono';
import { compress } from 'hono/compress';
import { meter } from './meter';
import { randomBytes } from 'node:crypto';
import { readFile } from 'node:fs/promises';
import { join } from 'node:path';

/** A name with a content hash never changes what it holds. */
const HASHED = /[.-][A-Z0-9]{8}\.(?:js|css|woff2)$/;
const FILE = /\.[A-Za-z0-9]+$/;
const NONCE_MARK = '__NONCE__';

/**
 * Everything comes from here and nothing runs but what was built: no inline script, and style elements
 * only with this page's nonce.
 */
export function contentPolicy(nonce: string): string {
  return [
    "default-src 'none'",
    "script-src 'self'",
    `style-src-elem 'self' 'nonce-${nonce}'`,
    "style-src-attr 'none'",
    "img-src 'self' data: blob:",
    "font-src 'self'",
    "connect-src 'self'",
    "worker-src 'self'",
    "manifest-src 'self'",
    "base-uri 'self'",
    "form-action 'none'",
    "frame-ancestors 'none'",
    "object-src 'none'",
  ].join('; ');
}

const SECURITY: Record<string, string> = {
  'X-Content-Type-Options': 'nosniff',
  'X-Frame-Options': 'DENY',
  'Referrer-Policy': 'no-referrer',
  'Cross-Origin-Opener-Policy': 'same-origin',
  'Cross-Origin-Resource-Policy': 'same-origin',
  'Permissions-Policy': 'camera=(), microphone=(), geolocation=(), payment=()',
};

/**
 * Serves the built application and the simulated devices.
 * @param folder where the build lies
 * @param shotMs time between two shots of the simulated meter
 */
export function makeApp(folder: string, shotMs = 700): Hono {
  const app = new Hono();
  app.use(compress());
  app.use(async (c, next) => {
    await next();
    for (const [name, value] of Object.entries(SECURITY)) c.header(name, value);
    if (!c.res.headers.has('Content-Security-Policy'))
      c.header('Content-Security-Policy', contentPolicy('none'));
  });

  app.get('/api/health', (c) => c.json({ ok: true }));
  app.route('/api/meter', meter(shotMs));
  app.all('/api/*', (c) => c.json({ error: 'There is nothing at this address.' }, 404));

  const page = async (): Promise<{ body: string; nonce: string }> => {
    const nonce = randomBytes(16).toString('base64');
    return { body: (await readFile(join(folder, 'index.html'), 'utf8')).replace(NONCE_MARK, nonce), nonce };
  };

  app.get('*', async (c, next) => {
    const path = c.req.path;
    if (path !== '/index.html' && FILE.test(path)) {
      c.header('Cache-Control', HASHED.test(path) ? 'public, max-age=31536000, immutable' : 'no-cache');
      return next();
    }
    const { body, nonce } = await page();
    c.header('Content-Security-Policy', contentPolicy(nonce));
    c.header('Cache-Control', 'no-cache');
    return c.html(body);
  });
  app.get('*', serveStatic({ root: folder }));
  app.notFound((c) => {
    c.header('Cache-Control', 'no-store');
    return c.text('There is no such file.', 404);
  });
  app.onError((error, c) => c.text(`The page could not be served: ${error.message}`, 500));
  return app;
}
