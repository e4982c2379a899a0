import type { SurveyFile } from '../record/survey-file.ts';

/**
 * What turns one survey into a later one of the same assessment. Lists only grow as a rule, so that a reading more is one
 * entry and not the whole record: a worker that keeps the survey is told of it in microseconds, and what it has worked out
 * for the readings that stayed the same objects it uses again.
 */
export type SurveyDelta =
  | { readonly whole: SurveyFile }
  | {
      readonly changed: readonly (readonly [string, unknown])[];
      readonly added: readonly (readonly [string, readonly unknown[]])[];
    };

type Lists = Readonly<Record<string, unknown>>;

/** Whether a list begins with all that another one holds, the very same entries. */
const goesOn = (old: readonly unknown[], now: readonly unknown[]): boolean =>
  old.length <= now.length && old.every((entry, k) => entry === now[k]);

/** What must be told to somebody who has `old`, or has nothing yet, so that he has `now`. */
export function deltaBetween(old: SurveyFile | undefined, now: SurveyFile): SurveyDelta {
  if (!old) return { whole: now };
  const [was, is] = [old as unknown as Lists, now as unknown as Lists];
  if (Object.keys(was).some((key) => !Object.hasOwn(is, key))) return { whole: now };
  const different = Object.keys(is).filter((key) => was[key] !== is[key]);
  const grown = (key: string): boolean => {
    const [a, b] = [was[key], is[key]];
    return Array.isArray(a) && Array.isArray(b) && goesOn(a, b);
  };
  return {
    changed: different.filter((key) => !grown(key)).map((key) => [key, is[key]]),
    added: different.filter(grown).map((key) => [key, (is[key] as unknown[]).slice((was[key] as unknown[]).length)])
  };
}

/** @throws {Error} when only a difference is told to somebody who has nothing yet */
export function applyDelta(old: SurveyFile | undefined, delta: SurveyDelta): SurveyFile {
  if ('whole' in delta) return delta.whole;
  if (!old) throw new Error('A difference was told, and there is no survey that it could be added to.');
  const lists = old as unknown as Lists;
  return Object.assign(
    { ...old },
    Object.fromEntries(delta.changed),
    Object.fromEntries(delta.added.map(([key, more]) => [key, [...(lists[key] as unknown[]), ...more]]))
  );
}
