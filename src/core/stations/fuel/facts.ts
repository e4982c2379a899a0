import type { Rail } from './rail.ts';
import type { Analysed, FactOf } from '../../findings/fact.ts';
import type { Judged } from '../../findings/limit.ts';
import type { ChosenSchool } from '../../house-rules/rules.ts';
import type { FuelAge } from './age.ts';
import type { AskedMix } from './asked-mix.ts';
import type { AirPlace } from './air.ts';
import type { LineFault, LinePart } from './line.ts';
import type { FuelPart } from './symptoms.ts';
import type { LineVacuum } from './vacuum.ts';

/** Months, whether they only follow from the years it stood, and the limit that they are held against. */
export interface Aged {
  readonly months: number | undefined;
  readonly assumed: boolean;
  readonly limit: Judged;
  readonly kind: string | undefined;
  readonly stabilised: string | undefined;
}
/** What the jar shows; the share of it that is water. */
interface Jar {
  readonly look: string | undefined;
  readonly share?: number;
}
/** Suction at the pump, Pa; at idle and at speed, and the lift of the fuel alone, m. */
export interface Suction {
  readonly read: LineVacuum;
  readonly idle?: number;
  readonly speed?: number;
  readonly lift?: number;
}
/** Fuel over oil by volume, and what is asked of this engine. */
interface Mixed {
  readonly mix: number;
  readonly asked: AskedMix;
}
/** Pa pumped up, what was left, minutes, and the share lost in a minute. */
interface Pumped {
  readonly from: number;
  readonly to: number;
  readonly minutes: number;
  readonly lost: number;
}

export interface FuelFacts {
  /** Everything that held old fuel is emptied or filled fresh. */
  fresh: object;
  /** Called fresh, and said to be older than the house drains at since; months. */
  'age-doubted': { readonly months: number };
  /** The same, and nothing is filled in yet. */
  emptied: object;
  'age-unknown': Aged & { readonly jar: boolean };
  'age-old': Aged;
  'age-doubtful': Aged;
  'age-good': Aged & { readonly verdict: FuelAge };
  /** The fuel beside it is good; old fuel was said to be in these. */
  'left-old': Aged & { readonly places: readonly string[] };
  carburettor: { readonly idle: number | undefined; readonly school: ChosenSchool };
  'jar-water': Jar;
  /** `stood`: cloudy again after it stood. */
  'jar-cloudy': Jar & { readonly stood: boolean };
  'jar-dark': Jar & { readonly injected: boolean };
  'jar-clear': Jar;
  /** Where air comes in. */
  air: { readonly at: AirPlace };
  /** Bubbles were seen, the line was worked on, and nobody looked again. */
  'bubbles-before': object;
  /** Sucked flat or soft, the line was worked on, and nobody squeezed it again. */
  'bulb-before': { readonly was: 'flat' | 'soft' };
  /** What is wrong at a part of the line. */
  part: { readonly part: LinePart; readonly faults: readonly LineFault[] };
  /** Key on, and the pump of rail or separator does not run; without `volts` where the main fuse was blown then. */
  'rail-pump': { readonly volts: boolean };
  rail: Rail;
  /** Of one cylinder, silent. */
  injector: object;
  'bulb-firm': object;
  'vacuum-high': Suction;
  /** High, and its line was worked on since. */
  'vacuum-before': Suction;
  'vacuum-idle-only': Suction;
  'vacuum-other-tank': Suction;
  'vacuum-contradicted': Suction;
  'vacuum-close': Suction;
  'vacuum-low': Suction;
  /** Pa in a pressurised tank. */
  'tank-pressure': { readonly pressure: number; readonly verdict: 'low' | 'high' | 'good' };
  /** The search along the line: what is still possible. */
  /** `missed`: nothing is left, and an answer says on which side it lies all the same. */
  dies: {
    readonly dies: string | undefined;
    readonly left: readonly string[];
    readonly missed?: 'tank' | 'pump' | 'carburettor';
  };
  starved: { readonly part: FuelPart; readonly label: string };
  /** No oil at all in the fuel of a premix engine. */
  'mix-none': object;
  /** Of an engine that gets its oil with its fuel: nobody said whether, or how much, is in it. `way`: nor whether it gets it so. */
  'mix-unsaid': { readonly way?: true };
  /** This engine's ratio is not known. */
  'mix-alone': { readonly mix: number };
  'mix-rich': Mixed;
  'mix-lean': Mixed;
  'mix-good': Mixed;
  /** Of an engine whose oil has a tank of its own. */
  'oil-tank-unsaid': object;
  'oil-tank-empty': object;
  'oil-tank-water': object;
  'oil-tank-low': object;
  /** `moves`: its oil is also seen to go in. */
  'oil-tank-full': { readonly moves: boolean };
  'oil-moves-unsaid': object;
  'oil-still': object;
  'oil-moves': object;
  floods: { readonly slow: boolean };
  needle: Pumped;
}
export type FuelFact = FactOf<FuelFacts>;
export type FuelAnalysed = Analysed<FuelFacts, object>;
