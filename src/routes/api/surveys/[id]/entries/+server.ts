import { batchSchema } from '$core/survey/wire.ts';
import { appendBatch } from '$lib/server/store/append.ts';
import { diskProblem } from '$lib/server/problems.ts';
import { log } from '$lib/server/log.ts';
import { error, json } from '@sveltejs/kit';
import type { RequestHandler } from './$types';

/** A batch of entries is small; a flood is not taken. */
const MOST = 2 * 1024 * 1024;

/** Appends what a browser recorded and answers with everything new. A retry of the same batch changes nothing. */
export const POST: RequestHandler = async ({ request, params, locals }) => {
  if (Number(request.headers.get('content-length') ?? 0) > MOST)
    error(413, 'This batch is too large; nothing was saved.');
  let body: unknown;
  try {
    body = await request.json();
  } catch {
    error(400, 'What arrived is not JSON; nothing was saved.');
  }
  const batch = batchSchema.safeParse(body);
  if (!batch.success) error(400, 'What arrived is not a batch of entries; nothing was saved.');
  let result: ReturnType<typeof appendBatch>;
  try {
    result = appendBatch(params.id, batch.data, locals.actor ? { actor: locals.actor } : {});
  } catch (err) {
    const disk = diskProblem(err);
    if (!disk) throw err;
    log.error({ err, requestId: locals.requestId }, 'a batch could not be written');
    return json({ message: disk }, { status: 507 });
  }
  if (!result) error(404, 'There is no such assessment.');
  return json(result);
};
