import { createHash, randomBytes, scrypt, timingSafeEqual, type ScryptOptions } from 'node:crypto';
import { promisify } from 'node:util';

const derive = promisify<string, Buffer, number, ScryptOptions, Buffer>(scrypt);
/** Cost of scrypt (RFC 7914): 32 MB and about a tenth of a second. */
const COST = { N: 2 ** 15, r: 8, p: 1, maxmem: 64 * 1024 * 1024 };

/** A passphrase or PIN as it is kept: "scrypt$salt$hash". Node's own scrypt. */
export async function hashSecret(secret: string): Promise<string> {
  const salt = randomBytes(16);
  const hash = await derive(secret.normalize('NFKC'), salt, 32, COST);
  return `scrypt$${salt.toString('base64url')}$${hash.toString('base64url')}`;
}

/** Whether a secret is the one that was kept. Takes as long for a wrong one. */
export async function isSecret(secret: string, kept: string): Promise<boolean> {
  const [kind, salt, hash] = kept.split('$');
  if (kind !== 'scrypt' || !salt || !hash) return false;
  const wanted = Buffer.from(hash, 'base64url');
  const found = await derive(secret.normalize('NFKC'), Buffer.from(salt, 'base64url'), wanted.length, COST);
  return timingSafeEqual(found, wanted);
}

/** What a cookie or an address holds: 256 bits, base64url. Kept by its hash, so that the database opens nothing. */
export const newToken = (): string => randomBytes(32).toString('base64url');
export const tokenHash = (token: string): string => createHash('sha256').update(token).digest('hex');
