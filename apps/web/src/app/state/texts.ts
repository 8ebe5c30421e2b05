import { computed, inject, Injectable, signal } from '@angular/core';
import {
  Locale,
  say,
  speech,
  type Message,
  type Notation,
  type Sayable,
  type TextKey,
  type Wording,
} from '@lisse/core';
import { JobStore } from './job.store';

/** The texts that are spoken, and how numbers, dates and the clock are written beside them. */
const spoken = signal<{ locale: Locale; texts: Wording }>({ locale: new Locale('en-US'), texts: {} });

/** Takes the texts of a language; from here on everything is said in it. */
export function useWording(tag: string, texts: Wording): void {
  spoken.set({ locale: new Locale(tag), texts });
}

/** Says what the core and the page have to say, in the language of the page and the units of the open job. */
@Injectable({ providedIn: 'root' })
export class Texts {
  private readonly jobs = inject(JobStore);
  private readonly units = computed(() => this.jobs.job()?.units ?? 'feet');
  readonly locale = computed(() => spoken().locale);
  /** How figures are written: in the units of the job, by the locale of the page. */
  readonly notation = computed<Notation>(() => ({ system: this.units(), locale: this.locale() }));
  /** One speaker from edit to edit: it keeps the texts it has read. */
  private readonly speaker = computed(() => speech(spoken().texts, this.notation()));

  readonly say = (what: Sayable): string => this.speaker()(what);

  /** A text by its key: `t('units.feet')`. */
  readonly t = <K extends TextKey>(...args: Parameters<typeof say<K>>): string => this.say(say<K>(...args));

  /** The same at the start of a sentence or a label. */
  readonly start = (what: Sayable): string => this.say(starting(what));
}

/** Whether keys are called as on a Mac. */
export const MAC = /Mac/.test(navigator.userAgent) ? 'yes' : 'no';

/** A name or a sentence as it stands at the beginning of a line. */
export const starting = (what: Sayable): Message => say('start', { what });
