import type { Analysed, FactOf } from '../../findings/fact.ts';
import type { PlaceId } from './places.ts';

export interface LookFacts {
  /** What was seen at a place and means something: one of its sights, with the note and how many photographs were taken. */
  sight: { readonly place: PlaceId; readonly seen: string; readonly note?: string; readonly photographs: number };
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
