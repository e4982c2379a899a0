/** Bytes that may wait for a slow listener; beyond them it is let go and connects again. */
const MOST = 8 * 1024 * 1024;

export interface EventSink {
  /** An event with its data as JSON. */
  event(name: string, data: unknown): void;
  /** A line that says nothing and keeps the connection open. */
  alive(): void;
}

/**
 * A stream of server-sent events (P: WHATWG HTML, 9.2). `begin` is given where to send to and returns what ends it; it ends with the
 * request, with its reader, and where the reader is too slow.
 */
export function eventStream(signal: AbortSignal, begin: (to: EventSink) => () => void): Response {
  const encoder = new TextEncoder();
  let end = (): void => {};
  const stream = new ReadableStream<Uint8Array>(
    {
      start(controller) {
        let leave = (): void => {};
        end = () => {
          end = () => {};
          leave();
          try {
            controller.close();
          } catch {
            // The listener has closed it already.
          }
        };
        const send = (text: string): void => {
          if ((controller.desiredSize ?? 0) < -MOST) return end();
          try {
            controller.enqueue(encoder.encode(text));
          } catch {
            end();
          }
        };
        leave = begin({
          event: (name, data) => send(`event: ${name}\ndata: ${JSON.stringify(data)}\n\n`),
          alive: () => send(': alive\n\n')
        });
        signal.addEventListener('abort', () => end());
      },
      cancel: () => end()
    },
    new ByteLengthQueuingStrategy({ highWaterMark: 64 * 1024 })
  );
  return new Response(stream, {
    headers: { 'content-type': 'text/event-stream', 'cache-control': 'no-cache, no-transform' }
  });
}
