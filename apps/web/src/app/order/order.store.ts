import { computed, inject, Injectable } from '@angular/core';
import {
  bidTable,
  cutsTable,
  orderTable,
  tapePieces,
  tapeTable,
  takeoffTable,
  whyBelow,
  type OrderItem,
  type Sayable,
  type Table,
  type Where,
  type Why,
} from '@lisse/core';
import { Format } from '../state/format';
import { JobStore } from '../state/job.store';
import { PlanStore } from '../state/plan.store';
import { Texts } from '../state/texts';
import { ViewStore } from '../state/view.store';
import { jointName } from '../ui/words';

/** What every part of Order speaks of: the goods of the plan, and how rooms and corners are called. */
@Injectable({ providedIn: 'root' })
export class OrderStore {
  private readonly texts = inject(Texts);
  private readonly format = inject(Format);
  private readonly jobs = inject(JobStore);
  private readonly plans = inject(PlanStore);
  private readonly view = inject(ViewStore);

  readonly order = computed(() => this.plans.plan()?.order);
  readonly bid = computed(() => this.plans.plan()?.bid);
  readonly stock = computed(() => this.plans.plan()?.stock ?? []);

  roomName = (room: string): string => this.jobs.job()?.rooms.find(({ id }) => id === room)?.name ?? room;

  cornerName(room: string, joint: string): Sayable {
    const plan = this.plans.plan()?.rooms.find(({ id }) => id === room);
    return plan ? jointName(plan, joint) : joint;
  }

  readonly where: Where = (room, joint) => ({
    room: this.roomName(room),
    corner: this.texts.say(this.cornerName(room, joint)),
  });

  /** `3 × 4.5 gal pail, 1 × 3.4 gal box`. */
  packs = ({ packages }: Pick<OrderItem, 'packages'>): string =>
    packages.map(({ count, name }) => `${count} × ${this.texts.say(name)}`).join(', ');

  amount = (amount: number, { unit }: Pick<OrderItem, 'unit'>): string => this.format.goods(amount, unit);

  /** Why so much of a part of a total, down to the joint. */
  below = (key: string): Why | undefined => {
    const [plan, job] = [this.plans.plan(), this.jobs.job()];
    if (!plan || !job) return undefined;
    return whyBelow(key, {
      rooms: plan.rooms,
      way: job.way,
      book: this.view.book(),
      roomName: this.roomName,
      jointName: (room, joint) => this.cornerName(room, joint),
    });
  };

  /** Every length of tape in the order it is hung. */
  readonly tape = computed(() => {
    const plan = this.plans.plan();
    const tape = plan?.order.tape;
    return plan && tape ? tapePieces(plan.rooms, tape.rollMm, this.view.book().wasteTape.value) : undefined;
  });

  /** Every table that goes out. */
  tables(): { order: Table; cuts: Table; tape: Table; takeoff: Table; bid: Table } | undefined {
    const plan = this.plans.plan();
    if (!plan) return undefined;
    const told = this.texts.say;
    const units = this.jobs.job()?.units ?? 'feet';
    return {
      order: orderTable(plan.order, told, units),
      cuts: cutsTable(plan.order, told, this.where, units),
      tape: tapeTable(this.tape()?.pieces ?? [], told, this.where, units),
      takeoff: takeoffTable(plan.rooms, this.roomName, told, units),
      bid: bidTable(plan.bid, this.roomName, told),
    };
  }
}
