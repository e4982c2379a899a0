import { describe, expect, it } from 'vitest';
import { Bench } from '../case.ts';
import { moves, ran, readyToRun } from './all-good.ts';
import { tester, two } from './engines.ts';

const alike = (b: Bench): Bench =>
  b.psi([
    [1, 120],
    [2, 121],
    [3, 119]
  ]);

const dryAndGummed = (): Bench => {
  const b = new Bench(two).read('turn.result', 'bumps').read('spark.lanyard', 'yes');
  for (const cylinder of [1, 2, 3]) b.read('spark.result', 'good', { cylinder, ...tester });
  alike(b).read('fuel.level', 'full').read('fuel.bulb', 'firm').read('run.outcome', 'failed');
  for (const cylinder of [1, 2, 3]) b.read('plugs.read', ['dry'], { cylinder });
  return b.read('fuel.shutoff', 'open').read('fuel.bowlLook', 'gummed');
};

describe('what was told is not asked for in other words', () => {
  it('no strainer on the walk around, none to look at for heat; one that was clear there neither', () => {
    const steam = (b: Bench): Bench => ran(b, 'ran', (x) => x.read('run.exhaust', 'steam'));
    const asks = (b: Bench): boolean => moves(b).includes('Small strainer under the cowl');
    const bare = (): Bench => steam(new Bench(two));
    expect(asks(bare())).toBe(true);
    expect(asks(bare().read('look.strainer', 'not-fitted'))).toBe(false);
    expect(asks(bare().read('look.strainer', 'clear'))).toBe(false);
    expect(asks(bare().read('look.strainer', 'unknown'))).toBe(false);
  });
  it('it runs again: nobody tries for spark while it will not', () => {
    const died = (): Bench =>
      readyToRun({ ...two, lubrication: 'premix' })
        .read('run.event', 'start')
        .read('run.stream', 'strong')
        .wait(0.3)
        .read('run.outcome', 'died')
        .read('run.minutes', 18);
    const spark = /^Spark at once/;
    expect(moves(died())[0]).toMatch(spark);
    expect(moves(died().read('fuel.revived', 'no'))[0]).toMatch(spark);
    expect(moves(died().read('fuel.revived', 'yes')).join('\n')).not.toMatch(/Spark at once/);
    expect(moves(died().read('fuel.vacuumSpeed', 20e3)).join('\n')).not.toMatch(/Spark at once/);
  });
  it('a gummed bowl explains dry plugs: it is cleaned before the pump is tried for them', () => {
    const list = dryAndGummed().read('fuel.jar', 'clear').read('fuel.age', 0.1).assessed().moves;
    const at = (title: string): number => list.findIndex((m) => m.title === title);
    expect(at('Strip and clean the carburettor')).toBeGreaterThanOrEqual(0);
    const pump = list.find((m) => m.station === 'fuel' && /pump/i.test(m.title));
    expect(pump === undefined || pump.class > 8).toBe(true);
  });
});

describe('air in the cooling water', () => {
  const leaking = (more: (b: Bench) => Bench): string => {
    const b = more(alike(new Bench(two)))
      .read('compression.leakdown', 0.3, { cylinder: 2 })
      .read('compression.escape', ['water'], { cylinder: 2 });
    return b
      .ids()
      .filter((id) => id.startsWith('compression.leakdown'))
      .join(' ');
  };
  it('against a good needle alone it is read once more; with water on that plug it is the same way in', () => {
    expect(leaking((b) => b)).toContain('compression.leakdown-against.2:cannot-tell');
    expect(leaking((b) => b.read('plugs.read', ['water'], { cylinder: 2 }))).toContain(
      'compression.leakdown-water.2:fault'
    );
    expect(leaking((b) => ran(b, 'ran', (x) => x.read('run.plugAfter', 'wet')))).toContain(
      'compression.leakdown-water.2:fault'
    );
    // Water of another cylinder is no water of this one.
    expect(leaking((b) => b.read('plugs.read', ['water'], { cylinder: 1 }))).toContain('leakdown-against.2');
  });
  it('of an engine that was under, the water tells of that', () => {
    const b = alike(new Bench(two, 'drowned', { submerged: 'yes' }));
    b.read('plugs.read', ['water'], { cylinder: 2 }).read('compression.leakdown', 0.3, { cylinder: 2 });
    b.read('compression.escape', ['water'], { cylinder: 2 });
    expect(b.ids().join(' ')).not.toContain('leakdown-water');
  });
});
