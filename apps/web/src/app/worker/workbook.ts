import writeXlsxFile from 'write-excel-file/universal';

/** A sheet of a workbook: numbers as numbers, texts as texts whatever they begin with. */
export interface BookSheet {
  name: string;
  columns: readonly string[];
  rows: readonly Readonly<Record<string, string | number>>[];
}

/** Tables as one workbook of a spreadsheet. */
export const workbook = (sheets: readonly BookSheet[]): Promise<Blob> =>
  writeXlsxFile(
    sheets.map(({ name, columns, rows }) => ({
      sheet: name,
      stickyRowsCount: 1,
      columns: columns.map((head) => ({
        width: Math.max(head.length, ...rows.map((row) => wide(row[head]))) + 2,
      })),
      data: [
        columns.map((value) => ({ type: String, value, fontWeight: 'bold' as const })),
        ...rows.map((row) =>
          columns.map((head) => {
            const value = row[head];
            if (value === undefined || value === '') return null;
            return typeof value === 'number' ? { type: Number, value } : { type: String, value };
          }),
        ),
      ],
    })),
  ).toBlob();

const MOST_LETTERS = 44;
const wide = (value: string | number | undefined): number =>
  Math.min(MOST_LETTERS, String(value ?? '').length);
