import { contextOf, type Context, type Work } from '../findings/context.ts';
import type { SurveyFile } from '../record/survey-file.ts';
import type { LeakFitter } from '../physics/cranking-fit.ts';
import { stationOf } from '../stations/items.ts';
import type { System } from '../units/index.ts';
import { isAfter } from '../units/instant.ts';
import { isJobId, jobOf } from './register.ts';

/** When work was marked done; a mark that was taken back to open later is none. */
export function workOf(survey: SurveyFile): Work {
  const marks = survey.steps ?? [];
  const done = marks.flatMap((m) => {
    const stands =
      m.state === 'done' && !marks.some((o) => o.step === m.step && o.state === 'open' && isAfter(o.at, m.at));
    return stands && isJobId(m.step) ? [{ at: m.at, job: jobOf(m.step) }] : [];
  });
  return {
    worked: (station) =>
      done.filter(({ job }) => job.proof.station === station || job.alters?.includes(station)).map(({ at }) => at),
    touched: (item) => {
      const station = stationOf(item);
      return done
        .filter(
          ({ job }) =>
            job.alters?.includes(station) ||
            job.renews?.includes(item) ||
            (job.proof.station === station && (job.proof.reads?.includes(item) ?? true))
        )
        .map(({ at }) => at);
    },
    renewed: (item) => done.filter(({ job }) => job.renews?.includes(item)).map(({ at }) => at),
    wiped: (item) =>
      done.flatMap(({ at, job }) => (job.wipes ?? []).flatMap((w) => (w.item === item ? [{ at, clean: w.clean }] : [])))
  };
}

/** The context of a survey with the work that was done on it, as every judgement of it is given. */
export const contextWithWork = (survey: SurveyFile, now: Date, units: System, fitLeaks?: LeakFitter): Context =>
  contextOf(survey, now, units, fitLeaks, workOf(survey));
