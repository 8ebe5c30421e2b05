import bold from '@fontsource/archivo/files/archivo-latin-600-normal.woff';
import plain from '@fontsource/archivo/files/archivo-latin-400-normal.woff';
import * as pdfmakeModule from 'pdfmake/build/pdfmake';
import type { Content, TDocumentDefinitions } from 'pdfmake/interfaces';

interface PdfMake {
  addFontContainer(container: unknown): void;
  createPdf(definition: TDocumentDefinitions): { getBlob(): Promise<Blob> };
}

/** The library is CommonJS: what it exports stands under `default` or at the top, as the bundler has it. */
const inner = <T>(module: unknown): T => ((module as { default?: T }).default ?? module) as T;

export const INK = '#24262b';
export const SOFT = '#66635b';

/** The application's own type; it has no slanted cut. */
const FONT = 'Archivo';

/** A PDF made on this device. */
export function toPdf(definition: TDocumentDefinitions): Promise<Blob> {
  const pdfmake = inner<PdfMake>(pdfmakeModule);
  pdfmake.addFontContainer({
    vfs: { plain: { data: plain, encoding: 'base64' }, bold: { data: bold, encoding: 'base64' } },
    fonts: { [FONT]: { normal: 'plain', bold: 'bold', italics: 'plain', bolditalics: 'bold' } },
  });
  return pdfmake.createPdf(definition).getBlob();
}

/** The narrow space between thousands has no sign in the type; the thin one has, and is as wide. */
function settable<T>(part: T): T {
  if (typeof part === 'string') return part.replaceAll('\u202f', '\u2009') as T;
  if (Array.isArray(part)) return part.map(settable) as T;
  if (typeof part !== 'object' || part === null) return part;
  return Object.fromEntries(Object.entries(part).map(([key, value]) => [key, settable(value)])) as T;
}

/** What every paper of the application looks like, on A4 or letter alike. */
export const onPaper = (
  { title, lang }: { title: string; lang: string },
  content: Content[],
): TDocumentDefinitions => ({
  info: { title },
  language: lang,
  pageSize: 'A4',
  pageMargins: [54, 54, 54, 60],
  defaultStyle: { font: FONT, fontSize: 10, lineHeight: 1.15, color: INK },
  styles: {
    title: { fontSize: 22, bold: true },
    heading: { fontSize: 13, bold: true, margin: [0, 14, 0, 4] },
  },
  content: settable(content),
  footer: (page, pages) => ({
    text: `${title}, ${page} / ${pages}`,
    alignment: 'center',
    color: SOFT,
    fontSize: 9,
  }),
});
