import { describe } from 'vitest';
import { PSI } from '../../src/core/units/factors.ts';
import { Bench } from '../case.ts';
import { caseTest } from '../case-test.ts';
import { story } from './story.ts';

const C = (t: number): number => t + 273.15;
const twin = { strokes: 'two', cylinders: 2, gearCapacity: 300e-6, indicator: 'fitted' } as const;
const running = (b: Bench): Bench => b.read('run.event', 'start');
const temperature =
  (list: readonly number[], spot: 'head' | 'head-port' | 'head-starboard' = 'head', every = 0.5) =>
  (b: Bench): Bench =>
    list.reduce((x, t) => x.read('run.temperature', C(t), { conditions: { spot } }).wait((every - 1) / 60), b);

describe('a half-done case test', () => {
  const low = (b: Bench): Bench => {
    for (let k = 0; k < 3; k++) b.read('gear.casePressure', 4 * PSI, { conditions: { stage: 'low' } }).wait(0.25);
    return b;
  };
  story(
    () => new Bench(twin).read('gear.first', 'water').read('gear.look', 'milky').read('gear.drained', 2.9e-4),
    [
      {
        entered: 'water first, milky, drained',
        by: (b) => b,
        holds: ['gear-case', 'gear-water'],
        is: { gear: 'fault' }
      },
      {
        entered: 'low stage read for half an hour, shafts not turned',
        by: low,
        finds: ['gear.case-low:cannot-tell', 'gear.test-open:cannot-tell'],
        says: /Turn both shafts/,
        notSays: /held its test/
      },
      {
        entered: 'shafts turned at the low stage',
        by: (b) => b.read('gear.caseTurned', 'yes', { conditions: { stage: 'low' } }),
        finds: ['gear.case-low:sound'],
        says: /case test is not finished: high stage not read and vacuum stage not read/
      },
      {
        entered: '“held” tapped beside two stages nobody read',
        by: (b) => b.read('gear.pressureTest', 'held'),
        finds: ['gear.test-open:cannot-tell'],
        says: /“Held” was said, but the stages do not show it/,
        notSays: /The case held its test/,
        holds: ['gear-case', 'gear-water']
      },
      {
        entered: 'refilled for service on the strength of it',
        by: (b) => b.read('gear.washers', 'yes').read('gear.refill', 'service'),
        holds: ['gear-water'],
        ready: false
      },
      {
        entered: 'every stage read and turned, pressure let off, filled for service',
        by: (b) => caseTest(b).read('gear.refill', 'service'),
        holds: [],
        finds: ['gear.test:sound']
      }
    ]
  );
});

describe('a stage that leaked', () => {
  const high = (list: readonly number[]) => (b: Bench) =>
    list.reduce((x, p) => x.read('gear.casePressure', p * PSI, { conditions: { stage: 'high' } }).wait(0.25), b);
  story(
    () => new Bench(twin),
    [
      {
        entered: 'the high stage loses three pounds',
        by: high([10, 8.5, 7]),
        finds: ['gear.case-high:fault', 'gear.test:fault']
      },
      {
        entered: 'pumped up again, it holds, and nothing was done between',
        by: high([10, 10, 10]),
        finds: ['gear.case-high:cannot-tell'],
        notFinds: ['gear.case-high:sound', 'gear.test:sound'],
        says: /leaked once and held once, with no work between/
      },
      {
        entered: 'resealed, pumped up again, it holds',
        by: (b) =>
          high([10, 10, 10])(b.done('reseal')).read('gear.caseTurned', 'yes', { conditions: { stage: 'high' } }),
        finds: ['gear.case-high:sound'],
        notSays: /leaked once/
      },
      {
        entered: 'nobody let the pressure off',
        by: (b) => b,
        holds: ['gear-case'],
        says: /stands under test pressure/
      },
      { entered: 'let off', by: (b) => b.read('gear.caseOpen', 'yes'), holds: [] }
    ]
  );
});

