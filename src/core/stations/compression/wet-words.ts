import { practice } from '../../findings/collect.ts';
import type { WordsOf } from '../../findings/fact.ts';
import { say } from '../../units/index.ts';
import type { Comparison } from './compare.ts';
import type { TestFacts } from './facts.ts';
import { pressureSaid } from './pressure-said.ts';

/** What is said of oil in the bores beside the dry readings. */
export const wetWords: Pick<WordsOf<TestFacts, Comparison>, 'wet' | 'wet-all'> = {
  wet: ({ cylinder, values }, found, units) => {
    const p = pressureSaid(found, units);
    const { verdict, rise, oil, dose } = values;
    const fine = (m3: number): string => say(m3, 'volume', units, 1e-7);
    const share = oil && {
      best: p(oil.best - values.dry),
      low: p(oil.low - values.dry),
      high: p(oil.high - values.dry)
    };
    const said: Readonly<Record<typeof verdict, readonly [string, string]>> = {
      lower: [`${p(-rise)} lower than dry, which oil does not do.`, 'Repeat both with the same gauge and battery.'],
      flooded: [
        `the dose of ${fine(dose ?? 0)} would nearly fill the chamber.`,
        'Blow it out and dose about 1 mL per 100 mL.'
      ],
      unmeasured: [
        `${p(rise)} over dry.`,
        `Oil is volume and lifts every reading: without ${dose === undefined ? 'the dose' : 'the engine’s displacement'} nobody can say how much of it is sealing.`
      ],
      rings: [
        `${p(rise)} over dry, ${oil ? p(values.wet - oil.best) : ''} more than the oil’s own volume explains: rings or bore.`,
        'Soak overnight and repeat before condemning.'
      ],
      valve: [
        'it rises no more than the oil’s own volume explains: valve, gasket or crown rather than rings.',
        'Leak-down says which.'
      ],
      open: [
        `${p(rise)} over dry, and the oil’s own volume explains between ${share?.low} and ${share?.high} of it.`,
        'Leak-down decides.'
      ]
    };
    const [words, advice] = said[verdict];
    return {
      found: `Cylinder ${cylinder} wet: ${words}`,
      advice,
      because: practice(
        [
          `cylinder ${cylinder} dry: ${p(values.dry)}`,
          `wet: ${p(values.wet)}`,
          `dose: ${dose === undefined ? 'not noted' : fine(dose)}`
        ],
        'a measured dose, about 1 mL per 100 mL swept, at most 5; plug holes up, turned several times.',
        share && verdict !== 'lower'
          ? {
              value: `rise ${p(rise)}, of which the oil alone ${share.best} (${share.low} to ${share.high})`,
              uncertainty: `± ${p(values.reach)} from the readings, ratio known to ±1`,
              formula: 'oil alone: r′ = (V − v)/(V_c − v), p ∝ r′^1.3'
            }
          : {}
      )
    };
  },
  'wet-all': ({ values }, found, units) => {
    const p = pressureSaid(found, units);
    const [least, most] = [p(Math.min(...values.rises)), p(Math.max(...values.rises))];
    return {
      found: `Every cylinder rises alike with oil, by ${least === most ? least : `${least.split(' ')[0]} to ${most}`}, more than the oil’s own volume explains.`,
      advice: values.stood
        ? 'That is what bores dry from standing do, all together: soak or run it, then repeat dry; nothing is opened for it.'
        : 'All of them dry or washed, or all worn alike: leak-down says whether air passes.',
      because: practice(
        [`rises: ${values.rises.map(p).join(', ')}`],
        'what every cylinder does alike has one cause that they share.'
      )
    };
  }
};
