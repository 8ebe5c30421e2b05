import { expose, transfer } from 'comlink';
import type { PicturesApi } from './api';

const api: PicturesApi = {
  async small(file, { sidePx, quality }) {
    const picture = await createImageBitmap(file);
    const scale = Math.min(1, sidePx / Math.max(picture.width, picture.height));
    const [width, height] = [picture.width, picture.height].map((px) => Math.max(1, Math.round(px * scale)));
    const canvas = new OffscreenCanvas(width as number, height as number);
    canvas.getContext('2d')?.drawImage(picture, 0, 0, canvas.width, canvas.height);
    picture.close();
    const made = await canvas.convertToBlob({ type: 'image/jpeg', quality });
    const bytes = new Uint8Array(await made.arrayBuffer());
    return transfer(bytes, [bytes.buffer]);
  },
};

expose(api);
