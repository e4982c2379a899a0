import type { Profile } from '../engine/profile.ts';
import type { Context } from '../findings/context.ts';
import type { Finding } from '../findings/finding.ts';
import type { HazardId } from '../hazards/hazards.ts';
import type { Items } from '../items/item.ts';
import type { ItemId } from '../items/register.ts';
import type { Conditions } from '../record/reading.ts';
import type { Shown } from '../units/index.ts';

/** What a check, or a single reading of it, does to the engine; holds forbid it by this name. */
export const actions = {
  crank: 'no cranking',
  start: 'no start',
  gear: 'no running in gear',
  release: 'not ready for service'
} as const;
export type Action = keyof typeof actions;

/** Where on the drawing of an engine a check is led to; the drawing knows where each place lies on this engine. */
export type DrawingPlace =
  | 'cowl top'
  | 'cowl side'
  | 'flywheel'
  | 'plug'
  | 'plug lead'
  | 'cylinder'
  | 'gear case'
  | 'fuel line'
  | 'water intake'
  | 'sump'
  | 'propeller';

/** Something that usually runs by itself at a check, with how long and why. */
export interface UsualWait {
  readonly label: string;
  readonly minutes: number;
  readonly because: string;
}

/** The one definition of a station ("check" on the screen): everything that depends on which station it is stands here. */
/** What is left to try or to note at a check. */
export interface Untried {
  readonly says: string;
  /** The look that settles it, and what it reads. */
  readonly title: string;
  readonly items: readonly ItemId[];
}

export interface Station {
  /** What can be recorded, by name. */
  readonly items: Items;
  readonly title: string;
  /** For strips where room is short. */
  readonly short: string;
  readonly minutes: number;
  /** What is asked for when a reading of it is doubted: "Measure the compression again". */
  readonly again?: string;
  readonly how: readonly string[];
  /** What can hurt: before anything is touched, and while it goes on. */
  readonly hazards: { readonly before: readonly HazardId[]; readonly during: readonly HazardId[] };
  /** What is carried to the engine for it (C). */
  readonly tools: readonly string[];
  /** Where the drawing leads it to. */
  readonly anchor: DrawingPlace;
  /** What making the check does to the engine. */
  readonly act?: Action;
  /** Readings that do something to the engine by themselves; of some values only, where a function says so. */
  readonly acts?: Readonly<Record<string, Action | ((value: unknown) => Action | undefined)>>;
  /** Whether it looks at the engine, at what is around it, or at it running. */
  readonly looksAt: 'engine' | 'surroundings' | 'running';
  /** Comes before every other check, and why. */
  readonly first?: string;
  /** What its first pass asks, by name, where it can be answered one question at a time. */
  readonly firstPass?: readonly string[];
  /** It must have been looked at before an engine goes back; a reason opens no gate over it. */
  readonly beforeRelease?: true;
  /** What nobody has tried or noted yet, though all that was seen of it is sound: said at its gate, and no fault before. */
  readonly untried?: (c: Context) => Untried | undefined;
  /** Its findings about a cylinder colour that cylinder on the drawing. */
  readonly coloursCylinders?: true;
  /** Whether this engine has the thing at all, and the sentence for one that has not. */
  readonly applies?: (p: Profile) => boolean;
  readonly absent?: string;
  /** Conditions of its readings as they usually are, where a test has conditions. */
  readonly usualConditions?: (c: Context) => Conditions;
  /** What usually runs by itself here. C unless it says otherwise. */
  readonly waits?: (c: Context) => readonly UsualWait[];
}

/**
 * What a station makes of its readings, in `stations/<name>/judging.ts`. It stands apart from the definition, so that a page that asks what a check
 * is does not load what eleven checks conclude.
 */
export interface Judging {
  readonly analyse: (c: Context) => Finding[];
  /**
   * Whether a good finding is of one part or of its age only: it stands in the list, and does not by itself make the check sound. All are
   * good news of the whole check where this is left out.
   */
  readonly aside?: (c: Context, finding: Finding) => boolean;
  /** The one figure that stands on the drawing where it was taken. */
  readonly sounding?: (c: Context) => Shown | undefined;
}
