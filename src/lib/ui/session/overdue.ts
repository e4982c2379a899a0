/** So long, ms, something may be under way before it is said to wait: with a connection it is taken in a fraction of that. */
const UNDER_WAY = 3000;

/** Tells what waits from what is only under way, by when each was first found unsent. */
export class Overdue {
  private readonly since = new Map<string, number>();

  /** Of everything that is unsent at a moment, ms, the ids of what waits: all of it where there is no connection. */
  of(unsent: readonly string[], now: number, connected: boolean): ReadonlySet<string> {
    const there = new Set(unsent);
    for (const id of this.since.keys()) if (!there.has(id)) this.since.delete(id);
    for (const id of there) if (!this.since.has(id)) this.since.set(id, now);
    return new Set(unsent.filter((id) => !connected || now - this.since.get(id)! >= UNDER_WAY));
  }
}
