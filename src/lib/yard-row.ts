import type { DrownedClock } from '../core/drowned/clock.ts';
import type { CaseKind } from '../core/engine/case-kind.ts';
import type { Profile } from '../core/engine/profile.ts';
import type { Condition } from '../core/findings/finding.ts';
import type { Move } from '../core/moves/move.ts';

/** One engine as the yard shows it: made by the server, kept, and drawn by the page. */
export interface YardRow {
  readonly surveyId: string;
  readonly engineId: string;
  readonly tag: string;
  readonly name: string;
  readonly owner: string;
  readonly serial: string;
  readonly kind: CaseKind;
  readonly startedAt: string;
  readonly profile: Profile;
  readonly stations: readonly { readonly id: string; readonly title: string; readonly condition: Condition }[];
  readonly holds: readonly { readonly title: string; readonly overridden: boolean }[];
  readonly clock?: Pick<DrownedClock, 'hoursLeft' | 'sentence'> & { readonly until: string };
  /** What to do now. */
  readonly next?: Move;
  /** The likeliest thing that something points to, in a few words. */
  readonly suspect?: string;
  readonly waits: readonly { readonly label: string; readonly until: string }[];
  readonly openJobs: number;
  /** A job that cannot wait until tomorrow. */
  readonly today?: string;
  readonly gravest?: string;
  readonly releasedAt: string | null;
  /** Parts that work waits for, in a few words. */
  readonly parts?: string;
  /** A single job: its own page. */
  readonly flow?: { readonly id: string; readonly title: string };
  /** What falls due next, when it is soon. */
  readonly care?: { readonly title: string; readonly day: string; readonly overdue: boolean };
  /** Who recorded something here, each name once. */
  readonly people: readonly string[];
  readonly pressing: number;
  /** Its turn has not come yet: who it is is known, and what is wrong with it is not. */
  readonly pending?: true;
  /** Why this engine could not be judged; everything else of the line is empty then. */
  readonly unjudged?: string;
}
