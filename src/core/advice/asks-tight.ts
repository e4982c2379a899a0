import { LASHES } from '../stations/compression/lash.ts';
import type { Finding } from '../findings/finding.ts';
import type { TestFacts } from '../stations/compression/facts.ts';
import { ofThisPart } from '../findings/renewed.ts';
import { at, lookEach, type AskRule } from './ask.ts';
import { beltLook, depths } from './asks-turn.ts';

/** Low by the gauge and tight by leak-down, and read low once more since: one more reading would tell nothing new. */
export const lowAgainButTight = (f: Finding): boolean =>
  (f.values as Partial<TestFacts['low-but-tight']> | undefined)?.again === true;

/** All of its bank is as low: what they share comes before what each has to itself. */
const ofBank = (f: Finding): boolean =>
  (f.values as Partial<TestFacts['low-but-tight']> | undefined)?.bank !== undefined;

const lash = lookEach((_, f) => `Valve lash${at(f)}`, LASHES, 10);
const unread = (rule: AskRule): AskRule => ({
  ...rule,
  only: ['cannot-tell'],
  open: (c, f) => lowAgainButTight(f) && rule.open(c, f)
});

/**
 * What lowers the reading of a cylinder that holds its air, in the trade's order: valves that shut late, by their lash or their belt; a
 * piston that does not rise as far as the others. C: common practice.
 */
export const lowThoughTight: readonly AskRule[] = [
  unread({ ...beltLook, open: (c, f) => ofBank(f) && beltLook.open(c, f) }),
  unread({ ...lash, open: (c, f) => c.survey.engine.profile.strokes === 'four' && lash.open(c, f) }),
  unread(beltLook),
  unread(depths)
];

/** All of them low, all of them tight, and the belt never looked at. */
export const timingMarks: AskRule = {
  ...beltLook,
  only: ['cannot-tell'],
  open: (c, f) =>
    (f.values as Partial<TestFacts['tight']> | undefined)?.belt === true &&
    ofThisPart(c, 'turn.belt') === undefined &&
    beltLook.open(c, f)
};
