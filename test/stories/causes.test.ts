import { describe, expect, it } from 'vitest';
import { Bench } from '../case.ts';
import { four, magneto, open, tester, two, v6 } from './engines.ts';
import { story } from './story.ts';

describe('one bank of a V runs hot under a strong stream', () => {
  const both = (port: number, starboard: number) => (b: Bench) =>
    b
      .read('run.temperature', 273.15 + port, { conditions: { spot: 'head-port' } })
      .read('run.temperature', 273.15 + starboard, { conditions: { spot: 'head-starboard' } });
  story(
    () => new Bench(v6).read('run.event', 'start').read('run.stream', 'strong'),
    [
      { entered: '65 and 60 °C', by: both(65, 60), is: { cooling: 'sound' }, notFinds: ['run.banks'] },
      {
        entered: '85 and 62 °C two minutes later: by the next reading it is past its limit',
        by: both(85, 62),
        is: { cooling: 'cannot-tell', run: 'fault' },
        finds: ['run.banks:watch'],
        says: /the port bank runs hotter than the other: a stream is a bleed/,
        now: /^Stop it now/
      },
      {
        entered: 'stopped for its temperature: what heats one bank is looked at before a cause is written down',
        by: (b) => b.read('run.event', 'stop').read('run.outcome', 'stopped').read('run.reason', 'temperature'),
        is: { cooling: 'cannot-tell' },
        now: /screens|strainer/i,
        notNow: /write it down|both banks again/
      },
      {
        entered: 'the port thermostat never opens: that is the work, and nothing else is looked for',
        by: (b) => b.read('cooling.thermostatPan', 'shut', { conditions: { bank: 'port' } }),
        now: /^Renew the thermostat/,
        jobs: ['thermostat'],
        notJobs: ['hot', 'descale', 'pump']
      }
    ]
  );
});

describe('it kicks back, and the key is sheared', () => {
  story(
    () => new Bench(two).read('run.outcome', 'failed').read('run.idles', 'kicks'),
    [
      { entered: 'the first start', by: (b) => b, now: /^Flywheel mark against the crank/ },
      {
        entered: 'the mark is off: the key, and no timing light before it',
        by: (b) => b.read('spark.keyLook', 'sheared'),
        now: /^Renew the flywheel key/,
        notNow: /Timing/,
        jobs: ['flywheel-key']
      }
    ]
  );
});

describe('low, read again alone, and no lash', () => {
  story(
    () => new Bench(four),
    [
      {
        entered: 'all four',
        by: (b) =>
          b.psi(
            [
              [1, 190],
              [2, 192],
              [3, 120],
              [4, 188]
            ],
            open
          ),
        finds: ['compression.low.3:watch'],
        now: /^Compression again of cylinder 3/
      },
      {
        entered: 'cylinder 3 alone: 122',
        by: (b) => b.psi([[3, 122]], open),
        finds: ['compression.low.3:fault'],
        notSays: /before believing it/,
        now: /^Valve lash of cylinder 3/
      },
      {
        entered: 'no lash at its exhaust valve: it is set before oil, air or the head',
        by: (b) => b.read('compression.lashIn', 0.2e-3, { cylinder: 3 }).read('compression.lashEx', 0, { cylinder: 3 }),
        now: /^Set the valve lash/,
        notNow: /Wet test|Leak-down/,
        jobs: ['lash'],
        notJobs: ['valves', 'overhaul', 'head-gasket']
      }
    ]
  );
});

describe('low once, and high when it is read again', () => {
  story(
    () => new Bench(four),
    [
      {
        entered: '120, then 186 at the same cylinder',
        by: (b) =>
          b.psi(
            [
              [1, 190],
              [2, 192],
              [3, 120],
              [4, 188],
              [3, 186]
            ],
            open
          ),
        notFinds: ['compression.low.3:fault'],
        notJobs: ['leak-down', 'overhaul']
      }
    ]
  );
});

describe('weak spark of a magneto, its points cleaned', () => {
  story(
    () => new Bench(magneto).read('spark.lanyard', 'yes'),
    [
      {
        entered: 'weak and orange',
        by: (b) =>
          b.read('spark.result', 'weak', { cylinder: 1, ...tester }).read('spark.colour', 'orange', { cylinder: 1 }),
        finds: ['spark.weak.1:watch'],
        now: /Look at the points of cylinder 1/
      },
      {
        entered: 'grey points, cleaned: spark returns, good and 8 mm',
        by: (b) =>
          b
            .read('spark.pointsLook', 'grey', { cylinder: 1 })
            .read('spark.pointsClean', 'returns')
            .read('spark.result', 'good', { cylinder: 1, ...tester })
            .read('spark.gap', 8e-3, { cylinder: 1 }),
        is: { spark: 'sound' },
        notFinds: ['spark.unsteady', 'spark.weak', 'spark.colour', 'spark.points'],
        notSays: /sometimes|loose connector/
      }
    ]
  );
});

