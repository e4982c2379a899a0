import { describe, expect, it } from 'vitest';
import { Bench } from '../case.ts';
import { jobs, moves, readyToRun } from './all-good.ts';
import { four, magneto, tester, two, v6 } from './engines.ts';

/** Which reading speaks, and what an entry says of the work between two looks. */
const PSI = 6894.757;
const oiled = (b: Bench, list: readonly (readonly [number, number])[]): Bench => {
  for (const [cylinder, psi] of list)
    b.read('compression.pressure', psi * PSI, {
      cylinder,
      conditions: { throttle: 'open', bores: 'oiled', dose: 5e-6 }
    });
  return b;
};
const oneLow = (): Bench =>
  readyToRun(two, 'neglected', ['compression']).psi([
    [1, 120],
    [2, 82],
    [3, 118]
  ]);

describe('oil in the bores beside a low reading taken once', () => {
  it('less what the oil lifts it reads as low again: that is its second reading, and air is next', () => {
    const b = oiled(oneLow(), [
      [1, 132],
      [2, 92],
      [3, 130]
    ]);
    expect(b.ids()).toContain('compression.low.2:fault');
    expect(moves(b)[0]).toMatch(/^Leak-down of cylinder 2/);
    expect(moves(b).join()).not.toMatch(/Compression again/);
    expect(jobs(b)).toContain('leak-down');
  });
  it('lifted by sealing, it is neither believed nor read dry again while the oil is in it', () => {
    const b = oiled(oneLow(), [[2, 118]]);
    expect(b.ids()).toContain('compression.low.2:cannot-tell');
    expect(moves(b)[0]).toMatch(/^Leak-down of cylinder 2/);
    expect(moves(b).join()).not.toMatch(/Compression again/);
    expect(jobs(b)).not.toContain('overhaul');
  });
  it('read dry after the oil, it is read dry again', () => {
    const b = oiled(readyToRun(two, 'neglected', ['compression']), [[2, 118]]).psi([
      [1, 120],
      [2, 82],
      [3, 118]
    ]);
    expect(b.ids()).toContain('compression.low.2:watch');
    expect(moves(b).join()).toMatch(/Compression again of cylinder 2/);
  });
  it('of an unknown dose it confirms nothing', () => {
    const b = oneLow().read('compression.pressure', 92 * PSI, {
      cylinder: 2,
      conditions: { throttle: 'open', bores: 'oiled' }
    });
    expect(b.ids()).not.toContain('compression.low.2:fault');
  });
  it('lower than dry, both are read again', () => {
    expect(moves(oiled(oneLow(), [[2, 60]])).join()).toMatch(/Compression again of cylinder 2/);
  });
});

describe('cranked by a weak battery', () => {
  it('the battery is looked at before anything that was cranked for is read again', () => {
    const b = readyToRun(v6, 'neglected', ['compression'])
      .psi([
        [1, 118],
        [2, 116],
        [4, 117],
        [6, 60]
      ])
      .psi([[5, 102]], { conditions: { throttle: 'open', bores: 'dry', volts: 9.2 } })
      .psi([[3, 95]], { conditions: { throttle: 'shut', bores: 'dry' } });
    expect(b.assessed().moves.filter((m) => m.class === 4)[0]!.title).toBe('Battery and starter under load');
  });
});

