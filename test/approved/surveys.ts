import { surveyOf } from '../../demo/build.ts';
import { scenario } from '../../demo/scenario/index.ts';
import { acts, Attempt } from '../../src/core/practice/attempt.ts';
import { practiceEngines } from '../../src/core/practice/engines.ts';
import { Draws } from '../../src/core/practice/random.ts';
import { drawTruth } from '../../src/core/practice/truth.ts';
import { stationsFor } from '../../src/core/stations/register.ts';
import type { SurveyFile } from '../../src/core/record/survey-file.ts';

/** A survey at a moment of the work on it. */
export interface Snapshot {
  readonly name: string;
  readonly survey: SurveyFile;
  readonly now: Date;
}

type Dated = { readonly at: string };
const dated = (x: unknown): x is readonly Dated[] =>
  Array.isArray(x) && x.length > 0 && typeof (x[0] as Partial<Dated>).at === 'string';

/** What stood in a survey at a moment: entries made later are left out. */
function upTo(survey: SurveyFile, moment: string): SurveyFile {
  const lists = Object.entries(survey).map(([name, list]): [string, unknown] => [
    name,
    dated(list) ? list.filter((e) => e.at <= moment) : list
  ]);
  return Object.fromEntries(lists) as unknown as SurveyFile;
}

/** Each engine of the demo yard at so many moments between its intake and today. */
export function demoStages(stages: number): Snapshot[] {
  const today = new Date('2026-04-18T14:00:00.000Z');
  return scenario.flatMap((engine) => {
    const survey = surveyOf(engine, today);
    const moments = [...new Set(survey.readings.map((r) => r.at))].sort();
    return Array.from({ length: stages }, (_, k): Snapshot => {
      const moment = moments[Math.round(((k + 1) / stages) * (moments.length - 1))] ?? survey.assessment.startedAt;
      return {
        name: `${engine.key}, ${k + 1} of ${stages}`,
        survey: upTo(survey, moment),
        now: new Date(Date.parse(moment) + 60_000)
      };
    });
  });
}

const caseKinds = ['long-stored', 'neglected', 'spring-return', 'drowned'] as const;

/** An engine drawn with its faults, at which somebody has looked at this and that in no order; at one in three a job was done and its check made again. */
export function drawn(n: number): Snapshot {
  const draws = new Draws(`approved ${n}`);
  const kind = caseKinds[n % caseKinds.length]!;
  const engine = draws.pick('engine', Object.keys(practiceEngines));
  const attempt = new Attempt(drawTruth(draws.seed, { engine, kind, faults: 'usual', artefacts: n % 3 === 0 }));
  const { survey } = attempt;
  const { profile, history } = survey.engine;
  const money = { worth: draws.between('worth', 400, 5000), ceiling: draws.between('ceiling', 100, 1500) };
  if (n % 2) attempt.survey = { ...survey, engine: { ...survey.engine, history: { ...history, ...money } } };
  const checks = new Set(stationsFor(profile));
  const possible = acts.filter((a) => checks.has(a.station));
  for (let k = 0; k < 6 + (n % 12); k++) attempt.make([draws.pick(`act ${k}`, possible)], 5);
  const job = n % 3 === 1 ? attempt.assessed().steps.find((s) => s.state === 'open') : undefined;
  if (job) {
    attempt.work(job.id, job.minutes);
    attempt.make(possible.filter((a) => a.station === job.proof.station && a.routine));
  }
  return {
    name: `${n}: ${engine}, ${kind}${job ? `, after ${job.id}` : ''}`,
    survey: attempt.survey,
    now: attempt.now
  };
}
