import { describe, expect, it } from 'vitest';
import type { Bench } from '../case.ts';
import { moves, readyToRun } from './all-good.ts';
import { four, two, v6 } from './engines.ts';

/** The cooling water, as a first run shows it. */
const head = { conditions: { spot: 'head' } } as const;
const start = (b: Bench, stream: 'strong' | 'weak' | 'none'): Bench =>
  b.read('run.event', 'start').wait(0.02).read('run.stream', stream);
const warm = (b: Bench, temperatures: readonly number[]): Bench =>
  temperatures.reduce((x, t) => x.wait(0.05).read('run.temperature', t, head), b);
const stop = (b: Bench, reason?: 'temperature' | 'stream' | 'other'): Bench => {
  b.read('run.event', 'stop')
    .read('run.outcome', reason ? 'stopped' : 'ran')
    .read('run.minutes', 16);
  return reason ? b.read('run.reason', reason) : b;
};

describe('stopped for its heat, with a weak stream', () => {
  const hot = (): Bench =>
    stop(warm(start(readyToRun(two).read('cooling.source', 'muffs'), 'weak'), [330, 350]), 'temperature');
  it('a head on its way up is none that stays cool', () => {
    const b = hot();
    expect(b.said('cooling')).toMatch(/stopped because of its temperature: .* clears nothing/);
    expect(b.said('cooling')).not.toMatch(/stays (cool|at)/);
    expect(b.read('cooling.outlet', 'clear').said('cooling')).not.toMatch(/stays (cool|at)/);
  });
  it('strong and cool in the tank, it was the muffs: that is on record, and nothing is opened for it', () => {
    const b = stop(warm(start(hot().read('cooling.source', 'tank').wait(1), 'strong'), [320, 333, 335, 335, 335]));
    expect(moves(b).join(' | ')).not.toMatch(/Find the cause|thermometer|pan|water pump/);
    expect(b.holds()).not.toContain('run');
  });
});

describe('no stream, and its outlet was blocked', () => {
  const dry = (): Bench => stop(start(readyToRun(two).read('cooling.source', 'tank'), 'none'), 'stream');
  const cleared = (): Bench => dry().read('cooling.outlet', 'blocked');
  it('that is the cause, and on record: it is run again, and nobody is asked for it', () => {
    expect(dry().holds()).toContain('run');
    expect(cleared().holds()).toContain('run');
    expect(moves(cleared())[0]).toMatch(/^Look at the stream again/);
    const b = stop(warm(start(cleared().wait(0.2), 'strong'), [300, 320, 335, 340, 341, 341]));
    expect(b.holds()).not.toContain('run');
    expect(moves(b).join(' | ')).not.toMatch(/[Cc]ause/);
  });
  it('through an outlet nothing is cooled: heat still wants its cause', () => {
    const b = stop(warm(start(cleared().wait(0.2), 'strong'), [300, 340, 368]), 'temperature');
    b.read('cooling.outlet', 'blocked');
    expect(b.holds()).toContain('run');
  });
});

it('steam with a head that reads normal: a plug is looked at before anything is opened', () => {
  const b = stop(warm(start(readyToRun(four), 'strong'), [300, 320, 335, 340, 341, 341]).read('run.exhaust', 'steam'));
  expect(moves(b).slice(0, 2).join(' | ')).toMatch(/A plug out after the run/);
});

it('of a hotter bank its own thermostat is tried, whatever one of no bank did before', () => {
  const b = start(readyToRun(v6), 'strong');
  for (const t of [300, 320, 335, 340, 341, 341]) {
    b.wait(0.05).read('run.temperature', t, { conditions: { spot: 'head', bank: 'port' } });
    b.read('run.temperature', t + (t > 320 ? 18 : 0), { conditions: { spot: 'head', bank: 'starboard' } });
  }
  stop(b).read('run.second', 'same');
  expect(moves(b)[0]).toBe('Thermostat of the starboard bank in a pan');
  expect(moves(b.read('cooling.thermostatPan', 'good', { conditions: { bank: 'starboard' } }))[0]).not.toBe(
    'Thermostat of the starboard bank in a pan'
  );
});

it('what a finished run was heading for is not told as if it ran', () => {
  const b = start(readyToRun(v6), 'strong');
  warm(b, [300, 320, 335, 348, 355, 358.5]);
  expect(stop(b).said('run.heat')).not.toMatch(/Be ready to stop|It gets there/);
});

it('a gear plug that will not move is freed before it is to be cracked open', () => {
  const b = readyToRun(two, 'neglected', ['gear']).read('gear.slots', 'stuck');
  expect(moves(b)[0]).toMatch(/^New gear plugs/);
  b.done('gear-plugs').wait(0.2).read('gear.slots', 'good');
  expect(moves(b)[0]).toMatch(/^Lower gear plug a crack open/);
});

