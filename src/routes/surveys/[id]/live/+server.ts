import { eventStream } from '$lib/server/event-stream.ts';
import { onChange } from '$lib/server/store/changes.ts';
import { surveyHead } from '$lib/server/store/surveys.ts';
import { error } from '@sveltejs/kit';
import type { RequestHandler } from './$types';

/** A silent line is kept open, ms. */
const ALIVE = 20_000;

/** Tells an open page that something was added to its survey, as server-sent events; the page asks for it. */
export const GET: RequestHandler = ({ params, request }) => {
  if (!surveyHead(params.id)) error(404, 'There is no such assessment.');
  return eventStream(request.signal, (to) => {
    const leave = onChange(params.id, () => to.event('changed', {}));
    const timer = setInterval(() => to.alive(), ALIVE);
    to.alive();
    return () => {
      clearInterval(timer);
      leave();
    };
  });
};
