import { loadEngine, engineExists } from '$lib/server/store/engines.ts';
import { error } from '@sveltejs/kit';
import QRCode from 'qrcode';
import type { PageServerLoad } from './$types';

/** A tag for the engine: a square code that opens its page, and what a person reads without one. */
export const load: PageServerLoad = async ({ params, url }) => {
  if (!engineExists(params.id)) error(404, 'There is no such engine.');
  const address = `${url.origin}/engines/${params.id}`;
  const { identity } = loadEngine(params.id);
  return {
    address,
    code: await QRCode.toString(address, { type: 'svg', errorCorrectionLevel: 'Q', margin: 4 }),
    tag: identity.tag ?? 'no tag',
    name: [identity.maker, identity.model].filter(Boolean).join(' '),
    serial: identity.serial ?? '',
    owner: identity.owner ?? ''
  };
};
