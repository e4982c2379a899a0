/** One test in the order it was made. */
export interface Test {
  readonly cylinder: number;
  readonly pressure: number;
  readonly volts?: number;
  readonly rpm?: number;
}

export interface OrderEffect {
  /** True when cylinder and place in the order cannot be told apart. */
  readonly confounded: boolean;
  /** True when volts or speed fell over the test. */
  readonly tiring: boolean;
  /** How far volts (V) or speed (1/min) fell. */
  readonly fall?: { readonly of: 'volts' | 'rpm'; readonly from: number; readonly to: number };
}

const mean = (list: readonly number[]): number => list.reduce((a, b) => a + b, 0) / list.length;

/**
 * Whether the order of testing could explain the low readings: the low cylinders came late, the order was not also
 * run in reverse, and volts or speed fell, or nobody noted them while the readings fell one after the other.
 * C: common practice, "in one order, then in reverse".
 */
export function orderEffect(tests: readonly Test[], low: readonly number[]): OrderEffect {
  const places = new Map<number, number[]>();
  tests.forEach((t, k) => places.set(t.cylinder, [...(places.get(t.cylinder) ?? []), k]));
  const centre = [...places].map(([cylinder, at]) => ({ cylinder, at: mean(at) }));
  const n = tests.length;
  const balanced =
    centre.length < 2 || Math.max(...centre.map((x) => x.at)) - Math.min(...centre.map((x) => x.at)) <= 0.25 * (n - 1);
  const volts = tests.map((t) => t.volts).filter((v) => v !== undefined);
  const rpm = tests.map((t) => t.rpm).filter((v) => v !== undefined);
  const [v0, v1] = [volts[0], volts[volts.length - 1]];
  const [r0, r1] = [rpm[0], rpm[rpm.length - 1]];
  const fell = v0 !== undefined && v1 !== undefined && v0 - v1 > 0.5;
  const slowed = r0 !== undefined && r1 !== undefined && r1 < 0.9 * r0;
  const noted = volts.length > 1 || rpm.length > 1;
  const late = low.length > 0 && low.every((c) => (centre.find((x) => x.cylinder === c)?.at ?? 0) >= (n - 1) / 2);
  const falling = n > 2 && tests.every((t, k) => k === 0 || t.pressure < (tests[k - 1]?.pressure ?? Infinity));
  return {
    confounded: !balanced && late && (fell || slowed || (!noted && falling)),
    tiring: fell || slowed,
    ...(fell
      ? { fall: { of: 'volts', from: v0, to: v1 } as const }
      : slowed
        ? { fall: { of: 'rpm', from: r0, to: r1 } as const }
        : {})
  };
}

/**
 * How many readings at the start are a test that fell through its order, explained by the same test made in reverse after it: there what
 * was low came early, and all are alike. Zero where it is not so.
 * @param tests every reading in the order it was made
 * @param limit share of the best by which a cylinder is low
 */
export function explainedByReverse(tests: readonly Test[], limit: number): number {
  const cylinders = new Set(tests.map((t) => t.cylinder));
  const n = cylinders.size;
  const [first, second] = [tests.slice(0, n), tests.slice(n)];
  const whole = (list: readonly Test[]): boolean => new Set(list.map((t) => t.cylinder)).size === n;
  if (n < 3 || !whole(first) || !whole(second)) return 0;
  const least = (list: readonly Test[]): number => (1 - limit) * Math.max(...list.map((t) => t.pressure));
  const low = first.filter((t) => t.pressure < least(first)).map((t) => t.cylinder);
  if (!orderEffect(first, low).confounded || second.some((t) => t.pressure < least(second))) return 0;
  const early = (cylinder: number): boolean => second.findIndex((t) => t.cylinder === cylinder) <= (n - 1) / 2;
  return low.every(early) ? n : 0;
}
