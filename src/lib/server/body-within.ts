/** The largest request that is no bundle, bytes: the server itself turns away what announces more (scripts/server.mjs). */
export const LARGEST = 25 * 1024 * 1024;

/**
 * The bytes of a request's body, where there are no more than `most`; nothing where there are more, and then no more of it is read.
 * For a body that comes in pieces and does not say how long it is.
 */
export async function bodyWithin(
  body: ReadableStream<Uint8Array>,
  most: number
): Promise<Uint8Array<ArrayBuffer> | undefined> {
  const reader = body.getReader();
  const pieces: Uint8Array[] = [];
  let sum = 0;
  for (let next = await reader.read(); !next.done; next = await reader.read()) {
    sum += next.value.byteLength;
    if (sum > most) {
      await reader.cancel().catch(() => undefined);
      return undefined;
    }
    pieces.push(next.value);
  }
  const out = new Uint8Array(sum);
  let at = 0;
  for (const piece of pieces) {
    out.set(piece, at);
    at += piece.byteLength;
  }
  return out;
}
