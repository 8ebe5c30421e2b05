import type { Book } from '../book';
import { isCritical, judgeFinish, needsOf, primerOf } from '../finish';
import type { Finish, Job, FinishSpec, Room } from '../job';
import type { Say } from '../speech';
import { say, type Message, type Sayable } from '../texts';
import type { Locale } from '../units';
import { isTexture, textureSvg, type Texture } from './texture';

/** A finish agreement, ready to be set on a page or on paper: only words, in the order they are read. */
export interface AgreementPaper {
  /** The language it is written in, as `Intl` names it. */
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

type Planned = readonly {
  id: string;
  areas: readonly (FinishSpec & { name: Sayable; boardAreaM2: number })[];
}[];

/** A grade as the texts name it. */
const gradeKey = (finish: Finish) =>
  finish.scale === 'level' ? (`level-${finish.grade}` as const) : (`q-${finish.grade}` as const);

/** What a grade is called where it is agreed: `Level 4: two coats over the tape`. */
export const agreedGrade = (finish: Finish): Message => say(`agreement.grade.${gradeKey(finish)}`);

/** What a grade includes, in a sentence or two. */
export const agreedWork = (finish: Finish, { units }: Pick<Job, 'units'>): Message => {
  const grade = gradeKey(finish);
  if (grade !== 'q-4') return say(`agreement.includes.${grade}`);
  const [thin, thick] = units === 'feet' ? [25.4 / 16, 25.4 / 8] : [1, 3];
  return say('agreement.includes.q-4', { thin, thick });
};

/**
 * What is to be signed: each room with what its grade includes, for which decoration and light it holds, and
 * what it does not promise.
 * @param rooms of the plan
 * @param ready for primer, as planned; left out while that is not known
 * @param tell speaks the language that is signed, in the units of the job
 * @param locale of that language
 * @param book in hand, for how cold a room may be
 */
export function agreementFor(
  job: Job,
  rooms: Planned,
  ready: string | undefined,
  tell: Say,
  locale: Locale,
  book: Pick<Book, 'coldC'>,
): AgreementPaper {
  const own = job.agreement ?? {};
  const named = (value: string | undefined): string => value?.trim() || tell(say('agreement.not-named'));
  const line = (label: Message, value: string) => ({ label: tell(label), value });
  const areasOf = (room: Room) =>
    (rooms.find((r) => r.id === room.id)?.areas ?? []).filter(
      (area, _, all) => all.length === 1 || area.boardAreaM2 > 0,
    );
  const textures = new Set(
    rooms.flatMap(({ areas }) => areas.map((area) => area.decoration)).filter(isTexture),
  );
  const note = own.note?.trim();
  return {
    lang: locale.tag,
    title: tell(say('agreement.finish-agreement')),
    intro: tell(say('agreement.intro')),
    parties: [
      line(say('agreement.party.job'), job.name),
      line(say('agreement.place'), named(job.place)),
      line(say('agreement.owner'), named(own.owner)),
      line(say('agreement.finisher'), named(own.finisher)),
      line(say('agreement.party.start'), locale.date(job.calendar.startDate)),
      line(
        say('agreement.party.ready'),
        ready === undefined ? tell(say('agreement.not-scheduled')) : locale.date(ready),
      ),
    ],
    rooms: job.rooms.map((room) => ({
      name: room.name,
      parts: areasOf(room).map((area, _, all) => ({
        name: all.length > 1 ? tell(area.name) : '',
        grade: tell(agreedGrade(area.finish)),
        lines: linesOf(area, job).map(([label, ...texts]) => ({
          label: tell(label),
          text: texts.map(tell).join(' '),
        })),
        notes: notesOf(room, area).map(tell),
      })),
    })),
    samples: [...textures].map((texture) => ({
      texture,
      name: tell(say(`agreement.decoration.${texture}`)),
      words: tell(say(`agreement.texture.${texture}`)),
      svg: textureSvg(texture),
    })),
    sections: [
      { title: tell(say('agreement.excluded')), items: excluded(book).map(tell) },
      { title: tell(say('agreement.inspection')), items: inspection(job).map(tell) },
      ...(note ? [{ title: tell(say('agreement.added')), items: note.split(/\n+/) }] : []),
    ],
    signTitle: tell(say('agreement.signed')),
    signatures: [say('agreement.owner'), say('agreement.finisher')].map((who) => ({
      who: tell(who),
      date: tell(say('agreement.sign.date')),
    })),
    samplesTitle: tell(say('agreement.samples')),
    samplesNote: tell(say('agreement.samples.note')),
    foot: tell(say('agreement.foot')),
  };
}

const excluded = ({ coldC }: Pick<Book, 'coldC'>): readonly Message[] => [
  say('agreement.excluded.framing'),
  say('agreement.excluded.movement', { cold: coldC.value }),
  say('agreement.excluded.damage'),
  say('agreement.excluded.paint'),
  say('agreement.excluded.light'),
];

/** From how far a surface is judged, round in the units of the job. */
const inspection = ({ units }: Job): readonly Message[] => [
  say('agreement.inspection.light', { away: units === 'feet' ? 5 * 304.8 : 1500 }),
  say('agreement.inspection.when'),
  say('agreement.inspection.rooms'),
  say('agreement.inspection.marks'),
];

/** What is agreed for one area: a label and the sentences after it. */
const linesOf = (look: FinishSpec, job: Job): readonly (readonly [Message, ...Message[]])[] => [
  [
    say('agreement.column.includes'),
    agreedWork(look.finish, job),
    ...(needsOf(look.finish).tape ? [say(`agreement.tape.${job.way.tape}`)] : []),
  ],
  [say('agreement.column.decoration'), say(`agreement.decoration.${look.decoration}`)],
  [say('agreement.column.primer'), say(`agreement.primer.${primerOf(look)}`)],
  [say('agreement.column.light'), lightOf(look, job)],
  [say('agreement.column.not-promised'), say(`agreement.not-promised.${gradeKey(look.finish)}`)],
];

function notesOf(room: Room, { finish, decoration, light }: FinishSpec): readonly Message[] {
  const verdict = judgeFinish(finish, decoration, light);
  return [
    ...(verdict.holds ? [] : [say('agreement.below', { grade: agreedGrade(verdict.smallest) })]),
    ...(finish.scale === 'level' && finish.grade === 0 ? [say('agreement.note.bare')] : []),
    ...(decoration === 'none' ? [say('agreement.note.concealed')] : []),
    ...(room.rated || Object.values(room.faces ?? {}).some((face) => face.rated)
      ? [say('agreement.note.rated')]
      : []),
    ...(room.damp ? [say('agreement.note.damp')] : []),
    ...(room.garage ? [say('agreement.note.garage')] : []),
    ...(room.oldWork && !room.oldClear ? [say('agreement.note.old-work')] : []),
  ];
}

function lightOf({ light }: FinishSpec, job: Job): Message {
  const critical = isCritical(light) ? 'yes' : 'no';
  if (light.grazingDeg === undefined) return say('agreement.light', { critical });
  const opening = job.rooms.flatMap((room) => room.openings).find((o) => o.id === light.from);
  const lamp = job.rooms.some((room) => room.lamps?.some((l) => l.id === light.from));
  return say('agreement.light.at', {
    critical,
    angle: light.grazingDeg,
    from: opening?.kind ?? (lamp ? 'lamp' : 'no'),
  });
}
