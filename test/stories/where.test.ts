import { describe } from 'vitest';
import { PSI } from '../../src/core/units/factors.ts';
import { Bench } from '../case.ts';
import { caseTest } from '../case-test.ts';
import { four, open, tester, two } from './engines.ts';
import { story } from './story.ts';

describe('where the gear case leaks', () => {
  const leaks =
    (...places: ('plugs' | 'housing' | 'propshaft')[]) =>
    (b: Bench) =>
      b
        .read('gear.casePressure', 10 * PSI, { conditions: { stage: 'high' } })
        .wait(0.25)
        .read('gear.casePressure', 7 * PSI, { conditions: { stage: 'high' } })
        .read('gear.caseBubbles', places);
  const start = (): Bench => new Bench(two).read('gear.look', 'milky').read('gear.drained', 470e-6);
  story(start, [
    {
      entered: 'at a plug: fresh washers, and no seal',
      by: leaks('plugs'),
      finds: ['gear.test-plugs:fault'],
      notJobs: ['reseal', 'crack'],
      now: /fresh washer/,
      // Drained and open it does not freeze.
      notFinds: ['gear.forecast', 'gear.frost']
    }
  ]);
  story(start, [
    {
      entered: 'through the housing: a crack, and no seal mends it',
      by: leaks('housing'),
      finds: ['gear.test-housing:fault'],
      jobs: ['crack'],
      notJobs: ['reseal']
    }
  ]);
  story(start, [
    { entered: 'at the propeller shaft', by: leaks('propshaft'), finds: ['gear.test-seals:fault'], jobs: ['reseal'] }
  ]);
});

describe('charging', () => {
  const run = (volts: number) => (b: Bench) =>
    b.read('run.event', 'start').read('run.rpm', 2500).read('run.volts', volts).read('run.outcome', 'ran');
  const start = (): Bench => new Bench(four);
  story(start, [
    {
      entered: '15.9 V: the regulator, and it has a job',
      by: run(15.9),
      finds: ['run.overcharge:fault'],
      jobs: ['charging'],
      now: /^Charging circuit/
    }
  ]);
  story(start, [
    {
      entered: '12.3 V: leads and fuse are looked at before parts',
      by: run(12.3),
      finds: ['run.undercharge:fault'],
      jobs: ['charging'],
      now: /Battery and charging leads/
    }
  ]);
});

describe('a belt that is cracked, a starter that clicks, a low single with a decompressor', () => {
  story(
    () => new Bench({ ...four, camDrive: 'belt', interference: 'yes' }),
    [
      { entered: 'the belt is work', by: (b) => b.read('turn.belt', 'cracked'), jobs: ['belt'], holds: ['belt'] },
      { entered: 'renewed', by: (b) => b.read('turn.belt', 'renewed').done('belt'), notJobs: ['belt'] }
    ]
  );
  story(
    () => new Bench(four),
    [
      {
        entered: 'nothing through its circuit, good straight from the battery; the volts end at the switch',
        by: (b) =>
          b
            .read('plugs.starterCircuit', 'nothing')
            .read('plugs.starterDirect', 'turns')
            .read('plugs.voltsEnd', 'switch'),
        says: /the volts end at the key or neutral switch: lever in neutral/,
        notSays: /solenoid/
      }
    ]
  );
  story(
    () => new Bench({ strokes: 'four', cylinders: 1, displacement: 130e-6, decompression: 'fitted', starting: 'rope' }),
    [
      { entered: '62 psi: leak-down is what tells', by: (b) => b.psi([[1, 62]], open), now: /Leak-down/ },
      {
        entered: 'leak-down tight: nothing is measured again',
        by: (b) => b.read('compression.leakdown', 0.08, { cylinder: 1 }),
        is: { compression: 'sound' },
        notNow: /again/i
      }
    ]
  );
});

describe('none through the tester, good to a bolt', () => {
  story(
    () => new Bench({ ...two, cylinders: 2 }).read('spark.lanyard', 'yes'),
    [
      {
        entered: 'the ground, and neither lead nor coil',
        by: (b) =>
          b
            .read('spark.result', 'good', { cylinder: 1, ...tester })
            .read('spark.result', 'none', { cylinder: 2, ...tester })
            .read('spark.result', 'good', { cylinder: 2, conditions: { path: 'bolt' } }),
        finds: ['spark.ground.2:fault'],
        now: /^Tester on bright metal/,
        notJobs: ['lead', 'coil', 'spark-own', 'ground']
      },
      {
        entered: 'stronger on bright metal',
        by: (b) => b.read('spark.groundWire', 'returns'),
        jobs: ['ground'],
        notJobs: ['lead', 'coil', 'spark-own']
      }
    ]
  );
});

