import * as z from 'zod/mini';
import { optionIds, type OptionId } from '../record/options.ts';
import type { Truth } from './truth.ts';

/** How sure somebody is that a suspect is there, with the chance that the word stands for (M). */
export const marks = {
  likely: { label: 'likely', chance: 0.85 },
  possible: { label: 'possible', chance: 0.4 },
  no: { label: 'no', chance: 0.02 }
} as const;
export type Mark = keyof typeof marks;
export const markNames = Object.keys(marks) as Mark[];

/** What is said before the truth is shown. */
export const statementSchema = z.strictObject({
  marks: z.record(z.string().check(z.maxLength(60)), z.enum(markNames as [Mark, ...Mark[]])),
  option: z.optional(z.enum(optionIds as [OptionId, ...OptionId[]])),
  /** What it will cost from here, cr. */
  cost: z.optional(z.number().check(z.gte(0), z.lte(1e6)))
});
export type Statement = z.infer<typeof statementSchema>;

export interface Score {
  /** Mean squared error of what was said over every suspect of this engine (P: Brier 1950). 0 is perfect. */
  readonly brier: number;
  /** The same of somebody who only knows how often each fault comes. */
  readonly baseline: number;
  readonly suspects: number;
  /** Chances said and what was true, for the sum over exercises. */
  readonly pairs: readonly { readonly said: Mark; readonly there: boolean }[];
}

/** Scores a statement against the truth; what was not marked counts as "no". Wrong measurements are no faults and not scored. */
export function scoreOf(truth: Truth, statement: Statement): Score {
  const marked = new Map(Object.entries(statement.marks));
  let [mine, base] = [0, 0];
  const pairs: { said: Mark; there: boolean }[] = [];
  truth.model.suspects.forEach((s, i) => {
    if (s.kind.artefact) return;
    const there = truth.faults.has(s.id);
    const said = marked.get(s.id) ?? 'no';
    pairs.push({ said, there });
    mine += (marks[said].chance - Number(there)) ** 2;
    base += (truth.model.network.causes[i]!.prior - Number(there)) ** 2;
  });
  const n = Math.max(1, pairs.length);
  return { brier: mine / n, baseline: base / n, suspects: pairs.length, pairs };
}

export interface Calibration {
  readonly mark: Mark;
  /** How often it was said, and how often it was true. */
  readonly said: number;
  readonly true: number;
}
/** What each word was worth, over all exercises of one person. */
export function calibrationOf(scores: readonly Score[]): Calibration[] {
  const pairs = scores.flatMap((s) => s.pairs);
  return markNames.map((mark) => {
    const mine = pairs.filter((p) => p.said === mark);
    return { mark, said: mine.length, true: mine.filter((p) => p.there).length };
  });
}
