import type { LeakFitter } from './physics/cranking-fit.ts';
import { holdsOf } from './holds/holds.ts';
import type { Hold } from './holds/hold.ts';
import { contextWithWork } from './jobs/work.ts';
import type { Context } from './findings/context.ts';
import { keep } from './findings/keep.ts';
import { saidFindings } from './stations/said.ts';
import { unmendedFindings } from './stations/unmended.ts';
import { conditionOfCheck } from './stations/condition.ts';
import { judgings } from './stations/judging.ts';
import { stations, stationsFor } from './stations/register.ts';
import type { StationId } from './stations/items.ts';
import type { Condition, Finding } from './findings/finding.ts';
import type { SurveyFile } from './record/survey-file.ts';
import type { Shown, System } from './units/index.ts';

export interface StationState {
  readonly id: StationId;
  readonly title: string;
  readonly condition: Condition;
  readonly findings: readonly Finding[];
  readonly sounding?: Shown;
}

/** Reading to finding to hold: what changes with every keystroke. */
export interface Judgement {
  readonly context: Context;
  readonly stations: readonly StationState[];
  readonly findings: readonly Finding[];
  readonly holds: readonly Hold[];
}

/** Every finding of the stations that this engine has, or of those among them that are asked for. */
export const findingsFor = (c: Context, of: (station: StationId) => boolean = () => true): Finding[] =>
  stationsFor(c.survey.engine.profile)
    .filter(of)
    .flatMap((s) => [...keep(c, judgings[s].analyse), ...unmendedFindings(c, s), ...saidFindings(c, s)]);

/**
 * The first stage: judges what was read. Pure; the clock, the units and what fits a compression test are passed in.
 */
export function judge(survey: SurveyFile, now: Date, units: System, fitLeaks?: LeakFitter): Judgement {
  const context = contextWithWork(survey, now, units, fitLeaks);
  const findings = findingsFor(context);
  const holds = holdsOf(context);
  const list = stationsFor(survey.engine.profile).map((id): StationState => {
    const mine = findings.filter((f) => f.station === id);
    const sounding = judgings[id].sounding?.(context);
    return {
      id,
      title: stations[id].title,
      condition: conditionOfCheck(context, id, mine),
      findings: mine,
      ...(sounding ? { sounding } : {})
    };
  });
  return { context, stations: list, findings, holds };
}
