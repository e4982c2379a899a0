import type { Analysed, FactOf } from '../../findings/fact.ts';
import type { Judged } from '../../findings/limit.ts';
import type { ChosenSchool } from '../../house-rules/rules.ts';
import type { History } from '../../engine/profile.ts';
import type { CaseResult, StageTest } from './case-test.ts';
import type { LeakPlace } from './case-state.ts';
import type { Frost } from './frost.ts';

/** m³ drained, and the capacity it is held against. */
interface Drained {
  readonly drained: number;
  readonly capacity: Judged;
}
/** m³ pumped in of what is asked, and what was seen at the level hole. */
interface Pumped {
  readonly poured: number;
  readonly asked: number;
  readonly hole: string | undefined;
}
type Metal = { readonly school: ChosenSchool };
type MetalPieces = Metal & { readonly pieces: boolean };

export interface GearFacts {
  /** Clean now, after water was seen, and its way in not found. */
  'water-before': { readonly washers: boolean; readonly school: ChosenSchool };
  /** Water, and a case that holds its test at every stage. */
  'water-held': object;
  /** Fresh washers are in, by the house's rule, and nobody has looked at the new oil yet. */
  'water-washers': { readonly school: ChosenSchool };
  /** m³ of free water caught, and its share of the capacity. */
  water: {
    readonly caught?: number;
    readonly share?: number;
    /** What leaked was resealed since, and its test is not through. */
    readonly resealed?: true;
    readonly washers: boolean;
    readonly school: ChosenSchool;
  };
  forecast: object;
  frost: Frost & { readonly kind: History['water'] };
  /** m³, and no capacity to hold it against. */
  'amount-alone': { readonly drained: number };
  'amount-empty': Drained;
  'amount-over': Drained & { readonly water: boolean };
  'amount-under': Drained;
  'amount-whole': Drained;
  /** Little or no oil was seen, before anybody measured it. */
  'amount-none': object;
  nothing: object;
  /** `gone`: wiped off, and not there at the latest look. */
  metal: MetalPieces & { readonly gone?: true };
  'metal-again': MetalPieces;
  'metal-explained': Metal;
  /** `held`: the magnet was looked at after it, and holds none of it. */
  'metal-shimmer': Metal & { readonly held: 'nothing' | 'not looked at' | 'no magnet' };
  'metal-paste': Metal & { readonly examined: boolean };
  'metal-clean': Metal;
  /** Some of the check is sound, and this of it nobody has looked at. */
  unseen: { readonly what: 'oil' | 'magnet' };
  burnt: object;
  /** It was drained burnt, and fresh oil is in. */
  'burnt-before': object;
  /** Burnt once more in fresh oil. */
  'burnt-again': object;
  /** A stage of the case test; where it bubbles, if that was seen. */
  stage: { readonly test: StageTest; readonly turned: boolean; readonly bubbles: readonly string[] };
  bubbles: { readonly at: readonly string[] };
  /** Pa gauge, over the most that may be put on it. */
  'case-over': { readonly pressure: number };
  'test-held': { readonly result: CaseResult };
  leaked: { readonly result: CaseResult; readonly place: LeakPlace };
  'test-open': { readonly result: CaseResult };
  /** m deep under a seal's lip. */
  groove: { readonly depth: number };
  slots: { readonly said: 'chewed' | 'stuck' };
  'stand-fill': object;
  /** Nothing pumped by the tally, and the level hole not yet running free of bubbles. */
  'level-hole': { readonly said: 'bubbles' | 'no' | 'not looked at' };
  'poured-short': Pumped;
  'poured-full': Pumped;
  'poured-on': Pumped;
  washers: { readonly refill: string; readonly washers: string | undefined };
  crack: { readonly full: boolean; readonly school: ChosenSchool };
  clean: { readonly dark: boolean };
}

export interface GearBasis {
  readonly first: string | undefined;
  readonly look: string | undefined;
  readonly magnet: string | undefined;
  readonly tested: string | undefined;
  /** m³/min that counts as held by the house, and the most that may be put on the case. */
  readonly allowed: number;
  readonly most: Judged;
}
export type GearFact = FactOf<GearFacts>;
export type GearAnalysed = Analysed<GearFacts, GearBasis>;
