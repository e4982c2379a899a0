/** Texts kept whose contents the server has read last. */
const KEPT = 120;
const read = new Map<string, unknown>();

/** What a JSON text says. Drawn page after page by the server it is the same object, as long as the text is the same. */
export function readOnce<T>(text: string): T {
  const known = read.get(text);
  // The one used last goes last.
  read.delete(text);
  const said = known ?? (JSON.parse(text) as unknown);
  read.set(text, said);
  if (read.size > KEPT) read.delete(read.keys().next().value!);
  return said as T;
}
