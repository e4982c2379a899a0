import type { Item } from './items.ts';
import { parseQuantity, say, type System } from '../units/index.ts';

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
  return fromSchema(item, typed, typed, units);
}

function fromSchema(item: Item, value: unknown, typed: string, units: System): Checked {
  const result = item.schema.safeParse(value);
  if (result.success) return { ok: true, value: result.data };
  if (item.kind === 'quantity') {
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
  if (item.kind === 'several' && Array.isArray(value))
    return value.length
      ? value.map((v) => item.options.find((o) => o.value === v)?.label ?? String(v)).join(', ')
      : 'none';
  if (item.kind === 'choice') return item.options.find((o) => o.value === value)?.label ?? String(value);
  if (item.kind === 'moment' && typeof value === 'string') return value.slice(0, 16).replace('T', ' ');
  return String(value);
}
