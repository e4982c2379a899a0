import { describe, expect, it } from 'vitest';
import type { Bench } from '../case.ts';
import { jobs, moves, ran, readyToRun, ranWell } from './all-good.ts';
import { four, two } from './engines.ts';

/** What comes before an engine is run once more, and what a run, or work behind it, still says. */
const PSI = 6894.757;

describe('what starves it is found', () => {
  const gummed = (): Bench =>
    ran(readyToRun(two), 'died', (b) => b.read('run.stream', 'weak').read('fuel.dies', 'minutes'))
      .read('cooling.outlet', 'blocked')
      .read('fuel.bowlLook', 'dirt')
      .read('fuel.jets', 'gummed');
  it('it is not run for the stream before the jets are clean', () => {
    const b = gummed();
    const list = b.assessed().moves;
    const stream = list.find((m) => /^Look at the stream again/.test(m.title))!;
    expect(stream.waits).toMatch(/^First: strip and clean the carburettor/);
    expect(list[0]!.title).toMatch(/^Strip and clean the carburettor/);
  });
  it('clean, the same run serves both', () => {
    const b = gummed().done('carburettor').read('fuel.bowlLook', 'clean').read('fuel.jets', 'clear');
    expect(b.assessed().moves.find((m) => /^Look at the stream again/.test(m.title))?.waits).toBeUndefined();
  });
});

describe('one run after the other, each with its own trouble', () => {
  const again = (b: Bench, more: (x: Bench) => Bench): Bench => {
    ran(b.wait(1), 'ran', more);
    return b.done('run-again');
  };
  it('mended in between, the next one has not failed, and is not the last', () => {
    const b = ran(readyToRun(two), 'died', (x) => x.read('fuel.dies', 'minutes'))
      .read('fuel.pump', 'weak')
      .done('fuel-pump');
    b.read('fuel.pump', 'good');
    again(b, (x) => x.read('run.idles', 'kicks'));
    b.read('spark.keyLook', 'sheared').done('flywheel-key').read('spark.keyLook', 'sound');
    again(b, (x) => x.read('run.idles', 'even').read('run.noise', 'leg'));
    b.read('gear.magnet', 'slivers').done('metal').read('gear.explained', 'yes').read('gear.refill', 'service');
    const list = b.assessed().moves;
    expect(list.map((m) => m.title).join(' | ')).not.toMatch(/Stop: done|Once more/);
    expect(list.find((m) => m.job === 'run-again')?.title).toMatch(
      /^(Cure the cause and repeat the first run|Prove it on a run)/
    );
  });
});

describe('stopped for its temperature', () => {
  const hot = (reason: 'temperature' | 'other', temperatures: readonly number[]): Bench => {
    const b = readyToRun({ ...two, thermostat: 'not-fitted' }).read('run.event', 'start');
    for (const t of temperatures) b.read('run.temperature', t + 273.15, { conditions: { spot: 'head' } });
    return b.read('run.outcome', 'stopped').read('run.reason', reason).read('run.event', 'stop');
  };
  it('while it raced to its limit: it ran hot, and why is looked for', () => {
    const b = hot('temperature', [43, 62, 77, 89]);
    expect(b.ids()).toContain('run.heat:fault');
    expect(b.said('run.heat')).toMatch(/stopped with the head at .* climbing/);
    expect(b.said('run.heat')).not.toMatch(/Stop now/);
  });
  it('for another reason while it warmed, nothing is called hot', () => {
    expect(hot('other', [20, 32, 44, 55]).ids().join()).not.toMatch(/run\.heat:fault/);
  });
  it('cool, whatever it was stopped for', () => {
    expect(hot('temperature', [20, 25, 30, 34]).ids().join()).not.toMatch(/run\.heat:fault/);
  });
});

describe('it would not start, and its plugs are dry', () => {
  const dry = (): Bench => {
    const b = readyToRun({ ...four, fuelSystem: 'electronic' })
      .read('run.event', 'start')
      .read('run.outcome', 'failed')
      .read('run.event', 'stop');
    for (let cylinder = 1; cylinder <= 4; cylinder++) b.read('plugs.read', ['dry'], { cylinder });
    return b
      .read('fuel.shutoff', 'open')
      .read('fuel.bulb', 'firm')
      .read('fuel.railPump', 'runs')
      .read('fuel.rail', 3e5);
  };
  it('with pressure in its rail the injectors are heard', () => {
    expect(moves(dry()).slice(0, 2).join(' | ')).toMatch(/Injectors, heard one by one/);
  });
  it('of a carburettor nobody hears any', () => {
    const b = ran(readyToRun(two), 'ran');
    expect(moves(b).join()).not.toMatch(/Injectors/);
  });
});

describe('overhauled', () => {
  const scored = (): Bench =>
    readyToRun(two, 'neglected', ['compression'])
      .psi([
        [1, 70],
        [2, 120],
        [3, 119]
      ])
      .psi([[1, 71]])
      .read('plugs.hole', 'scored', { cylinder: 1 })
      .read('compression.leakdown', 0.5, { cylinder: 1 })
      .read('compression.escape', ['crankcase'], { cylinder: 1 });
  it('the bore that was scored is another one: no soak, and no doubt of the look', () => {
    const b = scored();
    expect(jobs(b)).toContain('overhaul');
    b.done('overhaul').wait(300);
    expect(b.ids().join()).not.toMatch(/hole-scored/);
    b.read('plugs.hole', 'clean', { cylinder: 1 });
    expect(b.ids().join()).not.toMatch(/again-hole/);
    expect(jobs(b)).not.toContain('soak');
  });
});

