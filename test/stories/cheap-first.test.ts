import { describe, expect, it } from 'vitest';
import { Bench } from '../case.ts';
import { moves } from './all-good.ts';
import { good } from '../good.ts';
import { four, tester, two, v6 } from './engines.ts';
import { story } from './story.ts';
import type { Profile } from '../../src/core/engine/profile.ts';

/** What costs little, and what other cylinders share, comes before what is dear; what was cured is looked at again before the next is opened. */
const goodAt = (profile: Profile, stations: readonly string[]): Bench => {
  const b = new Bench(profile);
  for (const s of stations)
    good(s as Parameters<typeof good>[0], {
      profile,
      banked: profile.layout === 'v',
      best: 125 * 6894.757,
      read: (what, value, more = {}) => void b.read(what, value as never, more),
      wait: (hours) => void b.wait(hours)
    });
  return b;
};
const K = (celsius: number): number => celsius + 273.15;

describe('one low, air at a valve, and its lash close', () => {
  const lowTwice = (b: Bench): Bench =>
    b
      .psi([
        [1, 175],
        [2, 172],
        [3, 110],
        [4, 176]
      ])
      .psi([[3, 112]]);
  story(
    () => goodAt(four, ['safe', 'look', 'turn', 'plugs', 'spark']),
    [
      {
        entered: 'low twice, 38 % out at the exhaust: lash first',
        by: (b) =>
          lowTwice(b)
            .read('compression.leakdown', 0.38, { cylinder: 3 })
            .read('compression.escape', ['exhaust'], { cylinder: 3 }),
        now: /^Valve lash of cylinder 3/,
        notJobs: ['valves']
      },
      {
        entered: 'exhaust lash 0.05 mm, no figure of the manual: it is set before the valve is blamed',
        by: (b) =>
          b.read('compression.lashIn', 0.2e-3, { cylinder: 3 }).read('compression.lashEx', 0.05e-3, { cylinder: 3 }),
        finds: ['compression.lash-exhaust.3:watch'],
        now: /^Set the valve lash/,
        notNow: /Follow the air/,
        notJobs: ['valves']
      },
      {
        entered:
          'set and measured, still low once, and leak-down as before: nothing is left to doubt, and now it is the valve',
        by: (b) =>
          b
            .done('lash')
            .read('compression.lashEx', 0.3e-3, { cylinder: 3 })
            .psi([[3, 113]])
            .read('compression.leakdown', 0.36, { cylinder: 3 })
            .read('compression.escape', ['exhaust'], { cylinder: 3 }),
        finds: ['compression.low.3:fault'],
        notNow: /Compression again/,
        says: /Leak-down says the same/,
        jobs: ['valves']
      }
    ]
  );
  it('close lash on a cylinder that reads well is asked about, and is no work yet', () => {
    const b = goodAt(four, ['safe', 'look', 'turn', 'plugs', 'spark', 'compression']);
    b.read('compression.lashEx', 0.06e-3, { cylinder: 2 });
    expect(b.ids()).toContain('compression.lash-exhaust.2:cannot-tell');
    expect(b.assessed().steps.map((s) => s.id)).not.toContain('lash');
  });
  it('a lash that most makers ask for is neither', () => {
    const b = goodAt(four, ['safe', 'look', 'turn', 'plugs', 'spark', 'compression']);
    expect(b.read('compression.lashEx', 0.2e-3, { cylinder: 2 }).ids().join()).not.toMatch(/lash/);
  });
});

