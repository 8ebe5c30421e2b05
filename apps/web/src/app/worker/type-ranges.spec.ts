import { openSync, type Font } from 'fontkit';
import { join } from 'node:path';
import { fileOf, runsOf, unprintable } from './type-ranges';

const NAMES = { plain: 'latin', ext: 'latin-ext', viet: 'vietnamese' } as const;
const file = (name: string, weight: number): Font =>
  openSync(
    join(
      __dirname,
      `../../../../../node_modules/@fontsource/archivo/files/archivo-${name}-${weight}-normal.woff`,
    ),
  ) as Font;

it.each([400, 600])('a letter is set from a file that has it, in both cuts (%s)', (weight) => {
  const has = new Map(
    Object.entries(NAMES).map(([key, name]) => [key, new Set(file(name, weight).characterSet)]),
  );
  const all = new Set([...has.values()].flatMap((letters) => [...letters]));
  const missing: string[] = [];
  for (let code = 32; code < 0x2300; code++) {
    const from = fileOf(String.fromCodePoint(code));
    if (from ? !has.get(from)!.has(code) : all.has(code)) missing.push(code.toString(16));
  }
  expect(missing).toEqual([]);
});

it('parts a name by the files of the type, and puts a question mark where none has a letter', () => {
  expect(runsOf('Łukasz Nguyễn')).toEqual([
    { text: 'Ł', file: 'ext' },
    { text: 'ukasz Nguy', file: 'plain' },
    { text: 'ễ', file: 'viet' },
    { text: 'n', file: 'plain' },
  ]);
  expect(runsOf('1\u202f000 mm')).toEqual([{ text: '1\u2009000 mm', file: 'plain' }]);
  expect(runsOf('王伟')).toEqual([{ text: '??', file: 'plain' }]);
  // An accent that stands alone is its letter’s.
  expect(runsOf('Z\u030c')).toEqual([{ text: 'Ž', file: 'ext' }]);
});

it('names what a paper cannot print, once', () => {
  const paper = {
    title: 'Bid',
    parts: [
      {
        rows: [
          ['王伟', 'Łukasz'],
          ['王伟', '12'],
        ],
      },
      { text: 'Иван' },
    ],
  };
  expect(unprintable(paper)).toEqual(['王伟', 'Иван']);
  expect(unprintable({ title: 'Dvořák, Šťastný & Žižka' })).toEqual([]);
});
