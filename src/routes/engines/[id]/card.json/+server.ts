import { cardOf } from '$core/engine/card-file.ts';
import { downloadName } from '$lib/server/files/download-name.ts';
import { engineExists, loadEngine } from '$lib/server/store/engines.ts';
import { error } from '@sveltejs/kit';
import type { RequestHandler } from './$types';

/** The engine's card as an open JSON file. */
export const GET: RequestHandler = ({ params }) => {
  if (!engineExists(params.id)) error(404, 'There is no such engine.');
  const card = cardOf(loadEngine(params.id));
  return new Response(`${JSON.stringify(card, null, 2)}\n`, {
    headers: {
      'content-type': 'application/json; charset=utf-8',
      'content-disposition': `attachment; filename="${downloadName(card.model ?? card.from)}.card.json"`
    }
  });
};
