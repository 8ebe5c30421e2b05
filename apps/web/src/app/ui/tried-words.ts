import { say, type Message, type Tried } from '@lisse/core';
import type { Format } from '../state/format';
import type { Texts } from '../state/texts';

/** Less than this is no money worth telling. */
const SMALL_CHANGE = 1;

/** What a cure that was tried does, beside its press: `ready Thu 3 Dec, $45 more; then A-MESH`. */
export function triedWords(
  { cured, helps, ready, cost, brings }: Tried,
  format: Pick<Format, 'time' | 'money'>,
  texts: Pick<Texts, 'say'>,
): string {
  if (!helps) return texts.say(say('tried.no'));
  const [before, after] = ready;
  const still = after === before && Math.abs(cost) < SMALL_CHANGE;
  if (cured && still && brings.length === 0) return '';
  const days =
    after === before
      ? say('tried.same-days')
      : after
        ? say('tried.ready', { at: format.time(after) })
        : undefined;
  const money =
    Math.abs(cost) < SMALL_CHANGE
      ? say('tried.same-money')
      : say(cost > 0 ? 'tried.more' : 'tried.less', { money: format.money(Math.abs(cost)) });
  const then = (severity: 'stop' | 'warn'): Message[] => {
    const codes = brings.filter((one) => one.severity === severity).map(({ code }) => code);
    return codes.length > 0 ? [say(`tried.then-${severity}`, { codes: [...new Set(codes)] })] : [];
  };
  return [
    ...(cured ? [] : [say('tried.not-enough')]),
    days ? say('part.field', { part: days, field: money }) : money,
    ...then('stop'),
    ...then('warn'),
  ]
    .map(texts.say)
    .join('; ');
}
