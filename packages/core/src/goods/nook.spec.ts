import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { plan } from '../plan';
import { demoJob } from '../testing/samples';

const DOC = readFileSync(join(__dirname, '../../../../docs/takeoff-study-nook.md'), 'utf8');
const room = plan(demoJob('tarn-ferry')).rooms.find(({ id }) => id === 'study-nook')!;
const wetL = (elements: readonly string[], coat: string): number =>
  room.use.uses
    .filter((one) => elements.includes(one.element) && one.coat === coat)
    .reduce((sum, one) => sum + one.wetL, 0);

/** Rows of the table: what is there, how much, and three amounts in mL. */
const rows = DOC.split('\n')
  .filter((line) => / mL +\|$/.test(line))
  .map((line) => line.split('|').map((cell) => cell.trim()))
  .map(([, what = '', much = '', ...mL]) => ({
    what,
    much: parseFloat(much),
    mL: mL.slice(0, 3).map((cell) => parseFloat(cell)),
  }));
const of = (word: string) => rows.filter(({ what }) => what.startsWith(word));

it.each([
  ['Flats', ['flats']],
  ['Butts', ['butts']],
  ['Angles', ['angles']],
  ['Bead', ['corners']],
  ['Fasteners', ['heads']],
])('%s are as the pencil has them', (word, elements) => {
  const found = of(word);
  expect(found.length).toBeGreaterThan(0);
  const amount = room.use.uses.find(
    ({ element, coat }) => element === elements[0] && coat === 'tape',
  )!.amount;
  const much = found.reduce((sum, row) => sum + row.much, 0);
  expect(much).toBeCloseTo(word === 'Fasteners' ? amount : amount / 1000, 2);
  (['tape', 'fill', 'finish'] as const).forEach((coat, i) => {
    const mL = found.reduce((sum, row) => sum + row.mL[i]!, 0);
    expect(Math.abs(mL - wetL(elements, coat) * 1000)).toBeLessThan(3);
  });
});

it('comes to the sums of the page', () => {
  const all = ['flats', 'butts', 'angles', 'corners', 'heads'];
  const sums = [...(/^\| \*\*Sum.*$/m.exec(DOC)?.[0] ?? '').matchAll(/([\d.]+) L/g)].map(([, litres]) =>
    Number(litres),
  );
  expect(wetL(all, 'tape')).toBeCloseTo(sums[0]!, 2);
  expect(wetL(all, 'fill')).toBeCloseTo(sums[1]!, 2);
  expect(wetL(all, 'finish')).toBeCloseTo(sums[2]!, 2);
  expect(wetL(['flats'], 'prefill')).toBeCloseTo(0.0743, 3);
  expect(room.use.tapeMm / 1000).toBeCloseTo(66.19, 2);
  expect(room.use.beads.map(({ mm }) => Math.round(mm)).sort((a, b) => a - b)).toEqual([
    1524, 1524, 2020, 2020, 2020, 2020,
  ]);
});