describe('one whole bank without spark', () => {
  const dead = (profile: Profile): Bench => {
    const b = goodAt(profile, ['safe', 'turn', 'plugs']).read('spark.lanyard', 'yes');
    for (let k = 1; k <= 6; k++) b.read('spark.result', k % 2 ? 'good' : 'none', { cylinder: k, ...tester });
    return b;
  };
  const now = (b: Bench): string[] =>
    b
      .assessed()
      .moves.filter((m) => !m.waits)
      .map((m) => m.title);

  it('its connectors are looked at, then what feeds the bank; no single plug, lead or coil', () => {
    const b = dead(v6);
    expect(now(b)[0]).toMatch(/^Charge coil|^Connectors and wires/);
    b.read('look.wiring', 'good');
    expect(now(b)[0]).toMatch(/^Charge coil/);
    b.read('spark.chargeTest', 'within');
    expect(now(b)[0]).toMatch(/^Trigger/);
    expect(now(b).slice(0, 4).join('\n')).not.toMatch(/lead, cap and coil|Swap its plug/);
  });
  it('with a driven coil each, it is the supply of that bank', () => {
    const b = dead({ ...v6, ignition: 'digital' }).read('look.wiring', 'good');
    expect(b.assessed().moves.find((m) => m.items?.includes('spark.supply'))).toBeDefined();
  });
});

describe('a stream whose outlet was cleared', () => {
  const weak = (): Bench =>
    goodAt(two, ['safe', 'look', 'turn', 'plugs', 'spark', 'compression', 'gear', 'fuel'])
      .read('cooling.screen', 'clear')
      .read('cooling.source', 'muffs')
      .read('cooling.impellerAge', 1)
      .read('cooling.stream', 'weak')
      .read('cooling.head', K(62))
      .read('cooling.outlet', 'blocked');
  it('is looked at again before a pump is opened, and nothing is left to be probed', () => {
    const a = weak().assessed();
    expect(a.moves[0]!.title).toMatch(/^Look at the stream again/);
    expect(a.moves.slice(0, 3).map((m) => m.title)).not.toContain('Open the water pump');
    expect(a.steps.filter((s) => s.state === 'open').map((s) => s.id)).not.toContain('outlet');
  });
  it('strong then, it is sound; weak then, it is the next thing on the way', () => {
    expect(weak().read('cooling.stream', 'strong').ids()).toContain('cooling.stream:sound');
    const again = weak().read('cooling.stream', 'weak');
    expect(again.ids()).toContain('cooling.stream:watch');
    expect(again.said('cooling')).not.toMatch(/was blocked and is clear now/);
    // On muffs still: they come before the bucket.
    expect(again.assessed().moves[0]!.title).toMatch(/^Muffs seated/);
    const seated = again.read('cooling.source', 'muffs').read('cooling.stream', 'weak').assessed().moves;
    expect(seated[0]!.title).toMatch(/timed bucket/);
  });
});

