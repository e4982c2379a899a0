import type { Flatness } from './flat.ts';
import type { Analysed, FactOf } from '../../findings/fact.ts';
import type { Judged } from '../../findings/limit.ts';
import type { WithoutAdapter } from '../../physics/adapter.ts';
import type { withOilInterval } from '../../physics/wet-dose.ts';
import type { Comparison } from './compare.ts';
import type { Difference } from './differences.ts';
import type { Expected } from './expected.ts';
import type { LeakTask } from './leak.ts';
import type { WetVerdict } from './wet.ts';

/** Two cylinders of a comparison and the pressure between them, Pa. */
interface Gap {
  readonly lowest: number;
  readonly best: number;
  readonly gap: number;
}

/** What is to be done about a low reading before it is believed. */
export type LowDoubt =
  | 'worked'
  | 'soaked'
  | 'throttle'
  | 'cranking'
  | 'adapter'
  | 'once'
  | 'oiled'
  | 'pair'
  | 'lash'
  | 'none'
  | 'wet'
  | 'heard'
  | 'unheard'
  | 'sight'
  | 'leaks';

/** The best or lowest cylinder at sea level against the least that is asked of it, Pa gauge. */
export interface AgainstFloor {
  readonly judged: number;
  /** Gauge error, common to all cylinders. */
  readonly gauge: number;
  readonly lowest: number;
  readonly best: number;
  readonly ambient: number;
  readonly altitudeKnown: boolean;
  readonly cylinders: number;
  readonly floor: number;
  /** Where the floor comes from. */
  readonly by:
    | { readonly of: 'manual'; readonly figure: Judged }
    | { readonly of: 'model'; readonly expected: Expected }
    | { readonly of: 'kind'; readonly strokes: 'two' | 'four' };
  /** Automatic decompression reads low by design. */
  readonly decompression: boolean;
  /** What lowers every reading of this test: the throttle, not noted as open, or weak cranking. */
  readonly excuse?: 'throttle' | 'cranking';
  /** Dry and stood a year or more. */
  readonly dryFromStanding: boolean;
}

/** Facts of one round of compression readings; they rest on the comparison. */
export interface TestFacts {
  /** Next to nothing everywhere, read once. */
  nothing: AgainstFloor;
  unlike: { readonly differs: readonly Difference[]; readonly low?: true };
  throttle: { readonly cylinders: readonly number[] };
  'throttle-unknown': object;
  range: object;
  falls: { readonly series: readonly (readonly number[])[] };
  /** Pa, oldest first: repeats under equal conditions that do not agree, and how far apart they may lie. */
  scatter: { readonly readings: readonly number[]; readonly share: number; readonly oiled?: true };
  'adapter-size': { readonly adapter: number; readonly chamber: number };
  bores: { readonly oil: number };
  /** Read while the oil of a soak stood in the bores, and not noted as oiled. */
  'in-soak': object;
  /** Cranked too weakly, V and 1/min where they were noted; `reached`: even so it gave what such an engine gives. */
  cranking: {
    readonly volts?: number;
    readonly rpm?: number;
    readonly reached: boolean;
    /** Pa from one place in the order to the next: it fell in both orders. */
    readonly tires?: number;
    readonly starter?: true;
  };
  /** Pa: what was read, and the most that such an engine gives at sea level. */
  /** Pa; `level`: at sea level, where it was read higher up. */
  high: { readonly mean: number; readonly most: number; readonly again: boolean; readonly level?: number };
  /** Pa: what the odd one reads, the highest of the others, and the most that such engines usually show at sea level. */
  'odd-high': { readonly mean: number; readonly others: number; readonly usual: number; readonly again: boolean };
  alike: { readonly gap: number; readonly told: boolean };
  order: Gap;
  spread: Gap;
  low: Gap & { readonly doubt: LowDoubt };
  /**
   * Low by the gauge, tight by leak-down: the gauge, its cranking, how far its piston rises, or the valves' timing. `again`: read low
   * once more since, or as low as the rest of its bank. `bank`: all of its bank is, and no other.
   */
  'low-but-tight': Gap & { readonly again: boolean; readonly valves: boolean; readonly bank?: readonly number[] };
  /** Under what is expected, and every cylinder tight by leak-down: answered, but where a belt may have jumped a tooth. */
  tight: AgainstFloor & { readonly belt?: true };
  /** Under what is expected, and its belt was set on the marks since. */
  'figure-belt': AgainstFloor;
  neighbours: { readonly pair: readonly [number, number] };
  wet: {
    readonly verdict: WetVerdict;
    readonly dry: number;
    readonly wet: number;
    readonly rise: number;
    readonly reach: number;
    readonly dose?: number;
    readonly oil?: NonNullable<ReturnType<typeof withOilInterval>>;
  };
  /** Every cylinder rose alike, and none is low beside the others. */
  'wet-all': { readonly rises: readonly number[]; readonly stood: boolean };
  nofigure: Pick<AgainstFloor, 'best' | 'lowest' | 'gauge' | 'ambient' | 'altitudeKnown'>;
  /** Reached with oil in the bores only. */
  oiled: AgainstFloor;
  figure: AgainstFloor & { readonly reached: boolean };
  adapter: AgainstFloor & { readonly without: WithoutAdapter & { readonly dead: number } };
  /** `throttleDoubted`: the whole test is made again anyway, these with it. */
  missing: { readonly cylinders: readonly number[]; readonly throttleDoubted: boolean };
  /** Read before their head came off; others under it were read since. */
  'head-was-off': { readonly cylinders: readonly number[] };
  /** Valve lash was read, and the head was off since. */
  'lash-before': object;
}
export type TestAnalysed = Analysed<TestFacts, Comparison>;
export type TestFact = FactOf<TestFacts>;

