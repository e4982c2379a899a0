import type { Instant } from '../../units/instant.ts';
import type { Profile } from '../../engine/profile.ts';
import type { Analysed, FactOf } from '../../findings/fact.ts';
import type { Damaged } from './damage.ts';
import type { SparkPart } from './isolation.ts';
import type { VoltageRow } from './voltage.ts';
import type { WindingId, WindingRow } from './windings.ts';

/** The latest result of a cylinder, with what makes it doubtful. */
export interface Seen {
  readonly cylinder: number;
  readonly result: 'good' | 'weak' | 'none';
  /** Results along the same path differ. */
  readonly mixed: boolean;
  /** Good by what speaks for it, and not good at a later look along another path. */
  readonly lost?: true;
  readonly sun: boolean;
  readonly light?: string;
  readonly path?: string;
  /** Cranked slower than some electronic ignitions need. */
  readonly slow: boolean;
  readonly at: Instant;
  /** It jumped to a bolt. */
  readonly toBolt: boolean;
  /** Good cold, and this at the latest look while it was warm. */
  readonly failsWarm?: 'weak' | 'none';
  /** When it was last seen to fail warm. */
  readonly failedAt?: Instant;
}

interface PartFound {
  readonly id: SparkPart;
  readonly label: string;
  readonly by: 'answer' | 'elimination';
}

/** Said of all cylinders together. */
interface Everywhere {
  readonly cylinders: number;
}

export interface SparkFacts {
  lanyard: object;
  /** Looked at with the lanyard out, or the switch off, only. */
  'lanyard-out': { readonly cylinders: readonly number[] };
  stop: object;
  'slow-everywhere': Everywhere;
  /** `of`: only these cylinders are dead, a whole bank or two that share a part, and it is of theirs. */
  part: Everywhere & {
    readonly part: PartFound;
    readonly cleared: readonly string[];
    readonly of?: { readonly dead: readonly number[]; readonly shared: 'bank' | 'coil' };
  };
  all: Everywhere & {
    readonly left: readonly string[];
    readonly cleared: readonly string[];
    /** Whether a trial would still separate what is left. */
    readonly next: boolean;
  };
  /** `cleared`: all that they share was tried, and none of it is to blame. */
  pair: { readonly dead: readonly number[]; readonly shared: 'bank' | 'coil'; readonly cleared?: true };
  /** `untried`: others spark through the tester, and nobody tried another ground yet. */
  ground: { readonly untried: boolean; readonly others: boolean };
  own: { readonly part: PartFound };
  /** A trial found this part guilty, and nothing says that it was mended since. */
  /** `another`: what feeds all of them, and one of them sparks as it should. */
  accused: { readonly part: SparkPart; readonly another?: true };
  /** Good, and seen to a bolt only: something arrives, how strong it is nobody knows. */
  'bolt-only': { readonly cylinders: readonly number[] };
  /** `alone`: every other cylinder was looked at and sparks. `plug`: it may be the plug, which no tester stood in for. */
  none: { readonly alone: boolean; readonly plug: boolean };
  /** None here, and no cylinder that sparks was seen: its own parts, or what all share. */
  undecided: object;
  /** Judged in sunlight, which hides a spark: of one cylinder, of all of them. */
  sun: { readonly result: 'weak' | 'none' };
  'sun-everywhere': Everywhere;
  /** Weak on every cylinder of several: what they share. `shade`: every one was judged there. */
  /** `explained`: by points that were seen to be bad. */
  /** `thin`: they jump to a bolt, and no tester’s gap, whatever its ground. */
  'weak-everywhere': Everywhere & { readonly shade: boolean; readonly explained: boolean; readonly thin?: true };
  /** Weak on some of them at once. `ground`: another ground helped. */
  'weak-several': { readonly weak: readonly number[]; readonly ground: boolean };
  /** Good cold, and not warm: of one cylinder, of all of several. */
  /** `worked`: the ignition was worked on since it was seen. */
  'fails-warm': { readonly result: 'weak' | 'none'; readonly worked?: true };
  'fails-warm-everywhere': Everywhere;
  slow: { readonly result: 'weak' | 'none' };
  /** Its points were cleaned or renewed before it was looked at; it sparks over the short gap to a bolt, and not through the tester. */
  /** `tried`: a good plug, lead and coil in the place of its own left it as it was. */
  weak: { readonly pointsDone: boolean; readonly toBolt: boolean; readonly tried?: true };
  unsteady: object;
  colour: { readonly colour: 'orange' | 'red' };
  misses: object;
  /** Seen to arc where it should not. */
  stray: { readonly at: 'lead' | 'cap' | 'coil' };
  /** Damage seen at its coil, or at its lead and cap. */
  damaged: { readonly part: Damaged; readonly corroded: boolean };
  /** None or weak where a damaged part was seen. */
  explained: { readonly part: Damaged | 'plug' };
  /** Open gap jumped, m. */
  gap: { readonly gap: number };
  voltage: VoltageRow;
  /** Warm against cold, both at 20 °C: share less (a short) or more (an open joint). */
  'warm-winding': WindingRow & { readonly warmOverCold: number };
  /** `sparks`: outside its range, and what it makes is as it should be. */
  winding: WindingRow & { readonly sparks?: true };
  /** No way through it at all: wire or joint is broken, whatever the manual asks. */
  'open-winding': WindingRow & { readonly sparks?: true };
  /** Next to nothing, where such a winding has tens of ohms and more. */
  'shorted-winding': WindingRow & { readonly sparks?: true };
  /** Readings that do not agree with one another. */
  'scattered-winding': WindingRow;
  /** Ω at 20 °C, least and most between cylinders. */
  between: {
    readonly winding: WindingId;
    readonly rows: readonly { readonly cylinder: number | undefined; readonly ohms20: number }[];
  };
  /** m. */
  'points-gap': { readonly gap: number };
  points: { readonly ohms: number | undefined; readonly look: string | undefined };
  'rub-block': { readonly state: 'dry' | 'worn' };
  /** Degrees before top, and how far from what the manual asks. */
  /** `through`: it was taken with the flywheel shifted on its crank, which is not mended yet or was since. */
  timing: { readonly timing: number; readonly off?: number; readonly through?: 'shifted' | 'renewed' };
  missing: { readonly cylinders: readonly number[] };
  good: Everywhere;
}
export type SparkFact = FactOf<SparkFacts>;

/** What every judgement on spark rests on. */
export interface SparkBasis {
  readonly lanyard: string | undefined;
  readonly ignition: Profile['ignition'];
  readonly seen: readonly Seen[];
}
export type SparkAnalysed = Analysed<SparkFacts, SparkBasis>;
