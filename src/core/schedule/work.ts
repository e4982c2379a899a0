import { traitsOf } from '../jobs/register.ts';
import { flowFor } from '../care/flows.ts';
import { flowState, type Flow, type FlowState } from '../care/flow.ts';
import type { Move } from '../moves/move.ts';
import { labelsOf, type YardLabel } from '../drowned/labels.ts';
import type { Judgement } from '../judge.ts';
import { partLines } from '../record/part-lines.ts';
import { suppliesOf, type EngineNeed } from '../parts/needs.ts';
import type { Step } from '../plan/plan.ts';
import { asksForKit } from '../stations/cooling/pump.ts';
import { stations } from '../stations/register.ts';
import { drownedClock } from '../drowned/clock.ts';
import { trayOf } from '../tray/tray.ts';
import type { BenchEngine } from './bench.ts';
import { tonightOf } from './tonight.ts';

/** What bench, order and tonight's sheet know of an engine, from its latest assessment. */
export interface Work extends BenchEngine {
  readonly engineId: string;
  readonly serial: string;
  /** Back in service, kept for parts, or with a specialist: nothing is planned. */
  readonly idle?: string;
  /** The pump asks for its whole kit. */
  readonly kit: boolean;
  /** What its open work takes of what is bought by the bottle or the set. */
  readonly supplies: readonly EngineNeed[];
  readonly labels: readonly YardLabel[];
  /** What must not be forgotten when everybody goes home. */
  readonly tonight: readonly string[];
}

/** The short job a single-job assessment was opened for, and how far it is. */
export function singleJob(j: Judgement): { readonly flow: Flow; readonly state: FlowState } | undefined {
  const { survey } = j.context;
  const flow = survey.assessment.kind === 'single-job' ? flowFor(survey) : undefined;
  return flow && { flow, state: flowState(j.context, flow, j.holds) };
}

/** Moves that are looks at the engine, and no work of the list. */
const LOOKS: ReadonlySet<string> = new Set(['make-safe', 'look', 'repeat', 'continue']);

/** The looks still to be made: the next one by name, how many follow, and the minutes of all of them. */
function looksOf(moves: readonly Move[], j: Judgement): BenchEngine['checks'] {
  const next = moves.find((m) => LOOKS.has(m.kind) && !m.waits && m.station);
  if (!next) return undefined;
  const more = j.stations.filter(
    (s) => s.condition === 'not-looked-at' && s.id !== next.station && stations[s.id].looksAt === 'engine'
  );
  const title = `Look: ${next.title.charAt(0).toLowerCase()}${next.title.slice(1)}`;
  return {
    title: more.length ? `${title}, then ${more.length} more` : title,
    minutes: next.minutes + more.reduce((sum, s) => sum + stations[s.id].minutes, 0)
  };
}

/** Why nothing is planned on an engine; nothing when work goes on. */
function idleBecause(back: boolean, j: Judgement, steps: readonly Step[]): string | undefined {
  if (back) return 'back in service';
  const last = j.context.survey.decisions?.at(-1)?.option;
  if (last === 'parts') return 'kept for parts';
  if (last === 'specialist' && !steps.some((s) => s.state === 'open' && traitsOf(s.id).phase !== 'away'))
    return 'with a specialist';
  return undefined;
}

/** The open work of an engine. `back` says that it was signed, or its short job finished with nothing holding it. */
export function workOf(
  ids: { readonly surveyId: string; readonly engineId: string },
  j: Judgement,
  moves: readonly Move[],
  steps: readonly Step[],
  back: boolean
): Work {
  const { survey } = j.context;
  const { identity, history } = survey.engine;
  const job = singleJob(j);
  const checks = !job
    ? looksOf(moves, j)
    : job.state.finished
      ? undefined
      : { title: job.flow.title, minutes: job.flow.minutes };
  const clock = drownedClock(j.context);
  const idle = idleBecause(back, j, steps);
  const { promised } = history;
  return {
    id: ids.surveyId,
    engineId: ids.engineId,
    tag: identity.tag ?? 'no tag',
    serial: identity.serial ?? '',
    steps: steps.map(({ id, title, minutes, wait, after, follows, state, parts, busyUntil }) => ({
      id,
      title,
      minutes,
      wait,
      after,
      follows,
      state,
      parts,
      ...(busyUntil ? { busyUntil } : {})
    })),
    ...(checks ? { checks } : {}),
    ...(clock ? { clock: clock.until.toISOString() } : {}),
    runs:
      !job &&
      survey.assessment.kind !== 'lay-up' &&
      j.stations.some((s) => stations[s.id].looksAt === 'running' && s.condition !== 'sound'),
    parts: partLines(survey),
    ...(promised && promised !== 'unknown' ? { promised } : {}),
    ...(idle ? { idle } : {}),
    kit: asksForKit(j.context),
    supplies: suppliesOf(survey.engine, steps, partLines(survey)),
    labels: labelsOf(j.context, j.holds),
    tonight: back
      ? []
      : tonightOf(
          j,
          trayOf(survey).filter((t) => t.open).length,
          steps.filter((s) => s.state === 'open')
        )
  };
}
