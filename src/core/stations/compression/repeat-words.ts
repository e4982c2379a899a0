import { cylindersSaid, listed } from '../../findings/context.ts';
import { sayLimit } from '../../findings/limit.ts';
import type { System } from '../../units/index.ts';
import { sayDifferences } from './differences-words.ts';
import type { Repeat } from './facts.ts';

/** The repeat that would settle most, and why that one. */
export interface RepeatSaid {
  /** The one thing to measure next. */
  readonly sentence: string;
  readonly because: string;
}

const repeat = (sentence: string, because: string): RepeatSaid => ({ sentence, because });

export function sayRepeat(r: Repeat, units: System): RepeatSaid {
  switch (r.kind) {
    case 'throttle':
      return repeat('Repeat with the throttle wide open.', 'shut, a cylinder cannot breathe and every reading is low');
    case 'range':
      return repeat(
        `Repeat cylinder ${r.cylinder} with a gauge of a larger range.`,
        'a needle at its stop is not a reading'
      );
    case 'adapter':
      return repeat(
        `Repeat cylinder ${r.cylinder} without the adapter, the valve at the plug end.`,
        'the adapter alone may explain it, and nothing else separates the two'
      );
    case 'heated':
      return repeat(
        'Repeat every cylinder.',
        'a run did them harm since, or may have, and they are how they were before it'
      );
    case 'cranking':
      return repeat(
        r.starter ? 'Repeat all on a charged battery.' : 'Repeat all, cranked briskly.',
        'it was cranked weakly, or tired from one cylinder to the next, and reads low for that'
      );
    case 'order':
      return repeat(
        'Repeat all in the reverse order with a charged battery.',
        'the low ones came last while cranking tired'
      );
    case 'unlike':
      return repeat(
        `Repeat cylinder ${r.cylinder} like the others.`,
        `it was read under other conditions (${sayDifferences(r.differs)})`
      );
    case 'missing':
      return repeat(
        `Read cylinder ${r.cylinder}.`,
        `cylinders are compared with each other, and ${listed(r.missing)} ${r.missing.length > 1 ? 'have' : 'has'} no reading`
      );
    case 'head-off':
      return repeat(
        'Read every cylinder again, in one test.',
        `the head was off since ${cylindersSaid(r.cylinders)} ${r.cylinders.length > 1 ? 'were' : 'was'} read`
      );
    case 'falls':
      return repeat(
        `Repeat cylinder ${r.cylinder} with another gauge.`,
        'the needle fell between two pulls, which a sound check valve does not allow'
      );
    case 'single':
      return repeat('Repeat it once.', 'one reading cannot be doubted');
    case 'soaked':
      return repeat(
        'Repeat it a day after the soak.',
        'until then its oil stands in the bores, and lifts every reading'
      );
    case 'leak-down-instead':
      return repeat(
        'No repeat would tell more; leak-down would.',
        'a single cylinder has no neighbour to be compared with'
      );
    case 'none':
      return repeat(
        'No repeat is needed.',
        `the chance that the spread is over ${sayLimit(r.limit, units)} is under ${Math.round(100 * r.doubt)} %`
      );
    case 'lowest':
      return repeat(`Repeat cylinder ${r.cylinder}.`, 'a low reading is doubted before it is believed');
    case 'high':
      return repeat(`Repeat cylinder ${r.cylinder}, dry.`, 'it reads more than such an engine gives');
    case 'odd-high':
      return repeat(
        `Repeat cylinder ${r.cylinder}, its bore blown dry.`,
        'it stands alone over the others, which agree'
      );
    case 'look-in':
      return repeat(
        `Look into the hole of cylinder ${r.cylinder}.`,
        'it reads high again: oil, fuel, water or carbon in it'
      );
    case 'scatter':
      return repeat(`Repeat cylinder ${r.cylinder}.`, 'its readings do not agree with one another');
    case 'best':
      return repeat(`Repeat cylinder ${r.cylinder}.`, 'the others are measured against it, and it was read once');
    case 'heard':
      return repeat(
        'No repeat would tell more here.',
        `${cylindersSaid(r.low)} ${r.low.length > 1 ? 'are' : 'is'} low beyond doubt and leak-down was read: what it points to is opened next`
      );
    case 'tight':
      return repeat(
        'No repeat would tell more here.',
        `${cylindersSaid(r.low)} ${r.low.length > 1 ? 'read low, and leak-down finds them' : 'reads low, and leak-down finds it'} tight: ${r.valves ? 'lash, the marks of the cam drive, then ' : ''}how far ${r.low.length > 1 ? 'their pistons rise' : 'its piston rises'}`
      );
    case 'leak-down':
      return repeat(
        `Leak-down on cylinder ${r.cylinder}: no repeat of this test tells more.`,
        'it is low beyond doubt, and where the air comes out names the part'
      );
    case 'wet-test':
      return repeat(
        `Wet test on cylinder ${r.cylinder}, with a measured dose.`,
        'it is low beyond doubt; oil separates rings from valve, gasket and crown'
      );
    case 'most-doubt':
      return repeat(
        `Repeat cylinder ${r.cylinder} once more.`,
        `of all cylinders its repeat takes most doubt out of the verdict (${Math.round(100 * r.overLimit)} % over the limit as it stands)`
      );
  }
}
