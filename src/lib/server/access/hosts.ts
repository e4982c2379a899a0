import os from 'node:os';

/** Names and addresses under which this machine may be asked; a page elsewhere that points its own name here is turned away. */
const LOOPBACK = /^(localhost|127(\.\d{1,3}){3}|\[?::1\]?)$/;
export const isLoopback = (name: string): boolean => LOOPBACK.test(name);

/** The name in a Host header, without its port, in lower case; nothing for what is none. */
export function hostName(header: string | null | undefined): string | undefined {
  const found = /^(\[[0-9a-f:.%]+\]|[a-z0-9._-]+)(?::\d{1,5})?$/.exec((header ?? '').trim().toLowerCase());
  return found?.[1]?.replace(/\.$/, '');
}

const originHost = (): string | undefined => {
  try {
    return process.env.ORIGIN ? new URL(process.env.ORIGIN).hostname.toLowerCase() : undefined;
  } catch {
    return undefined;
  }
};

let own: { readonly at: number; readonly names: ReadonlySet<string> } | undefined;
/** Addresses change when a machine joins another network: looked up again after half a minute. */
function ownNames(): ReadonlySet<string> {
  if (own && Date.now() - own.at < 30_000) return own.names;
  const name = os.hostname().toLowerCase();
  const addresses = Object.values(os.networkInterfaces()).flatMap((list) =>
    (list ?? []).map((a) => (a.family === 'IPv6' ? `[${a.address.split('%')[0]}]` : a.address))
  );
  own = { at: Date.now(), names: new Set([name, `${name.split('.')[0]}.local`, ...addresses]) };
  return own.names;
}

/** Names that the configuration adds: INDAGA_HOSTS, apart by commas, and the host of ORIGIN. */
const configured = (): string[] =>
  [...(process.env.INDAGA_HOSTS ?? '').split(','), originHost() ?? '']
    .map((n) => n.trim().toLowerCase())
    .filter(Boolean);

/** Whether a request's Host header names this machine. */
export function isOurs(header: string | null | undefined): boolean {
  const name = hostName(header);
  return name !== undefined && (isLoopback(name) || ownNames().has(name) || configured().includes(name));
}

/**
 * Whether somebody has to sign in: as soon as the server is bound to more than this machine, stands behind a name of its own, or is told
 * so by INDAGA_ACCESS=on. On loopback alone whoever sits here is trusted.
 */
export function accessNeeded(env: NodeJS.ProcessEnv = process.env): boolean {
  if (env.INDAGA_ACCESS === 'on') return true;
  const behind = env.ORIGIN ? originHost() : undefined;
  return !isLoopback((env.HOST ?? '127.0.0.1').toLowerCase()) || (behind !== undefined && !isLoopback(behind));
}

/** The address to print for a server that is bound to HOST: of one bound to everything, an address that another device can open. */
export function shownOrigin(env: NodeJS.ProcessEnv = process.env): string {
  if (env.ORIGIN) return env.ORIGIN;
  const host = env.HOST ?? '127.0.0.1';
  const lan = Object.values(os.networkInterfaces())
    .flat()
    .find((a) => a && !a.internal && a.family === 'IPv4')?.address;
  const shown = host === '0.0.0.0' || host === '::' ? (lan ?? 'localhost') : host.includes(':') ? `[${host}]` : host;
  return `${env.INDAGA_CERTIFICATE ? 'https' : 'http'}://${shown}:${env.PORT ?? 3000}`;
}
