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

/** The class for a coat: chosen by hand, or the school's. */
export function compoundFor(way: Way, coat: Coat): CompoundId {
  const own = way.compoundFor?.[coat];
  if (own) return own;
  return coat === 'prefill' ? `setting-${way.prefill}` : SCHOOL[way.compounds][coat];
}
