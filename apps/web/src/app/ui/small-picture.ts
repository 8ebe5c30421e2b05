import { inject, Injectable } from '@angular/core';
import { drawnSmall } from '../worker/drawn-small';
import { PicturesClient } from '../worker/pictures-client';

/** A picture drawn so small that its longest side is at most so many px, on a canvas of the page. */
export const smallPicture = (file: Blob, sidePx: number): Promise<HTMLCanvasElement> =>
  drawnSmall(file, sidePx, document.createElement('canvas'));

/** Longest side of a picture taken on site, px: a crack is seen, and fifty of them still travel. */
const SITE_PX = 1600;
const SITE_QUALITY = 0.8;

/** Pictures taken on site as they are kept. */
@Injectable({ providedIn: 'root' })
export class SitePictures {
  private readonly worker = inject(PicturesClient);

  /**
   * A picture made small.
   * @throws where the file is no picture
   */
  async kept(file: Blob): Promise<Uint8Array<ArrayBuffer>> {
    if (typeof OffscreenCanvas !== 'undefined')
      return this.worker.small(file, { sidePx: SITE_PX, quality: SITE_QUALITY });
    const canvas = await smallPicture(file, SITE_PX);
    const made = await new Promise<Blob | null>((resolve) =>
      canvas.toBlob(resolve, 'image/jpeg', SITE_QUALITY),
    );
    if (!made) throw new Error('The picture could not be kept.');
    return new Uint8Array(await made.arrayBuffer());
  }
}
