import type { Profile } from '../../engine/profile.ts';
import type { Analysed, FactOf } from '../../findings/fact.ts';
import type { Judged } from '../../findings/limit.ts';
import type { Exposure } from './exposure.ts';
import type { Rod } from './shift-rod.ts';

/** A part that a search has found, by an answer or because the others are cleared. */
interface PartFound {
  readonly id: string;
  readonly label: string;
  readonly by: 'answer' | 'elimination';
}
interface PistonLow {
  /** How much deeper than the shallowest, m. */
  readonly by: number;
}

export interface TurnFacts {
  /** `reach`: degrees it turns before it stops. */
  locked: {
    readonly part?: PartFound;
    readonly left: readonly string[];
    readonly plugsFirst: boolean;
    readonly reach?: number;
  };
  /** Grit, or what was felt; and where it sits, once the search has found it. */
  rough: { readonly felt: readonly string[]; readonly gritty?: true; readonly part?: PartFound };
  stiff: object;
  /** Free without bumps: where the plugs were, and what was counted since. */
  /** `later`: where the plugs are was said after it was turned. */
  nobumps: {
    readonly plugs?: 'in';
    readonly later?: 'in' | 'out';
    readonly counted?: number;
    readonly valves: boolean;
  };
  /** Free, after it was not or was soaked: hours between two smooth turns that count. */
  /** It had locked by its starter’s pinion, and that was not seen to. */
  pinion: object;
  again: { readonly everBad: boolean; readonly hours: number };
  /** A tight spot, and nothing else. */
  tight: { readonly felt: readonly string[]; readonly part?: PartFound };
  free: { readonly running: number };
  /** Felt, and how it turns was not said. */
  'felt-only': { readonly felt: readonly string[] };
  /** Something else of this check is sound, and nobody has turned it by hand. */
  /** begun: bumps were counted or something was felt, and how it turns was not said. */
  unturned: { readonly begun?: true };
  bumps: { readonly counted: number; readonly expected: number };
  assembled: { readonly said: 'stiffer' | 'binds' };
  water: { readonly said: string };
  exposed: Pick<Exposure, 'spent' | 'inAir' | 'stoppedAt'> & {
    readonly water: string | undefined;
    readonly hours: number;
  };
  'belt-suspect': { readonly is: 'cracked' | 'slack' | 'oily'; readonly interference: Profile['interference'] };
  belt: { readonly is: 'sound' | 'renewed' };
  /** It came off with the head, and its marks were not seen since. */
  'belt-was-off': { readonly interference: Profile['interference'] };
  /** Neutral and its gears, each tried. */
  shifts: object;
  /** In neutral; dragging cold, as thick oil does, while both gears follow. */
  shift: { readonly neutral: 'drives' | 'drags'; readonly cold?: true } & AfterSetting & ThroughLinkage;
  gear: { readonly missing: readonly ('forward' | 'reverse')[] } & AfterSetting & ThroughLinkage;
  /** Jumps out of gear: the hub may look like it, the linkage was set already, or neither. */
  slips: {
    readonly why: 'hub' | 'hub-mended' | 'set' | 'linkage';
    readonly rod?: Rod;
    /** The propeller was twisted on its hub and held, or has none. */
    readonly hubHolds?: true;
  } & ThroughLinkage;
  /** The leg was off since it was shifted. */
  'leg-was-off': object;
  /** The starter turned it in gear. */
  'start-lock': object;
  /** The joint of the shift rod slips or is stripped. */
  joint: object;
  'reverse-lock': ThroughLinkage;
  depth: PistonLow & { readonly once: boolean };
  /** Shares: what a gauge would have lost by it, and what passes between cylinders. */
  'depth-compression': PistonLow & { readonly loss: number; readonly passes: number };
  /** Stands higher than others that agree. */
  'depth-odd': { readonly by: number; readonly others: number; readonly again: boolean };
  'depths-agree': object;
  'depths-scatter': { readonly cylinders: readonly number[] };
  'depths-missing': object;
  /** m between the deepest and the shallowest, or the figure of a straight rod. */
  'depths-close': { readonly apart: number; readonly figure?: true };
  /** One cylinder, and no figure to lay its depth beside. */
  'depth-alone': object;
}

/** Shifted through a linkage that is stiff; or that was, and has been freed since. */
export interface ThroughLinkage {
  readonly linkage?: 'stiff' | 'freed';
}

/** Still so with the linkage set; and what the shift rod was seen to do since. */
export interface AfterSetting {
  readonly set?: true;
  readonly rod?: Rod;
}

export interface TurnBasis {
  /** What stands between the crank and the propeller, and between the crank and a starter, as far as this engine has it. */
  readonly has: { readonly neutral: boolean; readonly pinion: boolean };
  readonly turns: readonly string[];
  readonly plugs: string | undefined;
  readonly shifts: Readonly<Record<'neutral' | 'forward' | 'reverse' | 'lock', string | undefined>>;
  readonly depths: {
    readonly rows: readonly {
      readonly cylinder: number;
      readonly depth: number;
      readonly n: number;
      readonly u: number;
    }[];
    /** What a straight rod gives, m. */
    readonly right?: number;
    readonly limit: Judged;
    readonly deviation: number;
  };
}
export type TurnFact = FactOf<TurnFacts>;
export type TurnAnalysed = Analysed<TurnFacts, TurnBasis>;
