import { tableOf, to2, type Table } from '../exchange';
import type { Say } from '../speech';
import { say, type Message, type Sayable } from '../texts';
import type { Bid } from './bid';

/** The bid: its lines, then the same sum by rooms and by levels. */
export function bidTable(bid: Bid, nameOf: (room: string) => string, told: Say): Table {
  const part = (of: Message, line: Sayable, amount: number) => ({ of, line, amount });
  return tableOf(
    say('table.bid'),
    [
      ...bid.wares
        .filter(({ amount }) => amount > 0)
        .map(({ name, amount }) => part(say('table.bid-materials'), name, amount)),
      ...bid.lines.map(({ kind, amount }) => part(say('table.bid-sum'), say(`bid.${kind}`), amount)),
      part(say('table.bid-sum'), say('bid.total'), bid.total),
      ...bid.rooms.map(({ room, amount }) => part(say('table.bid-rooms'), nameOf(room), amount)),
      ...bid.grades.map(({ name, amount }) => part(say('table.bid-levels'), name, amount)),
    ],
    [
      [say('table.part-of'), ({ of }) => told(of)],
      [say('table.line'), ({ line }) => told(line)],
      [say('table.amount'), ({ amount }) => to2(amount)],
    ],
    told,
  );
}
