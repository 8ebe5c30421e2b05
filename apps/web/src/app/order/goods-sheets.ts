import { inject, Injectable } from '@angular/core';
import {
  agreedGrade,
  agreedWork,
  BID_KINDS,
  CONSISTENCIES,
  daysAfter,
  PRIMERS,
  say,
  USUAL_VALID_DAYS,
  WATER_L,
  type BeadStick,
  type Finish,
  type Plan,
  type Sayable,
} from '@lisse/core';
import { Format } from '../state/format';
import { JobStore } from '../state/job.store';
import { Texts } from '../state/texts';
import { ViewStore } from '../state/view.store';
import type { Sheet, SheetPart } from '../worker/sheet-pdf';
import { OrderStore } from './order.store';

/** The papers of Order as they will lie on the counter, the bench, the mixing table and the owner's desk. */
@Injectable({ providedIn: 'root' })
export class GoodsSheets {
  private readonly texts = inject(Texts);
  private readonly format = inject(Format);
  private readonly jobs = inject(JobStore);
  private readonly store = inject(OrderStore);
  private readonly view = inject(ViewStore);

  private sheet(title: string, parts: SheetPart[], more = ''): Sheet {
    const { name, place } = this.jobs.job() ?? { name: '', place: undefined };
    const of = place === undefined ? name : this.texts.t('sheet.job', { job: name, place });
    return { title, lang: this.texts.locale().tag, intro: more ? `${of}. ${more}` : of, parts };
  }

  /** What is bought, a package a line. */
  order({ order }: Pick<Plan, 'order'>): Sheet {
    const t = this.texts.t;
    return this.sheet(
      t('sheet.order'),
      [
        {
          columns: [t('sheet.ware'), t('sheet.count'), t('sheet.package'), t('sheet.each'), t('sheet.sum')],
          right: [1, 3, 4],
          rows: order.items.flatMap(({ name, packages }) =>
            packages.map((one, i) => [
              i === 0 ? this.texts.say(name) : '',
              String(one.count),
              this.texts.say(one.name),
              this.format.sum(one.price, 2),
              this.format.sum(one.price * one.count, 2),
            ]),
          ),
        },
        {
          text: t('sheet.order.total', {
            cost: this.format.sum(order.cost, 2),
            mass: this.format.mass(order.massKg),
          }),
        },
      ],
      t('sheet.order.why'),
    );
  }

  /** Every stick to scale, then every piece with its corner. */
  cuts({ order }: Pick<Plan, 'order'>): Sheet {
    const t = this.texts.t;
    const label = ({ stockMm, onHand }: BeadStick): string =>
      onHand ? t('sheet.stick-here', { length: this.format.length(stockMm) }) : this.format.length(stockMm);
    return this.sheet(
      t('sheet.cuts'),
      order.beads.flatMap(({ kind, cuts }): SheetPart[] => [
        { heading: this.texts.say(say(`bead-line.${kind}`)) },
        {
          sticks: cuts.map((stick) => ({
            label: label(stick),
            mm: stick.stockMm,
            pieces: stick.pieces.map(({ n, mm }) => ({ n: String(n), mm })),
          })),
        },
        {
          columns: [t('cut.corner'), t('cut.n'), t('cut.length')],
          right: [1, 2],
          rows: cuts
            .flatMap((stick) => stick.pieces)
            .sort((a, b) => a.n - b.n)
            .map(({ n, mm, room, joint }) => [
              t('cut.where', { room: this.store.roomName(room), joint: this.store.cornerName(room, joint) }),
              String(n),
              this.format.small(mm),
            ]),
        },
      ]),
      t('sheet.cuts.why'),
    );
  }

  /** A card for every mud that is mixed: what it is for, how much at once, with how much water. */
  mixes({ days, rooms }: Pick<Plan, 'days' | 'rooms'>): Sheet {
    const t = this.texts.t;
    const cards = new Map<
      string,
      { litres: number; powder: number; water: number; rooms: Set<string>; n: number }
    >();
    for (const task of days.tasks)
      for (const { compound, setMin, litres, powderKg, waterL } of task.batches) {
        const name = t('sheet.mix', {
          compound: say(`compound.${compound}`),
          minutes: setMin,
          step: say(`step.${task.step}`),
        });
        const card = cards.get(name) ?? { litres: 0, powder: 0, water: 0, rooms: new Set<string>(), n: 0 };
        card.litres = Math.max(card.litres, litres);
        card.powder = Math.max(card.powder, powderKg);
        card.water = Math.max(card.water, waterL);
        card.rooms.add(this.store.roomName(task.room));
        card.n++;
        cards.set(name, card);
      }
    const thinned = new Map<string, { compound: string; level: string; coats: Set<string> }>();
    for (const { areas } of rooms)
      for (const row of areas.flatMap((area) => area.rows))
        for (const cell of row.cells) {
          const compound = this.texts.say(say(`compound.${cell.compound}`));
          const key = `${compound} ${cell.consistency}`;
          const known = thinned.get(key) ?? { compound, level: cell.consistency, coats: new Set<string>() };
          known.coats.add(
            t('sheet.thin-coat', { row: say(`element.${row.element}`), coat: say(`coat.${cell.coat}`) }),
          );
          thinned.set(key, known);
        }
    return this.sheet(t('sheet.mixes'), [
      ...[...cards].flatMap(([name, card]): SheetPart[] => [
        { heading: name },
        {
          text: t('sheet.mix-card', {
            batches: card.n,
            litres: card.litres,
            powder: card.powder,
            water: card.water,
            rooms: [...card.rooms].join(', '),
          }),
        },
      ]),
      ...(cards.size > 0 ? [{ text: t('sheet.mix-rule') }] : []),
      { heading: t('sheet.thin') },
      {
        columns: [t('sheet.for'), t('sheet.compound'), t('sheet.consistency')],
        right: [],
        rows: [...thinned.values()].map(({ compound, level, coats }) => [
          [...coats].join(', '),
          compound,
          level,
        ]),
      },
      {
        text: t('sheet.thin-rule', {
          pail: 17,
          mixes: CONSISTENCIES.map((mix) =>
            WATER_L[mix] > 0
              ? say('sheet.thin-mix', { mix, water: WATER_L[mix] })
              : say('sheet.thin-none', { mix }),
          ),
        }),
      },
    ]);
  }

