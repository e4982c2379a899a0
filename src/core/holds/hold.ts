import type { Context } from '../findings/context.ts';
import type { ItemId, StationId } from '../items/register.ts';
import type { Action } from '../stations/station.ts';

export { actions, type Action } from '../stations/station.ts';

export interface Need {
  readonly text: string;
  readonly done: boolean;
  readonly station?: StationId;
  /** What it reads, where that is more definite than the whole check. */
  readonly items?: readonly ItemId[];
  /** The job that is this very act: while that is open, it stands on the list once. */
  readonly job?: string;
  /** Minutes, where it is one act and not the whole check. */
  readonly minutes?: number;
  /** Nothing the yard can do lifts it. */
  readonly never?: true;
}

export interface HoldRule {
  readonly id: string;
  readonly title: string;
  readonly blocks: readonly Action[];
  /** Why it is raised, or nothing when it is not. */
  readonly raised: (c: Context) => string | undefined;
  readonly needs: (c: Context) => readonly Need[];
  /** Jobs that cure what raises it: while one of them is open, it comes before another look at the hold. */
  readonly curedBy?: readonly string[];
  /** Raised only because something is not recorded yet: shown at the step it blocks, not across every view. */
  readonly standing?: (c: Context) => boolean;
}

export interface Hold {
  readonly id: string;
  readonly title: string;
  readonly because: string;
  readonly blocks: readonly Action[];
  readonly needs: readonly Need[];
  readonly standing: boolean;
  readonly curedBy?: readonly string[];
  /** The reason somebody gave to go on all the same. */
  readonly override?: { readonly reason: string; readonly at: string; readonly by?: string };
}
