import { createServer } from 'node:net';

const TRIES = 50;

const isFree = (port: number, host: string): Promise<boolean> =>
  new Promise((resolve) => {
    const probe = createServer();
    probe.once('error', () => resolve(false));
    probe.listen(port, host, () => probe.close(() => resolve(true)));
  });

/** The first free port at or after the one wanted; throws when fifty in a row are taken. */
export async function freePort(wanted: number, host: string): Promise<number> {
  for (let port = wanted; port < wanted + TRIES && port <= 65535; port++) {
    if (await isFree(port, host)) return port;
  }
  throw new Error(`No free port from ${wanted} to ${wanted + TRIES - 1}. Set PORT to another.`);
}
