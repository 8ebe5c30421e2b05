import type { AgreementPaper, AgreedPart } from '@lisse/core';
import type { Content, TDocumentDefinitions } from 'pdfmake/interfaces';
import type { PaperSize } from './api';
import { facts, onPaper, signatureLines, SOFT, toPdf } from './pdf';

/** The agreement as a PDF. */
// The library writes into what it is given; the page still shows it.
export const agreementPdf = (paper: AgreementPaper, size: PaperSize): Promise<Blob> =>
  toPdf(definitionOf(structuredClone(paper), size));

/** The agreement in the terms of the PDF library; nothing is computed here. */
export function definitionOf(paper: AgreementPaper, size: PaperSize): TDocumentDefinitions {
  const content: Content[] = [
    { text: paper.title, style: 'title' },
    { text: paper.intro, color: SOFT, margin: [0, 2, 0, 10] },
    facts(paper.parties.map(({ label, value }) => [label, value])),
    ...paper.rooms.flatMap(({ name, parts }): Content[] => [
      { text: name, style: 'heading' },
      ...parts.flatMap(partOf),
    ]),
    ...(paper.samples.length > 0
      ? [
          { text: paper.samplesTitle, style: 'heading' },
          ...paper.samples.map(({ svg, name, words }): Content => ({
            columns: [
              { svg, width: 110 },
              { text: [{ text: `${name}. `, bold: true }, words], margin: [10, 0, 0, 0] },
            ],
            unbreakable: true,
            margin: [0, 4, 0, 6],
          })),
          { text: paper.samplesNote, color: SOFT },
        ]
      : []),
    ...paper.sections.flatMap(({ title, items }): Content[] => [
      { text: title, style: 'heading' },
      { ul: items },
    ]),
    {
      unbreakable: true,
      stack: [{ text: paper.signTitle, style: 'heading' }, signatureLines(paper.signatures)],
    },
    { text: paper.foot, color: SOFT, margin: [0, 20, 0, 0] },
  ];
  return onPaper(paper, content, size);
}

function partOf({ name, grade, lines, notes }: AgreedPart): Content[] {
  return [
    { text: name ? `${name}: ${grade}` : grade, bold: true, margin: [0, 4, 0, 2] },
    {
      layout: 'noBorders',
      table: {
        widths: [120, '*'],
        body: lines.map(({ label, text }) => [{ text: label, color: SOFT }, text]),
      },
    },
    ...notes.map((text): Content => ({ text, italics: true, margin: [0, 2, 0, 0] })),
  ];
}