describe('oil that is missing went somewhere', () => {
  story(
    () => new Bench(twin),
    [
      {
        entered: '130 of 300 mL came out',
        by: (b) => b.read('gear.drained', 1.3e-4),
        holds: ['gear-case', 'gear-water'],
        says: /Only 43 % of its oil/
      },
      {
        entered: 'filled for service, no test made',
        by: (b) => b.read('gear.washers', 'yes').read('gear.refill', 'service'),
        holds: ['gear-water'],
        says: /went somewhere/,
        ready: false
      },
      {
        entered: 'drained, tested at every stage, filled',
        by: (b) => caseTest(b).read('gear.refill', 'service'),
        holds: []
      }
    ]
  );
});

describe('a run whose stream does not come', () => {
  story(
    () => running(new Bench(twin).read('safe.place', 'outdoors').read('cooling.source', 'tank')),
    [
      {
        entered: 'ten seconds in, none yet',
        by: (b) => b.wait(-50 / 3600).read('run.stream', 'none'),
        finds: ['cooling.early:cannot-tell'],
        says: /within its first half minute/,
        notSays: /points to the outlet|not to the pump/
      },
      {
        entered: 'a minute later still none, head cold',
        by: (b) => b.read('run.stream', 'none').read('run.temperature', C(24), { conditions: { spot: 'head' } }),
        says: /Stop: past its half minute.*head is still cold at 75 °F and says nothing about the pump/s,
        notSays: /not to the pump\./,
        holds: ['run']
      },
      {
        entered: 'stopped, outlet cleared, a strong stream on the next run; no cause written down',
        by: (b) => running(b.read('run.event', 'stop').wait(1)).read('run.stream', 'strong').read('run.outcome', 'ran'),
        holds: ['run'],
        says: /no stream once, and its cause is not recorded/,
        ready: false
      },
      {
        entered: 'the cause is written down',
        by: (b) => b.read('run.cause', 'mud dauber nest in the outlet'),
        holds: []
      }
    ]
  );
});

describe('a bank about to boil beside one that is well', () => {
  const v6 = { strokes: 'two', cylinders: 6, layout: 'v' } as const;
  story(
    () => running(new Bench(v6).read('safe.place', 'outdoors').read('cooling.source', 'tank')),
    [
      {
        entered: 'port bank steady at 55 over ten readings',
        by: temperature([40, 48, 52, 54, 55, 55, 55, 55, 55, 55], 'head-port'),
        notFinds: ['run.heat:fault']
      },
      {
        entered: 'two readings of starboard: 70, then 84',
        by: temperature([70, 84], 'head-starboard'),
        finds: ['run.heat:fault'],
        says: /Stop now: head, starboard bank/
      },
      {
        entered: 'ten more of the good bank change nothing',
        by: temperature([55, 55, 55, 55, 55, 55, 55, 55, 55, 55], 'head-port'),
        finds: ['run.heat:fault']
      }
    ]
  );
});

describe('two readings are enough to stop', () => {
  story(
    () => running(new Bench(twin).read('safe.place', 'outdoors').read('cooling.source', 'tank')),
    [
      { entered: '45 °C', by: temperature([45]), notFinds: ['run.heat:fault'] },
      {
        entered: '70 °C half a minute later',
        by: temperature([70]),
        finds: ['run.heat:fault'],
        says: /Stop now/,
        notSays: /Too few readings/
      }
    ]
  );
});

