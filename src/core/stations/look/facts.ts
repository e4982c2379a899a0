import type { Analysed, FactOf } from '../../findings/fact.ts';
import type { CrackDepth } from '../gear/crack.ts';
import type { PlaceId } from './places.ts';

/** What is said of a crack's depth: `metal` where dye went into the metal, and nothing says yet whether it goes through. */
export type CrackSaid = Exclude<CrackDepth, 'untold'> | 'metal';

export interface LookFacts {
  /** What was seen at a place and means something: one of its sights, with the note and how many photographs were taken. */
  /** `crack`: how deep it goes, of a crack in the case. */
  sight: {
    readonly place: PlaceId;
    readonly seen: string;
    readonly note?: string;
    readonly photographs: number;
    readonly crack?: CrackSaid;
  };
  /** What earlier hands left, and what was missing on arrival: as the profile has it. */
  traces: { readonly traces: readonly string[] };
  absent: { readonly absent: readonly string[] };
  /** Not asked, and asked without an answer. */
  left: { readonly open: readonly PlaceId[]; readonly untold: readonly PlaceId[] };
  sound: object;
}

export interface LookBasis {
  /** Places that were seen. */
  readonly seen: readonly PlaceId[];
}
export type LookFact = FactOf<LookFacts>;
export type LookAnalysed = Analysed<LookFacts, LookBasis>;
