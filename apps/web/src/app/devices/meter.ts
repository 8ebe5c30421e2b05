import { Injectable, InjectionToken, inject } from '@angular/core';
import type { Reading, Shot } from '@lisse/core';

/** Opens a stream of events; a token, so that tests can send in its place. */
export const OPEN_STREAM = new InjectionToken<(url: string) => EventSource>('open an event stream', {
  providedIn: 'root',
  factory: () => (url) => new EventSource(url),
});

export interface Listening {
  reading: (reading: Reading) => void;
  /** The stream ended: every shot was sent, or it was lost. */
  ended: (lost: boolean) => void;
}

/** The simulated distance meter of the server. It speaks past the service worker, which cannot pass on a stream. */
@Injectable({ providedIn: 'root' })
export class Meter {
  private readonly open = inject(OPEN_STREAM);

  /**
   * Listens to a made-up room, from a shot on.
   * @returns stops listening
   */
  listen(room: number, from: Shot, { reading, ended }: Listening): () => void {
    const stream = this.open(`api/meter?room=${room}&from=${from}&ngsw-bypass=true`);
    const stop = () => stream.close();
    stream.addEventListener('reading', (event) =>
      reading(JSON.parse((event as MessageEvent<string>).data) as Reading),
    );
    stream.addEventListener('done', () => {
      stop();
      ended(false);
    });
    stream.onerror = () => {
      stop();
      ended(true);
    };
    return stop;
  }
}
