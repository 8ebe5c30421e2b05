import { given, input, type Book, type Why } from '../book';
import { sealOfAgreed, type Agreed, type BidKind, type Finish, type Job } from '../job';
import { addShared, sharedByRoom, type OrderItem, type RoomShare } from '../goods';
import { gradeName } from '../finish';
import { say, type Sayable } from '../texts';
import { moneyDigits, shared } from './money';
import { platformHireOf, type HighRooms } from './platform-hire';
import type { HighWork } from '../survey';

/** One line of a bid, in whole smallest coins of its money. */
export interface BidLine {
  kind: BidKind;
  amount: number;
  why: Why;
}

/** What a job is offered for. Amounts in money, with as many digits as it has; the lines add up to the total. */
export interface Bid {
  /** Digits behind the point. */
  digits: number;
  lines: BidLine[];
  /** What the materials are made of, each ware rounded. */
  wares: { name: Sayable; amount: number }[];
  net: number;
  total: number;
  /** The total by rooms; they add up to it. */
  rooms: { room: string; amount: number; labourMin: number }[];
  /** The total by grades; they add up to it. */
  grades: { name: Sayable; amount: number; areaM2: number }[];
}

/** Rooms as far as a bid goes by them. */
interface RoomBid extends RoomShare {
  id: string;
  areas: readonly { finish: Finish; boardAreaM2: number }[];
  steps: readonly { labourMin: number }[];
  high?: HighWork;
}

export interface BidContext {
  job: Pick<Job, 'shop' | 'bidding'>;
  /** The goods as if none were on hand. */
  items: readonly OrderItem[];
  rooms: readonly RoomBid[];
  days: {
    labourMin: number;
    trips: number;
    tasks: HighRooms['tasks'];
    power?: { cost: number };
  };
  book: Book;
}

const total = (list: readonly number[]): number => list.reduce((a, b) => a + b, 0);

/** Materials, labour, trips, the smallest charge, equipment, overhead, margin, rounding and tax, added up in whole coins. */
export function bidOf({ job, items, rooms, days, book }: BidContext): Bid {
  const digits = moneyDigits(job.shop?.money);
  const coin = 10 ** digits;
  const coins = (money: number): number => Math.round(money * coin);
  const wares = items.map(({ name, cost }) => ({ name, amount: coins(cost) }));
  const materials = total(wares.map(({ amount }) => amount));
  const hours = days.labourMin / 60;
  const labour = coins(hours * book.priceHour.value);
  const trip = (book.tripMin.value / 60) * book.priceHour.value + book.tripPrice.value;
  const trips = coins(days.trips * trip);
  // For less nobody starts the van.
  const smallest =
    hours > 0 ? Math.max(0, coins(book.smallestH.value * book.priceHour.value) - labour - trips) : 0;
  const power = coins(days.power?.cost ?? 0);
  const hire = platformHireOf({ rooms, tasks: days.tasks }, book);
  const platform = coins(hire?.cost ?? 0);
  const hired = (job.bidding?.equipment ?? []).map(({ name, price }) => ({ name, amount: coins(price) }));
  const equipment = power + platform + total(hired.map(({ amount }) => amount));
  const cost = materials + labour + trips + smallest + equipment;
  const overhead = Math.round(cost * book.bidOverhead.value);
  const margin = Math.round((cost + overhead) * book.bidMargin.value);
  const sum = cost + overhead + margin;
  const step = coins(book.bidRound.value);
  const rounding = step > 0 ? Math.ceil(sum / step) * step - sum : 0;
  const net = sum + rounding;
  const tax = Math.round(net * book.bidTax.value);
  const money = (amount: number): number => amount / coin;
  const line = (kind: BidKind, amount: number, inputs: Why['inputs']): BidLine => ({
    kind,
    amount: money(amount),
    why: { rule: say(`why.bid.${kind}`), inputs },
  });
  const weights = weightsOf(rooms, { items, days, book });
  const byRoom = shared(net + tax, weights);
  return {
    digits,
    lines: [
      line('materials', materials, [
        ...wares
          .filter(({ amount }) => amount > 0)
          .map(({ name, amount }) => given(say('say', { what: name }), money(amount), 'money')),
      ]),
      line('labour', labour, [given(say('why.bid.hours'), hours, 'h'), input(book.priceHour)]),
      line('trips', trips, [
        given(say('why.bid.trip-count'), days.trips, 'count'),
        input(book.tripMin),
        input(book.priceHour),
        input(book.tripPrice),
      ]),
      ...(smallest > 0
        ? [
            line('smallest', smallest, [
              input(book.smallestH),
              input(book.priceHour),
              given(say('why.bid.work-and-trips'), money(labour + trips), 'money'),
            ]),
          ]
        : []),
      line('equipment', equipment, [
        ...hired.map(({ name, amount }) =>
          given(say('say', { what: name }), money(amount), 'money', 'entered'),
        ),
        ...(hire
          ? [
              given(say(`why.bid.${hire.kind}`), hire.days, 'count'),
              input(hire.perDay),
              input(book.hireWeekDays),
            ]
          : []),
        ...(power > 0 ? [given(say('why.bid.power'), money(power), 'money')] : []),
      ]),
      line('overhead', overhead, [given(say('why.bid.cost'), money(cost), 'money'), input(book.bidOverhead)]),
      line('margin', margin, [
        given(say('why.bid.before'), money(cost + overhead), 'money'),
        input(book.bidMargin),
      ]),
      line('rounding', rounding, [given(say('why.bid.sum'), money(sum), 'money'), input(book.bidRound)]),
      line('tax', tax, [given(say('why.bid.net'), money(net), 'money'), input(book.bidTax)]),
    ],
    wares: wares.map(({ name, amount }) => ({ name, amount: money(amount) })),
    net: money(net),
    total: money(net + tax),
    rooms: rooms.map(({ id, steps }, i) => ({
      room: id,
      amount: money(byRoom[i] as number),
      labourMin: total(steps.map(({ labourMin }) => labourMin)),
    })),
    grades: gradesOf(rooms, weights, net + tax, money),
  };
}

