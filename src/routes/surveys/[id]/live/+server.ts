import { onChange } from '$lib/server/store/changes.ts';
import { surveyHead } from '$lib/server/store/surveys.ts';
import { error } from '@sveltejs/kit';
import type { RequestHandler } from './$types';

/** A silent line is kept open, ms. */
const ALIVE = 20_000;

/** Tells an open page that something was added to its survey, as server-sent events (P: WHATWG HTML, 9.2); the page asks for it. */
export const GET: RequestHandler = ({ params, request }) => {
  if (!surveyHead(params.id)) error(404, 'There is no such assessment.');
  const encoder = new TextEncoder();
  let end = (): void => {};
  const stream = new ReadableStream<Uint8Array>({
    start(controller) {
      const send = (text: string): void => {
        try {
          controller.enqueue(encoder.encode(text));
        } catch {
          end();
        }
      };
      const leave = onChange(params.id, () => send('event: changed\ndata: {}\n\n'));
      const timer = setInterval(() => send(': alive\n\n'), ALIVE);
      end = () => {
        end = () => {};
        clearInterval(timer);
        leave();
        try {
          controller.close();
        } catch {
          // The listener has closed it already.
        }
      };
      request.signal.addEventListener('abort', () => end());
      send(': open\n\n');
    },
    cancel: () => end()
  });
  return new Response(stream, {
    headers: { 'content-type': 'text/event-stream', 'cache-control': 'no-cache, no-transform' }
  });
};
