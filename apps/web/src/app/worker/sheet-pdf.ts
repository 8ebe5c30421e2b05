import type { Content, TableCell } from 'pdfmake/interfaces';
import type { PaperSize } from './api';
import { facts, INK, onPaper, signatureLines, SOFT, toPdf, type Signature } from './pdf';

/** A stick with the pieces that are cut from it, drawn to scale. */
export interface StickDrawn {
  label: string;
  mm: number;
  pieces: readonly { n: string; mm: number }[];
}

/** A part of a paper, from the top down. */
export type SheetPart =
  | { heading: string }
  | { text: string }
  /** Columns that hold numbers stand to the right. */
  | {
      columns: readonly string[];
      rows: readonly (readonly string[])[];
      right: readonly number[];
      /** Widths in pt, or `*` for what is left; the first column takes it where none are given. */
      widths?: (number | '*')[];
    }
  | { sticks: readonly StickDrawn[] }
  /** What is so, label by label. */
  | { facts: readonly (readonly [label: string, value: string])[] }
  | { list: readonly string[] }
  /** Lines to sign on, under what is signed; never parted. */
  | { signed: string; signatures: readonly Signature[] }
  /** A name drawn with a finger, stroke by stroke as shares of its box; who signed, and when, under it. */
  | { strokes: readonly (readonly number[])[]; who: string };

/** A paper that is carried, cut from or handed over, in words and figures as they are shown. */
export interface Sheet {
  title: string;
  lang: string;
  intro: string;
  parts: readonly SheetPart[];
}

/** Width between the margins of the narrower paper, pt. */
const WIDE = 487;
const LABEL = 70;
const HIGH = 16;
const TONE = '#e4dccb';

export const sheetPdf = (sheet: Sheet, size: PaperSize): Promise<Blob> =>
  toPdf(
    onPaper(
      sheet,
      [
        { text: sheet.title, style: 'title' },
        { text: sheet.intro, color: SOFT, margin: [0, 2, 0, 8] },
        ...sheet.parts.flatMap(contentOf),
      ],
      size,
    ),
  );

function contentOf(part: SheetPart): Content[] {
  if ('heading' in part) return [{ text: part.heading, style: 'heading' }];
  if ('text' in part) return [{ text: part.text, margin: [0, 2, 0, 4] }];
  if ('facts' in part) return [facts(part.facts)];
  if ('list' in part) return [{ ul: [...part.list] }];
  if ('signatures' in part) return [signing(part)];
  if ('sticks' in part) return part.sticks.map((stick) => drawn(stick, part.sticks));
  if ('strokes' in part) return [signed(part)];
  const { columns, rows, right, widths } = part;
  const cell = (text: string, i: number, head = false): TableCell => ({
    text,
    ...(right.includes(i) ? { alignment: 'right' as const } : {}),
    ...(head ? { color: SOFT } : {}),
  });
  return [
    {
      layout: 'lightHorizontalLines',
      table: {
        headerRows: 1,
        dontBreakRows: true,
        widths: widths ?? columns.map((_, i) => (i === 0 ? '*' : 'auto')),
        body: [
          columns.map((name, i) => cell(name, i, true)),
          ...rows.map((row) => row.map((text, i) => cell(text, i))),
        ],
      },
    },
  ];
}

const signing = ({ signed: what, signatures }: Extract<SheetPart, { signatures: unknown }>): Content => ({
  unbreakable: true,
  stack: [{ text: what, style: 'heading' }, signatureLines(signatures)],
});

/** Size of a drawn name, pt. */
const SIGNED = { w: 240, h: 84 };

const signed = ({ strokes, who }: Extract<SheetPart, { strokes: unknown }>): Content => ({
  unbreakable: true,
  margin: [0, 14, 0, 0],
  stack: [
    {
      canvas: [
        { type: 'line', x1: 0, y1: SIGNED.h, x2: SIGNED.w, y2: SIGNED.h, lineWidth: 0.7, lineColor: SOFT },
        ...strokes.map((stroke) => ({
          type: 'polyline' as const,
          lineWidth: 1.2,
          lineColor: INK,
          points: Array.from({ length: stroke.length / 2 }, (_, i) => ({
            x: (stroke[2 * i] as number) * SIGNED.w,
            y: (stroke[2 * i + 1] as number) * SIGNED.h,
          })),
        })),
      ],
    },
    { text: who, color: SOFT, margin: [0, 3, 0, 0] },
  ],
});

/** One stick to the scale of the longest, its pieces numbered. */
function drawn({ label, mm, pieces }: StickDrawn, all: readonly StickDrawn[]): Content {
  const longest = Math.max(...all.map((stick) => stick.mm));
  const scale = (WIDE - LABEL - 10) / longest;
  let at = 0;
  const placed = pieces.map(({ n, mm: long }) => {
    const x = at * scale;
    at += long;
    return { n, x, w: long * scale };
  });
  return {
    unbreakable: true,
    margin: [0, 2, 0, 2],
    columns: [
      { width: LABEL, text: label, margin: [0, 2, 0, 0] },
      {
        width: '*',
        stack: [
          {
            canvas: [
              { type: 'rect', x: 0, y: 0, w: mm * scale, h: HIGH, lineColor: SOFT, lineWidth: 0.5 },
              ...placed.map(({ x, w }) => ({
                type: 'rect' as const,
                x,
                y: 0,
                w,
                h: HIGH,
                color: TONE,
                lineColor: INK,
                lineWidth: 0.8,
              })),
            ],
          },
          ...placed.map(({ n, x }): Content => ({
            text: n,
            bold: true,
            fontSize: 9,
            relativePosition: { x: x + 3, y: -13 },
          })),
        ],
      },
    ],
  };
}
