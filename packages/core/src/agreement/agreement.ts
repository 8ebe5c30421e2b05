import { isCritical, judgeFinish, needsOf, primerOf } from '../finish';
import type { Finish, Job, Look, Room } from '../job';
import type { Say } from '../speech';
import type { Sayable } from '../texts';
import { Locale, printRun, printSmall, printTemperature, type Notation } from '../units';
import { isTexture, textureSvg, type Texture } from './texture';
import type { AgreementTexts, GradeText } from './texts';

/** A finish agreement, ready to be set on a page or on paper: only words, in the order they are read. */
export interface AgreementPaper {
  lang: string;
  title: string;
  intro: string;
  parties: { label: string; value: string }[];
  rooms: { name: string; parts: AgreedPart[] }[];
  samples: { texture: Texture; name: string; words: string; svg: string }[];
  sections: { title: string; items: string[] }[];
  signTitle: string;
  signatures: { who: string; date: string }[];
  samplesTitle: string;
  samplesNote: string;
  foot: string;
}

export interface AgreedPart {
  /** Where the room differs from face to face; empty for a room alike all over. */
  name: string;
  grade: string;
  lines: { label: string; text: string }[];
  notes: string[];
}

type Planned = readonly { id: string; areas: readonly (Look & { name: Sayable; boardAreaM2: number })[] }[];

const fill = (text: string, words: Record<string, string>): string =>
  text.replace(/\{(\w+)\}/g, (_, key: string) => words[key] ?? '');

export const gradeText = (finish: Finish, texts: AgreementTexts): GradeText =>
  finish.scale === 'level' ? texts.level[finish.grade] : texts.quality[finish.grade];

/** What the texts give in figures, in the units of the job: how warm, from how far, and how thick a full skim is. */
const sizes = (notation: Notation): Record<string, string> => {
  const feet = notation.system === 'feet';
  return {
    cold: printTemperature(10, notation),
    away: printRun(feet ? 5 * 304.8 : 1500, notation),
    thin: printSmall(feet ? 25.4 / 16 : 1, notation),
    thick: printSmall(feet ? 25.4 / 8 : 3, notation),
  };
};

/**
 * What is to be signed: each room with what its grade includes, for which decoration and light it holds, and
 * what it does not promise.
 */
export function agreementFor(
  job: Job,
  rooms: Planned,
  ready: string | undefined,
  texts: AgreementTexts,
  say: Say,
): AgreementPaper {
  const { parties, columns } = texts;
  const own = job.agreement ?? {};
  const named = (value: string | undefined): string => value?.trim() || texts.notNamed;
  const parts = job.rooms.map((room) => ({
    name: room.name,
    parts: (rooms.find((r) => r.id === room.id)?.areas ?? [])
      .filter((area, _, all) => all.length === 1 || area.boardAreaM2 > 0)
      .map((area, _, all) => partOf(room, area, all.length > 1 ? say(area.name) : '', texts)),
  }));
  // Dates and figures as in the language that is signed, which need not be the page's.
  const locale = new Locale(texts.lang);
  const inUnits = (text: string): string => fill(text, sizes({ system: job.units, locale }));
  const textures = new Map<Texture, string>();
  for (const { areas } of rooms)
    for (const { decoration } of areas)
      if (isTexture(decoration)) textures.set(decoration, texts.decoration[decoration]);
  const note = own.note?.trim();
  return {
    lang: texts.lang,
    title: texts.title,
    intro: texts.intro,
    parties: [
      { label: parties.job, value: job.name },
      { label: parties.place, value: named(job.place) },
      { label: parties.owner, value: named(own.owner) },
      { label: parties.finisher, value: named(own.finisher) },
      { label: parties.start, value: locale.date(job.calendar.startDate) },
      ...(ready ? [{ label: parties.ready, value: locale.date(ready) }] : []),
    ],
    rooms: parts.map(({ name, parts: agreed }) => ({
      name,
      parts: agreed.map(({ grade, look, notes, name: part }) => ({
        name: part,
        grade: grade.title,
        lines: [
          {
            label: columns.includes,
            text: inUnits(`${grade.includes} ${taped(look.finish, job, texts)}`.trim()),
          },
          { label: columns.decoration, text: texts.decoration[look.decoration] },
          { label: columns.primer, text: texts.primer[primerOf(look)] },
          { label: columns.light, text: lightText(look, job, texts) },
          { label: columns.notPromised, text: grade.notPromised },
        ],
        notes,
      })),
    })),
    samples: [...textures].map(([texture, name]) => ({
      texture,
      name,
      words: texts.texture[texture] ?? '',
      svg: textureSvg(texture),
    })),
    sections: [
      { title: texts.excludedTitle, items: texts.excluded.map(inUnits) },
      { title: texts.inspectionTitle, items: texts.inspection.map(inUnits) },
      ...(note ? [{ title: texts.addedTitle, items: note.split(/\n+/) }] : []),
    ],
    signTitle: texts.signTitle,
    signatures: [texts.sign.owner, texts.sign.finisher].map((who) => ({ who, date: texts.sign.date })),
    samplesTitle: texts.samplesTitle,
    samplesNote: texts.samplesNote,
    foot: texts.foot,
  };
}

const taped = (finish: Finish, job: Job, texts: AgreementTexts): string =>
  needsOf(finish).tape ? `${texts.tape[job.way.tape].replace(/^./, (c) => c.toUpperCase())}.` : '';

function partOf(room: Room, look: Look, name: string, texts: AgreementTexts) {
  const { notes } = texts;
  const verdict = judgeFinish(look.finish, look.decoration, look.light);
  const told = [
    ...(verdict.holds ? [] : [fill(texts.below, { grade: gradeText(verdict.smallest, texts).title })]),
    ...(look.finish.scale === 'level' && look.finish.grade === 0 ? [notes.bare] : []),
    ...(look.decoration === 'none' ? [notes.concealed] : []),
    ...(room.rated || Object.values(room.faces ?? {}).some((face) => face.rated) ? [notes.rated] : []),
    ...(room.damp ? [notes.damp] : []),
    ...(room.garage ? [notes.garage] : []),
    ...(room.oldWork && !room.oldClear ? [notes.oldWork] : []),
  ];
  return { name, look, grade: gradeText(look.finish, texts), notes: told };
}

function lightText({ light }: Look, job: Job, texts: AgreementTexts): string {
  const critical = isCritical(light);
  const { light: words } = texts;
  if (light.grazingDeg === undefined) return critical ? words.critical : words.ordinary;
  const angle = `${Math.round(light.grazingDeg)}°`;
  const from = job.rooms.flatMap((room) => room.openings).find((o) => o.id === light.from);
  const lamp = job.rooms.some((room) => room.lamps?.some((l) => l.id === light.from));
  const where = from ? fill(words.fromWindow, { name: from.kind }) : lamp ? words.fromLamp : '';
  return fill(critical ? words.criticalAt : words.ordinaryAt, { angle }) + where;
}
