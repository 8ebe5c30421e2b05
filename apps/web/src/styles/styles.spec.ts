import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';

const root = join(__dirname, '..');
const sheets = readdirSync(root, { recursive: true, encoding: 'utf8' })
  .filter((file) => /\.(css|ts)$/.test(file) && !file.endsWith('.spec.ts'))
  .map((file) => ({ file, text: readFileSync(join(root, file), 'utf8') }));
const tokens = new Set(
  [...readFileSync(join(__dirname, 'tokens.css'), 'utf8').matchAll(/(--[\w-]+):/g)].map(([, name]) => name),
);

/** Every place where something is written in a sheet that does not match. */
const strays = (wanted: RegExp, allowed: RegExp): string[] =>
  sheets.flatMap(({ file, text }) =>
    [...text.matchAll(wanted)]
      .map(([whole]) => whole)
      .flatMap((one) => (allowed.test(one) ? [] : `${file}: ${one}`)),
  );

it('reads the sheets', () => {
  expect(sheets.length).toBeGreaterThan(100);
  expect(tokens.has('--lead')).toBe(true);
});

it('type has the few sizes of the tokens, but for the letters of a drawing that is scaled', () => {
  const sizes = strays(
    /font-size: [^;]+;/g,
    /var\(--(fine|small|text|lead|large|title|head|figure|display)\)/,
  );
  expect(sizes).toEqual([expect.stringContaining('board-sheets.ts: font-size: 165px;')]);
});

it('things stand apart by the tokens', () => {
  expect(strays(/(?<!-)\b(?:row-|column-)?gap: [\d .]*\d(?:px|r?em)[^;]*;/g, /^$/)).toEqual([]);
});

it('places change shape at the same two widths, and where a phone lies on its side', () => {
  const widths = strays(
    /\((?:max|min)-width: \d+px\)/g,
    /\(max-width: (760|1000)px\)|\(min-width: (761|640)px\)/,
  );
  expect(widths).toEqual([]);
});

it('the frame of a place is laid in one sheet, and what stands in a place fills it by one rule', () => {
  expect(strays(/height: 100%;\s+display: grid;\s+grid-template-columns/g, /^$/)).toEqual([
    expect.stringContaining('work-frame.ts'),
  ]);
  const fills = strays(/:host \{\s+flex: 1;\s+min-height: 0;\s+display: block;/g, /^$/);
  expect(fills).toEqual([]);
});
