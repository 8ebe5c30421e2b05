import bold from '@fontsource/archivo/files/archivo-latin-600-normal.woff';
import plain from '@fontsource/archivo/files/archivo-latin-400-normal.woff';
import extBold from '@fontsource/archivo/files/archivo-latin-ext-600-normal.woff';
import ext from '@fontsource/archivo/files/archivo-latin-ext-400-normal.woff';
import vietBold from '@fontsource/archivo/files/archivo-vietnamese-600-normal.woff';
import viet from '@fontsource/archivo/files/archivo-vietnamese-400-normal.woff';
import * as pdfmakeModule from 'pdfmake/build/pdfmake';
import type { Column, Content, TDocumentDefinitions } from 'pdfmake/interfaces';
import type { PaperSize } from './api';
import { runsOf, type TypeFile } from './type-ranges';

interface PdfMake {
  addFontContainer(container: unknown): void;
  createPdf(definition: TDocumentDefinitions): { getBlob(): Promise<Blob> };
}

/** The library is CommonJS: what it exports stands under `default` or at the top, as the bundler has it. */
const inner = <T>(module: unknown): T => ((module as { default?: T }).default ?? module) as T;

export const INK = '#24262b';
export const SOFT = '#66635b';

/** The application's own type, file by file, regular and bold; it has no slanted cut. */
const TYPE: Record<TypeFile, readonly [string, string]> = {
  plain: [plain, bold],
  ext: [ext, extBold],
  viet: [viet, vietBold],
};
const FONT: TypeFile = 'plain';

/** A PDF made on this device. */
export function toPdf(definition: TDocumentDefinitions): Promise<Blob> {
  const pdfmake = inner<PdfMake>(pdfmakeModule);
  const files = Object.entries(TYPE);
  pdfmake.addFontContainer({
    vfs: Object.fromEntries(
      files.flatMap(([name, cuts]) =>
        cuts.map((data, i) => [`${name}-${i}`, { data, encoding: 'base64' }] as const),
      ),
    ),
    fonts: Object.fromEntries(
      files.map(([name]) => {
        const [normal, heavy] = [`${name}-0`, `${name}-1`];
        return [name, { normal, bold: heavy, italics: normal, bolditalics: heavy }];
      }),
    ),
  });
  return pdfmake.createPdf(definition).getBlob();
}

/** Every text as the files of the type have it: the narrow space between thousands as the thin one, other letters apart. */
function settable<T>(part: T): T {
  if (typeof part === 'string') {
    const runs = runsOf(part);
    if (runs.every(({ file }) => file === FONT)) return runs.map(({ text }) => text).join('') as T;
    return { text: runs.map(({ text, file }) => ({ text, font: file })) } as T;
  }
  if (Array.isArray(part)) return part.map(settable) as T;
  if (typeof part !== 'object' || part === null) return part;
  return Object.fromEntries(Object.entries(part).map(([key, value]) => [key, settable(value)])) as T;
}

/** What is so, label by label. */
export const facts = (lines: readonly (readonly [label: string, value: string])[]): Content => ({
  layout: 'lightHorizontalLines',
  table: {
    widths: ['auto', '*'],
    body: lines.map(([label, value]) => [
      { text: label, color: SOFT },
      { text: value, bold: true },
    ]),
  },
});

/** Who signs a paper, and the word for the date beside it. */
export interface Signature {
  who: string;
  date: string;
}

const rule = (text: string, width: number): Column => ({
  width,
  stack: [
    { canvas: [{ type: 'line', x1: 0, y1: 0, x2: width, y2: 0, lineWidth: 0.7 }] },
    { text, color: SOFT, margin: [0, 2, 0, 0] },
  ],
});

/** A line to sign on for each of two, and one for the date, side by side. */
export const signatureLines = (signatures: readonly Signature[]): Content => ({
  margin: [0, 34, 0, 0],
  columns: signatures.flatMap(({ who, date }) => [rule(who, 155), rule(date, 65)]),
  columnGap: 14,
});

/** What every paper of the application looks like. */
export const onPaper = (
  { title, lang }: { title: string; lang: string },
  content: Content[],
  size: PaperSize,
): TDocumentDefinitions => ({
  info: { title },
  language: lang,
  pageSize: size === 'letter' ? 'LETTER' : 'A4',
  pageMargins: [54, 54, 54, 60],
  defaultStyle: { font: FONT, fontSize: 10, lineHeight: 1.15, color: INK },
  styles: {
    title: { fontSize: 22, bold: true },
    heading: { fontSize: 13, bold: true, margin: [0, 14, 0, 4] },
  },
  content: settable(content),
  footer: (page, pages) => ({
    text: settable(`${title}, ${page} / ${pages}`),
    alignment: 'center',
    color: SOFT,
    fontSize: 9,
  }),
});
