import { deedSchema } from '$core/practice/exercise.ts';
import { setupDone } from '$core/diagnosis/ranking.ts';
import { looksOf } from '$core/practice/debrief.ts';
import { minutesOfAct, titleOfAct } from '$core/practice/looks.ts';
import { doDeed, open } from '$lib/server/practice/store.ts';
import { stationOf } from '$core/stations/items.ts';
import { checkNamed } from '$lib/ui/sheets/check-named.ts';
import { fail, redirect } from '@sveltejs/kit';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = ({ params }) => {
  const exercise = open(params.attempt)?.exercise;
  const cylinders = Number(exercise?.survey.engine.profile.cylinders ?? 1);
  const ready = exercise ? setupDone(exercise.assessed().context) : undefined;
  return {
    looks: looksOf(checkNamed(params.station)).map((a) => ({
      id: a.id,
      title: titleOfAct(a),
      minutes: minutesOfAct(a, cylinders, ready)
    })),
    jobs: (exercise?.works() ?? [])
      .map(({ id, title }) => ({ id, title }))
      .sort((a, b) => a.title.localeCompare(b.title))
  };
};

export const actions: Actions = {
  default: async ({ request, params }) => {
    const form = await request.formData();
    const kind = String(form.get('kind'));
    const text = (name: string): string => String(form.get(name) ?? '');
    const deed = deedSchema.safeParse(
      kind === 'look'
        ? { kind, act: text('act'), ...(form.has('anyway') ? { anyway: true } : {}) }
        : kind === 'job'
          ? { kind, job: text('job') }
          : kind === 'wait'
            ? { kind, minutes: Number(text('minutes')) }
            : { kind }
    );
    if (!deed.success) return fail(400, { says: 'That could not be done as it was asked for.', refused: '' });
    const outcome = doDeed(params.attempt, deed.data);
    if (!outcome) return fail(404, { says: 'There is no such exercise.', refused: '' });
    if (deed.data.kind === 'ask') {
      const { moves } = open(params.attempt)!.exercise.assessed();
      const first = moves.find((m) => !m.waits) ?? moves[0];
      return { advice: first && { title: first.title, because: first.because, minutes: first.minutes } };
    }
    if (!outcome.ok)
      return fail(409, {
        says: outcome.says,
        refused: outcome.refused && deed.data.kind === 'look' ? deed.data.act : ''
      });
    // On to where it was looked at; what was done stands there above the rest.
    const last = open(params.attempt)!.exercise.survey.readings.at(-1);
    const there = last && deed.data.kind === 'follow' ? stationOf(last.what) : params.station;
    redirect(303, `/practice/${params.attempt}/${there}`);
  }
};
