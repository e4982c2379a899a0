import { cylindersSaid, listed } from '../../findings/context.ts';
import { sayLimit } from '../../findings/limit.ts';
import { say, type System } from '../../units/index.ts';
import type { Comparison } from './compare.ts';
import type { Repeat } from './facts.ts';
import type { Figure } from './figures.ts';
import type { NotIdentifiable } from './leak.ts';
import type { PressureVoid } from './measure.ts';
import type { Unlike } from './reference.ts';
import { pressureSaid } from './pressure-said.ts';
import { sayDifferences, sayModel } from './differences-words.ts';

/** A computed figure: its name and the sentence beside it. */
export function sayFigure(
  f: Figure,
  found: Comparison,
  units: System
): { readonly label: string; readonly says: string } {
  const p = pressureSaid(found, units);
  switch (f.id) {
    case 'sea-level':
      return { label: 'At sea level', says: `${p(f.here)} here would be ${p(f.value)} at sea level` };
    case 'altitude-unknown':
      return { label: 'At sea level', says: 'altitude not recorded: taken as sea level' };
    case 'without-adapter':
      return {
        label: 'Lowest, without the adapter',
        says: `the adapter’s ${say(f.dead, 'volume', units)} alone takes it down; without it about ${p(f.value)} (${p(f.low)} to ${p(f.high)})`
      };
    case 'wet-dose':
      return {
        label: 'Wet, the oil’s own share taken off',
        says: `${p(f.rise)} over dry, ${p(f.oil.best)} of it (${p(f.oil.low)} to ${p(f.oil.high)}) the oil’s own volume`
      };
    case 'expected':
      return {
        label: 'Expected of this engine',
        says: `${p(f.low)} to ${p(f.high)} by the cranking model (${sayModel(f.from, units)}); under it is a question, never a fault`
      };
  }
}

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
        `${cylindersSaid(r.low)} ${r.low.length > 1 ? 'are' : 'is'} low beyond doubt and leak-down has been heard: what it points to is opened next`
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

/** Why no leak can be told apart, and what would help. */
export const notIdentifiable: Readonly<Record<NotIdentifiable, string>> = {
  'one cylinder':
    'Not identifiable: one cylinder alone cannot tell a leak from its ratio and heat loss. Leak-down can.',
  'one cylinder and adapter':
    'Not identifiable: on one cylinder a leak and the adapter’s volume look alike. Repeat without the adapter; then leak-down.',
  'adapter unknown':
    'Not identifiable: the volume before this gauge’s check valve is not entered, and a leak and a dead volume look alike. Repeat without the adapter, or measure it.',
  throttle: 'Not identifiable: the throttle was not recorded as wide open. Repeat with it wide open.',
  order: 'Not identifiable: the low ones were tested last while cranking tired. Repeat in the reverse order.',
  scatter:
    'Not identifiable: readings of one cylinder do not agree with one another. Repeat it until the last ones agree.',
  profile: 'Not identifiable yet: the model needs strokes and displacement. Enter them in the profile.'
};

/** Why a reading says nothing, beside the reading. */
export const voidWords: Readonly<Record<PressureVoid | 'outdone', string>> = {
  throttle: 'throttle shut',
  range: 'past the scale',
  falls: 'the needle fell',
  outdone: 'not so when repeated'
};

/** In what another test differs from this one, so that the two cannot be put side by side. */
const unlike: Readonly<Record<Unlike, string>> = {
  instrument: 'another instrument',
  adapter: 'another adapter',
  throttle: 'another throttle',
  bores: 'other oil in the bores',
  engine: 'warm against cold'
};
export const sayUnlike = (list: readonly Unlike[]): string => list.map((k) => unlike[k]).join(', ');
