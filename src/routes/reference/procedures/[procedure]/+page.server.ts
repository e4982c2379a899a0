import { contextOf } from '$core/findings/context.ts';
import { jobOf } from '$core/jobs/register.ts';
import { benchList, waitingOf } from '$core/procedures/procedure.ts';
import { procedureNamed } from '$core/procedures/register.ts';
import { emptySurvey } from '$core/record/survey-file.ts';
import { stations } from '$core/stations/register.ts';
import { say } from '$core/units/index.ts';
import { currentRules } from '$lib/server/store/house-rules.ts';
import { error } from '@sveltejs/kit';
import type { PageServerLoad } from './$types';

const kinds = { two: 'two-stroke', four: 'four-stroke' } as const;

/** The procedure as it stands for an engine of which only the strokes are known, by the house's rules. */
export const load: PageServerLoad = ({ params, url, locals }) => {
  const p = procedureNamed(params.procedure);
  if (!p) error(404, 'There is no such procedure.');
  const now = new Date();
  const empty = emptySurvey('neglected', now.toISOString());
  const engine = (strokes: keyof typeof kinds) => ({ identity: {}, profile: { strokes }, history: {} });
  const fit = (Object.keys(kinds) as (keyof typeof kinds)[]).filter((k) => p.fits?.(engine(k)) ?? true);
  const strokes = fit.find((k) => k === url.searchParams.get('of')) ?? fit[0] ?? 'two';
  const survey = { ...empty, engine: engine(strokes), houseRules: currentRules().rules };
  const steps = p.steps(contextOf(survey, now, locals.prefs.units));
  return {
    title: p.title,
    means: p.means,
    minutes: p.minutes,
    waiting: Math.round(waitingOf(steps)),
    hazards: p.hazards,
    wrong: p.wrong,
    handOver: p.handOver,
    proof: `${stations[p.proof.station].title}: ${p.proof.text}`,
    bench: benchList(p, steps),
    kinds: fit.map((id) => ({ id, says: kinds[id], here: id === strokes })),
    steps: steps.map((s) => ({
      id: s.id,
      text: s.text,
      because: s.because,
      careful: s.careful ?? [],
      turns: s.turns,
      off: s.takesOff ?? [],
      on: s.fits ?? [],
      renew: s.renew ?? [],
      wait: s.wait,
      figures: (s.figures ?? []).map(
        (f) => `${f.label}: ${say(f.value, f.dimension, locals.prefs.units)}. ${f.because}`
      ),
      branch: (s.branch ?? []).map((b) => ({ seen: b.seen, then: b.then, job: b.job && jobOf(b.job).title }))
    }))
  };
};
