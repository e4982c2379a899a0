type Piece = () => Promise<unknown>;

/** No piece waits longer than this for a moment of rest, ms: someone who types without a pause still gets them all. */
const LATEST = 2000;
/** Browsers without idle callbacks: a pause between two pieces, ms. */
const PAUSE = 50;

const rest = (): Promise<void> =>
  new Promise((resolve) => {
    if (typeof requestIdleCallback === 'function') requestIdleCallback(() => resolve(), { timeout: LATEST });
    else setTimeout(resolve, PAUSE);
  });

/**
 * Fetches code ahead, one piece after the other, each in a moment of rest: linking eighty modules at once keeps the page from drawing for a
 * tenth of a second. A piece that fails is left; it is asked for again when it is needed. Returns what ends it.
 */
export function fetchAhead(pieces: readonly Piece[], after = rest): () => void {
  let ended = false;
  void (async () => {
    for (const piece of pieces) {
      await after();
      if (ended) return;
      await piece().catch(() => undefined);
    }
  })();
  return () => {
    ended = true;
  };
}
