/** Largest photograph taken, bytes: asked before it is sent and again where it arrives. */
export const largestPhoto = 20_000_000;
