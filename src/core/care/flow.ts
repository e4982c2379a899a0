import { lastMarks } from '../jobs/done.ts';
import type { HazardId } from '../hazards/hazards.ts';
import type { Hold } from '../holds/hold.ts';
import type { LimitId } from '../engine/limits.ts';
import type { Context } from '../findings/context.ts';
import type { ItemId } from '../stations/items.ts';
import type { Engine } from '../record/survey-file.ts';
import type { CareId } from './intervals.ts';

export interface FlowStep {
  readonly id: string;
  readonly text: string;
  /** Why, or where the figure comes from. */
  readonly because?: string;
  /** Minutes that it goes on by itself. */
  readonly wait?: number;
  /** What is written down with it. */
  readonly items?: readonly ItemId[];
  readonly torque?: readonly LimitId[];
}

/** A short piece of service on one page: its own steps, its own holds, and what it counts as when it is done. */
export interface Flow {
  readonly id: string;
  readonly title: string;
  readonly means: string;
  readonly minutes: number;
  readonly fits?: (e: Engine) => boolean;
  readonly steps: (c: Context) => readonly FlowStep[];
  readonly hazards: readonly HazardId[];
  /** Holds that matter to it; the others are not its business. */
  readonly holds: readonly string[];
  readonly tools: readonly string[];
  readonly parts: readonly string[];
  readonly counts: readonly CareId[];
}

/** The mark under which a flow, or one of its steps, stands in the record. */
export const flowMark = (flow: string, step?: string): string => (step ? `flow.${flow}.${step}` : `flow.${flow}`);

export interface FlowState {
  readonly done: ReadonlySet<string>;
  /** Marked as finished. */
  readonly finished?: { readonly at: string; readonly by?: string };
  /** Its own holds that are raised and not overridden: finished or not, the engine does not go back on it. */
  readonly held: readonly Hold[];
}

/** Which steps of a flow are ticked, whether it was finished, and what holds it; the latest word counts. */
export function flowState(c: Context, flow: Flow, holds: readonly Hold[]): FlowState {
  const last = lastMarks(c.survey);
  const ticked = flow.steps(c).filter((s) => last.get(flowMark(flow.id, s.id))?.state === 'done');
  const end = last.get(flowMark(flow.id));
  return {
    done: new Set(ticked.map((s) => s.id)),
    held: holds.filter((h) => flow.holds.includes(h.id) && !h.override && !h.standing),
    ...(end?.state === 'done' ? { finished: { at: end.at, ...(end.by ? { by: end.by } : {}) } } : {})
  };
}

/** The flow a single-job assessment was opened for. */
export const flowOf = (survey: {
  readonly steps?: readonly { readonly step: string }[] | undefined;
}): string | undefined =>
  /^flow\.([a-z-]+)$/.exec(survey.steps?.find((s) => /^flow\.[a-z-]+$/.test(s.step))?.step ?? '')?.[1];
