import type { Tried } from '@lisse/core';
import type { Format } from '../state/format';

/** Less than this is no money worth telling. */
const SMALL_CHANGE = 1;

/** What a cure that was tried does, beside its press: `ready Thu 3 Dec, $45 more; then A-MESH`. */
export function triedWords(
  { cured, helps, ready, cost, brings }: Tried,
  format: Pick<Format, 'time' | 'money'>,
): string {
  if (!helps) return 'does not help here';
  const [before, after] = ready;
  const still = after === before && Math.abs(cost) < SMALL_CHANGE;
  if (cured && still && brings.length === 0) return '';
  const days = after === before ? 'same days' : after ? `ready ${format.time(after)}` : '';
  const money =
    Math.abs(cost) < SMALL_CHANGE
      ? 'same money'
      : `${format.money(Math.abs(cost))} ${cost > 0 ? 'more' : 'less'}`;
  const stops = brings.filter(({ severity }) => severity === 'stop').map(({ code }) => code);
  const minds = brings.filter(({ severity }) => severity === 'warn').map(({ code }) => code);
  const then = (codes: string[], word: string): string[] =>
    codes.length > 0 ? [`then ${word} ${[...new Set(codes)].join(', ')}`] : [];
  return [
    ...(cured ? [] : ['helps, is not enough']),
    [days, money].filter((part) => part !== '').join(', '),
    ...then(stops, 'stops at'),
    ...then(minds, 'mind'),
  ].join('; ');
}
