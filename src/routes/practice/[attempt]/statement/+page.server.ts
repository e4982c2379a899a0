import { systems, type SystemId } from '$core/diagnosis/knowledge/shape.ts';
import { statementSchema } from '$core/practice/statement.ts';
import { options, optionIds } from '$core/record/options.ts';
import { open, state } from '$lib/server/practice/store.ts';
import { error, fail, redirect } from '@sveltejs/kit';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = ({ params }) => {
  const opened = open(params.attempt);
  if (!opened) error(404, 'There is no such exercise.');
  if (opened.row.statement) redirect(303, `/practice/${params.attempt}/debrief`);
  const { suspects } = opened.exercise.truth.model;
  return {
    systems: (Object.keys(systems) as SystemId[]).map((id) => ({
      id,
      title: systems[id],
      suspects: suspects
        .filter((s) => s.kind.system === id)
        .map((s) => ({ id: s.id, label: s.label, artefact: s.kind.artefact === true }))
    })),
    options: optionIds.map((id) => [id, options[id].label] as const)
  };
};

export const actions: Actions = {
  default: async ({ request, params }) => {
    const form = await request.formData();
    const marks = Object.fromEntries(
      [...form].flatMap(([k, v]) => (k.startsWith('mark:') && v !== '' ? [[k.slice(5), String(v)]] : []))
    );
    const typed = String(form.get('cost') ?? '').trim();
    const cost = typed === '' ? undefined : Number(typed.replace(',', '.'));
    if (cost !== undefined && !(cost >= 0 && cost <= 1e6))
      return fail(400, { says: `“${typed}” is no sum.`, cost: typed, marks, option: String(form.get('option') ?? '') });
    const option = String(form.get('option') ?? '');
    const statement = statementSchema.safeParse({
      marks,
      ...(option ? { option } : {}),
      ...(cost === undefined ? {} : { cost })
    });
    if (!statement.success)
      return fail(400, { says: 'What was marked could not be read.', cost: typed, marks, option });
    if (!(await state(params.attempt, statement.data))) error(404, 'There is no such exercise.');
    redirect(303, `/practice/${params.attempt}/debrief`);
  }
};
