import { randomLcg } from 'd3-random';
import highs from 'highs';
import { beforeAll, describe, expect, it } from 'vitest';
import { planBy } from './board.ts';
import { lowerBound } from './bound.ts';
import { calendarOf, roundTheClock } from './calendar.ts';
import { modelOf } from './model.ts';
import { better, type Problem, type Task } from './problem.ts';
import { solve } from './solve.ts';

const seeds = Array.from({ length: 8 }, (_, k) => k);

/** A small bench of made-up steps: chains with waits, a tank that is held, a part that comes later. */
function small(seed: number, people: number, calendar = roundTheClock(0), steps = 8): Problem {
  const random = randomLcg((seed + 1) / 97);
  const int = (a: number, b: number): number => a + Math.floor(random() * (b - a + 1));
  const tasks: Task[] = [];
  for (let k = 0; k < steps; k++) {
    const group = `e${int(0, 2)}`;
    const mine = tasks.filter((t) => t.group === group);
    tasks.push({
      id: `t${k}`,
      group,
      hands: int(1, 12) * 5,
      wait: random() < 0.4 ? int(1, 20) * 5 : 0,
      needs: random() < 0.4 ? ['tank'] : [],
      after: mine.length && random() < 0.6 ? [mine[int(0, mine.length - 1)]!.id] : [],
      ...(mine.length && random() < 0.3 ? { then: [mine.at(-1)!.id] } : {}),
      ...(random() < 0.2 ? { release: int(1, 20) * 5 } : {})
    });
  }
  return { now: 0, people: Array.from({ length: people }, (_, p) => `p${p}`), resources: { tank: 1 }, tasks, calendar };
}

/** The same bench as a mixed-integer programme in the LP format: who does what, and which of two comes first. */
function programme(p: Problem): string {
  const big = p.tasks.reduce((s, t) => s + t.hands + t.wait + (t.release ?? 0), 0);
  const rows: string[] = [];
  const binaries: string[] = [];
  for (const t of p.tasks) {
    rows.push(`c - s_${t.id} >= ${t.hands + t.wait}`);
    for (const a of t.after) {
      const b = p.tasks.find((x) => x.id === a)!;
      rows.push(`s_${t.id} - s_${a} >= ${b.hands + b.wait}`);
    }
    for (const a of t.then ?? []) rows.push(`s_${t.id} - s_${a} >= ${p.tasks.find((x) => x.id === a)!.hands}`);
    rows.push(`${p.people.map((w) => `x_${t.id}_${w}`).join(' + ')} = 1`);
    binaries.push(...p.people.map((w) => `x_${t.id}_${w}`));
  }
  p.tasks.forEach((a, i) =>
    p.tasks.slice(i + 1).forEach((b) => {
      const y = `y_${a.id}_${b.id}`;
      binaries.push(y);
      const apart = (da: number, db: number, slack = '', room = 0): void => {
        rows.push(`s_${b.id} - s_${a.id} - ${big} ${y}${slack} >= ${da - big - room}`);
        rows.push(`s_${a.id} - s_${b.id} + ${big} ${y}${slack} >= ${db - room}`);
      };
      const tank = a.needs.includes('tank') && b.needs.includes('tank');
      if (tank) apart(a.hands + a.wait, b.hands + b.wait);
      if (a.group === b.group) apart(a.hands, b.hands);
      for (const w of p.people) apart(a.hands, b.hands, ` - ${big} x_${a.id}_${w} - ${big} x_${b.id}_${w}`, 2 * big);
    })
  );
  return [
    'Minimize\n obj: c',
    `Subject To\n${rows.map((r, k) => ` r${k}: ${r}`).join('\n')}`,
    `Bounds\n${p.tasks.map((t) => ` s_${t.id} >= ${t.release ?? 0}`).join('\n')}`,
    `Binary\n ${binaries.join(' ')}`,
    'End'
  ].join('\n');
}

describe('against HiGHS, an independent solver of mixed-integer programmes', () => {
  let solver: Awaited<ReturnType<typeof highs>>;
  beforeAll(async () => {
    solver = await highs();
  });
  for (const people of [1, 2])
    it(`the best finish of random benches, ${people} at work`, () => {
      for (const seed of seeds) {
        const p = small(seed, people, roundTheClock(0), people === 1 && seed < 2 ? 8 : 6);
        const best = solver.solve(programme(p));
        expect(best.Status).toBe('Optimal');
        const mine = solve(p);
        expect(mine.cost.finish, `seed ${seed}`).toBe(Math.round(best.ObjectiveValue));
        expect(mine.bound, `seed ${seed}`).toBe(mine.cost.finish);
      }
    });
});

describe('against every order there is, with nights in between', () => {
  /** Days of two hours, so that waits run into nights. */
  const calendar = calendarOf(Array.from({ length: 30 }, (_, d) => [d * 1440 + 480, d * 1440 + 600] as const));
  const orders = (n: number): number[][] =>
    n === 0
      ? [[]]
      : orders(n - 1).flatMap((o) => Array.from({ length: n }, (_, k) => [...o.slice(0, k), n - 1, ...o.slice(k)]));
  it('nothing beats the plan, and the bound is never over it', () => {
    for (const seed of seeds) {
      const p = { ...small(seed + 50, 2, calendar, 6), now: 480 };
      const m = modelOf(p);
      const all = orders(6).map((o) => planBy(m, o));
      const best = all.reduce((a, b) => (better(b.cost, a.cost) ? b : a));
      const mine = solve(p);
      expect(mine.cost.finish).toBe(best.cost.finish);
      expect(mine.bound).toBe(best.cost.finish);
      expect(lowerBound(m, best.cost.finish)).toBeLessThanOrEqual(best.cost.finish);
      expect(mine.cost.flow).toBeLessThanOrEqual(best.cost.flow * 1.05);
    }
  });
});
