import type { Analysed, FactOf } from '../../findings/fact.ts';
import type { Profile } from '../../engine/profile.ts';
import type { ChosenSchool } from '../../house-rules/rules.ts';
import type { MeaningId } from './meaning.ts';
import type { PlugSight } from './sights.ts';

/** Where the volts end on their way to the starter, as somebody followed them. */
export type VoltsEnd = 'fuse' | 'switch' | 'solenoid' | 'through';
export type HoleSight = 'water' | 'rust' | 'debris' | 'scored' | 'holed';

export interface PlugFacts {
  /** Read, and not all of it well: what was seen, and what of it means something. */
  /** `mixed`: out of their order, it is of no cylinder that anybody could name. */
  read: { readonly sights: readonly PlugSight[]; readonly means: readonly MeaningId[]; readonly mixed?: true };
  /** Too much fuel was seen on it before it was cleaned, and nothing has burnt on it since. */
  cleaned: {
    readonly sights: readonly ('fuel' | 'black')[];
    readonly told: readonly string[];
    /** No other plug showed it. */
    readonly alone?: true;
  };
  /** `tight`: leak-down finds that cylinder tight all the same; `once`: and it was seen once, so that one of the two is wrong. */
  hole: { readonly seen: HoleSight; readonly tight: boolean; readonly once?: true };
  /** Water that is out again, and came from nobody knows where; of no cylinder where it only came out of the holes. */
  'water-was': { readonly cylinders: readonly number[]; readonly ran: boolean };
  /** m. */
  gap: { readonly gap: number; readonly wide: boolean };
  /** Noted while it was cranked, 1/min and V, as far as it is weak. */
  slow: { readonly rpm?: number; readonly volts?: number };
  /** V while cranking, of the battery that fell and of the one that held. */
  battery: { readonly fell: number; readonly holds: number };
  /** V while cranking. */
  volts: { readonly volts: number };
  /** Good straight from the battery, poor through its circuit. */
  'starter-circuit': { readonly end: VoltsEnd | undefined };
  /** Poor straight from the battery; `both`: through its circuit as well. */
  /** `battery`: whether it held its volts meanwhile, where that is known; nobody can tell where it was asked and not seen. */
  'starter-motor': { readonly both: boolean; readonly battery: 'held' | 'not measured' | 'unknown' };
  /** Poor through its circuit, and not yet tried straight from the battery. */
  'starter-either': object;
  /** Poor on a battery that was weak then, and charged or changed since. */
  'starter-again': { readonly tried: 'circuit' | 'direct' };
  /** The volts were followed to where they end, and the starter was not tried. */
  'starter-broken': { readonly end: VoltsEnd };
  rope: { readonly said: 'slips' | 'stuck' };
  order: object;
  'no-fuel': object;
  /** The house oils dry bores before the first spin: always, or after so many years. */
  'dry-bores': { readonly always: boolean; readonly years: number; readonly school: ChosenSchool };
  missing: { readonly cylinders: readonly number[] };
  good: object;
}

export interface PlugBasis {
  readonly cylinders: number;
  readonly strokes: Profile['strokes'];
  /** Cylinders whose plug was read. */
  readonly read: readonly number[];
  /** What was tried of the starter. */
  readonly circuit: string | undefined;
  readonly direct: string | undefined;
  /** V while cranking. */
  readonly volts: number | undefined;
}
export type PlugFact = FactOf<PlugFacts>;
export type PlugAnalysed = Analysed<PlugFacts, PlugBasis>;
