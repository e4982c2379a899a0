import { describe, expect, it } from 'vitest';
import { Bench } from '../../../test/case.ts';
import { two } from '../../../test/stories/engines.ts';
import type { Advice } from '../advice/advice.ts';
import type { SuspectView } from '../diagnosis/suspects.ts';
import type { Step } from '../plan/plan.ts';
import { decide, type Decision } from './decide.ts';
import { answerBy, ownersQuestion } from './question.ts';

const now = new Date('2026-05-04T12:00:00.000Z');
const judged = new Bench(two, 'spring-return').assessed();
const decided: Decision = {
  ...decide(judged, 50),
  recommended: 'repair',
  agreed: false,
  spent: 0,
  open: [],
  sums: { established: 200, likely: 0, reserve: 90 },
  cost: { mean: 290, deviation: 10, low: 200, median: 290, high: 400 }
};
const suspect = (more: Partial<SuspectView> = {}): SuspectView =>
  ({
    label: 'thermostat stuck shut',
    raised: true,
    mended: false,
    artefact: false,
    chance: 'likely',
    settling: 'shows',
    probability: 0.99,
    step: 'thermostat',
    ...more
  }) as SuspectView;
const step = (id: string, title: string, more: Partial<Step> = {}): Step =>
  ({ id, title, state: 'open', proof: { station: 'cooling', text: '' }, ...more }) as Step;
const asked = (d: Partial<Decision>, suspects: readonly SuspectView[] = [], steps: readonly Step[] = []): string =>
  ownersQuestion(judged, { ...decided, ...d }, { suspects } as unknown as Advice, steps, now);

describe('the owner’s paragraph', () => {
  it('says found where its look shows it beyond doubt, and probably otherwise', () => {
    expect(asked({}, [suspect()])).toMatch(/^Test, found: thermostat stuck shut\./);
    expect(asked({}, [suspect({ settling: 'made' })])).toMatch(/^Test, probably: thermostat/);
    expect(asked({}, [suspect({ probability: 0.95 })])).toMatch(/^Test, probably: thermostat/);
    expect(asked({}, [suspect(), suspect({ label: 'worn pump', probability: 0.9 })])).toMatch(/probably: thermostat/);
  });
  it('names no suspect that nothing points to, that was mended, that is a reading, or that is only possible', () => {
    for (const more of [{ raised: false }, { mended: true }, { artefact: true }, { chance: 'possible' as const }])
      expect(asked({}, [suspect(more)])).not.toMatch(/thermostat/);
  });
  it('names three and counts the rest', () => {
    const of = (n: number): string =>
      asked(
        {},
        Array.from({ length: n }, (_, k) => suspect({ label: `part ${k}` }))
      );
    expect(of(3)).toMatch(/found: part 0, part 1 and part 2\./);
    expect(of(4)).toMatch(/part 2, and one thing more\./);
    expect(of(6)).toMatch(/part 2, and 3 things more\./);
  });
  it('lists work beside what was found, not the work that is for it, nor what may wait, nor a look', () => {
    const steps = [
      step('thermostat', 'Renew the thermostat'),
      step('hoses', 'Renew hoses and bulb'),
      step('anodes', 'Renew the anodes', { by: 'at the next haul-out' }),
      step('compression-repeat', 'Compression again')
    ];
    const text = asked({}, [suspect()], steps);
    expect(text).toMatch(/To be done besides: renew hoses and bulb\./);
    expect(text).not.toMatch(/anodes|again\./);
    expect(asked({}, [], [steps[1]!])).toMatch(/^Test\. To be done: renew hoses and bulb\./);
  });
  it('what was done and not proved is said so', () =>
    expect(asked({}, [], [step('thermostat', 'Renew the thermostat', { state: 'done' })])).toMatch(
      /Done, and to be proved: renew the thermostat\./
    ));
  it('says what is likely besides, and what went into it, only where that is money', () => {
    expect(asked({})).toMatch(/What is certain costs about 200 cr; nine times in ten the whole stays under 400 cr\./);
    expect(asked({ sums: { ...decided.sums, likely: 120 } })).toMatch(/, what is likely about 120 cr more;/);
    expect(asked({ spent: 60 })).toMatch(/About 60 cr went into it so far\. What is certain costs about 200 cr more;/);
    expect(asked({ spent: 4 })).not.toMatch(/went into it/);
  });
  it('asks within his word, past it, or not at all where he has said yes', () => {
    expect(asked({ recommended: 'repair-under', ceiling: 500, remaining: 500 })).toMatch(
      /May we go ahead up to 500 cr, and ask again before it passes that\?/
    );
    expect(asked({ recommended: 'repair-under', ceiling: 150, remaining: 150 })).toMatch(
      /That passes the 150 cr you gave us\. May we go up to 400 cr in all/
    );
    expect(asked({ agreed: true, ceiling: 500 })).toMatch(
      /You agreed to it: we go ahead and ask again before it passes 500 cr in all\.$/
    );
    expect(asked({ agreed: true })).toMatch(/You agreed to it: we go ahead/);
    expect(asked({ agreed: true, recommended: 'specialist' })).toMatch(/We advise a specialist’s price/);
  });
  it('where not enough is known it says what comes first, and asks for nothing', () => {
    const text = asked({ recommended: 'hold', open: ['Compression', 'Spark', 'Fuel'] });
    expect(text).toMatch(/First: Compression; Spark\. We order nothing before that/);
    expect(text).not.toMatch(/Please answer/);
    expect(asked({ recommended: 'hold', next: 'Turn it by hand' })).toMatch(/First: Turn it by hand\./);
  });
});

it('nothing is asked by a day of who has said yes, or where it is only serviced', () => {
  const day = (d: Partial<Decision>): Date | undefined => answerBy(judged.context.survey, { ...decided, ...d }, now);
  expect(day({})).toEqual(new Date('2026-05-11T12:00:00.000Z'));
  expect(day({ agreed: true })).toBeUndefined();
  expect(day({ agreed: true, recommended: 'parts' })).toBeDefined();
  expect(day({ recommended: 'service' })).toBeUndefined();
});
