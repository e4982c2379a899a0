import type { Condition } from '$core/findings/finding.ts';

/** The colour that goes with the shape and the word of a condition. */
export const conditionColours: Readonly<Record<Condition, string>> = {
  'not-looked-at': 'var(--color-base-content)',
  sound: 'var(--color-success)',
  watch: 'var(--color-warning)',
  fault: 'var(--color-error)',
  held: 'var(--color-hold)',
  'cannot-tell': 'var(--color-base-content)'
};
