import { ZERO_CELSIUS } from '../../units/factors.ts';

/** Units that a logger's cell, header or preface may carry. */
export type CellUnit = '°C' | '°F' | 'K' | 's' | 'min' | 'h' | 'ms' | 'rpm' | 'other';
export type TemperatureUnit = '°C' | '°F' | 'K';
export type Decimal = '.' | ',';

const unitForms: readonly (readonly [RegExp, CellUnit])[] = [
  [/^(°\s*C|C|deg\.?\s*C|degC|celsius)$/i, '°C'],
  [/^(°\s*F|F|deg\.?\s*F|degF|fahrenheit)$/i, '°F'],
  [/^(K|kelvin)$/, 'K'],
  [/^(ms|msec|milliseconds?)$/i, 'ms'],
  [/^(s|sec|secs|seconds?|sek|sekunden)$/i, 's'],
  [/^(min|mins|minutes?|minuten)$/i, 'min'],
  [/^(h|hr|hrs|hours?|std|stunden)$/i, 'h'],
  [/^(rpm|1\/min|r\/min|rev\/min|min-1|min⁻¹|u\/min)$/i, 'rpm']
];

/** The unit that a word stands for; `other` for a word that is none of those a record of a run has. */
export const unitOfWord = (word: string): CellUnit =>
  unitForms.find(([form]) => form.test(word.trim()))?.[1] ?? 'other';

const plain = /^[+-]?(\d+([.,]\d*)?|[.,]\d+)(e[+-]?\d+)?$/i;
const grouped = /^[+-]?\d{1,3}(([.,'\s])\d{3})(\2\d{3})*([.,]\d+)?$/;

export interface Cell {
  readonly value: number;
  readonly unit?: CellUnit;
}

/** The text of a number, and what stands behind it. Nothing where the cell does not begin as a number. */
function split(cell: string | undefined): { readonly number: string; readonly unit: string } | undefined {
  const text = (cell ?? '').trim().replaceAll('−', '-');
  if (text.length > 40) return undefined;
  const found = /^([+-]?[\d.,'\u00a0\u202f]+(?:e[+-]?\d+)?)\s*([°%µ\p{L}][^\d:;]{0,14}|1\/min|min-1)?$/iu.exec(text);
  return found ? { number: found[1]!, unit: found[2] ?? '' } : undefined;
}

/**
 * A cell as a number by the decimal sign of its file, with the unit that stands behind it ("68 °F"). Thousands may be
 * parted by the other sign. Nothing where it is no number: "n/a", "1.2.3", "21,5" in a file with decimal points.
 * @example readCell('68 °F', '.') // { value: 68, unit: '°F' }
 */
export function readCell(cell: string | undefined, decimal: Decimal): Cell | undefined {
  const parts = split(cell);
  if (!parts) return undefined;
  const other = decimal === '.' ? ',' : '.';
  const { number } = parts;
  let text: string;
  if (plain.test(number) && !number.includes(other)) text = number.replace(decimal, '.');
  else if (grouped.test(number) && number.lastIndexOf(other) < (number + decimal).lastIndexOf(decimal))
    text = number
      .replace(/[\s'\u00a0\u202f]/g, '')
      .replaceAll(other, '')
      .replace(decimal, '.');
  else return undefined;
  const value = Number(text);
  if (!Number.isFinite(value)) return undefined;
  return { value, ...(parts.unit ? { unit: unitOfWord(parts.unit) } : {}) };
}

/** What a cell's own writing says about the file's decimal sign: `either` where "1,234" may be thousands. */
export function signOf(cell: string): Decimal | 'either' | undefined {
  const number = split(cell)?.number;
  if (number === undefined) return undefined;
  const [points, commas] = [number.split('.').length - 1, number.split(',').length - 1];
  if (points && commas) return number.lastIndexOf('.') > number.lastIndexOf(',') ? '.' : ',';
  if (!points && !commas) return undefined;
  const sign = points ? '.' : ',';
  if (points + commas > 1) return sign === '.' ? ',' : '.';
  return new RegExp(`^[+-]?[1-9]\\d{0,2}\\${sign}\\d{3}$`).test(number) ? 'either' : sign;
}

/** A temperature of a cell, K; its own unit is stronger than the file's. Nothing where an engine has no such temperature. */
export function kelvinOf(cell: Cell, unit: TemperatureUnit): number | undefined {
  const own = cell.unit === '°C' || cell.unit === '°F' || cell.unit === 'K' ? cell.unit : unit;
  const value = own === 'K' ? cell.value : own === '°F' ? ((cell.value + 459.67) * 5) / 9 : cell.value + ZERO_CELSIUS;
  return value > 200 && value < 800 ? value : undefined;
}
