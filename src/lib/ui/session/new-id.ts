/**
 * A random id for an entry. Not `crypto.randomUUID`: browsers offer that only over https or on localhost, and a tablet
 * in the yard reaches this server by plain http.
 */
export function newId(): string {
  const bytes = crypto.getRandomValues(new Uint8Array(16));
  return Array.from(bytes, (b) => b.toString(16).padStart(2, '0')).join('');
}