describe('what a run showed stays open', () => {
  const start = (): Bench =>
    new Bench(twin).read('safe.place', 'outdoors').read('cooling.source', 'tank').read('run.outcome', 'ran');
  for (const [symptom, id, says] of [
    ['hot', 'dies-warm', /dies when it is warm/],
    ['kicks', 'kicks', /flywheel key/],
    ['spits', 'spits', /Idle passages/],
    ['shakes', 'shakes', /does not fire/]
  ] as const)
    describe(`it ${symptom === 'hot' ? 'dies warm' : symptom}`, () =>
      story(start, [
        {
          entered: 'seen on the first run',
          by: (b) => b.read('run.idles', symptom),
          finds: [`run.${id}:fault`],
          notFinds: ['run.ran'],
          says
        },
        {
          entered: 'unknown is said later',
          by: (b) => b.read('run.idles', 'unknown'),
          finds: [`run.${id}:fault`]
        },
        { entered: 'the anodes are renewed', by: (b) => b.done('anodes'), finds: [`run.${id}:fault`] },
        {
          entered: 'even on the next run, no cause found',
          by: (b) => b.read('run.idles', 'even'),
          finds: [`run.${id}:fault`],
          says: /no cause was found: it comes again/
        },
        {
          entered: 'the cause is found, but it was not run again since',
          by: (b) => b.read('run.idles', symptom).read('run.cause', 'a loose terminal at the coil'),
          finds: [`run.${id}:fault`],
          says: /make the same run again/
        },
        {
          entered: 'run again, even',
          by: (b) => b.read('run.idles', 'even'),
          notFinds: [`run.${id}`]
        }
      ]));
  describe('faster than its water allows', () =>
    story(
      () => new Bench(twin).read('safe.place', 'outdoors').read('cooling.source', 'muffs').read('run.event', 'start'),
      [
        { entered: '900 rpm on muffs', by: (b) => b.read('run.rpm', 900), notFinds: ['run.too-fast'] },
        {
          entered: '2400 rpm on muffs',
          by: (b) => b.read('run.rpm', 2400),
          finds: ['run.too-fast:fault'],
          says: /Throttle down now/
        },
        { entered: 'back at idle', by: (b) => b.read('run.rpm', 850), finds: ['run.too-fast:fault'] },
        {
          entered: 'run again, at idle',
          by: (b) => b.read('run.event', 'stop').wait(1).read('run.event', 'start').read('run.rpm', 850),
          notFinds: ['run.too-fast']
        }
      ]
    ));
  describe('it stopped by the lamp', () =>
    story(start, [
      { entered: 'lamp on', by: (b) => b.read('run.lamp', 'came'), holds: ['run'], finds: ['run.lamp:fault'] },
      {
        entered: 'the reason for stopping is no cause',
        by: (b) => b.read('run.reason', 'lamp').read('run.lamp', 'none'),
        holds: ['run']
      },
      { entered: 'unknown lifts nothing', by: (b) => b.read('run.lamp', 'unknown'), holds: ['run'] },
      {
        entered: 'cause and a run without it',
        by: (b) => b.read('run.cause', 'oil sender').read('run.lamp', 'none'),
        holds: []
      }
    ]));
  describe('charging', () =>
    story(start, [
      {
        entered: '12.3 V at idle',
        by: (b) => b.read('run.rpm', 850).read('run.volts', 12.3),
        finds: ['run.charge:cannot-tell'],
        notFinds: ['run.undercharge']
      },
      {
        entered: '12.3 V at 2500',
        by: (b) => b.wait(1).read('run.rpm', 2500).read('run.volts', 12.3),
        finds: ['run.undercharge:fault']
      },
      {
        entered: '16.1 V',
        by: (b) => b.wait(1).read('run.rpm', 2500).read('run.volts', 16.1),
        finds: ['run.overcharge:fault']
      },
      {
        entered: 'rectifier renewed, 14.2 V at 2500',
        by: (b) => b.wait(1).read('run.cause', 'rectifier').read('run.rpm', 2500).read('run.volts', 14.2),
        finds: ['run.charge:sound'],
        notFinds: ['run.undercharge', 'run.overcharge']
      }
    ]));
  describe('it dies after minutes', () =>
    story(start, [
      {
        entered: 'died by itself after six',
        by: (b) => b.read('run.outcome', 'died').read('run.minutes', 6),
        finds: ['run.died:fault'],
        says: /Tank vent and fuel first/
      },
      { entered: 'steam with the exhaust', by: (b) => b.read('run.exhaust', 'steam'), finds: ['run.steam:fault'] }
    ]));
});
