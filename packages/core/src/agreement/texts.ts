import type { Decoration, Primer, Tape } from '../job';

/** What one grade includes and does not promise, as it is agreed. */
export interface GradeText {
  title: string;
  includes: string;
  notPromised: string;
}

/** Everything a finish agreement prints; one such object a language. Words in braces are filled in. */
export interface AgreementTexts {
  /** The language it is written in, as a page names it. */
  lang: string;
  title: string;
  intro: string;
  parties: { owner: string; finisher: string; place: string; job: string; start: string; ready: string };
  notNamed: string;
  level: Record<0 | 1 | 2 | 3 | 4 | 5, GradeText>;
  quality: Record<1 | 2 | 3 | 4, GradeText>;
  columns: { includes: string; notPromised: string; decoration: string; light: string; primer: string };
  decoration: Record<Decoration, string>;
  /** Textures in words, for the samples. */
  texture: Partial<Record<Decoration, string>>;
  primer: Record<Primer, string>;
  light: {
    ordinary: string;
    critical: string;
    ordinaryAt: string;
    criticalAt: string;
    fromWindow: string;
    fromLamp: string;
  };
  tape: Record<Tape, string>;
  below: string;
  notes: { rated: string; damp: string; concealed: string; garage: string; oldWork: string; bare: string };
  excludedTitle: string;
  excluded: string[];
  inspectionTitle: string;
  inspection: string[];
  samplesTitle: string;
  samplesNote: string;
  addedTitle: string;
  signTitle: string;
  sign: { owner: string; finisher: string; date: string };
  foot: string;
}
