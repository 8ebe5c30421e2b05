import { computed, inject, Injectable } from '@angular/core';
import { say, speech, type Message, type Sayable, type TextKey, type Wording } from '@lisse/core';
import { JobStore } from './job.store';

/** The texts of the language that is spoken; loaded before the page starts. */
let spoken: { language: string; texts: Wording } | undefined;

/** Takes the texts of a language; from here on everything is said in it. */
export function useWording(language: string, texts: Wording): void {
  spoken = { language, texts };
}

/** Says what the core and the page have to say, in the language of the page and the units of the open job. */
@Injectable({ providedIn: 'root' })
export class Texts {
  private readonly jobs = inject(JobStore);
  private readonly units = computed(() => this.jobs.job()?.units ?? 'feet');
  /** One speaker from edit to edit: it keeps the texts it has read. */
  private readonly speaker = computed(() => {
    const { language, texts } = spoken ?? { language: 'en', texts: {} };
    return speech(texts, language, this.units());
  });

  readonly say = (what: Sayable): string => this.speaker()(what);

  /** A text by its key: `t('units.feet')`. */
  readonly t = <K extends TextKey>(...args: Parameters<typeof say<K>>): string => this.say(say<K>(...args));

  /** The same at the start of a sentence or a label. */
  readonly start = (what: Sayable): string => this.say(starting(what));
}

/** A name or a sentence as it stands at the beginning of a line. */
export const starting = (what: Sayable): Message => say('start', { what });
