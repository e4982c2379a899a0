import { formOf } from './moments.ts';
import { readCell, unitOfWord } from './cells.ts';

/** Delimiters that loggers write, the rarest in figures first: a comma may be a decimal sign. */
const delimiters = ['\t', ';', '|', ','] as const;

/**
 * The delimiter of a table from its first lines: the first of tab, semicolon, bar and comma that most of the lines with
 * figures hold. Nothing where none does.
 */
export function delimiterOf(text: string): string | undefined {
  const lines = text.split(/\r\n|\n|\r/).filter((l) => /\d/.test(l));
  if (!lines.length) return undefined;
  const half = lines.slice(Math.floor(lines.length / 2));
  return delimiters.find((d) => half.filter((l) => l.includes(d)).length > half.length / 2);
}

/**
 * The encoding of a file from its first bytes: a byte order mark, zeros in every other byte, or bytes that are no UTF-8,
 * as loggers that write the degree sign in the old Western code.
 */
export function encodingOf(bytes: Uint8Array): 'utf-8' | 'utf-16le' | 'utf-16be' | 'windows-1252' {
  if (bytes[0] === 0xff && bytes[1] === 0xfe) return 'utf-16le';
  if (bytes[0] === 0xfe && bytes[1] === 0xff) return 'utf-16be';
  let [even, odd] = [0, 0];
  bytes.forEach((b, k) => {
    if (b === 0 && k % 2) odd += 1;
    else if (b === 0) even += 1;
  });
  if (odd > bytes.length / 4) return 'utf-16le';
  if (even > bytes.length / 4) return 'utf-16be';
  try {
    new TextDecoder('utf-8', { fatal: true }).decode(bytes, { stream: true });
    return 'utf-8';
  } catch {
    return 'windows-1252';
  }
}

type Row = readonly string[];
const isFigure = (cell: string): boolean => readCell(cell, '.') !== undefined || formOf(cell, ',') !== undefined;
const figures = (row: Row | undefined): number => (row ?? []).filter(isFigure).length;
/** Names of units alone under the names of the columns. */
const isUnitRow = (row: Row): boolean => {
  const words = row.map((x) => x.trim().replace(/^[[(](.*)[\])]$/, '$1')).filter(Boolean);
  return (
    words.length > 0 &&
    words.every((w) => unitOfWord(w) !== 'other' || /^[^\d\s]{1,6}$/.test(w)) &&
    words.some((w) => unitOfWord(w) !== 'other')
  );
};

export interface TableHead {
  /** What stands above the table: a title, the logger's settings. */
  readonly preface: readonly string[];
  /** The names of the columns, with the units of a row of their own; numbered where the file has none. */
  readonly header: readonly string[];
  /** Rows before the first row of figures. */
  readonly skip: number;
}

/** Where the table begins. Nothing where no row holds two figures. */
export function headOf(rows: readonly Row[]): TableHead | undefined {
  const first = rows.findIndex((row) => figures(row) >= 2);
  if (first < 0) return undefined;
  const width = Math.max(...rows.slice(first, first + 8).map((r) => r.length));
  let top = first - 1;
  const above = rows[top];
  const named = above !== undefined && above.length > 1 && above.length >= width / 2 && figures(above) === 0;
  let names: string[] = named ? above.map((x) => x.trim().replaceAll('_', ' ')) : [];
  const higher = rows[top - 1];
  if (named && isUnitRow(above) && higher && higher.length > 1 && figures(higher) === 0) {
    names = Array.from({ length: width }, (_, k) => `${higher[k]?.trim() ?? ''} ${above[k]?.trim() ?? ''}`.trim());
    top -= 1;
  }
  return {
    preface: rows.slice(0, named ? Math.max(0, top) : first).map((r) => r.join(' ').trim()),
    header: Array.from({ length: width }, (_, k) => names[k] || `column ${k + 1}`),
    skip: first
  };
}
