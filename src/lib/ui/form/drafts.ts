/**
 * Half-typed entries, kept in this browser on every keystroke so that a reload in the middle loses nothing.
 * localStorage, because it is written before the keystroke returns; a full or forbidden store is not an error.
 */
const PREFIX = 'indaga-draft:';

const store = (): Storage | undefined => {
  try {
    return globalThis.localStorage;
  } catch {
    return undefined;
  }
};

export const readDraft = (key: string): string | undefined => store()?.getItem(PREFIX + key) ?? undefined;

export function writeDraft(key: string, text: string): void {
  try {
    store()?.setItem(PREFIX + key, text);
  } catch {
    // The store is full; the text still stands in its field.
  }
}

export const clearDraft = (key: string): void => store()?.removeItem(PREFIX + key);
