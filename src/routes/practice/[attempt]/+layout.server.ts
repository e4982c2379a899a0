import type { Weighed } from '$core/assess.ts';
import type { SurveyFile } from '$core/record/survey-file.ts';
import { toldAtIntake } from '$core/practice/intake.ts';
import { open } from '$lib/server/practice/store.ts';
import { concludedOf } from '$core/conclude.ts';
import type { StationState } from '$core/judge.ts';
import { error } from '@sveltejs/kit';
import type { LayoutServerLoad } from './$types';

/** A check that was looked at, or was not, and no more. */
const unsaid = ({ id, title, condition }: StationState): StationState => ({
  id,
  title,
  condition: condition === 'not-looked-at' ? condition : 'cannot-tell',
  findings: []
});

export const load: LayoutServerLoad = ({ params, locals }) => {
  const opened = open(params.attempt);
  if (!opened) error(404, 'There is no such exercise.');
  const { row, subject, exercise } = opened;
  const mode = subject.setup.advice;
  const assessed = exercise.assessed();
  const { advice, moves } = assessed;
  const concluded = concludedOf(assessed, undefined);
  return {
    attempt: {
      id: row.id,
      title: subject.title,
      told: subject.told,
      intake: toldAtIntake(exercise.survey, locals.prefs.units),
      mode,
      minutes: exercise.minutes,
      money: exercise.money,
      asked: exercise.asked,
      ended: exercise.ended,
      over: row.statement !== null,
      strides: exercise.strides.map((s) => ({ title: s.title, minutes: s.minutes, broke: s.broke?.happened }))
    },
    session: {
      surveyId: `practice-${row.id}`,
      engineId: '',
      // The serial number is what it was drawn from.
      survey: JSON.stringify({
        ...exercise.survey,
        engine: { ...exercise.survey.engine, identity: { tag: 'Practice' } }
      } satisfies SurveyFile),
      seq: 0,
      factSeq: 0,
      units: locals.prefs.units,
      who: locals.prefs.who,
      now: exercise.now.toISOString(),
      // Where the advice is shut nothing of what was found in the readings is told, only what is forbidden.
      concluded: JSON.stringify(
        mode === 'shut' ? { ...concluded, stations: concluded.stations.map(unsaid) } : concluded
      ),
      // What the advice thinks is sent only where it is open: nobody reads it from the page's own text.
      ...(mode === 'open' ? { weighed: JSON.stringify({ advice, moves } satisfies Weighed) } : {})
    }
  };
};