describe('run hot without a stream, far past its limit', () => {
  const cooked = (): Bench => stop(warm(start(readyToRun(two), 'none'), [300, 330, 360, 385, 410]), 'temperature');
  const cured = (): Bench =>
    cooked().read('run.cause', 'impeller torn').done('pump').wait(1).read('cooling.drill', 'pumps');
  it('vanes and cylinders that were good before say nothing now', () => {
    const b = cooked();
    expect(b.ids()).not.toContain('cooling.pump:sound');
    expect(moves(b).join(' | ')).toMatch(/Open the water pump/);
    expect(moves(b).join(' | ')).toMatch(/Compression of every cylinder once more/);
    expect(moves(b).join(' | ')).not.toMatch(/bucket/);
  });
  it('cooled again, it does not go back before its cylinders were read once more', () => {
    const b = stop(warm(start(cured(), 'strong'), [300, 320, 335, 340, 340, 340, 340]));
    expect(b.assessed().gates.find((g) => g.id === 'station.compression')?.passes).toBe(false);
    b.psi([
      [1, 124],
      [2, 126],
      [3, 125]
    ]);
    expect(b.ids()).not.toContain('compression.overheated:cannot-tell');
    expect(b.assessed().gates.find((g) => g.id === 'station.compression')?.passes).toBe(true);
  });
  it('one that fell since is low, and no contradiction of what it was before', () => {
    const b = cured()
      .psi([
        [1, 124],
        [2, 70],
        [3, 125]
      ])
      .psi([[2, 71]]);
    expect(b.said('compression.scatter')).toBe('');
    expect(b.said('compression.low')).toMatch(/It repeats: it is low/);
    expect(moves(b)[0]).toMatch(/^Wet test of cylinder 2/);
  });
  it('a little past it, or by one thermometer of two that differ, nothing is read again', () => {
    const little = stop(warm(start(readyToRun(two), 'none'), [300, 330, 350, 368]), 'temperature');
    expect(little.said('compression.overheated')).toBe('');
    expect(cooked().read('run.second', 'normal').said('compression.overheated')).toBe('');
  });
});

it('a lamp at once, no oil on the stick: filled, it is run again before a gauge is fitted', () => {
  const b = readyToRun(four).read('run.event', 'start').wait(0.01).read('run.lamp', 'came').read('run.event', 'stop');
  b.read('run.outcome', 'stopped').read('run.reason', 'lamp').read('run.minutes', 1).wait(0.1);
  // It had stood between the marks: where it went comes before more is poured in.
  b.read('oil.dip', 'none').read('oil.dip', 'none');
  expect(moves(b)[0]).toMatch(/^Round the oil filter and the drain screw/);
  b.read('run.leaks', 'none');
  expect(moves(b)[0]).toMatch(/^Bring the engine oil right/);
  b.done('oil-level').wait(0.3).read('oil.dip', 'between').read('oil.dip', 'between');
  expect(b.said('run.lamp-cool')).toMatch(/was worked on since/);
  expect(moves(b).join(' | ')).not.toMatch(/Gauge in place/);
  expect(b.holds()).toContain('run');
});

it('stopped for another reason while it raced to its limit: it was about to boil all the same', () => {
  const b = stop(warm(start(readyToRun(two).read('cooling.source', 'tank'), 'strong'), [316, 338, 361]), 'other');
  expect(b.ids()).toContain('run.heat:fault');
  const calm = stop(warm(start(readyToRun(two).read('cooling.source', 'tank'), 'strong'), [316, 324, 330]), 'other');
  expect(calm.ids()).not.toContain('run.heat:fault');
});

describe('a new pump whose stream is poor on its first run', () => {
  const hotRun = (): Bench => {
    const b = readyToRun(two, 'neglected', ['cooling']).read('cooling.screen', 'clear').read('cooling.source', 'tank');
    b.read('cooling.opened', 'yes')
      .read('cooling.set', 40)
      .done('pump')
      .read('cooling.set', 3)
      .read('cooling.housing', 'good');
    b.read('cooling.tube', 'seated').read('cooling.assembled', 'yes').read('cooling.drill', 'pumps');
    return stop(warm(start(b, 'weak'), [316, 338, 358, 368]), 'temperature');
  };
  it('is opened once more before anything behind it is flushed, whatever was seen before it went back', () => {
    const b = hotRun().read('run.second', 'same').read('cooling.outlet', 'clear').read('cooling.strainer', 'clear');
    expect(moves(b).slice(0, 3).join(' | ')).toMatch(/Open the new pump once more/);
    expect(b.assessed().steps.map((s) => s.id)).not.toContain('descale');
  });
  it('and its passages are no work before its thermostat was in a pan', () => {
    const b = hotRun().read('run.second', 'same').read('cooling.outlet', 'clear').read('cooling.strainer', 'clear');
    b.read('cooling.tube', 'seated').read('cooling.cover', 'good').read('cooling.set', 3);
    expect(moves(b).join(' | ')).not.toMatch(/Open the new pump once more/);
    expect(
      b
        .assessed()
        .steps.filter((s) => s.state === 'open')
        .map((s) => s.id)
    ).not.toContain('descale');
    expect(moves(b)).toContain('Thermostat in a pan');
  });
});

describe('no stream from a pump that was good when it was open', () => {
  const opened = (): Bench =>
    readyToRun(two)
      .read('cooling.source', 'tank')
      .read('cooling.opened', 'yes')
      .read('cooling.set', 5)
      .read('cooling.tube', 'seated')
      .read('cooling.housing', 'good');
  const dry = (b: Bench): Bench => stop(start(b.wait(1), 'none'), 'stream').read('cooling.screen', 'clear');
  const again = /^Open the pump once more/;
  it('with screens and outlet clear it is opened once more: how it was put back was not seen', () => {
    const b = dry(opened());
    expect(moves(b)[0]).not.toMatch(again);
    b.read('cooling.outlet', 'clear');
    expect(moves(b)[0]).toMatch(again);
    expect(b.said('cooling')).toMatch(/the pump is opened next/);
  });
  it('once it was, that is not asked again; nor after a weak stream, which may be much else', () => {
    const b = dry(opened()).read('cooling.outlet', 'clear').read('cooling.tube', 'seated').read('cooling.set', 5);
    expect(moves(b).join(' | ')).not.toMatch(/Open the pump once more/);
    const weak = stop(start(opened().wait(1), 'weak'), 'other').read('cooling.outlet', 'clear');
    expect(moves(weak).join(' | ')).not.toMatch(/Open the pump once more/);
  });
});
