import type { HazardId } from '../hazards/hazards.ts';
import type { Context } from '../findings/context.ts';
import type { StationId } from '../stations/items.ts';
import type { Condition } from '../findings/finding.ts';

/** A finding that raises a step only in these conditions. */
export interface Raiser {
  readonly id: string;
  readonly only: readonly Condition[];
}
export const only = (id: string, ...conditions: Condition[]): Raiser => ({ id, only: conditions });

/** One kind of work, and what raises it. */
export interface StepRule {
  readonly id: string;
  readonly title: string;
  /** Findings that raise it, by id without the cylinder; a sound finding raises nothing. */
  readonly raisedBy?: readonly (string | Raiser)[];
  /** Raised by the case itself, whatever has been found. */
  readonly also?: (c: Context) => boolean;
  /** Guesses at a cause step back when a likely suspect raises one of these jobs. */
  readonly yieldsTo?: readonly string[];
  /** The house's rule goes another way. */
  readonly unless?: (c: Context) => boolean;
  /** Already recorded as done by the readings themselves. */
  readonly met?: (c: Context) => boolean;
  readonly how: string;
  readonly tools?: readonly string[];
  readonly parts?: readonly string[];
  readonly consumables?: readonly string[];
  /** Hands-on and waiting, minutes. */
  readonly minutes: number;
  readonly wait?: number;
  readonly hazards?: readonly HazardId[];
  /** The check that proves it, and what it should show. */
  readonly proof: { readonly station: StationId; readonly text: string };
  /** Steps that come before it when both are open. */
  readonly after?: readonly string[];
}
