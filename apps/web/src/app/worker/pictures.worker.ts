import { expose, transfer } from 'comlink';
import type { PicturesApi } from './api';
import { drawnSmall } from './drawn-small';

const api: PicturesApi = {
  async small(file, { sidePx, quality }) {
    const canvas = await drawnSmall(file, sidePx, new OffscreenCanvas(1, 1));
    const made = await canvas.convertToBlob({ type: 'image/jpeg', quality });
    const bytes = new Uint8Array(await made.arrayBuffer());
    return transfer(bytes, [bytes.buffer]);
  },
};

expose(api);
