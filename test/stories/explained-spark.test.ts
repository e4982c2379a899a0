import { describe, expect, it } from 'vitest';
import { Bench } from '../case.ts';
import { magneto, tester, two, v6 } from './engines.ts';

const jobs = (b: Bench): string[] => b.assessed().steps.flatMap((s) => (s.state === 'open' ? [s.id] : []));
const moves = (b: Bench): string[] => b.assessed().moves.map((m) => m.title);

describe('two cylinders without spark', () => {
  const seen = (
    dead: readonly number[],
    path: 'tester' | 'plug',
    plugs: Readonly<Record<number, string>> = {}
  ): Bench => {
    const b = new Bench(v6, 'neglected', { yearsIdle: 0 }).read('plugs.order', 'yes').read('spark.lanyard', 'yes');
    for (const cylinder of [1, 2, 3, 4, 5, 6])
      b.read('plugs.read', [(plugs[cylinder] ?? 'normal') as 'normal'], { cylinder });
    for (const cylinder of [1, 2, 3, 4, 5, 6])
      b.read('spark.result', dead.includes(cylinder) ? 'none' : 'good', {
        cylinder,
        conditions: { path, light: 'shade' }
      });
    return b;
  };
  const whole = (b: Bench): Bench =>
    [4, 5].reduce(
      (x, cylinder) => x.read('spark.leadLook', 'whole', { cylinder }).read('spark.coilLook', 'whole', { cylinder }),
      b
    );
  it('share no lead: the coil is changed over, then the trigger is measured', () => {
    const b = whole(seen([4, 5], 'tester'));
    expect(moves(b).join(' | ')).not.toMatch(/lead with a good one/);
    expect(moves(b)[0]).toMatch(/Swap its coil/);
    expect(moves(b.read('spark.coilSwap', 'stays'))[0]).toMatch(/Trigger/);
  });
  it('coil and trigger cleared: the pack is tried, not bought; and still none is an end, not silence', () => {
    const b = whole(seen([4, 5], 'tester'))
      .read('spark.coilSwap', 'stays')
      .read('spark.triggerTest', 'within');
    expect(b.said('spark.part-pack')).toContain('output of the power pack to both');
    expect(jobs(b)).not.toContain('spark-common');
    b.read('spark.packSwap', 'still');
    expect(b.said('spark.pair')).toContain('All that they share was cleared');
    expect(moves(b).join(' | ')).toMatch(/Stop: two stay without spark/);
  });
  it('with another not seen yet, nobody says that the others are good', () => {
    const b = new Bench(v6, 'neglected', { yearsIdle: 0 }).read('spark.lanyard', 'yes');
    for (const cylinder of [1, 2, 4, 5])
      b.read('spark.result', cylinder > 3 ? 'none' : 'good', { cylinder, ...tester });
    b.read('spark.result', 'unknown', { cylinder: 3, ...tester });
    expect(b.said('spark.')).not.toMatch(/the others good|they share/);
    expect(moves(b)[0]).toBe('Spark of the other cylinders');
    for (const cylinder of [3, 6]) b.read('spark.result', 'good', { cylinder, ...tester });
    expect(b.said('spark.pair')).toContain('the others good');
  });
  it('one of them seen at a bridged plug: that explains its own, and the other stands alone', () => {
    const b = seen([4, 5], 'plug', { 5: 'bridged' });
    expect(b.ids()).toEqual(expect.arrayContaining(['spark.explained.5:fault', 'spark.none.4:fault']));
    expect(b.said('spark.')).not.toContain('they share');
  });
});

