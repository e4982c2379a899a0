import { codeOf, difficulties, setOf, themes } from '$core/practice/set-code.ts';
import { maySign } from '$lib/server/access/actor.ts';
import { begin, boardOf, deedsOf } from '$lib/server/practice/store.ts';
import { error, fail, redirect } from '@sveltejs/kit';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = ({ params, locals, depends }) => {
  const set = setOf(params.code);
  if (!set) error(404, 'This is no code of a set; one of its letters is mistyped.');
  depends('practice:board');
  const board = boardOf(set);
  return {
    code: codeOf(set),
    set: {
      count: set.count,
      difficulty: difficulties[set.difficulty].label,
      theme: themes[set.theme].label,
      advice: set.advice
    },
    who: locals.prefs.who,
    mine: board
      .filter((a) => a.who === locals.prefs.who)
      .map((a) => ({ number: a.number, over: a.statement !== null })),
    // Who learns sees his own; who teaches sees everybody's.
    board: board
      .filter((a) => maySign(locals.actor) || a.who === locals.prefs.who)
      .map((a) => ({
        who: a.who || 'no name',
        number: a.number,
        over: a.statement !== null,
        deeds: deedsOf(a.id),
        result: a.result && {
          minutes: a.result.minutes,
          regret: a.result.regret,
          brier: a.result.brier,
          baseline: a.result.baseline,
          broken: a.result.broken,
          asked: a.result.asked
        }
      }))
  };
};

export const actions: Actions = {
  default: async ({ request, params, locals }) => {
    const number = Number((await request.formData()).get('number'));
    const attempt = begin('set', params.code, number, locals.prefs.who);
    if (!attempt) return fail(404, { says: 'There is no such engine in this set.' });
    redirect(303, `/practice/${attempt}/safe`);
  }
};