describe('spark that is there cold and not warm', () => {
  const warm = { conditions: { ...tester.conditions, engine: 'warm' } } as const;
  const ran = (): Bench =>
    goodAt(two, ['safe', 'look', 'turn', 'plugs', 'spark', 'compression', 'gear', 'fuel', 'cooling'])
      .read('run.event', 'start')
      .wait(0.2)
      .read('run.outcome', 'died')
      .read('run.minutes', 12)
      .read('run.idles', 'hot');
  const looked = (dead: readonly number[]): Bench => {
    const b = ran();
    for (const k of [1, 2, 3]) b.read('spark.result', dead.includes(k) ? 'none' : 'good', { cylinder: k, ...warm });
    return b;
  };
  const first = (b: Bench): string => b.assessed().moves[0]!.title;

  it('died warm: spark at once, while it is hot; an hour later the coil is measured instead', () => {
    expect(first(ran())).toMatch(/^Spark at once, while it is hot/);
    expect(first(ran().wait(1))).not.toMatch(/^Spark at once/);
  });
  it('with spark while it is dead and hot it is fuel or valves, and no coil is measured', () => {
    const held = (b = looked([])): Bench => b;
    expect(held().said('run.dies-warm')).toMatch(/It sparks while it is hot and dead/);
    expect(ran().said('run.dies-warm')).not.toMatch(/It sparks while/);
    // Vent and bulb were good before it died: it died since.
    expect(first(held())).toBe('Tank vent');
    expect(first(held().read('fuel.vent', 'open'))).toMatch(/^Squeeze the bulb while it dies/);
    const revived = held().read('fuel.vent', 'open').read('fuel.revived', 'yes');
    expect(first(revived)).toMatch(/^Hose and couplings/);
    revived.read('fuel.hose', 'supple').read('fuel.couplings', 'tight');
    expect(first(revived)).toMatch(/^Pump the fuel pump/);
    expect(first(held().read('fuel.vent', 'open').read('fuel.revived', 'no'))).toMatch(/portable tank/);
    expect(moves(held()).join(' | ')).not.toMatch(/Coil resistance, cold and warm/);
  });
  it('tried when it had cooled down, spark says nothing of it, and the coil is measured', () => {
    const b = ran().wait(1);
    for (const k of [1, 2, 3]) b.read('spark.result', 'good', { cylinder: k, ...tester });
    expect(b.said('run.dies-warm')).not.toMatch(/It sparks while/);
    expect(moves(b).join(' | ')).toMatch(/Coil resistance, cold and warm/);
  });
  it('spark at the hot engine is asked for though others were never read cold', () => {
    const b = new Bench(two)
      .read('spark.lanyard', 'yes')
      .read('spark.result', 'good', { cylinder: 1, ...tester })
      .read('run.outcome', 'died')
      .read('run.idles', 'hot');
    expect(b.assessed().moves.map((m) => m.title)).toContain('Spark at once, while it is hot and will not run');
  });
  it('none warm on one is its coil, and no plug is swapped for it', () => {
    const b = looked([2]);
    expect(b.ids()).toContain('spark.fails-warm.2:fault');
    expect(b.ids().join()).not.toMatch(/spark.good|spark.none/);
    expect(
      b
        .assessed()
        .moves.slice(0, 3)
        .map((m) => m.title)
        .join('\n')
    ).not.toMatch(/plug/i);
    expect(first(b.read('spark.coilSwap', 'moves', { cylinder: 2 }))).toMatch(/^Renew the coil/);
  });
  it('none warm on every cylinder is what they share', () => {
    expect(looked([1, 2, 3]).ids()).toContain('spark.fails-warm-all:fault');
  });
  it('none cold and good warm is a spark that comes and goes, and no clean bill', () => {
    const b = goodAt(two, ['safe', 'look', 'turn', 'plugs']).read('spark.lanyard', 'yes');
    for (const k of [1, 2, 3]) b.read('spark.result', k === 2 ? 'none' : 'good', { cylinder: k, ...tester });
    b.read('spark.result', 'good', { cylinder: 2, ...warm });
    expect(b.ids()).toContain('spark.unsteady.2:watch');
    expect(b.ids()).not.toContain('spark.good:sound');
  });
  it('good warm as well, and there is nothing to be found', () => {
    expect(looked([]).ids()).toContain('spark.good:sound');
  });
  it('not seen at a later look that was made less well is not silenced by the better one before it', () => {
    const b = goodAt(two, ['safe', 'look', 'turn', 'plugs']).read('spark.lanyard', 'yes');
    for (const k of [1, 2, 3])
      b.read('spark.result', 'good', { cylinder: k, conditions: { ...tester.conditions, rpm: 400 } });
    expect(b.ids()).toContain('spark.good:sound');
    expect(b.read('spark.result', 'none', { cylinder: 3, ...tester }).ids()).toContain('spark.unsteady.3:watch');
  });
});

