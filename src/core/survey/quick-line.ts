import { PSI } from '../units/factors.ts';
import { allItems, type ItemId } from '../stations/items.ts';
import { parseQuantity, say, type System } from '../units/index.ts';
import { checkEntry, sayValue } from '../items/check-entry.ts';
import type { Conditions } from '../record/reading.ts';

export interface QuickEntry {
  readonly what: ItemId;
  /** Left out where the item belongs to no cylinder. */
  readonly cylinder?: number;
  readonly value: number | string | readonly number[];
  readonly typed: string;
  readonly conditions?: Conditions;
  /** What it will record, in words. */
  readonly says: string;
}
export type QuickResult =
  | { readonly ok: true; readonly entries: readonly QuickEntry[] }
  | { readonly ok: false; readonly message: string; readonly at: number; readonly entries: readonly QuickEntry[] };

interface Token {
  readonly text: string;
  readonly at: number;
}

const tokens = (line: string): Token[] => [...line.matchAll(/\S+/g)].map((m) => ({ text: m[0], at: m.index }));
const sparkWords: ReadonlyMap<string, 'good' | 'weak' | 'none'> = new Map(
  Object.entries({
    good: 'good',
    g: 'good',
    ok: 'good',
    weak: 'weak',
    w: 'weak',
    none: 'none',
    n: 'none',
    no: 'none'
  } as const)
);

/** Figures by their word: every item that declares one. */
const figures: ReadonlyMap<string, ItemId> = new Map(
  (Object.keys(allItems) as ItemId[]).flatMap((id) => {
    const { quick } = allItems[id];
    return quick ? [[quick, id] as const] : [];
  })
);

/** The words of a station's figures, for the line that stands on its sheet. */
export const quickWords = (station: string): string[] =>
  [...figures].filter(([, id]) => id.startsWith(`${station}.`)).map(([word]) => word);

/** "head 61 °C", "dip 6 mm 6 mm", "depth 1 62.01 mm 2 62.03 mm": one word, then its figures, each after its cylinder where it has one. */
function parseFigures(
  what: ItemId,
  list: readonly Token[],
  end: number,
  cylinders: number | undefined,
  units: System
): QuickResult {
  const item = allItems[what];
  const entries: QuickEntry[] = [];
  const fail = (message: string, at: number): QuickResult => ({ ok: false, message, at, entries });
  let k = 1;
  while (k < list.length) {
    let cylinder: number | undefined;
    if (item.perCylinder) {
      const token = list[k]!;
      if (!/^\d{1,2}$/.test(token.text))
        return fail(`A cylinder number is expected here, not “${token.text}”.`, token.at);
      cylinder = Number(token.text);
      if (cylinder < 1 || (cylinders !== undefined && cylinder > cylinders))
        return fail(`There is no cylinder ${cylinder}${cylinders ? `; this engine has ${cylinders}` : ''}.`, token.at);
      k += 1;
    }
    const value = list[k];
    if (!value) return fail(`Cylinder ${cylinder} has no reading yet.`, end);
    const unit = list[k + 1];
    const joined = unit && !/^[-−+]?\d/.test(unit.text);
    const typed = joined ? `${value.text} ${unit.text}` : value.text;
    const checked = checkEntry(item, typed, units);
    if (!checked.ok) return fail(checked.message, value.at);
    if (!item.repeated && !item.perCylinder && entries.length) return fail('One figure is enough here.', value.at);
    k += joined ? 2 : 1;
    entries.push({
      what,
      ...(cylinder === undefined ? {} : { cylinder }),
      value: checked.value as number,
      typed,
      says: `${cylinder === undefined ? item.label.toLowerCase() : `cylinder ${cylinder}`}: ${sayValue(item, checked.value, units)}`
    });
  }
  return entries.length ? { ok: true, entries } : fail('Now the figure.', end);
}

/**
 * One line for a whole check: "comp 1 98 2 74 w2 101" (w: wet, bores oiled) or "spark 1 good 2 none".
 * Shape: text in, entries out with what each will record; an error points at its character and keeps what came before it.
 */
