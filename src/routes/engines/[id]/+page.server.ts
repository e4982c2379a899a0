import { caseKindSchema } from '$core/engine/case-kind.ts';
import { whyNotSign } from '$lib/server/access/actor.ts';
import { makeOwnerLink, ownerLinksOf, withdrawOwnerLink } from '$lib/server/access/store.ts';
import { engineExists, factsAfter } from '$lib/server/store/engines.ts';
import { lastRelease } from '$lib/server/store/releases.ts';
import { engineSession } from '$lib/server/survey-page.ts';
import { createSurvey, surveysOf } from '$lib/server/store/surveys.ts';
import { error, fail, redirect } from '@sveltejs/kit';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params, locals }) => {
  const list = surveysOf(params.id);
  const latest = list[0];
  const session = latest && (await engineSession(latest.id, locals.prefs.units));
  if (!session) error(404, 'There is no such engine.');
  const facts = factsAfter(params.id);
  return {
    links: ownerLinksOf(params.id),
    surveys: list.map((s) => ({
      id: s.id,
      kind: s.kind,
      startedAt: s.startedAt,
      released: lastRelease(s.id)?.at ?? null
    })),
    changes: facts
      .slice(-12)
      .reverse()
      .map(({ path, value, at, by }) => ({ path, value, at, by })),
    session: { ...session, who: locals.prefs.who }
  };
};

export const actions: Actions = {
  assess: async ({ request, params, locals }) => {
    const kind = caseKindSchema.safeParse((await request.formData()).get('kind'));
    if (!kind.success) return fail(400, { message: 'Choose the kind of case first.' });
    if (!engineExists(params.id)) error(404, 'There is no such engine.');
    redirect(303, `/surveys/${createSurvey(params.id, kind.data, locals.prefs.who)}/safe`);
  },
  link: ({ params, locals, url }) => {
    if (!engineExists(params.id)) error(404, 'There is no such engine.');
    const no = whyNotSign(locals.actor, 'an owner’s address');
    if (no) return fail(403, { about: 'link', message: no });
    return { about: 'link', address: `${url.origin}/o/${makeOwnerLink(params.id, locals.prefs.who)}` };
  },
  withdraw: async ({ request, params, locals }) => {
    const no = whyNotSign(locals.actor, 'an owner’s address');
    if (no) return fail(403, { about: 'link', message: no });
    withdrawOwnerLink(String((await request.formData()).get('link') ?? ''), params.id);
    return { about: 'link' };
  }
};
