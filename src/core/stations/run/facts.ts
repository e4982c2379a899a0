import type { Drying } from './dried.ts';
import type { Analysed, FactOf } from '../../findings/fact.ts';
import type { Judged } from '../../findings/limit.ts';
import type { Source } from '../cooling/source.ts';
import type { RunsBeside } from './compare.ts';
import type { LeakPlace } from './leak-place.ts';
import type { SwappedPart } from './moved.ts';
import type { NoisePlace } from './noise.ts';
import type { LapsedId, SymptomId } from './symptoms.ts';
import type { WarmingSaid } from './warming.ts';

/** A run and how closely it was watched: minutes, temperatures at the place that speaks, its hottest, K and s, and the longest gap, s. */
export interface Watched {
  readonly label: string;
  readonly minutes: number;
  readonly samples: number;
  readonly hottest?: { readonly temperature: number; readonly seconds: number };
  readonly gap?: number;
  readonly limit: Judged;
}
/** Volts at the battery, and the engine speed at which they were read, 1/min. */
interface Volts {
  readonly volts: number;
  readonly rpm?: number;
}

export interface RunFacts {
  /** Nobody said how it ended: it was stopped, or its entries ceased. */
  end: { readonly label: string; readonly minutes: number; readonly silent: boolean };
  /** What its temperatures say; `doubted`: a second thermometer read normal. */
  heat: { readonly run: Watched; readonly warming: WarmingSaid; readonly doubted: boolean };
  /** Over, and read warm at its end: K, s. */
  'heat-through': {
    readonly run: Watched;
    readonly warming: WarmingSaid;
    readonly at: number;
    readonly seconds: number;
  };
  /** Temperatures that stand alone, far off those beside them. */
  odd: { readonly run: Watched; readonly alone: number };
  /** K by which one bank runs hotter. */
  banks: {
    readonly run: Watched;
    readonly hotter: 'port' | 'starboard';
    readonly by: number;
    /** Both still climb below where a thermostat opens. */
    readonly warming: boolean;
  };
  /** It never got warm: K at its hottest. */
  cold: { readonly run: Watched; readonly hottest: number };
  beside: { readonly run: Watched; readonly beside: RunsBeside; readonly labels: readonly [string, string] };
  /** 1/min, against what its source of water allows. */
  'too-fast': {
    readonly most: number;
    readonly cap: number;
    readonly source: Source;
    readonly stopped: boolean;
    readonly label: string;
  };
  charges: Volts;
  'charge-open': Volts;
  /** `mended`: at fuel, spark, plugs or starter, since. */
  failed: { readonly cause?: string; readonly mended?: true };
  'stopped-open': { readonly reason?: string };
  'stopped-found': { readonly cause: string };
  /** Nobody wrote a cause down, and that of everything it showed was found. */
  /** `place`: where it comes from is known, and nothing was mended there yet. */
  'stopped-shown': { readonly place: boolean };
  /** `worked`: what it tells was worked on since. */
  lamp: { readonly notHeat?: 'too-soon' | 'cool'; readonly worked?: true };
  /** `rich`: the mixture in use smokes by itself, fuel to a part of oil, and what is asked. `plugs`: whether water was on one after the run. */
  smoke: { readonly rich?: { readonly mix: number; readonly asked: number }; readonly plugs?: 'wet' | 'dry' };
  /** `placed`: where it comes from is known; `mended`: work was done there since. */
  leaks: { readonly what: string; readonly mended?: true; readonly placed?: true };
  'leak-at': LeakPlace;
  /** A place was told, and nobody said what comes out of it. */
  'leak-untold': { readonly at: string };
  noise: { readonly place: NoisePlace; readonly explained: boolean };
  /** It idles otherwise where its intake joints are wetted. */
  air: object;
  /** `hub`: the propeller’s hub was found to slip, or was mended for it since. */
  gears: { readonly hub?: 'slips' | 'mended' };
  /** Still so with the linkage set. */
  'gears-again': object;
  symptom: {
    readonly symptom: SymptomId;
    readonly at: string;
    readonly explained: boolean;
    readonly repeated: boolean;
    /** Dead and hot it was tried, and it sparks. */
    readonly sparks?: true;
  };
  /** Shown once, not since, and no cause was found. */
  lapsed: { readonly lapsed: LapsedId; readonly was: string };
  /** Shorted out, the speed stays the same. */
  'no-work': object;
  /** Changed over with a neighbour’s, the fault went with it. */
  moved: { readonly part: SwappedPart };
  pulls: { readonly pulls: number };
  'idle-alone': { readonly idle: number };
  /** As no outboard idles, whatever its manual says. */
  'idle-far': { readonly idle: number; readonly far: 'fast' | 'slow' };
  idle: { readonly idle: number; readonly asked: Judged; readonly is: 'under' | 'over' | 'right' };
  'plug-wet': object;
  'short-of-fuel': object;
  /** Whole months since it ran well. */
  stood: { readonly months: number };
  /** Minutes it ran, where that was said. */
  short: { readonly minutes?: number };
  /** It ran, and something that only a run shows to be right was opened or renewed since. */
  reopened: object;
  /** Sank, and runs well: what is left before the water counts as out of it. */
  drying: { readonly left: Drying };
  ran: { readonly minutes?: number; readonly smoked: boolean };
}
export type RunFact = FactOf<RunFacts>;

export interface RunBasis {
  readonly outcome: string | undefined;
  readonly minutes: number | undefined;
  readonly lamp: string | undefined;
  readonly smoke: string | undefined;
  readonly leaks: string | undefined;
  readonly strokes: 'two' | 'four' | undefined;
  readonly injected: boolean;
}
export type RunAnalysed = Analysed<RunFacts, RunBasis>;
