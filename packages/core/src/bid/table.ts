import { to2, type Table } from '../goods';
import type { Say } from '../speech';
import { say } from '../texts';
import type { Bid } from './bid';

/** The bid: its lines, then the same sum by rooms and by grades. */
export function bidTable(bid: Bid, nameOf: (room: string) => string, told: Say): Table {
  const part = (of: string, line: string, amount: number) => ({ of, line, amount: to2(amount) });
  return {
    name: say('table.bid'),
    columns: ['of', 'line', 'amount'],
    rows: [
      ...bid.wares
        .filter(({ amount }) => amount > 0)
        .map(({ name, amount }) => part('materials', told(name), amount)),
      ...bid.lines.map(({ kind, amount }) => part('sum', told(say(`bid.${kind}`)), amount)),
      part('sum', told(say('bid.total')), bid.total),
      ...bid.rooms.map(({ room, amount }) => part('rooms', nameOf(room), amount)),
      ...bid.grades.map(({ name, amount }) => part('grades', told(name), amount)),
    ],
  };
}