describe('two banks', () => {
  const heads = (b: Bench, port: number, starboard: number): Bench =>
    b
      .read('run.temperature', port + 273.15, { conditions: { spot: 'head-port' } })
      .read('run.temperature', starboard + 273.15, { conditions: { spot: 'head-starboard' } })
      .wait(1 / 30);
  const running = (): Bench =>
    heads(
      readyToRun(v6)
        .read('run.event', 'start')
        .wait(1 / 60),
      20,
      20
    );
  it('one ahead while both warm up says nothing yet, and nothing is looked for', () => {
    const b = heads(heads(running(), 35, 28), 50, 36);
    expect(b.ids()).toContain('run.banks:cannot-tell');
    expect(b.said('run.banks')).not.toMatch(/thermostat/);
    expect(jobs(b)).not.toContain('hot');
    expect(moves(b).join()).not.toMatch(/strainer|pan/i);
  });
  it('alike once both stand, the doubt is closed', () => {
    const b = heads(heads(heads(heads(heads(running(), 35, 28), 50, 38), 58, 50), 60, 59), 60, 60);
    expect(b.ids().join()).not.toMatch(/run\.banks/);
  });
  it('one stands and the other is far under it, or far over it: that counts', () => {
    const cold = heads(heads(heads(heads(running(), 40, 28), 58, 34), 60, 40), 60, 44);
    expect(cold.ids()).toContain('run.banks:watch');
    const hot = heads(heads(heads(heads(running(), 40, 40), 58, 58), 60, 66), 60, 74);
    expect(hot.ids()).toContain('run.banks:watch');
  });
  it('read minutes apart while they climb, they are compared at one moment', () => {
    const b = running()
      .read('run.temperature', 300, { conditions: { spot: 'head-port' } })
      .read('run.temperature', 299, { conditions: { spot: 'head-starboard' } })
      .wait(1 / 24)
      .read('run.temperature', 316, { conditions: { spot: 'head-port' } });
    expect(b.ids().join()).not.toMatch(/run\.banks/);
  });
});

describe('what was done between two looks', () => {
  it('oil changes that were counted are what made milky oil clean', () => {
    const b = new Bench(four, 'drowned').read('oil.look', 'milky').read('oil.changes', 2).read('oil.look', 'clean');
    expect(b.ids().join()).not.toMatch(/oil\.again/);
    const none = new Bench(four, 'drowned').read('oil.look', 'milky').read('oil.changes', 0).read('oil.look', 'clean');
    expect(none.ids().join()).toMatch(/oil\.again-look/);
  });
  it('old fuel said to be in the tank is no work on what the jar showed', () => {
    const b = new Bench(two).read('fuel.jar', 'layers').read('fuel.tank', 'old').read('fuel.jar', 'clear');
    expect(b.ids().join()).toMatch(/fuel\.again-jar/);
  });
  const lamp = (): Bench =>
    readyToRun(four)
      .read('run.event', 'start')
      .wait(0.1)
      .read('run.stream', 'strong')
      .read('run.lamp', 'came')
      .read('run.outcome', 'stopped')
      .read('run.reason', 'lamp')
      .read('run.minutes', 6)
      .read('run.event', 'stop')
      .wait(0.1)
      .read('oil.dip', 'below')
      .read('oil.dip', 'below');
  it('low oil brought up by the tally is what the lamp told: no thermometer, no strainer', () => {
    const b = lamp().read('oil.poured', 0.0005).wait(0.2).read('oil.dip', 'between').read('oil.dip', 'between');
    expect(b.ids()).toContain('oil.dip:sound');
    expect(moves(b).join()).not.toMatch(/thermometer|strainer/i);
  });
  it('with nothing poured the dips disagree, and the lamp has no cause', () => {
    const b = lamp().wait(0.2).read('oil.dip', 'between').read('oil.dip', 'between');
    expect(moves(b).join()).toMatch(/thermometer/);
  });
  it('no temperature was read: the thermometer is the first one', () => {
    expect(moves(lamp()).join()).not.toMatch(/second thermometer/);
  });
});

describe('weak spark after its points were renewed', () => {
  it('they are neither looked at again nor named', () => {
    const weak = (b: Bench): Bench => b.read('spark.result', 'weak', { cylinder: 1, ...tester });
    const b = weak(
      readyToRun(magneto, 'neglected', ['spark'])
        .read('spark.lanyard', 'yes')
        .read('spark.pointsLook', 'pitted', { cylinder: 1 })
    );
    expect(moves(b)[0]).toMatch(/^Points and condenser/);
    weak(b.done('points'));
    expect(b.said('spark.weak')).not.toMatch(/points/);
    expect(moves(b).join()).not.toMatch(/Look at the points/);
  });
});

