import { timingSafeEqual } from 'node:crypto';
import { accessNeeded } from './hosts.ts';
import { newToken } from './secrets.ts';
import { hasPassphrase } from './store.ts';

/** The one-time key of the set-up address: made when the process starts, printed once, void as soon as there is a passphrase. */
let key: string | undefined;

/** The address to print at the start; nothing where nobody has to sign in, or a passphrase is set. */
export function setupAddress(origin: string): string | undefined {
  if (!accessNeeded() || hasPassphrase()) return undefined;
  key ??= newToken();
  return `${origin}/setup?key=${key}`;
}

export function isSetupKey(given: string | null): boolean {
  if (!key || !given || hasPassphrase()) return false;
  const [a, b] = [Buffer.from(given), Buffer.from(key)];
  return a.length === b.length && timingSafeEqual(a, b);
}
