import { engineOfLink } from '$lib/server/access/store.ts';
import { careOf } from '$lib/server/care.ts';
import { lastRelease } from '$lib/server/store/releases.ts';
import { loadEngine } from '$lib/server/store/engines.ts';
import { surveysOf } from '$lib/server/store/surveys.ts';
import { error } from '@sveltejs/kit';
import type { PageServerLoad } from './$types';

/** What an owner sees of his one engine: what was signed, and what comes next. Nothing of the work under way, and no other engine. */
export const load: PageServerLoad = ({ params, setHeaders }) => {
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
    due: (careOf(engineId)?.due ?? []).slice(0, 12)
  };
};
