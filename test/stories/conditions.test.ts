import { describe, expect, it } from 'vitest';
import { Bench } from '../case.ts';
import { four, magneto, tester, two, v6 } from './engines.ts';
import { story } from './story.ts';

/** The same reading under other conditions is another reading: what lowers it is asked about, and only where it can have lowered it. */
const psi =
  (list: readonly number[], conditions: object = {}) =>
  (b: Bench): Bench =>
    b.psi(
      list.map((p, k) => [k + 1, p] as const),
      { conditions: { throttle: 'open', bores: 'dry', ...conditions } }
    );
const sparks =
  (list: readonly ('good' | 'weak' | 'none')[], conditions: object = tester.conditions) =>
  (b: Bench): Bench =>
    list.reduce((x, result, k) => x.read('spark.result', result, { cylinder: k + 1, conditions }), b);

describe('cranked too slowly', () => {
  story(
    () => new Bench(two),
    [
      {
        entered: '72 on all three at 120 rpm: low for slow cranking or for wear, and no clean bill',
        by: psi([72, 70, 72], { rpm: 120 }),
        is: { compression: 'cannot-tell' },
        finds: ['compression.cranking:watch', 'compression.figure-excused:cannot-tell'],
        now: /^Compression again, cranked briskly/,
        notJobs: ['leak-down'],
        says: /cranked at 120 rpm only: slow cranking reads low/,
        ready: false
      },
      {
        entered: '74 at 290 rpm: it was not the cranking',
        by: psi([74, 72, 74], { rpm: 290 }),
        notFinds: ['compression.cranking', 'compression.figure-excused'],
        finds: ['compression.figure:cannot-tell'],
        now: /Leak-down/
      }
    ]
  );

  it('a cylinder that is low twice on slow cranking is not called low yet', () => {
    const slow = new Bench(two);
    for (let n = 0; n < 3; n++) psi([125, 60, 125], { rpm: 140 })(slow);
    expect(slow.ids()).toContain('compression.low.2:watch');
    const brisk = new Bench(two);
    for (let n = 0; n < 3; n++) psi([125, 60, 125], { rpm: 280 })(brisk);
    expect(brisk.ids()).toContain('compression.low.2:fault');
  });

  it('brisk and slow readings are not averaged, and the brisk ones speak', () => {
    const b = psi([118, 116, 118], { rpm: 280 })(psi([90, 88, 90], { rpm: 120 })(new Bench(two)));
    expect(b.ids()).toContain('compression.alike:sound');
    expect(b.said('compression')).not.toMatch(/slow/);
  });

  it('a slow reading that is lower than slow cranking explains is asked for again, though it came last', () => {
    const b = psi([118, 117, 118], { rpm: 280 })(new Bench(two));
    const slow = (p: number): Bench =>
      b.read('compression.pressure', p * 6894.757, {
        cylinder: 2,
        conditions: { throttle: 'open', bores: 'dry', rpm: 120 }
      });
    expect(slow(90).ids().join()).not.toMatch(/unlike/);
    expect(slow(30).ids()).toContain('compression.unlike.2:cannot-tell');
  });

  it('with a starter that is known to be slow, the starter comes before the cylinders and sparks not read yet', () => {
    const b = new Bench({ ...two, starting: 'electric' })
      .read('plugs.starterCircuit', 'slow')
      .read('spark.lanyard', 'yes')
      .read('spark.result', 'none', { cylinder: 1, ...tester });
    b.psi([[1, 118]]);
    expect(b.assessed().moves[0]!.title).toBe('Starter straight from the battery');
  });

  it('an engine on a rope is told of the arm, not of a battery', () => {
    const b = psi([70], { rpm: 120 })(new Bench(magneto));
    expect(b.assessed().moves[0]!.title).toBe('Compression again, cranked briskly');
    expect(b.ids().join()).not.toMatch(/plugs\.slow/);
  });
});

