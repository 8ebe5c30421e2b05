import { computed, Injectable, signal } from '@angular/core';
import type { Wording } from '@lisse/core';
import { keepSetting, settingOf } from './settings';
import { useWording } from './texts';

/** What each language says otherwise than the base language, a file of its own. */
const OVERLAYS = {
  'en-US': (): Promise<Wording> => Promise.resolve({}),
  'en-GB': async (): Promise<Wording> => (await import('@lisse/core/texts/en-GB.json')).default,
};
export type Language = keyof typeof OVERLAYS;
export const LANGUAGES = Object.keys(OVERLAYS) as Language[];

const isLanguage = (tag: string | null): tag is Language => LANGUAGES.some((one) => one === tag);

const KEY = 'lisse language';
/** Regions that write, and finish drywall, as in the US. */
const AMERICAN = ['US', 'CA', 'PH', 'PR', 'GU', 'VI', 'AS', 'MP'];

/** The language of ours that is nearest to a locale in English; none for other locales. */
function nearest(tag: string): Language | undefined {
  try {
    const { language, region } = new Intl.Locale(tag);
    if (language !== 'en') return undefined;
    return region === undefined || AMERICAN.includes(region) ? 'en-US' : 'en-GB';
  } catch {
    return undefined;
  }
}

/** The language chosen by hand, else the first English that the browser asks for. */
export function preferred(asked: readonly string[] = navigator.languages): Language {
  const chosen = settingOf(KEY);
  if (isLanguage(chosen)) return chosen;
  return asked.map(nearest).find((language) => language !== undefined) ?? 'en-US';
}

const spoken = signal<Language>('en-US');

/**
 * Loads a language and says everything in it from now on. Numbers and dates are written as the browser's own locale
 * has them where that is of this language: an Irish browser keeps its dates.
 * @throws where its texts cannot be loaded; what was spoken stays
 */
export async function speak(language: Language): Promise<void> {
  const [base, overlay] = await Promise.all([import('@lisse/core/texts/en.json'), OVERLAYS[language]()]);
  const locale = navigator.languages.find((tag) => nearest(tag) === language) ?? language;
  useWording(locale, { ...base.default, ...overlay });
  document.documentElement.lang = locale;
  spoken.set(language);
}

/** The languages to choose from, and the one that is spoken. */
@Injectable({ providedIn: 'root' })
export class Languages {
  readonly spoken = spoken.asReadonly();
  /** Each under its name in the language that is spoken. */
  readonly all = computed(() => {
    const names = new Intl.DisplayNames([spoken()], { type: 'language' });
    return LANGUAGES.map((language) => ({ language, name: names.of(language) ?? language }));
  });

  /** Speaks a language, and keeps it for the next time. */
  async choose(language: Language): Promise<void> {
    await speak(language);
    keepSetting(KEY, language);
  }
}
