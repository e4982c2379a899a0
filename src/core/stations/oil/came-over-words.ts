import { practice } from '../../findings/collect.ts';
import type { Words } from '../../findings/fact.ts';
import { say, type System } from '../../units/index.ts';
import type { OilFacts } from './facts.ts';

/** What is said of more oil than the engine takes. */
export function cameOverWords({ volume, sump }: OilFacts['came-over'], units: System): Words {
  const [out, takes] = [say(volume, 'volume', units), say(sump, 'volume', units)];
  return {
    found: `${out} of engine oil came out, where ${takes} go in: overfilled, or fuel or water has joined it.`,
    advice: 'Smell it, and let it settle in a clear jar, before it is poured away.',
    because: practice(
      [`came out: ${out}`, `the sump takes: ${takes}`],
      'oil does not grow; what is over came from somewhere.'
    )
  };
}
