import { describe, expect, it } from 'vitest';
import { stories, told } from '../../demo/stories.ts';
import { assess } from '../../src/core/assess.ts';
import { surveyFileSchema } from '../../src/core/survey/schema.ts';

/** What must be said, and what must not, at each stage of the stories that stand in the docs; and one of the first two moves. */
const expected: Readonly<Record<string, readonly { says?: RegExp; not?: RegExp; now: RegExp }[]>> = {
  wet: [
    { says: /Repeat it before believing it/, not: /rings|overhaul/i, now: /Compression again of cylinder 2/ },
    { says: /It repeats: it is low/, not: /overhaul/i, now: /Wet test of cylinder 2/ },
    { says: /more than the oil’s own volume explains/, not: /cylinders are alike/, now: /Leak-down of cylinder 2/ },
    { says: /rings or bore/, now: /^Soak the bores/ }
  ],
  adapter: [
    { says: /The cylinders are alike/, now: /Look it over/ },
    { says: /The cylinders are alike/, not: /92 psi|other conditions|unlike|alarming/, now: /Look it over/ }
  ],
  bolt: [
    { says: /No spark on cylinder 2 alone/, now: /against a bolt/ },
    { says: /sparks to a bolt but not through the tester/, not: /Good spark on every/, now: /bright metal/ },
    { says: /engine ground/, not: /Good spark on every/, now: /engine ground/ },
    { says: /Good spark on every cylinder/, not: /ground/, now: /Look it over/ }
  ],
  battery: [
    { says: /a weak battery/, not: /Cylinder 4 is \d+ psi under|rings|valve/, now: /Compression/ },
    { says: /The cylinders are alike/, not: /battery/, now: /Look it over/ }
  ],
  lanyard: [
    {
      says: /lanyard and the switch are not recorded/,
      not: /stop circuit|coil|pack/,
      now: /lanyard in, switch on run/
    },
    { says: /that says nothing/, not: /stop circuit|coil|pack/, now: /lanyard in, switch on run/ },
    { says: /Good spark on every cylinder/, not: /No spark|sometimes/, now: /Look it over/ }
  ],
  'cold-head': [
    { says: /look again at thirty seconds/, not: /outlet or its line/, now: /stream again at thirty seconds/ },
    { says: /says nothing about the pump/, not: /not to the pump/, now: /^Stop it now/ },
    { says: /One cured fault does not clear the other/, now: /^Look at the stream again/ }
  ],
  depths: [
    { says: /lie further apart than the tolerance/, not: /depth at top agrees/, now: /Piston depth/ },
    { says: /depth at top agrees/, now: /Crankcase/ }
  ],
  'case-test': [
    { says: /Water in the gear oil/, now: /Case test, low stage first/ },
    { says: /Turn both shafts/, not: /held its test/, now: /turn both shafts at the low stage/ },
    { says: /high stage not read and vacuum stage not read/, not: /held its test/, now: /the high stage now/ },
    {
      says: /“Held” was said, but the stages do not show it/,
      not: /The case held its test/,
      now: /the high stage now/
    },
    {
      says: /The case held its test, every stage of it/,
      not: /Find the way in/,
      now: /Refill the gear case|Look it over/
    }
  ]
};

describe.each(stories)('$title', (story) => {
  it('is a survey that opens', () => expect(surveyFileSchema.safeParse(told(story)).error?.issues).toBeUndefined());
  it.each(story.stages.map((s, k) => [s.entered, k] as const))('%s', (_, k) => {
    const survey = told(story, k + 1);
    const a = assess(survey, new Date(survey.readings.at(-1)!.at), 'us');
    const said = a.findings.map((f) => f.sentence).join('\n');
    const { says, not, now } = expected[story.id]![k]!;
    if (says) expect(said).toMatch(says);
    if (not) expect(said).not.toMatch(not);
    expect(
      a.moves
        .filter((m) => !m.waits)
        .slice(0, 2)
        .map((m) => m.title)
        .join(' | ')
    ).toMatch(now);
  });
});