describe('the battery that falls', () => {
  it('is changed before spark is looked for once more', () => {
    const b = readyToRun(four, 'neglected', ['plugs', 'spark']).read('plugs.order', 'yes').read('plugs.volts', 9.1);
    for (let cylinder = 1; cylinder <= 4; cylinder++)
      b.read('spark.result', 'none', { cylinder, conditions: { path: 'tester', light: 'shade', volts: 9, rpm: 140 } });
    expect(moves(b)[0]).toBe('Crank again on a charged battery');
  });
});

describe('a run that went well', () => {
  it('waits for nothing that was only seen to be worn', () => {
    const b = ranWell(two).read('look.anodes', 'gone');
    expect(b.assessed().moves.every((m) => !m.waits?.startsWith('First: renew the anodes'))).toBe(true);
  });
  it('low on one cylinder all the same, it is not called a cause of anything', () => {
    expect(
      ranWell(two)
        .read('compression.pressure', 80 * PSI, { cylinder: 2 })
        .ids()
        .join()
    ).not.toMatch(/run\.\w+:fault/);
  });
});

describe('it runs on its choke only, and nothing along the line is left', () => {
  const lean = (): Bench =>
    ran(readyToRun(two), 'ran', (x) => x.read('run.idles', 'spits').read('fuel.chokeOnly', 'yes'));
  it('it is not let die for a tester: air gets in behind the carburettor', () => {
    expect(lean().said('fuel.dies')).toMatch(/behind the carburettor/);
    expect(moves(lean())[0]).toMatch(/^Mist at the intake joints/);
    expect(moves(lean()).join()).not.toMatch(/Let it die/);
  });
  it('its joint made tight, the search is over until it was run', () => {
    const b = lean().read('run.air', 'changes').done('intake-joint');
    expect(b.ids().join()).not.toMatch(/fuel\.dies/);
    expect(moves(b).join()).not.toMatch(/Mist/);
  });
});

describe('a noise in the leg', () => {
  it('with metal on its magnet nothing more is tried for it: the case is opened', () => {
    const b = ran(readyToRun(two, 'neglected', ['gear']), 'ran', (x) => x.read('run.noise', 'leg'));
    expect(moves(b).slice(0, 2).join(' | ')).toMatch(/Magnet and oil/);
    b.read('gear.magnet', 'pieces');
    expect(moves(b).join()).not.toMatch(/Shift through by hand|Find the cause/);
    expect(jobs(b)).toContain('metal');
  });
});

describe('run too fast for its water, and stopped for its heat', () => {
  const fast = (reason?: 'temperature'): Bench => {
    const b = readyToRun({ ...two, thermostat: 'not-fitted' })
      .read('run.event', 'start')
      .read('run.rpm', 3500);
    for (const t of [60, 66, 74, 82]) b.read('run.temperature', t + 273.15, { conditions: { spot: 'head' } });
    b.read('run.outcome', reason ? 'stopped' : 'ran');
    if (reason) b.read('run.reason', reason);
    return b.read('run.event', 'stop');
  };
  it('the cause is looked for before it is run at idle', () => {
    const b = fast('temperature');
    expect(b.ids()).toContain('run.too-fast:fault');
    expect(moves(b).join()).not.toMatch(/Run it again at idle/);
    expect(b.ids()).toContain('run.heat:fault');
  });
  it('not stopped for anything, it is run again at idle', () => {
    expect(moves(fast()).join()).toMatch(/Run it again at idle/);
  });
});

describe('it would not start, wet, with oil in its bores when it was pressed', () => {
  const wet = (bores: 'oiled' | 'dry'): Bench => {
    const b = readyToRun(two, 'neglected', ['compression']).psi(
      [
        [1, 130],
        [2, 128],
        [3, 129]
      ],
      { conditions: { throttle: 'open', bores, ...(bores === 'oiled' ? { dose: 4e-6 } : {}) } }
    );
    b.read('run.event', 'start').read('run.outcome', 'failed').read('run.event', 'stop');
    for (let cylinder = 1; cylinder <= 3; cylinder++) b.read('plugs.read', ['fuel'], { cylinder });
    b.done('plugs').read('plugs.order', 'yes');
    return b.read('fuel.floods', 'no').read('spark.keyLook', 'sound').read('run.outcome', 'failed');
  };
  const again = (b: Bench): Bench => {
    for (let cylinder = 1; cylinder <= 3; cylinder++) b.read('plugs.read', ['fuel'], { cylinder });
    return b;
  };
  it('air says whether they seal', () => {
    expect(moves(again(wet('oiled')))).toContain(
      'Leak-down of every cylinder: the oil hides what the needle would show'
    );
    expect(moves(again(wet('dry'))).join()).not.toMatch(/the oil hides/);
  });
});

describe('no spark at slow cranking, twice', () => {
  it('once starter or battery were mended it is looked for again, before anybody gives a reason', () => {
    const b = readyToRun({ ...two, starting: 'electric' }, 'neglected', ['spark']).read('spark.lanyard', 'yes');
    const none = (): void => {
      for (let cylinder = 1; cylinder <= 3; cylinder++)
        b.read('spark.result', 'none', {
          cylinder,
          conditions: { path: 'tester', light: 'shade', volts: 9, rpm: 140 }
        });
    };
    none();
    none();
    b.read('plugs.volts', 9.1).read('plugs.starterCircuit', 'slow').read('plugs.starterDirect', 'turns');
    expect(b.ids()).toContain('spark.slow:cannot-tell');
    b.done('battery').done('starter').wait(0.1);
    b.read('plugs.volts', 11.4).read('plugs.starterCircuit', 'turns').read('plugs.rpm', 320);
    expect(moves(b).slice(0, 2).join(' | ')).toMatch(/Spark again/);
  });
});
