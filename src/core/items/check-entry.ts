import type { Item, RunLog } from './item.ts';
import { parseQuantity, say, show, type System } from '../units/index.ts';

export type Checked = { readonly ok: true; readonly value: unknown } | { readonly ok: false; readonly message: string };

/**
 * Checks what was typed or chosen for an item: the one place where a form field becomes a value.
 * "unknown" and "?" are always understood. Never throws.
 */
export function checkEntry(item: Item, typed: string, units: System): Checked {
  const word = typed.trim().toLowerCase();
  if (word === 'unknown' || word === '?') return fromSchema(item, 'unknown', typed, units);
  if (item.kind === 'quantity') {
    const parsed = parseQuantity(typed, item.dimension, units);
    if (!parsed.ok) return { ok: false, message: parsed.message };
    if (item.dimension === 'count' && !Number.isInteger(parsed.si))
      return { ok: false, message: 'Whole numbers only here.' };
    return fromSchema(item, parsed.si, typed, units);
  }
  if (item.kind === 'series') return fromSeries(item, typed, units);
  return fromSchema(item, typed, typed, units);
}

type Series = Extract<Item, { kind: 'series' }>;

/** "48 74 88 95 psi": numbers apart by spaces, semicolons or slashes; a unit at the end counts for all. */
export function splitSeries(typed: string): string[] {
  // White space is made one space first: a long stretch of it would be gone over once for each of its characters.
  const parts = typed
    .trim()
    .replace(/\s+/g, ' ')
    .split(/[ ;/]{1,3}(?=\d)/);
  const unit = /^[\d.,]+\s*([^\d.,\s].*)$/.exec(parts.at(-1) ?? '')?.[1] ?? '';
  return parts.map((p) => (/[^\d.,\s]/.test(p) ? p : `${p} ${unit}`.trim()));
}

function fromSeries(item: Series, typed: string, units: System): Checked {
  const values: number[] = [];
  for (const part of splitSeries(typed)) {
    const parsed = parseQuantity(part, item.dimension, units);
    if (!parsed.ok) return { ok: false, message: parsed.message };
    values.push(parsed.si);
  }
  return fromSchema(item, values, typed, units);
}

function fromSchema(item: Item, value: unknown, typed: string, units: System): Checked {
  const result = item.schema.safeParse(value);
  if (result.success) return { ok: true, value: result.data };
  if (item.kind === 'series' && Array.isArray(value) && value.length < 2)
    return { ok: false, message: 'Two pulls or more make a series; one number alone is the needle at rest.' };
  if (item.kind === 'quantity' || item.kind === 'series') {
    const range = `${say(item.min, item.dimension, units)} to ${say(item.max, item.dimension, units)}`;
    return {
      ok: false,
      message: `“${typed.trim()}” cannot be true here; it lies between ${range}. Check the number and its unit.`
    };
  }
  return {
    ok: false,
    message:
      item.kind === 'text'
        ? `This is ${result.error.issues[0]?.message ?? 'too long'}; what you typed is kept here.`
        : `“${typed}” is not one of the answers.`
  };
}

/** A value in the words of its item: "95 psi", "two-stroke", "slivers". */
export function sayValue(item: Item, value: unknown, units: System): string {
  if (value === undefined || value === '') return 'not recorded';
  if (value === 'unknown') return 'unknown';
  if (item.kind === 'quantity' && typeof value === 'number')
    return item.label === 'Year' ? String(value) : say(value, item.dimension, units);
  if (item.kind === 'series' && Array.isArray(value))
    return value
      .map((v, k) => (k < value.length - 1 ? show(v, item.dimension, units).number : say(v, item.dimension, units)))
      .join(' · ');
  if (item.kind === 'photo') return 'photograph';
  if (item.kind === 'log') return `a logger’s record of ${(value as RunLog).rows} rows`;
  if (item.kind === 'several' && Array.isArray(value))
    return value.length
      ? value.map((v) => item.options.find((o) => o.value === v)?.label ?? String(v)).join(', ')
      : 'none';
  if (item.kind === 'choice') return item.options.find((o) => o.value === value)?.label ?? String(value);
  if (item.kind === 'moment' && typeof value === 'string') return value.slice(0, 16).replace('T', ' ');
  return String(value);
}
