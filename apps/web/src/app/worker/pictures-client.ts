import { Injectable } from '@angular/core';
import { say } from '@lisse/core';
import type { PicturesApi, SmallPicture } from './api';
import { WorkerLink } from './worker-link';

/** Pictures made small in a worker of their own: the page would stand still for the better part of a second. */
@Injectable({ providedIn: 'root' })
export class PicturesClient extends WorkerLink<PicturesApi> {
  protected readonly kind = 'pictures';

  /**
   * A picture as a small JPEG.
   * @throws where the file is no picture, or this browser draws on the page only
   */
  small(file: Blob, how: SmallPicture): Promise<Uint8Array<ArrayBuffer>> {
    return this.ask((api) => api.small(file, how), { ms: 20000, late: () => say('picture.late') });
  }
}
