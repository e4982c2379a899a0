import type { HazardId } from '../hazards/hazards.ts';

/** The words of one station: what it is called, how it is done, what can hurt. */
export interface StationText {
  readonly title: string;
  /** For strips where room is short. */
  readonly short: string;
  readonly minutes: number;
  readonly how: readonly string[];
  readonly hazards: readonly HazardId[];
}
