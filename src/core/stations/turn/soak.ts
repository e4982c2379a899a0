import { ruleNumber } from '../../house-rules/rules.ts';
import type { Context } from '../../findings/context.ts';
import { latestAt, type Instant } from '../../units/instant.ts';

/** When the bores were soaked: by the answer at the hand turn, or by the job. */
export const soakedAt = (c: Context): readonly Instant[] => [
  ...c.record.all('turn.soaked').flatMap((r) => (r.value === 'yes' ? [r.at] : [])),
  ...c.renewed('turn.soaked')
];

/** The latest soak, an empty text where there was none. */
export const lastSoak = (c: Context): Instant => latestAt(soakedAt(c).map((at) => ({ at })));

/** When the oil of the latest soak has had its day, ms since 1970; nothing where there was none. */
export const soakOver = (c: Context): number | undefined => {
  const soaked = lastSoak(c);
  return soaked === '' ? undefined : Date.parse(soaked) + dayMs(c);
};

const dayMs = (c: Context): number => ruleNumber(c.rules, 'nextDay') * 3_600_000;
/** Whether a soak had had its day before an instant: only then does what leaks leak in spite of it. */
export const soakedBefore = (c: Context, at: Instant): boolean =>
  soakedAt(c).some((s) => Date.parse(at) - Date.parse(s) >= dayMs(c));
/** Whether an instant lies in the day of a soak: its oil is in the bores, and seals what it has not freed. */
export const inSoak = (c: Context, at: Instant): boolean =>
  soakedAt(c).some((s) => {
    const since = Date.parse(at) - Date.parse(s);
    return since >= 0 && since < dayMs(c);
  });
