import { questionOf, type Question } from '$core/practice/five-minutes.ts';
import { caseKinds } from '$core/engine/case-kind.ts';
import { allItems } from '$core/stations/items.ts';
import { sayValue } from '$core/items/check-entry.ts';
import { fail, redirect } from '@sveltejs/kit';
import { randomInt } from 'node:crypto';
import type { Actions, PageServerLoad } from './$types';

const seedOf = (url: URL): string | undefined => {
  const seed = url.searchParams.get('q');
  return seed && /^[0-9a-z]{1,12}$/.test(seed) ? seed : undefined;
};
/** Questions in memory: making one takes several judgements, and it is asked for twice. */
const kept = new Map<string, Question>();
function questionFor(seed: string): Question {
  const q = kept.get(seed) ?? questionOf(seed);
  kept.set(seed, q);
  if (kept.size > 50) kept.delete(kept.keys().next().value!);
  return q;
}
const fresh = (): string => randomInt(2 ** 40).toString(36);

export const load: PageServerLoad = ({ url, locals }) => {
  const seed = seedOf(url);
  if (!seed) redirect(307, `/practice/five?q=${fresh()}`);
  const q = questionFor(seed);
  const { survey, jobs } = q.attempt;
  return {
    seed,
    next: fresh(),
    kind: caseKinds[survey.assessment.kind].label,
    profile: survey.engine.profile,
    done: jobs.length,
    readings: q.latest.map((r) => ({
      id: r.id,
      label: `${allItems[r.what].label}${r.cylinder ? `, cylinder ${r.cylinder}` : ''}${
        r.conditions?.throttle ? `, throttle ${r.conditions.throttle}` : ''
      }${r.conditions?.stage ? `, ${r.conditions.stage} stage` : ''}`,
      value: sayValue(allItems[r.what], r.value, locals.prefs.units)
    })),
    answers: q.answers.map(({ id, title }) => ({ id, title }))
  };
};

export const actions: Actions = {
  default: async ({ request, url }) => {
    const form = await request.formData();
    const seed = seedOf(url) ?? String(form.get('seed') ?? '');
    const answer = String(form.get('answer') ?? '');
    const q = questionFor(seed);
    if (!q.answers.some((a) => a.id === answer)) return fail(400, { says: 'Choose one of the four.' });
    const right = q.answers.find((a) => a.id === q.right.id)!;
    return { answer, right: right.id, title: right.title, because: q.right.because };
  }
};
