import type { InstrumentHub } from './hub.ts';

/** Bytes that may wait for a slow listener; beyond them it is let go and connects again. */
const MOST = 8 * 1024 * 1024;
/** How often the state of the ways in is told, and a silent line kept open, ms. */
const EVERY = 1000;
const ALIVE = 15_000;

/** The hub as a stream of server-sent events (P: WHATWG HTML, 9.2). It ends with the request. */
export function liveStream(hub: InstrumentHub, signal: AbortSignal): ReadableStream<Uint8Array> {
  const encoder = new TextEncoder();
  let end = (): void => {};
  return new ReadableStream<Uint8Array>(
    {
      start(controller) {
        const send = (text: string): void => {
          if ((controller.desiredSize ?? 0) < -MOST) return end();
          controller.enqueue(encoder.encode(text));
        };
        const event = (name: string, data: unknown): void => send(`event: ${name}\ndata: ${JSON.stringify(data)}\n\n`);
        let last = Date.now();
        const leave = hub.listen({
          take: (batches) => {
            last = Date.now();
            event('lines', batches);
          },
          states: (states) => event('ways', states)
        });
        const timer = setInterval(() => {
          hub.tell();
          if (Date.now() - last > ALIVE) {
            last = Date.now();
            send(': alive\n\n');
          }
        }, EVERY);
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
        signal.addEventListener('abort', () => end());
      },
      cancel: () => end()
    },
    new ByteLengthQueuingStrategy({ highWaterMark: 64 * 1024 })
  );
}
