import { describe, expect, it } from 'vitest';
import { Bench } from '../case.ts';
import { moves, ran, readyToRun } from './all-good.ts';
import { four, magneto, tester, two } from './engines.ts';

const CHOKE = 'Move choke and primer by hand';
const wet = (b: Bench, ...cylinders: number[]): Bench => {
  for (const cylinder of cylinders)
    b.read('plugs.read', ['fuel'], { cylinder }).read('plugs.hole', 'clean', { cylinder });
  return b;
};

/** What a finding asks for, not what only the kind of case suggests. */
const asksChoke = (b: Bench): boolean => b.assessed().moves.some((m) => m.title === CHOKE && m.class < 7);

describe('a plug that is fuel-wet', () => {
  const single = (): Bench => wet(new Bench({ ...magneto, fuelSystem: 'carburettor', supply: 'gravity' }), 1);
  it('of a single: spark before the choke, and no choke where it sparks badly', () => {
    const titles = moves(single());
    expect(titles.indexOf('Spark, every cylinder')).toBeLessThan(titles.indexOf(CHOKE));
    const weak = single()
      .read('spark.lanyard', 'yes')
      .read('spark.result', 'weak', { cylinder: 1, ...tester });
    expect(asksChoke(weak)).toBe(false);
  });
  it('and the spark that was weak is cured: what came to it was unburnt', () => {
    const b = single()
      .read('spark.lanyard', 'yes')
      .read('spark.result', 'weak', { cylinder: 1, ...tester });
    b.done('points')
      .wait(0.1)
      .read('spark.result', 'good', { cylinder: 1, ...tester });
    expect(asksChoke(b)).toBe(false);
  });
  it('where it sparks well, the choke', () => {
    const b = single()
      .read('spark.lanyard', 'yes')
      .read('spark.result', 'good', { cylinder: 1, ...tester });
    expect(moves(b).slice(0, 2)).toContain(CHOKE);
  });
  it('of one that does no work, whose fault went with its plug: nothing is flooded for it', () => {
    const flood = 'Bulb firm: does it flood?';
    const b = ran(new Bench(two), 'ran', (x) => x.read('run.idles', 'shakes'));
    for (const cylinder of [1, 2, 3]) b.read('run.drop', cylinder === 2 ? 'same' : 'falls', { cylinder });
    wet(b, 2);
    expect(moves(b)).toContain(flood);
    expect(moves(b.read('spark.plugSwap', 'stays', { cylinder: 2 }))).toContain(flood);
    expect(moves(b.wait(0.1).read('spark.plugSwap', 'moves', { cylinder: 2 }))).not.toContain(flood);
  });
  it('all of them wet and one dead: the others were flooded', () => {
    const b = wet(new Bench(two), 1, 2, 3)
      .read('spark.lanyard', 'yes')
      .read('spark.result', 'none', { cylinder: 1, ...tester });
    for (const cylinder of [2, 3]) b.read('spark.result', 'good', { cylinder, ...tester });
    expect(moves(b)).toContain(CHOKE);
  });
});

it('of a single, a look at the engine and at its cylinder stands once', () => {
  const b = new Bench(magneto).read('turn.plugs', 'out').read('turn.result', 'free');
  b.psi([[1, 75]]).psi([[1, 76]]);
  b.read('compression.pressure', 90 * 6894.757, {
    cylinder: 1,
    conditions: { throttle: 'open', bores: 'oiled', dose: 5e-6 }
  });
  expect(moves(b).filter((m) => /^Leak-down/.test(m))).toHaveLength(1);
});

describe('volts while it runs', () => {
  const read = (b: Bench, ...list: readonly (readonly [number, number])[]): Bench =>
    ran(b, 'ran', (x) => {
      for (const [rpm, volts] of list) x.read('run.rpm', rpm).read('run.volts', volts).wait(0.1);
      return x;
    });
  it('low at 1800 and good at 3000: it charges, and nothing is taken apart', () => {
    expect(read(readyToRun(four), [1800, 12.3], [3000, 14.2]).ids()).not.toContain('run.undercharge:fault');
    expect(read(readyToRun(four), [3000, 14.2], [1800, 12.3]).ids()).not.toContain('run.undercharge:fault');
  });
  it('low at one speed, and good at the same one later: it comes and goes', () => {
    expect(read(readyToRun(four), [2500, 12.3], [2600, 14.2]).ids()).toContain('run.undercharge:fault');
  });
});

it('a look that two findings ask for stands once, and asked of cylinders it is not asked of the engine too', () => {
  const locked = new Bench({ ...two, cylinders: 1 }).read('turn.result', 'locked');
  const asks = locked.assessed().moves.filter((m) => m.items?.includes('turn.plugs') && m.kind === 'look');
  expect(asks.map((m) => m.title)).toEqual(['Plugs out: liquid locks it like rust']);
  const pair = new Bench({ ...two, cylinders: 2 }).psi([
    [1, 60],
    [2, 62]
  ]);
  for (const [cylinder, psi] of [
    [1, 95],
    [2, 96]
  ] as const)
    pair.read('compression.pressure', psi * 6894.757, { cylinder, conditions: { throttle: 'open', bores: 'oiled' } });
  const leakDowns = moves(pair).filter((m) => /^Leak-down/.test(m));
  expect(leakDowns).toEqual([
    'Leak-down of cylinder 1, and where the air comes out',
    'Leak-down of cylinder 2, and where the air comes out'
  ]);
});
