import type { WarmSample } from '../../physics/warm-up.ts';

/** No head warms this much between two readings a minute apart, K: a slip of the pen or of the probe (M). */
const JUMP = 25;
const NEAR = 90;

const far = (a: WarmSample, b: WarmSample): boolean =>
  Math.abs(a.temperature - b.temperature) > JUMP && Math.abs(a.seconds - b.seconds) <= NEAR;

/** Readings that stand alone, far off the one before and the one after, which agree with each other. */
export function aloneAt(samples: readonly WarmSample[]): ReadonlySet<number> {
  const odd = new Set<number>();
  for (let k = 1; k < samples.length - 1; k++) {
    const [before, at, after] = [samples[k - 1]!, samples[k]!, samples[k + 1]!];
    if (!odd.has(k - 1) && far(before, at) && far(at, after) && !far(before, after)) odd.add(k);
  }
  return odd;
}

/** The samples without those that stand alone; the same list where none does. */
export function withoutOutliers(samples: readonly WarmSample[]): readonly WarmSample[] {
  const odd = aloneAt(samples);
  return odd.size ? samples.filter((_, k) => !odd.has(k)) : samples;
}

/** The latest reading is a jump from the one before: nobody can say yet whether it is true. */
export function jumped(samples: readonly WarmSample[]): boolean {
  const list = withoutOutliers(samples);
  const [before, last] = list.slice(-2);
  return before !== undefined && last !== undefined && far(before, last);
}
