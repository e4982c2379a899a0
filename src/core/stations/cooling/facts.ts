import type { Passages } from './passages.ts';
import type { Analysed, FactOf } from '../../findings/fact.ts';
import type { Judged } from '../../findings/limit.ts';
import type { ChosenSchool } from '../../house-rules/rules.ts';
import type { WarmingSaid } from '../run/warming.ts';
import type { PumpMark } from './pump.ts';
import type { Source } from './source.ts';
import type { Bank, Thermostat } from './thermostat.ts';

/** Age of the impeller, years, and what is known of the pump, against the house's years and degrees. */
export interface PumpKnown {
  readonly age?: number;
  readonly opened: string | undefined;
  readonly marks: readonly PumpMark[];
  readonly limit: Judged;
  readonly setLimit: Judged;
  readonly school: ChosenSchool;
  /** The whole kit is fitted, and no impeller alone. */
  readonly kit: boolean;
}
/** A weak stream, or none; `stop`: past its half minute. */
interface Missed {
  readonly stream: 'weak' | 'none';
  readonly stop: boolean;
}
/** What a strong stream does not outweigh. */
export type Unsettled =
  | { readonly is: 'hotter' | 'unread'; readonly bank: Bank }
  | { readonly is: 'temperature' | 'stream' | 'steam' | 'no-water' };

type Assembly = { readonly built: string | undefined };
/** m³/s of the latest look, and each look's mean, oldest first. */
interface Flow {
  readonly means: readonly number[];
}

export interface CoolingFacts {
  screen: { readonly is: 'clear' | 'partly' | 'blocked' };
  source: { readonly source: Source };
  'pump-worn': PumpKnown;
  pieces: { readonly missing: number; readonly found: string | undefined };
  /** It ran hot without a stream after its vanes were last seen. */
  'pump-dry': PumpKnown;
  'pump-good': PumpKnown;
  /** A new one is in it; `pumps`: a drill or the stream has shown it. */
  'pump-renewed': PumpKnown & { readonly pumps: boolean };
  'pump-old': PumpKnown;
  /** Years it stood, where nobody knows the impeller's age. */
  'pump-standing': PumpKnown & { readonly standing: number };
  'pump-young': PumpKnown;
  'pump-pumps': PumpKnown;
  'pump-unknown': PumpKnown;
  strainer: object;
  bush: object;
  /** The impeller’s key is missing or sheared. */
  key: object;
  'turned-back': { readonly school: ChosenSchool };
  cover: object;
  tube: object;
  thermostat: Thermostat;
  'thermostat-alone': Thermostat;
  /** One bank's was tested, the other's was not. */
  'thermostat-other': { readonly told: Bank };
  /** Water runs slowly through the passages of a bank, or brings sand and salt. */
  passages: Passages;
  'drill-backward': Assembly;
  'drill-nothing': Assembly;
  /** Nothing came once more after everything that could be why was looked at. */
  'drill-in-vain': Assembly;
  'drill-pumps': Assembly;
  'bucket-alone': Flow;
  bucket: Flow & { readonly verdict: 'less' | 'more' | 'alike' };
  /** `doubted`: a second thermometer read normal. */
  hot: { readonly doubted: boolean; readonly bank?: Bank };
  /** By so many K, noted by hand; `worked`: before the last work on the water. */
  banks: { readonly hotter: Bank; readonly by: number; readonly worked: boolean };
  early: object;
  rising: { readonly stream: 'weak' | 'none'; readonly warming: WarmingSaid };
  'outlet-shut': { readonly stream?: 'weak' | 'none' };
  'outlet-cleared': object;
  /** The head stays where it should: the outlet before the pump. */
  'outlet-likely': Missed;
  /** `blown`: its line was blown through after the stream was last missed. */
  'none-outlet-clear': Missed & { readonly blown: boolean };
  'weak-outlet-clear': Missed;
  'head-cold': Missed;
  /** It still climbed, or climbs, and its thermostat had not opened. */
  'head-warming': Missed;
  'head-unread': Missed;
  'not-delivering': Missed;
  /** The head read cool, and the run showed what that does not outweigh. */
  'missed-unsettled': Missed & { readonly but: Unsettled };
  'strong-unsettled': { readonly but: Unsettled };
  /** `normal`: the head was read and is as it should be. */
  strong: { readonly normal: boolean };
  'no-indicator': object;
}
export type CoolingFact = FactOf<CoolingFacts>;

export interface CoolingBasis {
  readonly stream: string | undefined;
  /** K at the head. */
  readonly head?: number;
  readonly outlet: string | undefined;
  readonly hot: Judged;
  readonly drill: string | undefined;
}
export type CoolingAnalysed = Analysed<CoolingFacts, CoolingBasis>;