describe('a search along the fuel line', () => {
  const dies = (): Bench =>
    goodAt(two, ['safe', 'look', 'turn', 'plugs', 'spark', 'compression', 'gear'])
      .read('fuel.level', 'full')
      .read('fuel.age', 1)
      .read('fuel.kind', 'plain')
      .read('fuel.dies', 'minutes')
      .read('fuel.vent', 'open');
  const first = (b: Bench): string => b.assessed().moves[0]!.title;

  it('sucked flat: what is left upstream is looked at before it is mended', () => {
    const b = dies().read('fuel.bulb', 'flat');
    expect(first(b)).toBe('Pick-up screen and anti-siphon valve');
    expect(first(b.read('fuel.pickup', 'blocked'))).toMatch(/^Clear the tank’s side/);
  });
  it('soft, and revived by squeezing: its joints before filters, and nothing upstream', () => {
    const b = dies().read('fuel.bulb', 'soft').read('fuel.revived', 'yes');
    expect(first(b)).toBe('Fuel hose');
    const titles = b.assessed().moves.map((m) => m.title);
    expect(titles).not.toContain('Pick-up screen and anti-siphon valve');
    expect(titles).not.toContain('Hose and couplings, bubbles');
  });
});

describe('a run that is over', () => {
  it('read warm at its end, it is no forecast any more that is missing', () => {
    const b = new Bench(two)
      .read('run.event', 'start')
      .read('run.stream', 'strong')
      .wait(0.3)
      .read('run.temperature', K(62), { conditions: { spot: 'head' } })
      .read('run.event', 'stop')
      .read('run.outcome', 'ran');
    expect(b.ids()).toContain('run.heat:sound');
    const climbing = new Bench(two)
      .read('run.event', 'start')
      .wait(0.1)
      .read('run.temperature', K(55), { conditions: { spot: 'head' } })
      .wait(0.12)
      .read('run.temperature', K(75), { conditions: { spot: 'head' } })
      .read('run.event', 'stop')
      .read('run.outcome', 'ran');
    expect(climbing.ids()).toContain('run.heat:cannot-tell');
    const close = new Bench(two)
      .read('run.event', 'start')
      .wait(0.3)
      .read('run.temperature', K(86), { conditions: { spot: 'head' } })
      .read('run.event', 'stop')
      .read('run.outcome', 'ran');
    expect(close.ids()).toContain('run.heat:cannot-tell');
    const early = new Bench(two)
      .read('run.event', 'start')
      .read('run.temperature', K(62), { conditions: { spot: 'head' } })
      .wait(0.3)
      .read('run.event', 'stop')
      .read('run.outcome', 'ran');
    expect(early.ids()).toContain('run.heat:cannot-tell');
  });
  it('a lamp whose cause was written down asks for the run again, and for no second thermometer', () => {
    const b = goodAt(four, ['safe', 'look', 'turn', 'plugs', 'spark', 'compression', 'gear', 'fuel', 'cooling', 'oil'])
      .read('run.event', 'start')
      .wait(0.1)
      .read('run.lamp', 'came')
      .read('run.event', 'stop')
      .read('run.outcome', 'stopped')
      .read('run.reason', 'lamp');
    const titles = (): string =>
      b
        .assessed()
        .moves.slice(0, 3)
        .map((m) => m.title)
        .join('\n');
    expect(titles()).toMatch(/thermometer on the head/);
    b.read('run.cause', 'wire of the oil sender off');
    expect(titles()).not.toMatch(/thermometer on the head/);
  });
});

describe('one cylinder low, read twice', () => {
  const low = (profile: Profile): Bench =>
    new Bench(profile).psi([
      [1, 160],
      [2, 158],
      [3, 95],
      [3, 96]
    ]);
  it('with valves, its finding names the lash first, as the next step does', () => {
    const b = low({ ...four, cylinders: 3 });
    expect(b.said('compression.low.3')).toMatch(/it is low\. Valve lash first/);
    expect(moves(b).join(' | ')).toMatch(/Valve lash of cylinder 3/);
    const measured = b
      .read('compression.lashIn', 0.0002, { cylinder: 3 })
      .read('compression.lashEx', 0.00025, { cylinder: 3 });
    expect(measured.said('compression.low.3')).toMatch(/it is low\. Wet test or leak-down next/);
  });
  it('without, it does not', () => {
    expect(low({ ...two, cylinders: 3 }).said('compression.low.3')).toMatch(/it is low\. Wet test/);
  });
});
