import { Injectable, InjectionToken, inject } from '@angular/core';
import { SHOTS, type Reading, type Shot } from '@lisse/core';
import { DEVICE_MS, isRecord, isWithin } from './answers';

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

/** No room is longer, mm. */
const MOST_MM = { least: 0, most: 1e6 };

/** A reading in what the meter sent; none in anything else. */
function readingIn(text: string): Reading | undefined {
  try {
    const read: unknown = JSON.parse(text);
    const isOne =
      isRecord(read) &&
      read['simulated'] === true &&
      SHOTS.some((shot) => shot === read['shot']) &&
      isWithin(read['n'], { least: 0, most: 1e6 }) &&
      (read['mm'] === undefined || isWithin(read['mm'], MOST_MM));
    return isOne ? (read as unknown as Reading) : undefined;
  } catch {
    return undefined;
  }
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
    const stop = () => {
      clearTimeout(silent);
      stream.close();
    };
    const lost = () => {
      stop();
      ended(true);
    };
    // Whoever measures may take their time between two shots; the meter itself has to answer.
    const silent = setTimeout(lost, DEVICE_MS);
    stream.addEventListener('open', () => clearTimeout(silent));
    stream.addEventListener('reading', (event) => {
      clearTimeout(silent);
      const read = readingIn((event as MessageEvent<string>).data);
      if (read) reading(read);
      else lost();
    });
    stream.addEventListener('done', () => {
      stop();
      ended(false);
    });
    stream.onerror = lost;
    return stop;
  }
}
