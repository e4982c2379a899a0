import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { Belief } from './belief.ts';
import { Evaluation, planElimination } from './elimination.ts';
import { ABSENT, logOdds, PRESENT, type Evidence, type Likelihood, type Network } from './network.ts';

/** Everything by counting all cases: the yardstick, for small networks only. */
function byCounting(n: Network, evidence: Evidence): { z: number; posterior: number[] } {
  const posterior = n.causes.map(() => 0);
  let z = 0;
  for (let x = 0; x < 2 ** n.causes.length; x++) {
    let p = 1;
    n.causes.forEach((c, i) => (p *= (x >> i) & 1 ? c.prior : 1 - c.prior));
    for (const [s, { present, absent }] of evidence) {
      const sign = n.signs[s]!;
      let not = 1 - sign.leak;
      for (const { cause, strength } of sign.causes) if ((x >> cause) & 1) not *= 1 - strength;
      p *= present * (1 - not) + absent * not;
    }
    z += p;
    n.causes.forEach((_, i) => (posterior[i]! += (x >> i) & 1 ? p : 0));
  }
  return { z, posterior: posterior.map((p) => p / z) };
}

const share = fc.double({ min: 0.01, max: 0.97, noNaN: true });
const network: fc.Arbitrary<Network> = fc.integer({ min: 2, max: 9 }).chain((n) =>
  fc.record({
    causes: fc.array(share, { minLength: n, maxLength: n }).map((l) => l.map((prior, k) => ({ id: `c${k}`, prior }))),
    signs: fc.array(
      fc.record({
        id: fc.constant('s'),
        leak: fc.double({ min: 0.005, max: 0.2, noNaN: true }),
        causes: fc
          .uniqueArray(fc.integer({ min: 0, max: n - 1 }), { minLength: 1, maxLength: n })
          .chain((ids) =>
            fc.tuple(...ids.map(() => share)).map((list) => ids.map((cause, k) => ({ cause, strength: list[k]! })))
          )
      }),
      { minLength: 1, maxLength: 9 }
    )
  })
);
const likelihood: fc.Arbitrary<Likelihood | undefined> = fc.oneof(
  fc.constant(PRESENT),
  fc.constant(ABSENT),
  fc.constant(undefined),
  fc.record({ present: share, absent: share })
);
const withEvidence = network.chain((n) =>
  fc
    .array(likelihood, { minLength: n.signs.length, maxLength: n.signs.length })
    .map((list): [Network, Evidence] => [n, new Map(list.flatMap((l, s) => (l ? [[s, l] as const] : [])))])
);

