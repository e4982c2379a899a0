/** A name for a download from an engine's tag: letters, digits, - and _ only. */
export const downloadName = (tag: string | undefined): string =>
  (tag ?? '').replace(/[^A-Za-z0-9_-]+/g, '-').slice(0, 60) || 'engine';