  /** What the owner signs: what is done at which level, by whom it is primed, the price, how long it holds, and the terms. */
  offer({ bid, order, rooms }: Pick<Plan, 'bid' | 'order' | 'rooms'>, today: string): Sheet {
    const t = this.texts.t;
    const locale = this.texts.locale();
    const job = this.jobs.job();
    const { owner, finisher } = job?.agreement ?? {};
    const named = (name: string | undefined): string => name?.trim() || t('agreement.not-named');
    const money = (amount: number): string => this.format.sum(amount, bid.digits);
    const tax = bid.lines.find(({ kind }) => kind === 'tax')?.amount ?? 0;
    const more = job?.bidding?.terms?.split(/\n+/).filter(Boolean) ?? [];
    const supplied = order.items.some(({ product }) => PRIMERS.some((one) => product === `sundry/${one}`));
    return {
      ...this.sheet(t('offer.title'), []),
      parts: [
        {
          facts: [
            [t('offer.for'), named(owner)],
            [t('offer.from'), named(finisher)],
            [t('offer.date'), locale.date(today)],
            [t('offer.valid'), locale.date(daysAfter(today, job?.bidding?.validDays ?? USUAL_VALID_DAYS))],
          ],
        },
        { heading: t('offer.work') },
        {
          columns: [t('offer.rooms'), t('offer.level')],
          right: [],
          widths: [140, '*'],
          rows: this.worked(rooms).map(({ finish, where }) => [
            this.texts.say(where),
            t('offer.grade', {
              grade: agreedGrade(finish),
              work: agreedWork(finish, { units: this.format.units() }),
            }),
          ]),
        },
        { list: [t('offer.primer', { supplied: supplied ? 'yes' : 'no' }), t('offer.board')] },
        { heading: t('offer.price') },
        {
          columns: [t('sheet.room'), t('sheet.sum')],
          right: [1],
          rows: [
            ...bid.rooms.map(({ room, amount }) => [this.store.roomName(room), money(amount)]),
            [t('offer.total'), money(bid.total)],
            ...(tax > 0 ? [[t('offer.tax'), money(tax)]] : []),
          ],
        },
        { heading: t('offer.terms') },
        {
          list: [
            t('offer.term.extra'),
            t('offer.term.rooms', { cold: this.view.book().coldC.value }),
            t('offer.term.agreement'),
            ...more,
            t('offer.term.law'),
          ],
        },
        {
          signed: t('offer.accepted'),
          signatures: [say('agreement.owner'), say('agreement.finisher')].map((who) => ({
            who: this.texts.say(who),
            date: t('agreement.sign.date'),
          })),
        },
      ],
    };
  }

  /** The grades of a job, the best first, each with its rooms; the surfaces are named where a room has several grades. */
  private worked(rooms: Plan['rooms']): { finish: Finish; where: Sayable[] }[] {
    const made = new Map<string, { finish: Finish; where: Sayable[] }>();
    for (const { id, areas } of rooms) {
      const name = this.store.roomName(id);
      const boarded = areas.filter(({ boardAreaM2 }) => boardAreaM2 > 0);
      const keys = new Set(boarded.map(({ finish }) => agreedGrade(finish).key));
      for (const key of keys) {
        const [first, ...rest] = boarded.filter(({ finish }) => agreedGrade(finish).key === key);
        if (!first) continue;
        const grade = made.get(key) ?? { finish: first.finish, where: [] };
        const areas = [first, ...rest].map((area) => area.name);
        grade.where.push(keys.size === 1 ? name : say('offer.part', { room: name, areas }));
        made.set(key, grade);
      }
    }
    return [...made.values()].sort((a, b) => b.finish.grade - a.finish.grade);
  }

  /** What the bid is made of, added up so that a stranger can check it; not for the owner. */
  bid({ bid }: Pick<Plan, 'bid'>): Sheet {
    const t = this.texts.t;
    const money = (amount: number): string => this.format.sum(amount, bid.digits);
    return this.sheet(
      t('sheet.bid'),
      [
        {
          columns: [t('sheet.line'), t('sheet.sum')],
          right: [1],
          rows: [
            ...BID_KINDS.flatMap((kind) => {
              const line = bid.lines.find((one) => one.kind === kind);
              return line && line.amount !== 0 ? [[t(`bid.${kind}`), money(line.amount)]] : [];
            }),
            [t('bid.total'), money(bid.total)],
          ],
        },
        { heading: t('bid.rooms') },
        {
          columns: [t('sheet.room'), t('sheet.sum')],
          right: [1],
          rows: bid.rooms.map(({ room, amount }) => [this.store.roomName(room), money(amount)]),
        },
        { heading: t('bid.wares') },
        {
          columns: [t('sheet.ware'), t('sheet.sum')],
          right: [1],
          rows: bid.wares
            .filter(({ amount }) => amount > 0)
            .map(({ name, amount }) => [this.texts.say(name), money(amount)]),
        },
      ],
      t('sheet.bid.why'),
    );
  }
}
