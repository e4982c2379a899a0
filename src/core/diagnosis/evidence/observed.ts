import { isAfter, latestAt } from '../../units/instant.ts';
import type { Context } from '../../findings/context.ts';
import { lastTelling } from '../../findings/renewed.ts';
import type { ItemId } from '../../stations/items.ts';
import { ABSENT, PRESENT, type Likelihood } from '../network.ts';

/** What the record says of one sign, and when it was read last. Nothing recorded is no evidence at all. */
export interface Observed {
  readonly likelihood: Likelihood;
  readonly at: string;
}
/** What a measurement says of a sign; null where what was said of it says nothing any more, whoever said it. */
export type Measure = (c: Context, cylinder: number | undefined, found: Findings) => Observed | undefined | null;
/** Conditions of findings by id, for what a station has judged already. */
export type Findings = ReadonlyMap<string, string>;

/** Plainly normal, plainly there: beyond fifty to one a measurement is taken at its word (M). */
const PLAIN = 0.02;
/** How much a reading that is not quite plain counts: P(reading | there), P(reading | not there). */
export const soft = (present: number, absent: number): Likelihood => {
  const top = Math.max(present, absent, 1e-300);
  const [p, q] = [present / top, absent / top];
  return p < PLAIN ? ABSENT : q < PLAIN ? PRESENT : { present: p, absent: q };
};
export const seen = (there: boolean, at: string): Observed => ({ likelihood: there ? PRESENT : ABSENT, at });
export const leaning = (present: number, absent: number, at: string): Observed => ({
  likelihood: soft(present, absent),
  at
});

/** However far past its limit, a figure convicts no more surely than this, in log odds (M: about four hundred to one). */
const SUREST = 6;

/**
 * What a figure says of a sign that begins at a limit: even where it stands on it, and the surer the further it is past, or
 * short of it. `reach` is what instrument and limit together may be off (one standard deviation, in the figure's unit): one step of
 * the instrument never turns a suspect from likely to unlikely. `least` and `most` bound what it can say either way, in log odds.
 */
export function past(
  value: number,
  limit: number,
  reach: number,
  at: string,
  { least = -SUREST, most = SUREST }: { readonly least?: number; readonly most?: number } = {}
): Observed {
  const says = Math.max(least, Math.min(most, (value - limit) / reach));
  return {
    likelihood: says >= 0 ? { present: 1, absent: Math.exp(-says) } : { present: Math.exp(says), absent: 1 },
    at
  };
}

/** A word read last, "unknown" and "not fitted" being none. */
export function wordOf(
  c: Context,
  what: ItemId,
  cylinder?: number
): { value: string | readonly string[]; at: string } | undefined {
  const r = lastTelling(c, what, cylinder);
  // What was seen of a part before it was renewed or set is of the old one.
  if (r && c.renewed(what).some((at) => isAfter(at, r.at))) return undefined;
  const value: unknown = r?.value;
  if (!r || value === undefined || value === 'unknown' || value === 'not-fitted' || typeof value === 'number')
    return undefined;
  return { value: value as string | readonly string[], at: r.at };
}

/** A sign read from words: there when any of its answers was given, not there when another was; nothing where it is left open. */
export function fromWords(
  c: Context,
  reads: readonly {
    readonly item: string;
    readonly present: readonly string[];
    readonly open?: readonly string[] | undefined;
  }[],
  cylinder: number | undefined
): Observed | undefined {
  const answers = reads.flatMap(({ item, present, open }) => {
    const w = wordOf(c, item as ItemId, cylinder);
    const settled = w && ![w.value].flat().every((v) => open?.includes(v as string) ?? false);
    return w && settled ? [{ at: w.at, there: [w.value].flat().some((v) => present.includes(v as string)) }] : [];
  });
  if (!answers.length) return undefined;
  const there = answers.filter((a) => a.there);
  const at = latestAt(there.length ? there : answers);
  return seen(there.length > 0, at);
}
