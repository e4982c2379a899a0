import type { System } from '$core/units/index.ts';
import { engineOfLink } from '$lib/server/access/store.ts';
import { careOf } from '$lib/server/care.ts';
import { lastRelease } from '$lib/server/store/releases.ts';
import { loadEngine } from '$lib/server/store/engines.ts';
import { surveysOf } from '$lib/server/store/surveys.ts';
import { randomUUID } from 'node:crypto';
import { keepOuting, outingsOf, readOuting } from '$lib/server/outings.ts';
import { tooMany } from '$lib/server/access/limits.ts';
import { error, fail } from '@sveltejs/kit';
import type { Actions, PageServerLoad } from './$types';

/** What an owner sees of his one engine: what was signed, and what comes next. Nothing of the work under way, and no other engine. */
export const load: PageServerLoad = ({ params, setHeaders, locals }) => {
  setHeaders({ 'cache-control': 'no-store', 'x-robots-tag': 'noindex' });
  const engineId = engineOfLink(params.secret);
  if (!engineId) error(404, 'This address shows nothing any more. Ask the yard for a new one.');
  const { identity } = loadEngine(engineId);
  const signed = surveysOf(engineId)
    .map((s) => lastRelease(s.id))
    .find((r) => r !== undefined);
  return {
    tag: identity.tag ?? 'Your engine',
    name: [identity.maker, identity.model].filter(Boolean).join(' '),
    serial: identity.serial ?? '',
    signed: signed && {
      at: signed.at,
      by: signed.signedBy,
      hash: signed.hash,
      owner: signed.record.report.owner
    },
    due: (careOf(engineId)?.due ?? []).slice(0, 12),
    log: ownersLog(engineId, locals.prefs.units),
    entry: randomUUID()
  };
};

/** What an owner wrote down himself, and what it says: of the log, nothing of the yard's work. */
function ownersLog(engineId: string, units: System) {
  const view = outingsOf(engineId, new Date(), units);
  return (
    view && {
      four: view.four,
      stage: view.stage,
      oil:
        view.oil && view.oil.verdict !== 'no-dips'
          ? { sentence: view.oil.sentence, advice: view.oil.advice }
          : undefined,
      totals: view.totals,
      last: view.list.slice(-5).map(({ id, on, hours, meter }) => ({ id, on, hours, meter }))
    }
  );
}

export const actions: Actions = {
  log: async ({ params, request, locals }) => {
    const engineId = engineOfLink(params.secret);
    if (!engineId) error(404, 'This address shows nothing any more. Ask the yard for a new one.');
    const form = await request.formData();
    const now = new Date();
    const read = readOuting(form, outingsOf(engineId, now, locals.prefs.units)?.gap ?? 0, locals.prefs.units, now);
    if ('errors' in read) return fail(400, read);
    const wait = await tooMany('outing', engineId);
    if (wait)
      return fail(429, { errors: { on: wait }, typed: Object.fromEntries([...form].map(([k, v]) => [k, String(v)])) });
    keepOuting(engineId, String(form.get('name') ?? ''), read.outing, 'owner', now);
    return { kept: true };
  }
};
