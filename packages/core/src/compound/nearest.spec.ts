import { COATS, COMPOUNDS } from '../job';
import { COMPOUND } from './classes';
import { doesFor, nearestTo } from './nearest';

it('does for a coat as the classes say', () => {
  expect(doesFor(COMPOUND['drying-topping'], 'tape')).toBe(false);
  expect(doesFor(COMPOUND['drying-light'], 'tape')).toBe(true);
  expect(doesFor(COMPOUND['drying-all-purpose'], 'prefill')).toBe(false);
  expect(doesFor(COMPOUND['setting-hard'], 'finish')).toBe(false);
});

it('names the classes most like one that do for its coats', () => {
  expect(nearestTo('drying-light', ['fill', 'finish'], COMPOUND)[0]).toBe('drying-ultra-light');
  expect(nearestTo('setting-light', ['prefill', 'tape'], COMPOUND)[0]).toBe('setting-hard');
  expect(nearestTo('drying-all-purpose', ['tape'], COMPOUND).slice(0, 2)).toEqual([
    'drying-mid-weight',
    'drying-taping',
  ]);
  for (const of of COMPOUNDS)
    for (const coat of COATS)
      for (const id of nearestTo(of, [coat], COMPOUND)) {
        expect(id).not.toBe(of);
        expect(doesFor(COMPOUND[id], coat)).toBe(true);
      }
});