/** Bands of a leak-down tester: from which share it is watched and from which it is a fault. */
export interface LeakBands {
  readonly watch: number;
  readonly fault: number;
  readonly limit: Judged;
}

interface LeakDownValues {
  readonly share: number;
  /** The hole that would make this tester show it, m. */
  readonly hole: number;
  readonly escapes: readonly string[];
  readonly tester: string;
  readonly bands: LeakBands;
  readonly strokes: 'two' | 'other';
  /** Air past the rings alone: whether the bores were soaked before it. */
  readonly soaked?: boolean;
  /** What was seen in its hole that no soak frees. */
  readonly seen?: 'holed' | 'scored';
  /** And whether a light into the bore was asked of it. */
  readonly lit?: boolean;
  /** What it leaked before a soak since which it leaks less, drop over supply. */
  readonly freed?: number;
}
interface LashValues {
  readonly valve: 'intake' | 'exhaust';
  readonly lash: number;
}

/** Facts of leak-down and lash, each with its own tester and limit. */
export interface LeakDownFacts {
  leakdown: LeakDownValues;
  'leakdown-gasket': LeakDownValues;
  /** Tight by its figure, and air at a place where none should come. */
  'leakdown-through': LeakDownValues;
  /** Air heard, and no figure read: the places. */
  'escape-unread': { readonly escapes: readonly string[] };
  /** Closed and under pressure. */
  /** The head was so far past its limit, K, that what was `read` of the cylinders before says nothing. */
  overheated: { readonly hottest: number; readonly limit: Judged; readonly read: boolean };
  /** It ran on fuel without oil, whatever was `read` before. */
  'ran-dry': { readonly read: boolean };
  crankcase: { readonly at: 'held' | 'seal' | 'reed' | 'joint' | 'falls' };
  /** Feeler under the straight edge on the head's face, m. */
  flatness: { readonly gap: number; readonly verdict: Flatness };
  'leakdown-disagrees': { readonly shares: readonly number[]; readonly valves: boolean };
  /** Air at the exhaust of a two-stroke, read once: it may be the port. */
  'leakdown-port': { readonly share: number };
  /** Read once, and its compression would have shown such a leak. */
  'leakdown-against': { readonly share: number };
  'no-lash': LashValues;
  /** Closer than makers ask for, and no figure of the manual is known; `low`: its cylinder reads low or leaks. */
  'tight-lash': LashValues & { readonly low: boolean };
  /** Wider than any maker asks, or than all the others by far (`beside`), and no figure of the manual is known. */
  'wide-lash': LashValues & { readonly beside?: true };
  lash: LashValues;
}
export type LeakDownAnalysed = Analysed<LeakDownFacts, object>;

/** Facts of the leak that is fitted to the pulls, m; they rest on what the fit was given. */
export interface LeakFacts {
  shape: object;
  leak: { readonly hole: number; readonly low: number; readonly high: number; readonly best: number };
  tight: { readonly cylinders: readonly number[]; readonly most: number; readonly best: number };
}
export type LeakAnalysed = Analysed<LeakFacts, Extract<LeakTask, { ok: true }>>;

/** Which single repeat would settle most, and what makes it that one; pressures, shares and cylinders as numbers. */
export type Repeat =
  | { readonly kind: 'throttle' | 'order' | 'leak-down-instead' | 'heated' | 'soaked' }
  /** By a starter, or by arm. */
  | { readonly kind: 'cranking'; readonly starter: boolean }
  | {
      readonly kind:
        | 'range'
        | 'adapter'
        | 'falls'
        | 'single'
        | 'lowest'
        | 'best'
        | 'high'
        | 'odd-high'
        | 'look-in'
        | 'scatter'
        | 'leak-down'
        | 'wet-test';
      readonly cylinder: number;
    }
  | { readonly kind: 'unlike'; readonly cylinder: number; readonly differs: readonly Difference[] }
  | { readonly kind: 'missing'; readonly cylinder: number; readonly missing: readonly number[] }
  /** Read before their head came off. */
  | { readonly kind: 'head-off'; readonly cylinders: readonly number[] }
  | { readonly kind: 'none'; readonly limit: Judged; readonly doubt: number }
  | { readonly kind: 'heard'; readonly low: readonly number[] }
  /** Low, tight by leak-down, and as low again. */
  | { readonly kind: 'tight'; readonly low: readonly number[]; readonly valves: boolean }
  | { readonly kind: 'most-doubt'; readonly cylinder: number; readonly overLimit: number };
