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

/** Cranking that tires leaves more than this share of a reading: by the cranking model a worn engine at a quarter of its speed still reaches it (M). */
const TIRED = 0.5;

const mean = (list: readonly number[]): number => list.reduce((a, b) => a + b, 0) / list.length;

/**
 * Whether the order of testing could explain the low readings: the low cylinders came late, the order was not also
 * run in reverse, none reads less than tired cranking leaves, and volts or speed fell, or nobody noted them while the readings fell one after
 * the other.
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
  const falling = n > 2 && fellThrough(tests);
  const most = Math.max(...tests.map((t) => t.pressure));
  const tooMuch = tests.some((t) => low.includes(t.cylinder) && t.pressure < TIRED * most);
  return {
    confounded: !balanced && late && !tooMuch && (fell || slowed || (!noted && falling)),
    tiring: fell || slowed,
    ...(fell
      ? { fall: { of: 'volts', from: v0, to: v1 } as const }
      : slowed
        ? { fall: { of: 'rpm', from: r0, to: r1 } as const }
        : {})
  };
}

/** Each read no more than the one before it, and the last less than the first: a gauge that is read in steps shows equals. */
const fellThrough = (tests: readonly Test[]): boolean =>
  tests.every((t, k) => k === 0 || t.pressure <= tests[k - 1]!.pressure) && tests.at(-1)!.pressure < tests[0]!.pressure;

/** The readings as whole tests, each of every cylinder once, oldest first; what was read after the last whole one is left out. */
function wholeTests(tests: readonly Test[]): Test[][] {
  const n = new Set(tests.map((t) => t.cylinder)).size;
  if (n < 2) return [];
  const list = Array.from({ length: Math.floor(tests.length / n) }, (_, k) => tests.slice(k * n, (k + 1) * n));
  const broken = list.findIndex((test) => new Set(test.map((t) => t.cylinder)).size < n);
  return broken < 0 ? list : list.slice(0, broken);
}

/** Whether two tests of the same cylinders were made in opposite orders: every cylinder had the same place on average. */
const opposite = (a: readonly Test[], b: readonly Test[]): boolean =>
  a.every((t, k) => b[b.length - 1 - k]!.cylinder === t.cylinder);

/** What the cranking lost through two tests in opposite orders, whichever cylinder was read. */
export interface FellBothWays {
  /** Pa from one place in the order to the next, as a positive number. */
  readonly step: number;
  /** At which reading the two begin. */
  readonly from: number;
  /** Pa: what each reading of the two would have been in the middle of its test, in their order. */
  readonly levelled: readonly number[];
}

/**
 * Two tests in opposite orders that both fell through their order: what falls is the cranking, not a cylinder. The places of a
 * cylinder in the two average out, so cylinders are compared by their means. Nothing where it is not so. C: common practice.
 * @param tests every reading in the order it was made; the last two whole tests speak, whatever was begun after them
 * @param limit share of its best by which a test must have fallen
 */
export function fellBothWays(tests: readonly Test[], limit: number): FellBothWays | undefined {
  const whole = wholeTests(tests);
  const [first, second] = whole.slice(-2);
  const fell = (test: readonly Test[]): boolean =>
    fellThrough(test) && test.at(-1)!.pressure < (1 - limit) * test[0]!.pressure;
  if (!first || !second || !opposite(first, second) || !fell(first) || !fell(second)) return undefined;
  const n = first.length;
  const step = mean([first, second].map((t) => (t[0]!.pressure - t[n - 1]!.pressure) / (n - 1)));
  return {
    step,
    from: (whole.length - 2) * n,
    levelled: [first, second].flatMap((test) => test.map((t, k) => t.pressure + step * (k - (n - 1) / 2)))
  };
}

/**
 * How many readings at the start are tests that fell through their order, explained by a test after them in which all are alike: there what
 * was low came early, or the fall had shown itself in both orders before. Zero where it is not so.
 * @param tests every reading in the order it was made
 * @param limit share of the best by which a cylinder is low
 */
export function explainedByReverse(tests: readonly Test[], limit: number): number {
  const n = new Set(tests.map((t) => t.cylinder)).size;
  const whole = (list: readonly Test[]): boolean => new Set(list.map((t) => t.cylinder)).size === n;
  const least = (list: readonly Test[]): number => (1 - limit) * Math.max(...list.map((t) => t.pressure));
  const alike = (list: readonly Test[]): boolean => {
    const floor = least(list);
    return whole(list) && list.every((t) => t.pressure >= floor);
  };
  if (n > 1 && fellBothWays(tests.slice(0, 2 * n), limit) && alike(tests.slice(2 * n))) return 2 * n;
  const [first, second] = [tests.slice(0, n), tests.slice(n)];
  if (n < 3 || !whole(first) || !alike(second)) return 0;
  const floor = least(first);
  const low = first.filter((t) => t.pressure < floor).map((t) => t.cylinder);
  if (!orderEffect(first, low).confounded) return 0;
  const early = (cylinder: number): boolean => second.findIndex((t) => t.cylinder === cylinder) <= (n - 1) / 2;
  return low.every(early) ? n : 0;
}
