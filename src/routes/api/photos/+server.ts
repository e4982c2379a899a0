import { diskProblem } from '$lib/server/problems.ts';
import { keepPhoto } from '$lib/server/files/photos.ts';
import { log } from '$lib/server/log.ts';
import { largestPhoto } from '$lib/photo-limits.ts';
import { json } from '@sveltejs/kit';
import type { RequestHandler } from './$types';

/**
 * Takes the bytes of one photograph and answers with its name; what it was called on the phone does not matter. `verdict: picture` says
 * that the picture itself cannot be kept; without it the sender keeps it and tries again.
 */
export const POST: RequestHandler = async ({ request, locals }) => {
  if (Number(request.headers.get('content-length') ?? 0) > largestPhoto + 1024)
    return json(
      { verdict: 'picture', message: 'This photograph is larger than 20 MB. Take it smaller, or crop it.' },
      { status: 413 }
    );
  try {
    const kept = await keepPhoto(Buffer.from(await request.arrayBuffer()));
    return kept.ok
      ? json({ photo: kept.photo })
      : json({ verdict: 'picture', message: kept.message }, { status: kept.status });
  } catch (err) {
    const disk = diskProblem(err);
    if (!disk) throw err;
    log.error({ err, requestId: locals.requestId }, 'a photograph could not be written');
    return json({ message: disk }, { status: 507 });
  }
};