export function parseQuickLine(line: string, cylinders: number | undefined, units: System): QuickResult {
  const list = tokens(line);
  const head = list[0];
  const fail = (message: string, at: number, entries: readonly QuickEntry[] = []): QuickResult => ({
    ok: false,
    message,
    at,
    entries
  });
  if (!head) return fail('Start with a check: comp or spark, then cylinder and reading, “comp 1 98 2 74”.', 0);
  const word = head.text.toLowerCase();
  const kind =
    word.length > 1 && 'compression'.startsWith(word)
      ? 'comp'
      : word.length > 1 && 'spark'.startsWith(word)
        ? 'spark'
        : undefined;
  const figure = kind ? undefined : figures.get(word);
  if (figure) return parseFigures(figure, list, line.length, cylinders, units);
  if (!kind)
    return fail(
      `“${head.text}” is not a word this line knows. Start with comp, spark, ${[...figures.keys()].join(', ')}.`,
      head.at
    );
  const entries: QuickEntry[] = [];
  let k = 1;
  while (k < list.length) {
    const token = list[k]!;
    const place = /^(w?)(\d{1,2})[:=]?$/i.exec(token.text);
    if (!place) return fail(`A cylinder number is expected here, not “${token.text}”.`, token.at, entries);
    const cylinder = Number(place[2]);
    if (cylinder < 1 || (cylinders !== undefined && cylinder > cylinders))
      return fail(
        `There is no cylinder ${cylinder}${cylinders ? `; this engine has ${cylinders}` : ''}.`,
        token.at,
        entries
      );
    const wet = place[1] !== '';
    const value = list[k + 1];
    if (!value) return fail(`Cylinder ${cylinder} has no reading yet.`, line.length, entries);
    if (kind === 'spark') {
      if (wet) return fail('Spark has no wet reading; write the number alone.', token.at, entries);
      const result = sparkWords.get(value.text.toLowerCase());
      if (!result) return fail(`“${value.text}” is not a spark: good, weak or none.`, value.at, entries);
      entries.push({
        what: 'spark.result',
        cylinder,
        value: result,
        typed: value.text,
        says: `cylinder ${cylinder}: ${result}`
      });
      k += 2;
      continue;
    }
    const unit = list[k + 2];
    const joined = unit && /^[a-z/²]+$/i.test(unit.text) && !/^w\d/i.test(unit.text);
    const typed = joined ? `${value.text} ${unit.text}` : value.text;
    if (/^\d[\d.,]*(\/\d[\d.,]*)+/.test(value.text)) {
      const series = checkEntry(allItems['compression.pulls'], typed, units);
      if (!series.ok) return fail(series.message, value.at, entries);
      k += joined ? 3 : 2;
      entries.push({
        what: 'compression.pulls',
        cylinder,
        value: series.value as readonly number[],
        typed,
        ...(wet ? { conditions: { bores: 'oiled' as const } } : {}),
        says: `cylinder ${cylinder}: ${sayValue(allItems['compression.pulls'], series.value, units)}${wet ? ', wet' : ''}`
      });
      continue;
    }
    const parsed = parseQuantity(typed, 'pressure', units);
    if (!parsed.ok)
      return fail(
        parsed.message,
        value.at + (joined ? parsed.at : Math.min(parsed.at, value.text.length - 1)),
        entries
      );
    const checked = allItems['compression.pressure'].schema.safeParse(parsed.si);
    if (!checked.success)
      return fail(`${typed} cannot be true: ${checked.error.issues[0]?.message ?? 'out of range'}.`, value.at, entries);
    k += joined ? 3 : 2;
    const oil = wet && /^[\d.,]+(ml|cc|oz)$/i.test(list[k]?.text ?? '') ? list[k] : undefined;
    const dose = oil && parseQuantity(oil.text, 'volume', units);
    if (oil && (!dose?.ok || dose.si > 1e-4))
      return fail(
        dose?.ok ? `${oil.text} is no dose for a bore: about 1 mL per 100 mL swept, at most 5.` : (dose?.message ?? ''),
        oil.at,
        entries
      );
    if (oil) k += 1;
    const said = dose?.ok ? `, ${say(dose.si, 'volume', units, 1e-7)} of oil` : '';
    entries.push({
      what: 'compression.pressure',
      cylinder,
      value: parsed.si,
      typed,
      ...(wet ? { conditions: { bores: 'oiled' as const, ...(dose?.ok ? { dose: dose.si } : {}) } } : {}),
      says: `cylinder ${cylinder}: ${say(parsed.si, 'pressure', units, PSI)}${wet ? `, wet${said}` : ''}`
    });
  }
  return entries.length ? { ok: true, entries } : fail('Now cylinder and reading, for example “1 98”.', line.length);
}
