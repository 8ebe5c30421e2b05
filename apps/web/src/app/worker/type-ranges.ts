/** Which letters the files of the shipped type have, from their own tables; a test holds them to the files. */
const HAS = {
  plain:
    '20-7e a0-ff 102 131 152-153 2bc 2c6 2da 2dc 300-301 303-304 308-309 323 2009 2013-2014 2018-201a 201c-201e 2022 2026 2032-2033 2039-203a 2044 20ac 2122 2191 2193 2212 2215',
  ext: '100-130 132-151 154-17f 18f 192 19d 1a0-1a1 1af-1b0 1c4-1dc 1e6-1e7 1ea-1eb 1fa-21b 22a-22d 230-233 237 259 272 2b9-2ba 2c7 2c9 2dd 1e24-1e25 1e62-1e63 1e6c-1e6d 1e80-1e85 1e9e 1ef2-1ef9 2020 20a1 20a3-20a4 20a6-20a7 20a9 20ab 20ad 20b1-20b2 20b5 20b9-20ba 20bc-20bd 2113',
  viet: '110-111 128-129 168-169 1ea0-1ef1',
} as const;
export type TypeFile = keyof typeof HAS;
const FILES = Object.keys(HAS) as TypeFile[];

const RANGES = new Map(
  FILES.map((file) => [
    file,
    HAS[file].split(' ').map((range) => {
      const [from = 0, to = from] = range.split('-').map((hex) => parseInt(hex, 16));
      return [from, to] as const;
    }),
  ]),
);

/** The file of the type that has a letter; none where none has. A line break is none. */
export function fileOf(letter: string): TypeFile | undefined {
  const code = letter.codePointAt(0) ?? 0;
  if (code === 10 || code === 13) return 'plain';
  return FILES.find((file) => RANGES.get(file)?.some(([from, to]) => code >= from && code <= to));
}

/** As it is set: letters that stand for one another are one, accents that stand alone go with their letter. */
export const asSet = (text: string): string => text.normalize('NFC').replaceAll('\u202f', '\u2009');

/** A text in pieces of one file of the type each; what no file has is a question mark. */
export function runsOf(text: string): { text: string; file: TypeFile }[] {
  const runs: { text: string; file: TypeFile }[] = [];
  for (const letter of asSet(text)) {
    const file = fileOf(letter);
    const last = runs.at(-1);
    const set = file === undefined ? '?' : letter;
    if (last && last.file === (file ?? 'plain')) last.text += set;
    else runs.push({ text: set, file: file ?? 'plain' });
  }
  return runs;
}

/** Texts in a paper, however deep, that have letters the type has not; each once. */
export function unprintable(paper: unknown, found = new Set<string>()): string[] {
  if (typeof paper === 'string') {
    if ([...asSet(paper)].some((letter) => fileOf(letter) === undefined)) found.add(paper.slice(0, 60));
  } else if (typeof paper === 'object' && paper !== null)
    for (const part of Object.values(paper)) unprintable(part, found);
  return [...found];
}
