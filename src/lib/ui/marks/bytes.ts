/** "640 kB", "61 MB": the size of a file for a reader. */
export const sayBytes = (bytes: number): string =>
  bytes < 1e6 ? `${Math.max(1, Math.round(bytes / 1e3))} kB` : `${Math.round(bytes / 1e6)} MB`;
