import { Injectable } from '@angular/core';

/** Two notes, heard over a mixer: pitch in Hz, and when they begin, s. */
const NOTES = [
  { hz: 880, at: 0 },
  { hz: 660, at: 0.22 },
  { hz: 880, at: 0.44 },
] as const;
const NOTE_S = 0.2;
const SHAKE_MS = [300, 120, 300, 120, 600];

/** Rings, shakes and notifies, as far as the device can and lets a page. */
@Injectable({ providedIn: 'root' })
export class Bell {
  private sound: AudioContext | undefined;

  /** To be called from a press: a browser lets no page make a sound, nor notify, that nobody has touched. */
  async ready(): Promise<void> {
    try {
      this.sound ??= typeof AudioContext === 'undefined' ? undefined : new AudioContext();
      await this.sound?.resume();
      if (typeof Notification !== 'undefined' && Notification.permission === 'default')
        await Notification.requestPermission();
    } catch {
      // It is seen all the same.
    }
  }

  /** Whether it can notify somebody who looks at something else. */
  notifies = (): boolean => typeof Notification !== 'undefined' && Notification.permission === 'granted';

  ring(): void {
    if (typeof navigator.vibrate === 'function') navigator.vibrate(SHAKE_MS);
    const sound = this.sound;
    if (sound?.state !== 'running') return;
    for (const { hz, at } of NOTES) {
      const tone = sound.createOscillator();
      const volume = sound.createGain();
      const begin = sound.currentTime + at;
      tone.type = 'square';
      tone.frequency.value = hz;
      volume.gain.setValueAtTime(0.0001, begin);
      volume.gain.exponentialRampToValueAtTime(0.3, begin + 0.02);
      volume.gain.exponentialRampToValueAtTime(0.0001, begin + NOTE_S);
      tone.connect(volume).connect(sound.destination);
      tone.start(begin);
      tone.stop(begin + NOTE_S);
    }
  }

  /** Puts a notice among those of the device; one with the same tag takes its place. Pressed, it opens an address. */
  async notify(title: string, body: string, tag: string, url: string): Promise<void> {
    if (!this.notifies()) return;
    try {
      const worker = await navigator.serviceWorker?.getRegistration();
      // The worker that keeps the application offline opens it where it is pressed.
      const data = { onActionClick: { default: { operation: 'focusLastFocusedOrOpen', url } } };
      const options = { body, tag, data, requireInteraction: true, icon: 'icons/lisse-192.png' };
      if (worker) await worker.showNotification(title, options);
      else new Notification(title, options);
    } catch {
      // It rings all the same.
    }
  }
}
