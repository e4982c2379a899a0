import type { HazardId } from '../hazards/hazards.ts';
import type { Action } from '../holds/hold.ts';
import type { Conditions } from '../record/reading.ts';
import type { JobId } from '../jobs/register.ts';
import type { ItemId, StationId } from '../stations/items.ts';

export type MoveKind =
  | 'stop'
  | 'make-safe'
  | 'look'
  | 'repeat'
  | 'continue'
  | 'job'
  | 'wait'
  | 'ask'
  | 'decide'
  | 'release';

/**
 * The order of what to do now. 1 danger; 2 a clock that runs; 3 begun and unfinished; 4 a doubt that one repeat closes; 5 what a
 * finding or a complaint asks for next; 6 cheap decisive checks not made yet; 7 looks that could still change the plan; 8 established
 * work; 9 what is left before it goes back: service, proof, hand-over, release.
 */
export const moveClasses = {
  1: 'danger now',
  2: 'a clock runs',
  3: 'begun and not finished',
  4: 'a doubt to close',
  5: 'asked for by what was found',
  6: 'cheap and decisive',
  7: 'could still change the plan',
  8: 'work',
  9: 'before it goes back'
} as const;
export type MoveClass = keyof typeof moveClasses;

/** One thing to answer for a move: an item, of one cylinder where it is asked of each. */
export interface Question {
  readonly what: ItemId;
  readonly cylinder?: number;
}

/** One thing to do. Plain data. */
export interface Move {
  readonly kind: MoveKind;
  readonly class: MoveClass;
  /** What it is about, one name for one thing: "look:turn", "job:lead", "gate:handover". */
  readonly id: string;
  readonly title: string;
  /** The check at which it is made or proved. */
  readonly station?: StationId;
  readonly job?: JobId | string;
  /** A sheet of its own, beside the checks: "drowned", "flow/lay-up". */
  readonly sheet?: string;
  /** The mark under which it is ticked off by hand: no reading is needed for it. */
  readonly mark?: string;
  /** Shown before the act, beside those of the check. */
  readonly hazards?: readonly HazardId[];
  readonly cylinder?: number;
  /** What it reads, where that is more definite than the whole check. */
  readonly items?: readonly ItemId[];
  /** What it asks, one thing at a time, where it can be answered so; told to a page with the move. */
  readonly questions?: readonly Question[];
  /** Under which conditions, where they are what makes it another measurement. */
  readonly conditions?: Conditions;
  /** What making it does to the engine; a hold forbids it by this name. */
  readonly needs?: Action;
  readonly minutes: number;
  /** Why now, one sentence or two. */
  readonly because: string;
  /** Why it cannot be made yet, and what comes first. */
  readonly waits?: string;
  /** Parts it is not begun without that are not here. */
  readonly parts?: readonly string[];
  /** ISO instant by which it must be done, or from which it can be. */
  readonly deadline?: string;
  readonly from?: string;
}
