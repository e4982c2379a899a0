/** A fault, or a wrong measurement: present or not, with its probability before anything was looked at. */
export interface Cause {
  readonly id: string;
  readonly prior: number;
}

/** Something that can be seen: noisy-OR of its causes, with a leak for everything this network does not know. */
export interface Sign {
  readonly id: string;
  readonly leak: number;
  readonly causes: readonly { readonly cause: number; readonly strength: number }[];
}

/**
 * Two layers, causes and signs. P(sign absent | causes) = (1 − leak)·Π(1 − strength) over the causes present.
 * P: Pearl 1988, "Probabilistic Reasoning in Intelligent Systems", noisy-OR and virtual evidence.
 */
export interface Network {
  readonly causes: readonly Cause[];
  readonly signs: readonly Sign[];
}

/**
 * What was seen of a sign, as P(reading | present) and P(reading | absent), up to a common factor: (1, 0) for plainly
 * there, (0, 1) for plainly not, between for a measured quantity. A sign without evidence is not looked at.
 */
export interface Likelihood {
  readonly present: number;
  readonly absent: number;
}
export type Evidence = ReadonlyMap<number, Likelihood>;

export const PRESENT: Likelihood = { present: 1, absent: 0 };
export const ABSENT: Likelihood = { present: 0, absent: 1 };

/** ln(p/(1 − p)), held within what a double can tell apart. */
export const logOdds = (p: number): number => {
  const q = Math.min(1 - 1e-12, Math.max(1e-12, p));
  return Math.log(q / (1 - q));
};