describe('no spark on a plug that can give none', () => {
  const at = (path: 'tester' | 'plug' | 'bolt', sight: 'bridged' | 'cracked' | 'normal'): Bench => {
    const b = new Bench(two, 'neglected', { yearsIdle: 0 }).read('spark.lanyard', 'yes');
    for (const cylinder of [1, 2, 3]) b.read('plugs.read', [cylinder === 2 ? sight : 'normal'], { cylinder });
    for (const cylinder of [1, 2, 3])
      b.read('spark.result', cylinder === 2 ? 'none' : 'good', { cylinder, conditions: { path, light: 'shade' } });
    return b;
  };
  it.each(['bridged', 'cracked'] as const)('%s, and looked at on it: the plug, before anything is swapped', (sight) => {
    const b = at('plug', sight);
    expect(b.said('spark.explained')).toContain('plug explains it');
    expect(moves(b).slice(0, 2)).toContain('Clean or renew the plugs');
    expect(
      moves(b.done('plugs').read('plugs.read', ['normal'], { cylinder: 2 }))
        .slice(0, 2)
        .join()
    ).toMatch(/Spark/);
  });
  it.each(['tester', 'bolt'] as const)('looked at through the %s, the plug is not it', (path) => {
    expect(at(path, 'bridged').said('spark.explained')).toBe('');
  });
});

describe('oil before the first spin', () => {
  const stood = (): Bench => {
    const b = new Bench(two, 'neglected', { yearsIdle: 9 }).read('safe.lanyard', 'out').read('turn.result', 'bumps');
    for (const cylinder of [1, 2, 3]) b.read('plugs.read', [cylinder === 2 ? 'fuel' : 'normal'], { cylinder });
    return b;
  };
  it('nothing is cranked before the bores have it', () => {
    const list = stood().assessed().moves;
    const oil = list.findIndex((m) => m.title === 'Oil the bores, note how much');
    expect(oil).toBeGreaterThanOrEqual(0);
    for (const m of list.filter((x) => x.needs === 'crank' || x.needs === 'start')) expect(m.waits).toBeDefined();
  });
  it('nor is it asked for once a start had failed: it was spun for that', () => {
    const b = stood().read('run.outcome', 'failed');
    expect(b.ids().join()).not.toContain('dry-bores');
    expect(b.assessed().moves.find((m) => m.title === 'Spark, every cylinder')?.waits).toBeUndefined();
  });
  it('once it was spun, that spin is over', () => {
    const b = stood().read('spark.result', 'good', { cylinder: 1, ...tester });
    expect(b.ids().join()).not.toContain('dry-bores');
  });
});

it('a starter that is poor is fed straight from the battery before a spark is followed', () => {
  const b = new Bench(two, 'neglected', { yearsIdle: 0 }).read('spark.lanyard', 'yes').read('plugs.order', 'yes');
  b.read('plugs.volts', 11).read('plugs.starterCircuit', 'slow');
  for (const cylinder of [1, 2, 3]) b.read('spark.result', cylinder === 2 ? 'none' : 'good', { cylinder, ...tester });
  const list = moves(b);
  const direct = list.indexOf('Starter straight from the battery');
  expect(direct).toBeGreaterThanOrEqual(0);
  expect(list.findIndex((t) => /lead, cap and coil/.test(t))).toBeGreaterThan(direct);
});

describe('a single without spark, looked at on its bridged plug', () => {
  const single = (): Bench =>
    new Bench(magneto, 'neglected', { yearsIdle: 0 })
      .read('spark.lanyard', 'yes')
      .read('plugs.read', ['bridged'], { cylinder: 1 })
      .read('spark.result', 'none', { cylinder: 1, conditions: { path: 'plug', light: 'shade' } });
  it('the plug explains it: no common part is looked for', () => {
    expect(single().ids()).toContain('spark.explained.1:fault');
    expect(single().said('spark.')).not.toContain('common part');
  });
  it('cleaned, it is looked at again before anything is isolated; none again, the search begins', () => {
    const b = single().done('plugs').read('plugs.read', ['normal'], { cylinder: 1 });
    expect(moves(b)[0]).toBe('Spark again, after the work');
    const again = b.read('spark.result', 'none', { cylinder: 1, conditions: { path: 'plug', light: 'shade' } });
    expect(moves(again)).not.toContain('Spark again, after the work');
    expect(again.ids()).toContain('spark.all:fault');
  });
});