describe('a soak that helped, and not enough', () => {
  const locked = (): Bench =>
    new Bench(two, 'long-stored', { yearsIdle: 12 })
      .read('turn.plugs', 'out')
      .read('turn.result', 'locked')
      .read('turn.lockNeutral', 'still')
      .read('turn.lockPinion', 'still')
      .read('turn.lockLeg', 'still')
      .done('soak')
      .wait(14);
  const soak = (b: Bench) => b.assessed().steps.find((s) => s.id === 'soak');
  it('locked before and stiff now, it is soaked once more, and nothing has failed', () => {
    const step = soak(locked().read('turn.result', 'stiff'))!;
    expect(step).toMatchObject({ state: 'open' });
    expect(step.failed).toBeUndefined();
    expect(step.why[0]).toMatch(/stiff/);
  });
  it('as locked as before, it has failed', () => {
    expect(soak(locked().read('turn.result', 'locked'))?.failed).toBeDefined();
  });
});

describe('one cylinder high over all the others', () => {
  const odd = (): Bench =>
    readyToRun(two, 'neglected', ['compression']).psi([
      [1, 120],
      [2, 121],
      [3, 190]
    ]);
  it('it is doubted before the others are called low, and nothing is sound meanwhile', () => {
    const b = odd();
    expect(b.ids()).toContain('compression.odd-high.3:cannot-tell');
    expect(b.ids().join()).not.toMatch(/compression\.(low|neighbours|alike)/);
    expect(moves(b)[0]).toMatch(/^Compression again of cylinder 3/);
    expect(jobs(b)).not.toContain('leak-down');
  });
  it('as high again, its hole is looked into; with nothing in it the others are low', () => {
    const b = odd().psi([[3, 188]]);
    expect(moves(b)[0]).toMatch(/^Plug out of cylinder 3/);
    b.read('plugs.hole', 'clean', { cylinder: 3 });
    expect(b.ids()).toContain('compression.low.1:watch');
  });
  it('water in it explains it: it is read again once that is out', () => {
    const b = odd()
      .psi([[3, 188]])
      .read('plugs.hole', 'water', { cylinder: 3 });
    expect(b.ids()).toContain('compression.odd-high.3:cannot-tell');
    expect(b.ids().join()).not.toMatch(/compression\.low/);
  });
  it.each([
    [
      'of two there is no telling which',
      [
        [1, 120],
        [2, 190]
      ],
      { ...two, cylinders: 2 }
    ],
    [
      'the others under what such an engine gives are low',
      [
        [1, 70],
        [2, 72],
        [3, 160]
      ],
      two
    ],
    [
      'within what such engines usually give it is no doubt',
      [
        [1, 105],
        [2, 104],
        [3, 140]
      ],
      two
    ],
    [
      'the others not alike',
      [
        [1, 120],
        [2, 95],
        [3, 190]
      ],
      two
    ]
  ] as const)('%s', (_, list, profile) => {
    const b = readyToRun(profile, 'neglected', ['compression']).psi(list);
    expect(b.ids().join()).not.toMatch(/odd-high/);
    expect(b.ids().join()).toMatch(/compression\.low/);
  });
  it('four of a kind at the top of their range are as they should be', () => {
    const b = readyToRun(four, 'neglected', ['compression']).psi([
      [1, 208],
      [2, 206],
      [3, 209],
      [4, 207]
    ]);
    expect(b.ids()).toContain('compression.alike:sound');
  });
});

describe('a primary of an ohm, cold and warm', () => {
  const coil = (cold: number, warm: number): Bench =>
    readyToRun(two, 'neglected', ['spark'])
      .read('spark.primary', cold, { cylinder: 1, conditions: { temperature: 293 } })
      .read('spark.primary', warm, { cylinder: 1, conditions: { temperature: 343 } });
  it('six percent are no more than its leads: no coil is bought for it', () => {
    const b = coil(0.8, 0.9);
    expect(b.ids()).toContain('spark.hot-primary.1:cannot-tell');
    expect(jobs(b)).not.toContain('coil');
  });
  it('a third less is turns that short, whatever the leads add', () => {
    const b = coil(3, 2.4);
    expect(b.ids()).toContain('spark.hot-primary.1:fault');
    expect(jobs(b)).toContain('coil');
  });
});
