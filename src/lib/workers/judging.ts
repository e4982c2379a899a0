import type { SuspectView } from '$core/diagnosis/suspects.ts';
import { concludedOf } from '$core/conclude.ts';
import type { Concluded } from '$core/concluded.ts';
import { judge } from '$core/judge.ts';
import type { LeakFit } from '$core/physics/cranking-fit.ts';
import type { Reading } from '$core/record/reading.ts';
import { withEntries } from '$core/record/entries.ts';
import type { SurveyFile } from '$core/record/survey-file.ts';
import { fitterOf } from '$core/stations/compression/fitter.ts';
import { leakTask, type LeakTask } from '$core/stations/compression/leak.ts';
import type { System } from '$core/units/index.ts';

/** What is asked besides the survey: the moment, the reader's units, a reading half typed, and a fit that was made. */
export interface JudgeAsked {
  readonly now: string;
  readonly units: System;
  readonly preview?: Reading;
  readonly leak?: { readonly task: LeakTask; readonly fit: LeakFit };
}

/** Suspects as they were weighed last: jobs and gates rest on them too. */
export type Suspects = readonly SuspectView[] | undefined;

/** What was concluded, and what a fit of the compression test would be given. */
export interface JudgeAnswer {
  readonly concluded: Concluded;
  readonly task?: LeakTask;
}

/** Judges a survey, with the reading half typed as if it were recorded. Plain data, so that a worker can do it. */
export function judgeAsked(
  survey: SurveyFile,
  { now, units, preview, leak }: JudgeAsked,
  suspects: Suspects
): JudgeAnswer {
  const seen = preview ? withEntries(survey, [{ type: 'reading', body: preview }]) : survey;
  const judgement = judge(seen, new Date(now), units, leak && fitterOf(leak.task, leak.fit));
  const task = leakTask(judgement.context);
  return { concluded: concludedOf(judgement, suspects && { suspects }), ...(task ? { task } : {}) };
}
