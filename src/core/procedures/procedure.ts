import type { LimitId } from '../engine/limits.ts';
import type { HazardId } from '../hazards/hazards.ts';
import type { Context } from '../findings/context.ts';
import type { JobId } from '../jobs/register.ts';
import type { Reading } from '../record/reading.ts';
import type { Engine } from '../record/survey-file.ts';
import type { ItemId, StationId } from '../stations/items.ts';
import type { Action } from '../stations/station.ts';
import type { DimensionName } from '../units/dimension.ts';

/** A figure that a step works out, SI, with its range where it is not known to a point. */
export interface Figure {
  readonly label: string;
  readonly dimension: DimensionName;
  readonly value: number;
  readonly low?: number;
  readonly high?: number;
  /** Where it comes from. */
  readonly because: string;
}

/** What is seen at a step, and what follows from it: another piece of work where one is named. */
export interface Branch {
  readonly seen: string;
  readonly then: string;
  readonly job?: JobId;
}

/** The way something may be turned, seen from above or from behind; "marked" where only the engine's own arrow knows. */
export type Way = 'clockwise' | 'anticlockwise' | 'marked';

export interface ProcedureStep {
  readonly id: string;
  /** One action. */
  readonly text: string;
  /** Why, or where the figure comes from. */
  readonly because?: string;
  /** Shown before the action. */
  readonly careful?: readonly HazardId[];
  readonly tools?: readonly string[];
  readonly figures?: readonly Figure[];
  /** What the engine does at this step: refused while a hold forbids it. */
  readonly act?: Action;
  /** Minutes that it goes on by itself. */
  readonly wait?: number;
  /** What is written down with it: read after the work began, wherever it was, the step ticks itself. */
  readonly items?: readonly ItemId[];
  /** The work is done before it: what is read here and after it is read of the mended engine, and proves the job. */
  readonly proves?: true;
  /** Which readings tick this step, where the check itself says what is enough: a stage of a case test that was judged. */
  readonly accepts?: (r: Reading) => boolean;
  readonly torque?: readonly LimitId[];
  /** What comes off here, in this order, onto the tray. */
  readonly takesOff?: readonly string[];
  /** What goes back here: the mirror of what came off. */
  readonly fits?: readonly string[];
  /** Goes on once only: a new one is fitted. */
  readonly renew?: readonly string[];
  readonly branch?: readonly Branch[];
  /** The only way it may be turned at this step. */
  readonly turns?: { readonly way: Way; readonly from: 'above' | 'behind' };
}

/** The room in the record in which its marks stand: short jobs had theirs before there were procedures. */
export type MarkRoom = 'procedure' | 'flow';

/** Work written down step by step, its figures worked out for the engine at hand: the inside of a job or of a short job. */
export interface Procedure {
  readonly id: string;
  readonly marks?: MarkRoom;
  readonly title: string;
  readonly means: string;
  /** Minutes of hands for one who has done it before (C, M). */
  readonly minutes: number;
  /** Jobs that it is the inside of. */
  readonly jobs: readonly JobId[];
  /** Engines that it is work on; all where it is left out. */
  readonly fits?: (e: Engine) => boolean;
  readonly steps: (c: Context) => readonly ProcedureStep[];
  readonly hazards: readonly HazardId[];
  readonly tools: readonly string[];
  readonly parts: readonly string[];
  /** What goes wrong with it, and how it is seen. */
  readonly wrong: readonly string[];
  /** What shows that it worked. */
  readonly proof: { readonly station: StationId; readonly text: string };
  /** When a specialist or a licensed trade takes over. */
  readonly handOver: string;
}

/** What comes off last goes on first. */
export const mirrored = (steps: readonly ProcedureStep[]): string[] => steps.flatMap((s) => s.takesOff ?? []).reverse();

/** Everything that has to lie on the bench before the first bolt: the procedure's own and its steps', each once. */
export function benchList(p: Procedure, steps: readonly ProcedureStep[]): { tools: string[]; parts: string[] } {
  const once = (list: readonly string[]): string[] => [...new Set(list)];
  return {
    tools: once([...p.tools, ...steps.flatMap((s) => s.tools ?? [])]),
    parts: once([...p.parts, ...steps.flatMap((s) => s.renew ?? [])])
  };
}

/** Minutes of waiting that the steps bring, beside the hands. */
export const waitingOf = (steps: readonly ProcedureStep[]): number => steps.reduce((sum, s) => sum + (s.wait ?? 0), 0);