describe('exact inference', () => {
  // Signs that are all there and hardly ever come are a small sum of large terms of either sign: some nine figures are left of sixteen.
  it('equals counting every case, to 1e-8, on random networks', () => {
    fc.assert(
      fc.property(withEvidence, ([n, e]) => {
        const b = new Belief(n, e);
        const all = byCounting(n, e);
        expect(b.possible).toBe(true);
        expect(Math.abs(b.logZ - Math.log(all.z))).toBeLessThan(1e-8);
        all.posterior.forEach((p, i) => expect(Math.abs(b.posterior[i]! - p)).toBeLessThan(1e-8));
      }),
      { numRuns: 400 }
    );
  });
  it('supposing signs absent, and leaving a reading out, equal the same evidence counted anew', () => {
    fc.assert(
      fc.property(withEvidence, fc.integer({ min: 0, max: 8 }), ([n, e], pick) => {
        const b = new Belief(n, e);
        const open = n.signs.map((_, s) => s).filter((s) => !e.has(s));
        const more = byCounting(n, new Map([...e, ...open.map((s) => [s, ABSENT] as const)]));
        const supposed = b.withAbsent(open);
        expect(Math.abs(supposed.logZ - Math.log(more.z))).toBeLessThan(1e-8);
        more.posterior.forEach((p, i) => expect(Math.abs(supposed.posterior[i]! - p)).toBeLessThan(1e-8));
        const seen = [...e.keys()];
        if (!seen.length) return;
        const gone = seen[pick % seen.length]!;
        const less = byCounting(n, new Map([...e].filter(([s]) => s !== gone)));
        const left = b.without(gone).posterior;
        less.posterior.forEach((p, i) => expect(Math.abs(left[i]! - p)).toBeLessThan(1e-8));
      }),
      { numRuns: 300 }
    );
  });
  it('with one sign more, or one seen otherwise, what an earlier belief worked out changes nothing of the answer', () => {
    const grown = withEvidence.chain(([n, e]) =>
      fc
        .tuple(fc.integer({ min: 0, max: n.signs.length - 1 }), likelihood, share)
        .map(([s, l, prior]): [Network, Evidence, Evidence, Network] => {
          const next = new Map(e);
          if (l) next.set(s, l);
          else next.delete(s);
          // The same signs; in one of four, something else is more likely than it was.
          const causes = n.causes.map((c, k) => (k === 0 && prior > 0.75 ? { ...c, prior } : c));
          return [n, e, next, { causes, signs: n.signs }];
        })
    );
    fc.assert(
      fc.property(grown, ([n, before, e, m]) => {
        const earlier = new Belief(n, before);
        const open = n.signs.map((_, s) => s).filter((s) => !e.has(s) && !before.has(s));
        const all = (b: Belief): number[][] =>
          [
            b,
            ...open.map((_, k) => b.withAbsent(open.slice(0, k + 1))),
            ...[...b.evidence.keys()].map((s) => b.without(s))
          ].map((o) => [...o.posterior, o.logZ]);
        // Asked before: what it keeps must hold for it, too, when the later one has been made.
        const own = earlier.possible ? all(new Belief(n, before)) : [];
        if (earlier.possible) all(earlier);
        const fresh = new Belief(m, e);
        const taken = new Belief(m, e, earlier);
        if (!fresh.possible) return;
        expect(all(taken)).toEqual(all(fresh));
        if (earlier.possible) expect(all(earlier)).toEqual(own);
      }),
      { numRuns: 300 }
    );
  });
  it('keeps its digits where many rare findings come together', () => {
    const n: Network = {
      causes: Array.from({ length: 9 }, (_, k) => ({ id: `c${k}`, prior: 0.003 })),
      signs: Array.from({ length: 12 }, (_, k) => ({
        id: `s${k}`,
        leak: 0.002,
        causes: Array.from({ length: 9 }, (_, i) => ({ cause: i, strength: (k * 7 + i * 5) % 3 ? 0.05 : 0.6 }))
      }))
    };
    const e: Evidence = new Map(n.signs.map((_, s) => [s, PRESENT]));
    const b = new Belief(n, e);
    const all = byCounting(n, e);
    all.posterior.forEach((p, i) => expect(Math.abs(b.posterior[i]! - p)).toBeLessThan(1e-6));
  });
  it('two that cancel to nothing are still told apart', () => {
    const run = new Evaluation(planElimination([[0, 1], [1]])!);
    run.table(0).set([1, -1, 2, 3]);
    run.table(1).set([2, 1]);
    expect(run.sum()).toBeCloseTo(5, 12);
    const [parts] = run.shares();
    [2, -2, 2, 3].forEach((part, k) => expect(parts![k]).toBeCloseTo(part, 12));
  });
  it('evidence that cannot be is said to be so, and the priors stand', () => {
    const n: Network = {
      causes: [{ id: 'c', prior: 0.2 }],
      signs: [
        { id: 'always', leak: 0, causes: [{ cause: 0, strength: 1 }] },
        { id: 'too', leak: 0, causes: [{ cause: 0, strength: 1 }] }
      ]
    };
    const b = new Belief(
      n,
      new Map([
        [0, PRESENT],
        [1, ABSENT]
      ])
    );
    expect(b.possible).toBe(false);
    expect([...b.posterior]).toEqual([0.2]);
  });
  it('the worked example of docs/two-faults.md: two faults, two signs, by hand', () => {
    const n: Network = {
      causes: [
        { id: 'impeller', prior: 0.3 },
        { id: 'outlet', prior: 0.1 }
      ],
      signs: [
        {
          id: 'weak stream',
          leak: 0.02,
          causes: [
            { cause: 0, strength: 0.8 },
            { cause: 1, strength: 0.95 }
          ]
        },
        { id: 'hot', leak: 0.02, causes: [{ cause: 0, strength: 0.5 }] }
      ]
    };
    const weak = new Belief(n, new Map([[0, PRESENT]]));
    expect(weak.posterior[0]).toBeCloseTo(0.246786 / 0.325956, 9);
    expect(weak.posterior[1]).toBeCloseTo(0.096276 / 0.325956, 9);
    const cool = new Belief(
      n,
      new Map([
        [0, PRESENT],
        [1, ABSENT]
      ])
    );
    expect(cool.posterior[0]).toBeCloseTo(0.12092514 / 0.19851174, 9);
    expect(cool.posterior[1]).toBeCloseTo(0.07979454 / 0.19851174, 9);
    expect(logOdds(0.5)).toBe(0);
  });
});

/**
 * P: Lauritzen & Spiegelhalter 1988, "Local computations with probabilities on graphical structures and their
 * application to expert systems", J. R. Statist. Soc. B 50(2), the "Asia" example.
 */
describe('the published Asia network', () => {
  const [asia, smoke, tub, lung, bronc, either, xray, dysp] = [0, 1, 2, 3, 4, 5, 6, 7] as const;
  // Scope and P(last = 1 | the rest), the rest counted with its first variable as the lowest bit.
  const cpts: readonly (readonly [readonly number[], readonly number[]])[] = [
    [[asia], [0.01]],
    [[smoke], [0.5]],
    [
      [asia, tub],
      [0.01, 0.05]
    ],
    [
      [smoke, lung],
      [0.01, 0.1]
    ],
    [
      [smoke, bronc],
      [0.3, 0.6]
    ],
    [
      [tub, lung, either],
      [0, 1, 1, 1]
    ],
    [
      [either, xray],
      [0.05, 0.98]
    ],
    [
      [either, bronc, dysp],
      [0.1, 0.7, 0.8, 0.9]
    ]
  ];
  const given = (...seen: number[]): ((v: number) => number) => {
    const scopes = [...cpts.map(([s]) => s), ...Array.from({ length: 8 }, (_, v) => [v])];
    const run = new Evaluation(planElimination(scopes)!);
    cpts.forEach(([, p], k) => run.table(k).set([...p.map((x) => 1 - x), ...p]));
    for (let v = 0; v < 8; v++) run.table(8 + v).set(seen.includes(v) ? [0, 1] : [1, 1]);
    const z = run.sum();
    const shares = run.shares();
    return (v) => shares[8 + v]![1]! / z;
  };
  it.each([
    [[], { tub: 0.0104, lung: 0.055, either: 0.064828, xray: 0.11029, dysp: 0.435971 }],
    [[dysp], { tub: 0.018845, lung: 0.102759, bronc: 0.833967, either: 0.120536, xray: 0.162098 }],
    [[asia, xray], { tub: 0.337716, lung: 0.371487, bronc: 0.491102, either: 0.690628, dysp: 0.681101 }]
  ] as const)('given %j', (seen, figures) => {
    const p = given(...seen);
    const ids = { tub, lung, bronc, either, xray, dysp };
    for (const [name, value] of Object.entries(figures)) expect(p(ids[name as 'tub'])).toBeCloseTo(value, 6);
  });
});
