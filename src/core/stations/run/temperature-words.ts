import type { WordsOf } from '../../findings/fact.ts';
import type { Because } from '../../findings/finding.ts';
import { sayLimit } from '../../findings/limit.ts';
import { say, sayApart, type System } from '../../units/index.ts';
import { BANKS_APART } from './banks.ts';
import type { RunBasis, RunFacts, Watched } from './facts.ts';
import { clock, NEVER_WARM, type WarmingSaid } from './warming.ts';
import { sayWarming } from './warming-words.ts';

/** What the curve of a run rests on. */
export const watched = (run: Watched, units: System): Because => ({
  inputs: [
    `${run.label}: ${run.samples} temperatures at one spot, ${run.minutes.toFixed(0)} min`,
    ...(run.hottest
      ? [`hottest: ${say(run.hottest.temperature, 'temperature', units)} at ${clock(run.hottest.seconds)}`]
      : []),
    ...(run.gap ? [`longest gap in the log: ${Math.round(run.gap / 60)} min`] : [])
  ],
  limit: sayLimit(run.limit, units),
  provenance: 'P',
  source: 'First-order heating; interval by profile likelihood, time constant searched'
});
const fromMemory = { provenance: 'M', source: 'From memory' } as const;

function curve(run: Watched, { fit }: WarmingSaid, units: System): Because {
  const t = (k: number): string => say(k, 'temperature', units);
  return {
    ...watched(run, units),
    ...(fit
      ? {
          value: `plateau ${t(fit.plateau)}, time constant ${Math.round(fit.tau)} s`,
          uncertainty: `${t(fit.low)} to ${fit.high === undefined ? 'no upper limit yet' : t(fit.high)} (95 %); readings scatter ${sayApart(fit.sigma, units, 1)}`
        }
      : {}),
    formula: 'T(t) = T_a + (T_∞ − T_a)·(1 − e^(−t/τ))'
  };
}

/** What is said of the temperatures of a run. */
export const temperatureWords: Pick<WordsOf<RunFacts, RunBasis>, 'heat' | 'heat-through' | 'odd' | 'banks' | 'cold'> = {
  heat: ({ values: { run, warming, doubted } }, _, units) => {
    const { found, advice } = sayWarming(warming, units);
    const second = doubted ? 'A second thermometer read normal: one of them is wrong.' : '';
    return {
      found,
      advice: [advice, second].filter(Boolean).join(' ') || undefined,
      because: curve(run, warming, units)
    };
  },
  'heat-through': ({ values: { run, warming, at, seconds } }, _, units) => ({
    found: `Read ${say(at, 'temperature', units)} after ${clock(seconds)}, under the limit of ${sayLimit(warming.limit, units)}.`,
    because: curve(run, warming, units)
  }),
  odd: ({ values: { run, alone } }, _, units) => ({
    found: `${alone === 1 ? 'One temperature stands' : `${alone} temperatures stand`} far off the readings beside ${alone === 1 ? 'it' : 'them'} and ${alone === 1 ? 'is' : 'are'} left out of the curve.`,
    advice: `Take ${alone === 1 ? 'it' : 'them'} back if it was a slip.`,
    because: {
      ...watched(run, units),
      provenance: 'M',
      source: `From memory: no head jumps ${sayApart(25, units)} within a minute and back`
    }
  }),
  banks: ({ values: { run, hotter, by, warming } }, _, units) => ({
    ...(warming
      ? {
          found: `The ${hotter} bank is ${sayApart(by, units)} ahead while both still warm up: that says nothing yet.`,
          advice: 'Go on reading both until neither climbs; then it counts.'
        }
      : {
          found: `The ${hotter} bank runs ${sayApart(by, units)} hotter: strainer, passages or thermostat of that bank.`,
          advice: 'One cured fault does not clear the other.'
        }),
    because: {
      ...watched(run, units),
      limit: `${sayApart(BANKS_APART, units)} between banks (from memory)`,
      ...fromMemory
    }
  }),
  cold: ({ values: { run, hottest } }, _, units) => ({
    found: `After ${run.minutes.toFixed(0)} minutes it is only ${say(hottest, 'temperature', units)}: it never got warm.`,
    advice:
      'A thermostat that stays open, or none in it; run cold it fouls its plugs, and a four-stroke thins its oil.',
    because: {
      ...watched(run, units),
      limit: `${say(NEVER_WARM.under, 'temperature', units)} within ${NEVER_WARM.minutes} min (from memory)`,
      ...fromMemory
    }
  })
};
