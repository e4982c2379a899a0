import type { Context } from './context.ts';
import type { ItemId } from '../items/register.ts';
import { isAfter, type Instant } from '../units/instant.ts';

/**
 * Finding the part by taking possibilities away: each trial's answer clears some parts or accuses one. The knowledge is
 * data (`Trial`), this file only does the book-keeping, so that what is left is always visible and always explained.
 */
export interface Trial<P extends string = string> {
  readonly item: ItemId;
  /** Why this one comes now, in one sentence. */
  readonly why: string;
  readonly minutes: number;
  /** Parts that an answer rules out. */
  readonly clears: Readonly<Record<string, readonly P[]>>;
  /** The part that an answer points to: the search ends there. */
  readonly accuses: Readonly<Record<string, P>>;
}

export type PartState = 'open' | 'cleared' | 'accused';

export interface Elimination<P extends string = string> {
  readonly parts: readonly {
    readonly id: P;
    readonly label: string;
    readonly state: PartState;
    readonly by?: ItemId;
  }[];
  readonly trials: readonly (Trial<P> & { readonly state: 'done' | 'next' | 'later'; readonly answer?: string })[];
  readonly next?: Trial<P>;
  /** The part found: accused by an answer, or the last one left. */
  readonly found?: { readonly id: P; readonly label: string; readonly by: 'answer' | 'elimination' };
}

/**
 * What the answers so far leave. `answerOf` gives an item's answer, nothing where it was not tried. "unknown" is an answer
 * that clears nobody: the search goes on with the next trial instead of standing still.
 */
export function eliminate<P extends string>(
  parts: readonly { readonly id: P; readonly label: string }[],
  trials: readonly Trial<P>[],
  answerOf: (item: ItemId) => string | undefined
): Elimination<P> {
  const state = new Map<P, { state: PartState; by?: ItemId }>(parts.map((p) => [p.id, { state: 'open' }]));
  const listed = trials.filter((t) =>
    [...Object.values(t.clears).flat(), ...Object.values(t.accuses)].some((p) => state.has(p))
  );
  for (const t of listed) {
    const answer = answerOf(t.item);
    if (answer === undefined) continue;
    for (const p of t.clears[answer] ?? [])
      if (state.get(p)?.state === 'open') state.set(p, { state: 'cleared', by: t.item });
    const accused = t.accuses[answer];
    if (accused !== undefined && state.has(accused)) state.set(accused, { state: 'accused', by: t.item });
  }
  const all = parts.map((p) => ({ ...p, ...state.get(p.id)! }));
  const accused = all.find((p) => p.state === 'accused');
  const open = all.filter((p) => p.state === 'open');
  const lone = !accused && open.length === 1 ? open[0] : undefined;
  const useful = (t: Trial<P>): boolean =>
    [...Object.values(t.clears).flat(), ...Object.values(t.accuses)].some((p) => state.get(p)?.state === 'open');
  const next = accused || lone ? undefined : listed.find((t) => answerOf(t.item) === undefined && useful(t));
  return {
    parts: all,
    trials: listed.map((t) => {
      const answer = answerOf(t.item);
      return {
        ...t,
        state: answer !== undefined ? 'done' : t === next ? 'next' : 'later',
        ...(answer === undefined ? {} : { answer })
      };
    }),
    ...(next ? { next } : {}),
    ...(accused
      ? { found: { id: accused.id, label: accused.label, by: 'answer' as const } }
      : lone
        ? { found: { id: lone.id, label: lone.label, by: 'elimination' as const } }
        : {})
  };
}

/**
 * The standing answer of an item since a round began, "unknown" being one: a re-check after the work asks everything anew. `from`: when it went wrong
 * again after it had been as it should be; what was answered before was no trial of what is wrong now.
 */
export function answerOf(c: Context, item: ItemId, round: number, from?: Instant): string | undefined {
  const list = c.record.all(item, { fromRound: round }).filter((r) => from === undefined || !isAfter(from, r.at));
  const value = (list.findLast((r) => r.value !== 'unknown') ?? list.at(-1))?.value;
  return typeof value === 'string' ? value : undefined;
}
