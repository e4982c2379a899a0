import { benchSchema, type BenchSettings } from '$core/schedule/settings.ts';
import { currentBench, saveBench } from '$lib/server/store/shop.ts';
import { fail, redirect } from '@sveltejs/kit';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = () => currentBench();

const clock = (text: string): number | undefined => {
  const m = /^(\d{1,2}):(\d{2})$/.exec(text.trim());
  return m && Number(m[1]) < 24 && Number(m[2]) < 60 ? Number(m[1]) * 60 + Number(m[2]) : undefined;
};
const lines = (text: string): string[] =>
  text
    .split(/[\n,]/)
    .map((x) => x.trim())
    .filter(Boolean);

export const actions: Actions = {
  default: async ({ request, locals }) => {
    const form = await request.formData();
    const typed = Object.fromEntries([...form].map(([k, v]) => [k, String(v)]));
    const days = form.getAll('days').map(Number);
    const candidate = {
      people: lines(typed.people ?? ''),
      stand: Number(typed.stand),
      tank: Number(typed.tank),
      hose: Number(typed.hose),
      days,
      from: clock(typed.from ?? '') ?? -1,
      to: clock(typed.to ?? '') ?? -1,
      closed: lines(typed.closed ?? '')
    };
    const result = benchSchema.safeParse(candidate satisfies BenchSettings);
    if (!result.success) {
      const errors: Record<string, string> = {};
      for (const i of result.error.issues) {
        const key = String(i.path[0]);
        errors[key] ??=
          key === 'from' || (key === 'to' && candidate.to < 0)
            ? 'A time is written 8:30.'
            : key === 'stand' || key === 'tank' || key === 'hose'
              ? 'A whole number, none is 0.'
              : i.message.charAt(0).toUpperCase() + i.message.slice(1);
      }
      return fail(400, { errors, typed, days });
    }
    saveBench(result.data, locals.prefs.who);
    redirect(303, '/bench');
  }
};
