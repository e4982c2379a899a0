import { formOf, type MomentForm } from './moments.ts';
import { readCell, signOf, unitOfWord, type CellUnit } from './cells.ts';

/** What one column of a file holds, counted over all its rows. */
export interface ColumnScan {
  readonly cells: number;
  readonly numbers: number;
  readonly clocks: number;
  readonly signs: { readonly point: number; readonly comma: number; readonly either: number };
  readonly units: ReadonlySet<CellUnit>;
  /** Of numbers, read with either sign. */
  readonly min: number;
  readonly max: number;
  /** Every number is the one before plus one. */
  readonly counts: boolean;
  /** No number is less than the one before. */
  readonly rises: boolean;
  readonly words: ReadonlySet<string>;
  /** Clocks of two parts that may be read in two ways, and the largest first part among them. */
  readonly pairs: number;
  readonly largestFirst: number;
  readonly dates: readonly NonNullable<MomentForm['date']>[];
}

interface Counting {
  cells: number;
  numbers: number;
  clocks: number;
  signs: { point: number; comma: number; either: number };
  units: Set<CellUnit>;
  min: number;
  max: number;
  counts: boolean;
  rises: boolean;
  last?: number;
  words: Set<string>;
  pairs: number;
  largestFirst: number;
  dates: NonNullable<MomentForm['date']>[];
}

const fresh = (): Counting => ({
  cells: 0,
  numbers: 0,
  clocks: 0,
  signs: { point: 0, comma: 0, either: 0 },
  units: new Set(),
  min: Infinity,
  max: -Infinity,
  counts: true,
  rises: true,
  words: new Set(),
  pairs: 0,
  largestFirst: 0,
  dates: []
});

/** Different words and dates kept of a column. */
const KEPT = 12;
const SHOWN = 6;

function look(column: Counting, cell: string): void {
  if (!cell) return;
  column.cells += 1;
  const sign = signOf(cell);
  if (sign === '.') column.signs.point += 1;
  else if (sign === ',') column.signs.comma += 1;
  else if (sign) column.signs.either += 1;
  const number = readCell(cell, sign === ',' ? ',' : '.');
  if (number) {
    const { value } = number;
    column.numbers += 1;
    if (number.unit) column.units.add(number.unit);
    column.min = Math.min(column.min, value);
    column.max = Math.max(column.max, value);
    if (column.last !== undefined) {
      column.counts &&= value === column.last + 1;
      column.rises &&= value >= column.last;
    } else column.counts = Number.isInteger(value) && Math.abs(value) < 2;
    column.last = value;
    return;
  }
  const form = formOf(cell, '.');
  if (!form) return void (column.words.size < KEPT && column.words.add(cell));
  column.clocks += 1;
  if (form.pair) {
    column.pairs += 1;
    column.largestFirst = Math.max(column.largestFirst, form.parts![0]);
  }
  const { date } = form;
  const old = column.dates.at(-1);
  if (date && column.dates.length < KEPT && !(old && old.a === date.a && old.b === date.b && old.c === date.c))
    column.dates.push(date);
}

/**
 * Looks at every row of a file once, so that what shows late (a decimal comma in row 900, a second date) is known before
 * anything is decided.
 */
export class LogScan {
  readonly first: (readonly string[])[] = [];
  readonly last: (readonly string[])[] = [];
  rows = 0;
  private readonly counting: Counting[] = [];

  constructor(
    private readonly header: readonly string[],
    private readonly preface: readonly string[] = []
  ) {}

  push(row: readonly string[]): void {
    if (row.every((x) => !x.trim())) return;
    this.rows += 1;
    if (this.first.length < SHOWN) this.first.push(row);
    this.last.push(row);
    if (this.last.length > 2) this.last.shift();
    row.forEach((cell, k) => look((this.counting[k] ??= fresh()), cell.trim()));
  }

  /** What is known of the file. A plain object: it crosses from the worker to the page. */
  finish(): LogTable {
    return {
      header: this.header,
      preface: this.preface,
      rows: this.rows,
      first: this.first,
      last: this.rows > SHOWN ? this.last.slice(-Math.min(2, this.rows - SHOWN)) : [],
      columns: Array.from({ length: Math.max(this.header.length, this.counting.length) }, (_, k) => {
        const { last: _last, ...column } = this.counting[k] ?? fresh();
        return column;
      })
    };
  }
}

export interface LogTable {
  readonly header: readonly string[];
  readonly preface: readonly string[];
  readonly rows: number;
  readonly first: readonly (readonly string[])[];
  readonly last: readonly (readonly string[])[];
  readonly columns: readonly ColumnScan[];
}

/** Units named in a header cell: in brackets, after a comma or an underscore, or as a word of its own. */
export function unitInName(name: string): CellUnit | undefined {
  const words = [
    ...[...name.matchAll(/[[(]([^\])]+)[\])]/g)].map((m) => m[1]!),
    ...name.split(/[\s,_:;[\]()]+/),
    /°\s*[CF]/i.exec(name)?.[0] ?? ''
  ];
  return words.map((w) => unitOfWord(w)).find((u) => u !== 'other');
}
