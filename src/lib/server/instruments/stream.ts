import { eventStream } from '../event-stream.ts';
import type { InstrumentHub } from './hub.ts';

/** How often the state of the ways in is told, and a silent line kept open, ms. */
const EVERY = 1000;
const ALIVE = 15_000;

/** The hub as a stream of server-sent events; it ends with the request. */
export const liveStream = (hub: InstrumentHub, signal: AbortSignal): Response =>
  eventStream(signal, (to) => {
    let last = Date.now();
    const leave = hub.listen({
      take: (batches) => {
        last = Date.now();
        to.event('lines', batches);
      },
      states: (states) => to.event('ways', states)
    });
    const timer = setInterval(() => {
      hub.tell();
      if (Date.now() - last > ALIVE) {
        last = Date.now();
        to.alive();
      }
    }, EVERY);
    return () => {
      clearInterval(timer);
      leave();
    };
  });
