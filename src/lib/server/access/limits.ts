import { RateLimiterMemory } from 'rate-limiter-flexible';

/** Wrong tries: from one address, for one name, and in all, so that many addresses do not help either. */
const limiters = {
  passphrase: new RateLimiterMemory({ points: 6, duration: 60 }),
  pin: new RateLimiterMemory({ points: 5, duration: 300 }),
  /** Outings that an owner writes down under his address: nobody makes more of them in an hour. */
  outing: new RateLimiterMemory({ points: 30, duration: 3600 }),
  all: new RateLimiterMemory({ points: 60, duration: 60 })
} as const;

/** Counts a try; the sentence says how long to wait, nothing when it may be made. */
export async function tooMany(kind: 'passphrase' | 'pin' | 'outing', whose: string): Promise<string | undefined> {
  try {
    await limiters[kind].consume(whose);
    await limiters.all.consume('all');
    return undefined;
  } catch (left) {
    const seconds = Math.ceil(((left as { msBeforeNext?: number }).msBeforeNext ?? 60_000) / 1000);
    return `Too many tries. Wait ${seconds > 90 ? `${Math.ceil(seconds / 60)} minutes` : `${seconds} seconds`}, then try again.`;
  }
}

/** A right one: what was counted for it is forgotten. */
export const forgiven = async (kind: 'passphrase' | 'pin', whose: string): Promise<void> =>
  void (await limiters[kind].delete(whose));