describe('it slips in gear, and the hub slips', () => {
  story(
    () => new Bench(two).read('turn.neutral', 'spins').read('turn.forward', 'slips').read('turn.reverse', 'follows'),
    [
      { entered: 'forward slips when turned by hand', by: (b) => b, finds: ['turn.dog:fault'], jobs: ['linkage'] },
      {
        entered: 'the hub slips: that explains it, and no linkage is set for it',
        by: (b) => b.read('look.twist', 'slips'),
        finds: ['turn.dog:cannot-tell', 'look.twist:fault'],
        jobs: ['propeller'],
        notJobs: ['linkage', 'gears'],
        notNow: /linkage/
      }
    ]
  );
});

describe('what the plugs, the lamp and the smoke say after a run', () => {
  story(
    () =>
      [1, 2, 3].reduce(
        (b, k) => b.read('spark.result', 'good', { cylinder: k }),
        new Bench(two).read('spark.lanyard', 'yes')
      ),
    [
      {
        entered: 'it would not start; its plugs are dry',
        by: (b) =>
          [1, 2, 3].reduce((x, k) => x.read('plugs.read', ['dry'], { cylinder: k }), b.read('run.outcome', 'failed')),
        finds: ['plugs.no-fuel:watch'],
        notFinds: ['plugs.good'],
        now: /Look into the tank|Tap or shut-off/,
        notNow: /Spark|vent/
      }
    ]
  );
  story(
    () => new Bench(four),
    [
      {
        entered: 'a lamp, the second thermometer normal: oil before heat',
        by: (b) => b.read('run.lamp', 'came').read('run.second', 'normal'),
        now: /Dip the engine oil/,
        notNow: /screens|strainer|pan/i
      }
    ]
  );
  story(
    () => new Bench(two),
    [
      {
        entered: 'smoke that keeps coming',
        by: (b) => b.read('run.outcome', 'ran').read('run.smoke', 'keeps'),
        now: /A plug out after the run/
      },
      { entered: 'mixed at 100:1', by: (b) => b.read('fuel.mix', 100), finds: ['run.smoke:fault'] }
    ]
  );
  story(
    () => new Bench(two).read('gear.look', 'metallic').read('gear.magnet', 'pieces'),
    [
      {
        entered: 'the metal is explained',
        by: (b) => b.read('gear.explained', 'yes'),
        is: { gear: 'watch' },
        notJobs: ['metal', 'gears']
      },
      {
        entered: 'the magnet clean at the next look',
        by: (b) => b.read('gear.look', 'clear').read('gear.magnet', 'clean'),
        is: { gear: 'sound' }
      },
      { entered: 'pieces once more', by: (b) => b.read('gear.magnet', 'pieces'), is: { gear: 'fault' } }
    ]
  );
});

describe('dry from standing, and all of them rise with oil', () => {
  const dry = open;
  story(
    () => new Bench({ ...two, cylinders: 2, displacement: 300e-6 }, 'long-stored', { yearsIdle: 8 }),
    [
      {
        entered: '72 and 74',
        by: (b) =>
          b.psi(
            [
              [1, 72],
              [2, 74]
            ],
            dry
          ),
        now: /^Oil every bore alike/,
        notSays: /rings/
      },
      {
        entered: '110 and 113 with oil',
        by: (b) =>
          b.psi(
            [
              [1, 110],
              [2, 113]
            ],
            { conditions: { ...dry.conditions, bores: 'oiled', dose: 3e-6 } }
          ),
        finds: ['compression.wet-all:cannot-tell'],
        notFinds: ['compression.wet.'],
        notSays: /rings or bore/,
        notJobs: ['overhaul', 'soak'],
        notNow: /Measure the compression again/
      }
    ]
  );
});

describe('water again, after the case held its test and was filled', () => {
  const held = (b: Bench) =>
    caseTest(b.read('gear.first', 'milky').read('gear.look', 'milky'))
      .read('gear.look', 'clear')
      .read('gear.washers', 'yes')
      .read('gear.refill', 'service');
  story(
    () => new Bench(two),
    [
      { entered: 'held, filled for service', by: held, notFinds: ['gear.water'], holds: [] },
      {
        entered: 'thirty millilitres of water at the next look: it came in since',
        by: (b) => b.read('gear.water', 30e-6),
        finds: ['gear.water:fault'],
        holds: ['gear-water'],
        jobs: ['case-test', 'gear-refill']
      }
    ]
  );
});

describe('three per cent of water in a jar of fuel that was called fresh', () => {
  story(
    () =>
      new Bench(two)
        .read('fuel.tank', 'fresh')
        .read('fuel.line', 'fresh')
        .read('fuel.bowl', 'fresh')
        .read('fuel.age', 1),
    [
      {
        entered: 'measured in the jar',
        by: (b) => b.read('fuel.jarWater', 0.03),
        finds: ['fuel.jar:fault'],
        holds: ['fuel'],
        jobs: ['fuel-drain']
      }
    ]
  );
});
