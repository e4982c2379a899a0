export type GrooveVerdict = 'polish' | 'sleeve' | 'shaft';

/** A groove under a seal's lip, m deep, from which on it is more than a polish, and more than a sleeve or a moved lip (M). */
export const GROOVE_SLEEVE = 0.05e-3;
export const GROOVE_SHAFT = 0.2e-3;

/** What a groove of this depth asks for. */
export const grooveVerdict = (depth: number): GrooveVerdict =>
  depth < GROOVE_SLEEVE ? 'polish' : depth <= GROOVE_SHAFT ? 'sleeve' : 'shaft';
