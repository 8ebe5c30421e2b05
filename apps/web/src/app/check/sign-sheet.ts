import { inject, Injectable } from '@angular/core';
import { gradeName, say, shortSeal, type Frozen, type Round, type Signature } from '@lisse/core';
import { Format } from '../state/format';
import { starting, Texts } from '../state/texts';
import { decorationName } from '../ui/words';
import type { Sheet } from '../worker/sheet-pdf';

/** A round that was signed, on paper: from what was frozen then, and from nothing else. */
@Injectable({ providedIn: 'root' })
export class SignSheet {
  private readonly texts = inject(Texts);
  private readonly format = inject(Format);

  of(frozen: Frozen, stage: Round['stage'], { by, at, strokes, seal, whole }: Signature): Sheet {
    const t = this.texts;
    const open = frozen.findings.filter(({ state }) => state !== 'closed');
    const closed = frozen.findings.length - open.length;
    return {
      title: t.t('sign.title', { job: frozen.job }),
      lang: this.texts.locale().tag,
      intro: t.t('sign.intro', {
        stage: say(`round.${stage ?? 'handover'}`),
        at: this.format.time(frozen.at),
        light: frozen.light,
        owner: frozen.owner ?? '',
        finisher: frozen.finisher ?? '',
      }),
      parts: [
        { heading: t.t('sign.agreed') },
        {
          columns: [
            t.t('check.column.room'),
            t.t('sign.grade'),
            t.t('sign.decoration'),
            t.t('sign.grazing'),
            t.t('sign.looked'),
          ],
          rows: frozen.rooms.map((room) => [
            room.name,
            t.say(starting(gradeName(room.finish))),
            t.say(decorationName(room.decoration)),
            t.t('sign.degrees', { deg: room.grazingDeg }),
            t.t('check.along', { done: room.looked, all: room.faces }),
          ]),
          right: [3],
        },
        { heading: t.t('sign.open', { open: open.length, closed }) },
        ...(open.length === 0
          ? [{ text: t.t('sign.none-open') }]
          : [
              {
                columns: [
                  t.t('check.column.what'),
                  t.t('check.column.ring'),
                  t.t('check.column.room'),
                  t.t('check.column.state'),
                ],
                rows: open.map((one) => [
                  [t.say(starting(say(`fault.${one.fault}`))), one.note].filter(Boolean).join(': '),
                  one.ring,
                  one.room,
                  t.t(`finding.${one.state}`),
                ]),
                right: [1],
              },
            ]),
        ...(frozen.edges.length === 0
          ? []
          : [
              { heading: t.t('check.edge') },
              {
                columns: [
                  t.t('check.column.room'),
                  t.t('check.edge-length'),
                  t.t('check.edge-gap'),
                  t.t('sign.limit'),
                ],
                rows: frozen.edges.map((one) => [
                  one.room,
                  this.format.length(one.edgeMm),
                  this.format.small(one.gapMm),
                  one.limitMm === undefined ? '–' : this.format.small(one.limitMm),
                ]),
                right: [1, 2, 3],
              },
            ]),
        { text: t.t('sign.promise') },
        ...(whole === false ? [{ text: t.t('seal.changed') }] : []),
        { strokes: strokes ?? [], who: t.t('sign.by', { by, at: this.format.time(at) }) },
        ...(seal === undefined ? [] : [{ text: t.t('seal.short', { seal: shortSeal(seal) }) }]),
      ],
    };
  }
}