describe('a starter or battery found weak, and nothing noted beside what was cranked for after it', () => {
  const electric = { ...two, starting: 'electric' } as const;
  for (const [name, weak, well] of [
    [
      'slow',
      (b: Bench) => b.read('plugs.starterCircuit', 'slow'),
      (b: Bench) => b.read('plugs.starterCircuit', 'turns')
    ],
    [
      'dead',
      (b: Bench) => b.read('plugs.starterCircuit', 'nothing'),
      (b: Bench) => b.read('plugs.starterCircuit', 'turns')
    ],
    ['nine volts', (b: Bench) => b.read('plugs.volts', 9), (b: Bench) => b.read('plugs.volts', 11.9)],
    ['120 rpm', (b: Bench) => b.read('plugs.rpm', 120), (b: Bench) => b.read('plugs.rpm', 260)]
  ] as const)
    describe(name, () => {
      story(
        () => new Bench(electric),
        [
          {
            entered: 'no spark anywhere, lanyard in: not a part yet',
            by: (b) => sparks(['none', 'none', 'none'], { ...tester.conditions })(weak(b).read('spark.lanyard', 'yes')),
            finds: ['spark.slow:cannot-tell'],
            notFinds: ['spark.all', 'spark.part'],
            notNow: /Spark again/
          },
          {
            entered: 'all low: not worn yet, and no more oil or air before it turns well',
            by: psi([70, 70, 71]),
            finds: ['compression.cranking:watch', 'compression.figure-excused:cannot-tell'],
            notNow: /Compression again|Wet test|Oil every bore/
          },
          {
            entered: 'it turns well now: spark and compression again',
            by: well,
            now: /Spark again.*|Compression again/
          },
          {
            entered: 'still none, and still low: now it is the ignition, and the engine',
            by: (b) => psi([70, 70, 71])(sparks(['none', 'none', 'none'])(b)),
            finds: ['spark.all:fault', 'compression.figure:cannot-tell'],
            notFinds: ['compression.cranking', 'spark.slow']
          }
        ]
      );
    });
  it('says nothing where an arm may have turned it', () => {
    const b = psi([70, 70, 71])(new Bench({ ...two, starting: 'both' }).read('plugs.starterCircuit', 'slow'));
    expect(b.ids().join()).not.toMatch(/compression\.cranking/);
  });
});

describe('what lowers a reading is no doubt about one that is high all the same', () => {
  for (const [name, conditions] of [
    ['the throttle not noted', { throttle: undefined }],
    ['the throttle unknown', { throttle: 'unknown' }],
    ['nine volts', { volts: 9 }],
    ['slow cranking', { rpm: 150 }]
  ] as const)
    it(name, () => {
      const good = psi([125, 124, 125], conditions)(new Bench(two));
      const a = good.assessed();
      expect(a.stations.find((s) => s.id === 'compression')?.condition).toBe('sound');
      expect(a.moves.filter((m) => m.kind === 'repeat').map((m) => m.title)).toEqual([]);
      expect(a.steps.map((s) => s.id)).not.toContain('compression-repeat');
      // Near the floor, or with oil in the bores, it is one.
      for (const doubtful of [
        psi([92, 90, 92], conditions),
        psi([125, 124, 125], { ...conditions, bores: 'oiled' }),
        psi([125, 60, 125], conditions)
      ])
        expect(doubtful(new Bench(two)).assessed().moves[0]!.kind).toBe('repeat');
    });

  it('a weak battery noted beside it is still a battery to look at', () => {
    const b = psi([125, 124, 125], { volts: 9 })(new Bench(two).read('plugs.order', 'yes'));
    expect(b.ids()).toContain('plugs.slow:watch');
    expect(b.read('plugs.volts', 12.1).ids()).not.toContain('plugs.slow:watch');
  });
});

describe('spark in sunlight', () => {
  const sun = { path: 'tester', light: 'sun' };
  story(
    () => new Bench(two).read('spark.lanyard', 'yes'),
    [
      {
        entered: 'none at 2, in the sun: a thin spark is not seen there',
        by: sparks(['good', 'none', 'good'], sun),
        is: { spark: 'cannot-tell' },
        finds: ['spark.sun.2:cannot-tell'],
        notFinds: ['spark.none'],
        notJobs: ['spark-own', 'lead', 'coil'],
        now: /^Spark again, in the shade/
      },
      {
        entered: 'none there in the shade as well',
        by: (b) => b.read('spark.result', 'none', { cylinder: 2, ...tester }),
        finds: ['spark.none.2:fault'],
        notFinds: ['spark.sun']
      }
    ]
  );
  it('none anywhere, all of it in the sun, accuses no part', () => {
    const b = sparks(['none', 'none', 'none'], sun)(new Bench(two).read('spark.lanyard', 'yes'));
    expect(b.ids()).toContain('spark.sun:cannot-tell');
    expect(b.ids().join()).not.toMatch(/spark\.(all|part)/);
    expect(b.assessed().moves[0]!.title).toBe('Spark again, in the shade');
  });
});

describe('weak on every cylinder', () => {
  story(
    () => new Bench(two).read('spark.lanyard', 'yes'),
    [
      {
        entered: 'three weak ones: what they share, and no plug or coil of one',
        by: sparks(['weak', 'weak', 'weak']),
        finds: ['spark.weak-all:watch'],
        notFinds: ['spark.weak.'],
        now: /^Tester on bright metal/,
        notJobs: ['spark-own', 'coil', 'ground'],
        says: /weak on every cylinder: what they share/
      },
      {
        entered: 'good at 1: what is left is of 2 and 3',
        by: (b) => [1, 2, 3].reduce((x) => x.read('spark.result', 'good', { cylinder: 1, ...tester }), b),
        finds: ['spark.weak-several:watch'],
        notFinds: ['spark.weak-all', 'spark.weak.1']
      }
    ]
  );
  it('on a single, its own parts come first as ever', () => {
    expect(sparks(['weak'])(new Bench(magneto)).ids()).toContain('spark.weak.1:watch');
  });
});

