// The service worker that keeps the application for use offline, with one thing mended: it waits for its own notes
// to be written before it answers, so with the browser's storage full nothing would open at all, not even to export
// jobs and make room. Its notes, and parts that are kept only once they are used, are written behind the answer,
// one after the other, and where there is no room they are not.
const BEHIND = /:(?:db|paper):/;
const open = CacheStorage.prototype.open;

CacheStorage.prototype.open = async function (name) {
  const cache = await open.call(this, name);
  if (!BEHIND.test(name)) return cache;
  const put = cache.put.bind(cache);
  let last = Promise.resolve();
  cache.put = async (request, response) => {
    last = last.then(() => put(request, response)).catch(() => undefined);
  };
  return cache;
};

importScripts('./ngsw-worker.js');
