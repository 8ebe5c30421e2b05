import { dries } from '../compound';
import type { Coat, CompoundId, Way } from '../job';

/** Which class each school of compounds uses for each coat. */
const SCHOOL: Record<Way['compounds'], Record<Exclude<Coat, 'prefill'>, CompoundId>> = {
  drying: {
    tape: 'drying-all-purpose',
    fill: 'drying-all-purpose',
    finish: 'drying-light',
    skim: 'drying-light',
  },
  'setting-below': {
    tape: 'setting-light',
    fill: 'drying-mid-weight',
    finish: 'drying-light',
    skim: 'drying-light',
  },
  'setting-same-day': {
    tape: 'setting-light',
    fill: 'setting-light',
    finish: 'drying-light',
    skim: 'drying-light',
  },
  hybrid: { tape: 'hybrid', fill: 'hybrid', finish: 'hybrid', skim: 'drying-mid-weight' },
};

/**
 * The class for a coat: chosen by hand, or the school's; where one compound does all that dries, the lowest of them,
 * which does what the others do and beds tape besides.
 */
export function compoundFor(way: Way, coat: Coat): CompoundId {
  const own = way.compoundFor?.[coat];
  if (own) return own;
  if (coat === 'prefill') return `setting-${way.prefill}`;
  const usual = SCHOOL[way.compounds][coat];
  return way.oneCompound === true && dries(usual) ? lowestDrying(way) : usual;
}

/** The class of the lowest coat that dries, by the school. */
function lowestDrying({ compounds }: Way): CompoundId {
  const { tape, fill, finish, skim } = SCHOOL[compounds];
  return [tape, fill, finish].find(dries) ?? skim;
}

/** The class that a school finishes with and one compound would leave out; none where the two are the same. */
export function finishLeftOut(way: Way): CompoundId | undefined {
  const own = compoundFor({ ...way, oneCompound: false }, 'finish');
  return own === compoundFor({ ...way, oneCompound: true }, 'finish') ? undefined : own;
}
