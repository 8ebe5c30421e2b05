// Writes down what each text of the catalogue takes, so that the compiler holds every use of it to that.
import { parse, TYPE } from '@formatjs/icu-messageformat-parser';
import { readdirSync, readFileSync, writeFileSync } from 'node:fs';
import prettier from 'prettier';
import { literals } from './literals.mjs';

const dir = new URL('../packages/core/src/texts/', import.meta.url);

/** Styles of words; all others are of quantities. */
const OF_WORDS = { start: 'Sayable', date: 'string' };

const NARROWEST = ['number', 'string', 'Quantity', 'Sayable'];

function takes(parts, found = new Map()) {
  // Used in two ways, it must be right for both.
  const take = (name, type) =>
    found.set(name, NARROWEST.find((one) => one === type || one === found.get(name)) ?? type);
  for (const part of parts) {
    if (part.type === TYPE.argument) take(part.value, 'Sayable');
    if (part.type === TYPE.number) take(part.value, OF_WORDS[part.style] ?? 'Quantity');
    if (part.type === TYPE.plural) take(part.value, 'number');
    if (part.type === TYPE.select) take(part.value, 'string');
    if (part.options) for (const option of Object.values(part.options)) takes(option.value, found);
  }
  return found;
}

const texts = JSON.parse(readFileSync(new URL('en.json', dir), 'utf8'));
const lines = Object.entries(texts).map(([key, text]) => {
  let found;
  try {
    found = takes(parse(text, { ignoreTag: true }));
  } catch (error) {
    throw new Error(`${key}: ${error.message}`, { cause: error });
  }
  const fields = [...found].map(([name, type]) => `${name}: ${type}`).join('; ');
  return `  '${key}': ${fields ? `{ ${fields} }` : 'undefined'};`;
});
const types = ['Quantity', 'Sayable'].filter((type) => lines.some((line) => line.includes(type)));
const source = `import type { ${types.join(', ')} } from './say';

/** What each text of the catalogue takes. Written by \`npm run texts\` from en.json. */
export interface Texts {
${lines.join('\n')}
}
`;
const file = new URL('takes.ts', dir);
const options = await prettier.resolveConfig(file);
const made = await prettier.format(source, {
  ...options,
  parser: 'typescript',
  // A text a line, so that a change of one is a change of one.
  printWidth: 1000,
});
if (process.argv.includes('--check')) {
  if (readFileSync(file, 'utf8') !== made) throw new Error('Run `npm run texts`: the catalogue has changed.');
  const unused = unusedOf(Object.keys(texts));
  if (unused.length > 0) throw new Error(`Texts that nothing says: ${unused.join(', ')}.`);
  const outside = literals();
  if (outside.length > 0) throw new Error(`Words outside the catalogue:\n${outside.join('\n')}`);
} else writeFileSync(file, made);

/** Keys that stand in no source, neither written out nor made by a template such as `coat.${coat}`. */
function unusedOf(keys) {
  const root = new URL('../', import.meta.url);
  const sources = ['packages/core/src', 'apps/web/src', 'apps/cli/src']
    .flatMap((at) => readdirSync(new URL(at, root), { recursive: true, withFileTypes: true }))
    .filter((entry) => entry.isFile() && /\.(ts|html)$/.test(entry.name) && entry.name !== 'takes.ts')
    .map((entry) => readFileSync(`${entry.parentPath}/${entry.name}`, 'utf8'))
    .join('\n');
  const made = [...sources.matchAll(/`([\w.-]*(?:\$\{[^}`]*\}[\w.-]*)+)`/g)].map(
    ([, template]) => new RegExp(`^${template.replace(/\./g, '\\.').replace(/\$\{[^}]*\}/g, '.+')}$`),
  );
  const general = (pattern) => pattern.source.replace(/\.\+/g, '').length < 5;
  const patterns = made.filter((pattern) => !general(pattern));
  return keys.filter(
    (key) => !sources.includes(`'${key}'`) && !patterns.some((pattern) => pattern.test(key)),
  );
}
