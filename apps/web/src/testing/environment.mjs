import { TestEnvironment } from 'jest-environment-jsdom';

/** jsdom with what it leaves out and every browser has. */
export default class BrowserEnvironment extends TestEnvironment {
  async setup() {
    await super.setup();
    for (const name of ['structuredClone', 'TextEncoder', 'TextDecoder', 'Blob', 'File'])
      this.global[name] = globalThis[name];
    Object.defineProperty(this.global.crypto, 'subtle', { value: globalThis.crypto.subtle });
    Object.defineProperty(this.global.crypto, 'randomUUID', { value: () => globalThis.crypto.randomUUID() });
  }
}
