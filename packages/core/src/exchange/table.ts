import Papa from 'papaparse';
import type { Say } from '../speech';
import type { Message } from '../texts';

/** A table for other programs: numbers as numbers, their units in the head. */
export interface Table {
  name: Message;
  columns: readonly string[];
  rows: readonly Readonly<Record<string, string | number>>[];
}

/** What stands over a column, and what a row has in it. */
type Column<T> = readonly [head: Message, of: (row: T) => string | number];

/** A table of so many rows, its heads said. */
export function tableOf<T>(
  name: Message,
  rows: readonly T[],
  columns: readonly Column<T>[],
  told: Say,
): Table {
  const heads = columns.map(([head]) => told(head));
  return {
    name,
    columns: heads,
    rows: rows.map((row) => Object.fromEntries(columns.map(([, of], i) => [heads[i] ?? '', of(row)]))),
  };
}

/** As comma-separated values; what a program might take for a formula is made harmless. */
export const csvOf = ({ columns, rows }: Table): string =>
  `${Papa.unparse([...rows], { columns: [...columns], escapeFormulae: true })}\r\n`;

export const to2 = (n: number): number => Math.round(n * 100) / 100;
