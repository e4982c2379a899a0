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
  return soaked === '' ? undefined : Date.parse(soaked) + ruleNumber(c.rules, 'nextDay') * 3_600_000;
};
