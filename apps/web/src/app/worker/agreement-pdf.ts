import type { AgreementPaper, AgreedPart } from '@lisse/core';
import type { Column, Content, TDocumentDefinitions } from 'pdfmake/interfaces';
import type { PaperSize } from './api';
import { onPaper, SOFT, toPdf } from './pdf';

/** The agreement as a PDF. */
// The library writes into what it is given; the page still shows it.
export const agreementPdf = (paper: AgreementPaper, size: PaperSize): Promise<Blob> =>
  toPdf(definitionOf(structuredClone(paper), size));

/** The agreement in the terms of the PDF library; nothing is computed here. */
export function definitionOf(paper: AgreementPaper, size: PaperSize): TDocumentDefinitions {
  const content: Content[] = [
    { text: paper.title, style: 'title' },
    { text: paper.intro, color: SOFT, margin: [0, 2, 0, 10] },
    {
      layout: 'lightHorizontalLines',
      table: {
        widths: ['auto', '*'],
        body: paper.parties.map(({ label, value }) => [
          { text: label, color: SOFT },
          { text: value, bold: true },
        ]),
      },
    },
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
      stack: [
        { text: paper.signTitle, style: 'heading' },
        ...paper.signatures.map(({ who, date }): Content => ({
          margin: [0, 34, 0, 0],
          columns: [rule(who, 300), rule(date, 150)],
          columnGap: 30,
        })),
      ],
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

const rule = (text: string, width: number): Column => ({
  width,
  stack: [
    { canvas: [{ type: 'line', x1: 0, y1: 0, x2: width, y2: 0, lineWidth: 0.7 }] },
    { text, color: SOFT, margin: [0, 2, 0, 0] },
  ],
});
