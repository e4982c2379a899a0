import { readyExercises } from '$core/practice/ready.ts';
import {
  adviceModes,
  codeOf,
  difficulties,
  difficultyNames,
  setOf,
  themeNames,
  themes,
  type Difficulty,
  type Theme
} from '$core/practice/set-code.ts';
import { attemptsOf, begin, calibrationFor } from '$lib/server/practice/store.ts';
import { fail, redirect } from '@sveltejs/kit';
import { randomInt } from 'node:crypto';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = ({ locals }) => {
  const { who } = locals.prefs;
  const mine = attemptsOf(who);
  return {
    who,
    ready: readyExercises.map((e, k) => {
      const tried = mine.filter((a) => a.kind === 'ready' && a.code === e.id);
      return {
        id: e.id,
        number: k + 1,
        title: e.title,
        told: e.told,
        advice: e.advice,
        done: tried.filter((a) => a.statement).length,
        open: tried.find((a) => !a.statement)?.id
      };
    }),
    sets: [...new Set(mine.filter((a) => a.kind === 'set').map((a) => a.code))],
    calibration: calibrationFor(who),
    choices: {
      difficulties: difficultyNames.map((d) => [d, difficulties[d].label] as const),
      themes: themeNames.map((t) => [t, themes[t].label] as const),
      advice: adviceModes
    }
  };
};

/** What a refusal may say, and what was typed. */
const nothing = { says: '', typed: '', made: '', count: '' };

export const actions: Actions = {
  begin: async ({ request, locals }) => {
    const id = String((await request.formData()).get('id'));
    const attempt = begin('ready', id, 1, locals.prefs.who);
    if (!attempt) return fail(404, { ...nothing, says: 'There is no such exercise.' });
    redirect(303, `/practice/${attempt}/safe`);
  },
  open: async ({ request }) => {
    const typed = String((await request.formData()).get('code') ?? '');
    const set = setOf(typed);
    if (!set)
      return fail(400, {
        ...nothing,
        says: 'This is no code of a set: eight letters and figures; one of them is mistyped.',
        typed
      });
    redirect(303, `/practice/sets/${codeOf(set)}`);
  },
  make: async ({ request }) => {
    const form = await request.formData();
    const get = (name: string): string => String(form.get(name) ?? '');
    const count = Number(get('count'));
    const [difficulty, theme] = [get('difficulty') as Difficulty, get('theme') as Theme];
    const advice = adviceModes.find((a) => a === get('advice'));
    if (!difficultyNames.includes(difficulty) || !themeNames.includes(theme) || !advice)
      return fail(400, { ...nothing, made: 'Choose difficulty, theme and advice.' });
    if (!Number.isInteger(count) || count < 1 || count > 16)
      return fail(400, { ...nothing, made: 'A set has 1 to 16 engines.', count: get('count') });
    redirect(303, `/practice/sets/${codeOf({ seed: randomInt(2 ** 20), count, difficulty, theme, advice })}`);
  }
};
