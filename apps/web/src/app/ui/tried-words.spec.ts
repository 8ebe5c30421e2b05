import type { Tried } from '@lisse/core';
import { said } from '../../testing/app';
import { triedWords } from './tried-words';

const format = { time: (at: string) => at.slice(0, 10), money: (amount: number) => `€${Math.round(amount)}` };
const told = (over: Partial<Tried>) =>
  triedWords(
    {
      cured: true,
      helps: true,
      ready: ['2026-12-03T16:00', '2026-12-03T16:00'],
      labourMin: 0,
      cost: 0,
      brings: [],
      ...over,
    },
    format,
    { say: said },
  );

it.each<[what: string, over: Partial<Tried>, words: string]>([
  ['nothing, where nothing else changes', {}, ''],
  ['that it does not help, and no more', { helps: false, cost: 80 }, 'would not help here'],
  ['more money on the same days', { cost: 45.4 }, 'same date, costs €45 more'],
  ['less money on the same days', { cost: -12 }, 'same date, costs €12 less'],
  [
    'a day and its money',
    { ready: ['2026-12-03', '2026-12-01'], cost: 9 },
    'ready 2026-12-01, costs €9 more',
  ],
  [
    'a day without a change worth telling',
    { ready: ['2026-12-03', '2026-12-01'], cost: 0.4 },
    'ready 2026-12-01, same cost',
  ],
  ['the money alone, where nothing is ready', { ready: ['2026-12-03', undefined], cost: 5 }, 'costs €5 more'],
  [
    'that it is not enough',
    { cured: false, ready: ['2026-12-03', '2026-12-02'] },
    'helps, but not enough; ready 2026-12-02, same cost',
  ],
  [
    'what it leads to, stops before the rest, each code once',
    {
      brings: [
        { code: 'A-THIN', severity: 'warn' },
        { code: 'A-MESH', severity: 'stop' },
        { code: 'A-MESH', severity: 'stop' },
      ],
    },
    'same date, same cost; then you get A-MESH (stop); then you get A-THIN (warning)',
  ],
])('a cure says beside its press: %s', (_, over, words) => {
  expect(told(over)).toBe(words);
});