describe('it shakes, and runs on choke only', () => {
  story(
    () =>
      new Bench(two, 'neglected').psi(
        [
          [1, 120],
          [2, 122],
          [3, 119]
        ],
        open
      ),
    [
      {
        entered: 'after the run',
        by: (b) => b.read('run.outcome', 'ran').read('run.idles', 'shakes').read('fuel.chokeOnly', 'yes'),
        is: { run: 'fault' },
        notFinds: ['run.ran'],
        now: /Hose and couplings|Spark, every cylinder/,
        notNow: /Look into the tank|Tank vent|Propeller/
      },
      {
        entered: 'good spark, cylinder 2 makes no difference when it is shorted out',
        by: (b) =>
          [1, 2, 3].reduce(
            (x, k) =>
              x
                .read('spark.result', 'good', { cylinder: k, ...tester })
                .read('run.drop', k === 2 ? 'same' : 'falls', { cylinder: k }),
            b.read('spark.lanyard', 'yes')
          ),
        finds: ['run.no-work.2:fault'],
        notFinds: ['run.no-work.1', 'run.no-work.3']
      },
      {
        entered: 'gum in the bowl: the carburettor, once, and not the line',
        by: (b) => b.read('fuel.bowlLook', 'gummed'),
        finds: ['fuel.starved-jet:fault'],
        jobs: ['carburettor'],
        notJobs: ['fuel-line', 'bowl']
      }
    ]
  );
});

describe('it ran, and dies after minutes', () => {
  story(
    () => new Bench(two),
    [
      {
        entered: 'ran, dies after minutes: that is no run that settled',
        by: (b) => b.read('run.outcome', 'ran').read('run.minutes', 12).read('fuel.dies', 'minutes'),
        notFinds: ['run.ran'],
        is: { run: 'watch' },
        now: /Look into the tank/
      }
    ]
  );
});

const ran = (b: Bench, shown: 'kicks' | 'shakes'): Bench =>
  b.read('run.event', 'start').read('run.stream', 'strong').read('run.idles', shown).read('run.event', 'stop');

describe('the cause of what a run showed is found: it is mended, and not looked for', () => {
  story(
    () => new Bench(two),
    [
      {
        entered: 'it kicks back: the mark, once',
        by: (b) => ran(b, 'kicks').read('run.outcome', 'stopped'),
        now: /^Flywheel mark against the crank/,
        notNow: /looked at/
      },
      {
        entered: 'the mark is shifted: the key',
        by: (b) => b.read('spark.keyLook', 'sheared'),
        now: /^Renew the flywheel key/,
        notNow: /Find the cause/
      }
    ]
  );
  story(
    () => new Bench({ ...four, fuelSystem: 'electronic' }),
    [
      {
        entered: 'it shakes, and 3 does no work',
        by: (b) => ran(b, 'shakes').read('run.outcome', 'ran').read('run.drop', 'same', { cylinder: 3 }),
        now: /cylinder 3/
      },
      {
        entered: 'its injector is silent: the injector',
        by: (b) => b.read('fuel.injectors', 'silent', { cylinder: 3 }),
        now: /^Injector: its connector/,
        notNow: /Find the cause/
      }
    ]
  );
});

describe('a lamp on an engine whose oil was low', () => {
  const dipped = (b: Bench, mark: 'below' | 'between'): Bench =>
    b.wait(0.3).read('oil.dip', mark).read('oil.dip', mark);
  story(
    () => dipped(new Bench(four).read('oil.level', 'yes'), 'between'),
    [
      {
        entered: 'the lamp came, stopped for it',
        by: (b) =>
          b
            .read('run.event', 'start')
            .read('run.stream', 'strong')
            .read('run.temperature', 333)
            .read('run.lamp', 'came')
            .read('run.event', 'stop')
            .read('run.outcome', 'stopped')
            .read('run.reason', 'lamp'),
        holds: ['run'],
        now: /second thermometer/
      },
      {
        entered: 'two dips below the mark: that first, and no search beside it',
        by: (b) => dipped(b, 'below'),
        now: /engine oil right/,
        notNow: /Find the cause|thermometer/
      },
      {
        entered: 'filled, dipped: the run again; the hold stays until the cause stands there and it ran without',
        by: (b) => dipped(b.done('oil-level').read('oil.poured', 0.5e-3), 'between'),
        finds: ['run.stopped:watch'],
        holds: ['run'],
        notNow: /thermometer|Find the cause/
      }
    ]
  );
});

it.each(['unknown', 'Not known', '?', 'nothing found', '-'])('"%s" is no cause written down', (said) => {
  const b = ran(new Bench(four), 'shakes')
    .read('run.lamp', 'came')
    .read('run.outcome', 'stopped')
    .read('run.reason', 'lamp');
  const open = (): boolean => b.assessed().findings.some((f) => f.id === 'run.stopped' && f.condition === 'fault');
  b.read('run.cause', said);
  expect([open(), b.holds().includes('run')]).toEqual([true, true]);
  expect(b.assessed().moves[0]?.title).not.toMatch(/Find the cause/);
  b.read('run.cause', 'a chafed wire');
  expect(open()).toBe(false);
});

it('three ends alike with nothing mended between them are in vain, whatever was looked at meanwhile', () => {
  const end = (b: Bench): Bench => b.wait(1).read('run.outcome', 'died');
  const b = end(end(new Bench(two)).read('fuel.vent', 'open')).read('fuel.filter', 'clean');
  const vain = (): boolean => b.assessed().moves.some((m) => m.id === 'ask:run-in-vain');
  expect(vain()).toBe(false);
  expect((end(b), vain())).toBe(true);
  expect((b.done('fuel-line'), vain())).toBe(false);
});

it('stopped for something else, it is asked how it ran before a cause is written down', () => {
  const b = new Bench(two).read('run.event', 'start').read('run.event', 'stop').read('run.outcome', 'stopped');
  const first = (): string | undefined => b.assessed().moves.find((m) => m.station === 'run')?.title;
  expect(first()).toBe('Say how it ran before it was stopped');
  b.read('run.idles', 'unknown');
  expect(first()).toMatch(/^Find the cause/);
  b.read('run.reason', 'temperature');
  expect(b.assessed().moves.map((m) => m.title)).not.toContain('Say how it ran before it was stopped');
});
