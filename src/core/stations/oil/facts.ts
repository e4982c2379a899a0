import type { Analysed, FactOf } from '../../findings/fact.ts';
import type { Judged } from '../../findings/limit.ts';
import type { Changes } from './changes.ts';
import type { Laboratory } from './laboratory.ts';
import type { Dip, LevelVolume, Mark } from './position.ts';
import type { OilPressure } from './pressure.ts';
import type { Rivals } from './rivals.ts';
import type { MilkyStage } from './was-milky.ts';

/** Oil above the mark, m³ over it where that was measured; what each look weighs, and the limit that a share of fuel is judged by. */
interface AboveMark extends Pick<Rivals, 'weights' | 'share' | 'viscosity'> {
  readonly beyond?: number;
  /** mm²/s at 100 °C. */
  readonly fresh: number;
  readonly fault: Judged;
}

/** m³ poured in and asked for; `over`: so much more than asked, negative where some is still to go. */
interface Poured {
  readonly poured: number;
  readonly cups: number;
  readonly asked: number;
  readonly over: number;
  readonly dipped: boolean;
}

export interface OilFacts {
  /** Drained and not filled since; or new, dipped, and never filled. */
  unfilled: { readonly why: 'drained' | 'new' };
  level: object;
  early: object;
  'dip-once': { readonly dip: Dip };
  'dips-differ': object;
  'dips-between': object;
  /** `fell`: it stood between the marks before, and nothing was drawn off. */
  'dips-under': { readonly mark: Mark; readonly toMiddle?: number; readonly fell?: true };
  diluted: AboveMark;
  overfilled: AboveMark;
  'above-open': AboveMark;
  milky: object;
  /** It was milky and was changed: what is still to be seen. */
  'milky-before': { readonly stage: MilkyStage };
  'level-milky': { readonly mark: Mark };
  look: object;
  /** Some of the check is sound, and no dip says how much oil there is. */
  'level-unread': object;
  thin: object;
  /** It was, before the work that was done on it. */
  'thin-before': object;
  /** It had fuel in it and was changed; it ran since, and was not dipped after that. */
  'diluted-before': object;
  /** `stayed`: dipped after a run, it has not risen over its mark. */
  smell: { readonly smell: 'fuel' | 'faint'; readonly stayed?: true };
  burnt: object;
  /** mm²/s at 100 °C, and no figure of the fresh oil beside it. */
  'laboratory-alone': { readonly used: number };
  laboratory: {
    readonly lab: Laboratory;
    readonly fault: Judged;
    readonly verdict: 'thicker' | 'fault' | 'watch' | 'fresh' | 'close';
  };
  /** By a gauge in place of the sender. */
  pressure: OilPressure;
  /** m³ that came out, and that the sump takes. */
  'came-over': { readonly volume: number; readonly sump: number };
  residue: Changes;
  'poured-over': Poured;
  'poured-short': Poured;
  'poured-as-asked': Poured;
  /** m³ poured in; or some was drawn off; not dipped since. */
  undipped: { readonly poured: number; readonly drawn: boolean };
  filter: object;
}

export interface OilBasis {
  readonly dips: readonly Dip[];
  readonly look: string | undefined;
  /** As they were answered, whatever is in it now. */
  readonly lookAnswer: string | undefined;
  readonly smell: string | undefined;
  readonly tilted: boolean;
  readonly volume: LevelVolume | undefined;
}
export type OilFact = FactOf<OilFacts>;
export type OilAnalysed = Analysed<OilFacts, OilBasis>;