describe('a lamp before a head can be hot', () => {
  const run = (profile: typeof two, minutes: number): Bench => {
    const b = new Bench(profile).read('safe.place', 'outdoors');
    const at = (min: number): string => new Date(Date.parse('2026-05-02T10:00:00Z') + min * 60_000).toISOString();
    return b
      .wait(3)
      .read('cooling.source', 'tank', { at: at(-1) })
      .read('run.event', 'start', { at: at(0) })
      .read('run.stream', 'strong', { at: at(0.3) })
      .read('run.lamp', 'came', { at: at(minutes) })
      .read('run.event', 'stop', { at: at(minutes + 0.1) })
      .read('run.outcome', 'stopped', { at: at(minutes + 0.2) })
      .read('run.reason', 'lamp', { at: at(minutes + 0.2) })
      .read('cooling.opened', 'yes')
      .read('cooling.set', 5)
      .read('cooling.cracked', 0)
      .read('cooling.missing', 0)
      .read('cooling.housing', 'good')
      .read('cooling.thermostatPan', 'good')
      .read('cooling.screen', 'clear');
  };
  it('accuses nothing that heats, whatever else was cleared', () => {
    for (const profile of [two, four]) {
      const a = run(profile, 0.6).assessed();
      expect(a.findings.find((f) => f.id === 'run.lamp-cool')?.sentence).toMatch(/before a head can be hot/);
      expect(a.steps.map((s) => s.id)).not.toContain('descale');
      expect(a.advice.suspects.find((s) => s.id === 'passages')?.probability ?? 0).toBeLessThan(0.4);
      const titles = a.moves.map((m) => m.title).join('\n');
      expect(titles).not.toMatch(/thermometer/);
      expect(titles).toMatch(profile === four ? /Dip the engine oil/ : /New temperature sender/);
      expect(titles.includes('Gauge in place of the sender')).toBe(profile === four);
    }
  });
  it('after some minutes it may be heat, and what heats is looked for', () => {
    const a = run(two, 7).assessed();
    expect(a.findings.find((f) => f.id === 'run.lamp')?.sentence).toMatch(/came on: stop/);
    expect(a.moves.map((m) => m.title).join('\n')).toMatch(/thermometer on the head/);
  });
  it('beside a head that two thermometers found cool, it is no heat either', () => {
    const at = (min: number): string => new Date(Date.parse('2026-05-02T12:00:00Z') + min * 60_000).toISOString();
    const b = run(two, 7)
      .wait(3)
      .read('run.event', 'start', { at: at(0) });
    for (const min of [5, 6, 7]) b.read('run.temperature', 338, { at: at(min), conditions: { spot: 'head' } });
    b.read('run.lamp', 'came', { at: at(7) })
      .read('run.event', 'stop', { at: at(7.2) })
      .read('run.outcome', 'stopped', { at: at(7.3) })
      .read('run.reason', 'lamp', { at: at(7.4) });
    expect(
      b
        .assessed()
        .moves.map((m) => m.title)
        .join('\n')
    ).toMatch(/second thermometer/);
    const a = b.read('run.second', 'same', { at: at(7.5) }).assessed();
    expect(a.findings.find((f) => f.id === 'run.lamp-cool')?.sentence).toMatch(/two thermometers found the head cool/);
    expect(a.moves.map((m) => m.title).join('\n')).toMatch(/New temperature sender/);
    expect(a.steps.map((x) => x.id)).not.toContain('descale');
  });
});

describe('figures that do not change by themselves', () => {
  const vacuum = (inHg: number): number => inHg * 3386.389;
  for (const [what, bad, good, profile, more] of [
    ['cooling.set', 60, 5, two, {}],
    ['fuel.vacuumSpeed', vacuum(9), vacuum(1), two, {}],
    ['cooling.thermostatOpens', 363, 333, two, {}],
    ['cooling.thermostatOpens', 363, 333, v6, { conditions: { bank: 'port' } }]
  ] as const)
    it(`${what}: gone at the next look, and asked once more (${profile.cylinders} cylinders)`, () => {
      const b = new Bench(profile).read(what, bad, more).read(what, good, more);
      const name = what.replace('.', '.again-');
      expect(b.ids()).toContain(`${name}:cannot-tell`);
      expect(b.read(what, good, more).ids()).not.toContain(`${name}:cannot-tell`);
    });
  it('a vacuum that is gone once the vent was opened is cured', () => {
    const b = new Bench(two)
      .read('fuel.vacuumSpeed', vacuum(9))
      .read('fuel.vent', 'open')
      .read('fuel.vacuumSpeed', vacuum(1));
    expect(b.ids().join()).not.toMatch(/again-vacuum/);
  });
  it('a thermostat read twice within what a pan can tell is read alike', () => {
    const b = new Bench(two).read('cooling.thermostatOpens', 333).read('cooling.thermostatOpens', 336);
    expect(b.ids().join()).not.toMatch(/again-thermostat/);
  });
});