/** What each room takes of all goods and hours, in money: the sum is shared out by it. */
function weightsOf(
  rooms: readonly RoomBid[],
  { items, days, book }: Pick<BidContext, 'items' | 'days' | 'book'>,
): number[] {
  const weights = sharedByRoom(items, rooms, ({ cost }) => cost);
  addShared(weights, rooms, (days.labourMin / 60) * book.priceHour.value, ({ steps }) =>
    total(steps.map(({ labourMin }) => labourMin)),
  );
  return weights;
}

/** The sum by grades: a room's weight goes to its areas by their board. */
function gradesOf(
  rooms: readonly RoomBid[],
  weights: readonly number[],
  sum: number,
  money: (coins: number) => number,
): Bid['grades'] {
  const grades = new Map<string, { finish: Finish; weight: number; areaM2: number }>();
  rooms.forEach(({ areas, boardAreaM2 }, i) => {
    for (const { finish, boardAreaM2: own } of areas) {
      const key = `${finish.scale} ${finish.grade}`;
      const grade = grades.get(key) ?? { finish, weight: 0, areaM2: 0 };
      const share = boardAreaM2 > 0 ? own / boardAreaM2 : 1 / areas.length;
      grade.weight += (weights[i] as number) * share;
      grade.areaM2 += own;
      grades.set(key, grade);
    }
  });
  const list = [...grades.values()].sort((a, b) => a.finish.grade - b.finish.grade);
  const parts = shared(
    sum,
    list.map(({ weight }) => weight),
  );
  return list.map(({ finish, areaM2 }, i) => ({
    name: gradeName(finish),
    amount: money(parts[i] as number),
    areaM2,
  }));
}

/** The bid as it stands, to be kept with the job. */
export function agreedOf(bid: Bid, rooms: readonly { id: string; name: string }[], at: string): Agreed {
  const agreed = {
    at,
    total: bid.total,
    lines: bid.lines.map(({ kind, amount }) => ({ kind, amount })),
    rooms: bid.rooms.map(({ room, amount }) => ({
      room,
      name: rooms.find(({ id }) => id === room)?.name ?? room,
      amount,
    })),
  };
  return { ...agreed, seal: sealOfAgreed(agreed) };
}

/** What changed since a bid was agreed, room by room. */
export interface Extra {
  room: string;
  name: string;
  was: number;
  is: number;
  /** The room was added since, or left out. */
  change: 'added' | 'gone' | 'changed';
}

/** What stands beside an agreed bid: rooms that came to more or less than agreed by at least a coin. */
export function extrasOf(
  agreed: Agreed,
  bid: Bid,
  rooms: readonly { id: string; name: string }[],
): { rooms: Extra[]; total: number } {
  const before = new Map(agreed.rooms.map((room) => [room.room, room]));
  const now = new Map(bid.rooms.map((room) => [room.room, room]));
  const coin = 10 ** -bid.digits;
  const same = ({ was, is }: Extra): boolean => Math.abs(is - was) < coin / 2;
  const standing = rooms.map(({ id, name }): Extra => {
    const was = before.get(id);
    return {
      room: id,
      name,
      was: was?.amount ?? 0,
      is: now.get(id)?.amount ?? 0,
      change: was ? 'changed' : 'added',
    };
  });
  const gone = agreed.rooms
    .filter(({ room }) => !now.has(room))
    .map(({ room, name, amount }): Extra => ({ room, name, was: amount, is: 0, change: 'gone' }));
  return {
    rooms: [...standing, ...gone].filter((extra) => !same(extra)),
    total: Math.round((bid.total - agreed.total) / coin) * coin,
  };
}
