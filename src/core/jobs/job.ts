import type { SurveyFile } from '../record/survey-file.ts';
import type { Instant } from '../units/instant.ts';
import type { LimitId } from '../engine/limits.ts';
import type { HazardId } from '../hazards/hazards.ts';
import { drowned } from '../record/drowned.ts';
import type { CareId } from './care-kinds.ts';
import type { Context } from '../findings/context.ts';
import type { ItemId, StationId } from '../stations/items.ts';
import type { Condition, Finding } from '../findings/finding.ts';

/** What the bench has one or two of. */
export const resources = { stand: 'stand', tank: 'test tank', hose: 'hose' } as const;
export type ResourceId = keyof typeof resources;

/** What a job leaves open: other things behind the same door cost only their own minutes then. */
export const openings = {
  cowl: { label: 'cowl off', minutes: 4 },
  plugs: { label: 'plugs out', minutes: 8 },
  flywheel: { label: 'flywheel off', minutes: 25 },
  head: { label: 'head off', minutes: 60 },
  carburettor: { label: 'carburettor off', minutes: 20 },
  leg: { label: 'leg off', minutes: 30 },
  case: { label: 'gear case empty', minutes: 20 },
  carrier: { label: 'bearing carrier out', minutes: 30 },
  propeller: { label: 'propeller off', minutes: 6 },
  sump: { label: 'sump empty', minutes: 20 }
} as const;
export type Opening = keyof typeof openings;

/** What a job is like at the bench. From memory and common practice (M, C); a shop changes minutes, not these. */
export interface JobTraits {
  readonly opens?: readonly Opening[];
  readonly uses?: readonly ResourceId[];
  /** What of that came off indeed when it was done, where what was found decides it. */
  readonly opened?: (survey: SurveyFile, at: Instant) => readonly Opening[];
  /** What somebody else takes apart in it, out of the house. */
  readonly apart?: readonly Opening[];
  /** Hands that must not touch paper or another engine's clean parts after it. */
  readonly dirty?: true;
  readonly noisy?: true;
  /** Not by a lamp: cracks, colours, marks. */
  readonly daylight?: true;
  /** What is tightened to a figure. */
  readonly torque?: readonly LimitId[];
  /** Never goes back: a new one does. */
  readonly oneTime?: readonly string[];
  /** Tools that only this job asks for: borrowed or made ready before the start. */
  readonly special?: readonly string[];
  /**
   * When it comes, apart from the order of the list. today: it cannot wait until tomorrow. first: before anything is
   * looked at. drowned: while the clock of a drowned engine runs. repeat: the look itself, written as a job. away: the
   * engine leaves the house. running: the engine runs in it, so whatever else is open comes first.
   */
  readonly phase?: 'today' | 'first' | 'drowned' | 'repeat' | 'away' | 'running';
  /** Takes out what eats at it while it stands: done whatever becomes of the rest. */
  readonly preserves?: true;
  /** Care that it counts as when it is done. */
  readonly counts?: readonly CareId[];
  /** Its line of the order is judged by the pump's own school. */
  readonly kit?: true;
  /** The first run is part of it. */
  readonly isFirstRun?: true;
}

/** A finding that raises a step only in these conditions. */
export interface Raiser {
  readonly id: string;
  readonly only: readonly Condition[];
}
export const only = (id: string, ...conditions: Condition[]): Raiser => ({ id, only: conditions });

/** What proves work: the check that is read after it, what it should show, and what of that check says so. */
export interface Proof {
  readonly station: StationId;
  readonly text: string;
  /** One of these is read after the work, at the cylinders it was for; anything of the check where it is left out. */
  readonly reads?: readonly ItemId[];
  /** Answers of those that prove it, where a lesser fault is none: told otherwise it is not proved. */
  readonly wants?: Partial<Record<ItemId, string>>;
}

/** An item that describes a part; or those of its answers that do, where it describes several. */
export type Renewed = ItemId | { readonly item: ItemId; readonly answers: readonly string[] };

/** The item of it. */
export const renewedItem = (r: Renewed): ItemId => (typeof r === 'string' ? r : r.item);

/** One kind of work, and what raises it. */
export interface JobRule extends JobTraits {
  readonly title: string;
  /** Findings that raise it, by id without the cylinder; a sound finding raises nothing. */
  readonly raisedBy?: readonly (string | Raiser)[];
  /** Raised by the case itself, whatever has been found: the sentence that says why. */
  readonly also?: (c: Context) => string | undefined;
  /** Guesses at a cause step back when a likely suspect raises one of these jobs. */
  readonly yieldsTo?: readonly string[];
  /** It looks for which of the jobs that it yields to it is: found, by a fault of the engine, it steps back as well. */
  readonly searches?: true;
  /** Excluded for this engine as it stands: neither the case, a finding nor a belief raises it. */
  readonly unless?: (c: Context) => boolean;
  /** Already recorded as done by the readings themselves. */
  readonly met?: (c: Context) => boolean;
  readonly how: string;
  /** What the house's school, or what was done before, makes different of it. */
  readonly bySchool?: (c: Context) => Partial<Pick<JobRule, 'title' | 'how' | 'parts' | 'minutes'>>;
  readonly tools?: readonly string[];
  readonly parts?: readonly string[];
  readonly consumables?: readonly string[];
  /** Hands-on and waiting, minutes. */
  readonly minutes: number;
  readonly wait?: number;
  readonly hazards?: readonly HazardId[];
  /** Items that describe what it renews: what was seen of them before is of the old part. */
  readonly renews?: readonly Renewed[];
  /** Items that tell of the engine and not of the part, as what burnt on a plug: what reads as clean after it tells nothing until the next run. */
  readonly wipes?: readonly { readonly item: ItemId; readonly clean: readonly string[] }[];
  /** A look that is written as a job: it finds out, and is through once it was made, whatever it showed. */
  readonly finds?: true;
  /** A good part in the place of each: done once and not cured, once more shows the same. */
  readonly once?: true;
  /** Checks whose earlier readings it makes old beside the one that proves it. */
  readonly alters?: readonly StationId[];
  /** Findings that, still there at its proof, say that it was not this: the work failed though nothing else asks for it. */
  readonly spoiledBy?: readonly string[];
  /** Findings that place what is still there outside this work, and so say that it did not fail: a case that bubbles at a plug alone. */
  readonly elsewhere?: readonly string[];
  /**
   * It works a little further each time: what it left better than it was has not failed, and is done again. Whether a finding of the same
   * gravity says that it is better than it was.
   */
  readonly byDegrees?: (f: Finding) => boolean;
  /** Findings that speak of the engine and not of this work, by id: the same sight again at its proof is no failed proof. */
  readonly tellsOfOthers?: readonly string[];
  /** The check that proves it, and what it should show. */
  readonly proof: Proof;
  /** What proves it instead, where every finding that raised it is of this check. */
  readonly proofAt?: Partial<Record<StationId, Proof>>;
  /** A run made before it says nothing of it; where left out, what it opens says so. */
  readonly seenRunning?: boolean;
  /** Jobs in which this work is done as well: with one of them on the list it is no job of its own, and with one done it is done. */
  readonly within?: readonly string[];
  /** Steps that come before it when both are open. */
  readonly after?: readonly string[];
}

/** Why the steps of a drowned engine stand on its list though nothing was found yet; nothing for a dry one. */
export const underWater = (c: Context): string | undefined =>
  drowned(c) ? 'It was under water: this comes before anything else.' : undefined;
