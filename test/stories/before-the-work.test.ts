import { describe, expect, it } from 'vitest';
import type { Profile } from '../../src/core/engine/profile.ts';
import type { Bench } from '../case.ts';
import { jobs, moves, ran, ranWell, readyToRun } from './all-good.ts';
import { four, two } from './engines.ts';

const of = (b: Bench, start: string): string[] => b.ids().filter((f) => f.startsWith(start));
const kelvin = (celsius: number): number => celsius + 273.15;

describe('the way of the fuel, read before it was worked on', () => {
  const starved = (): Bench =>
    ran(readyToRun(two), 'died')
      .read('fuel.bulb', 'flat')
      .read('fuel.vent', 'open')
      .read('fuel.vacuumIdle', 10_000)
      .read('fuel.vacuumSpeed', 40_000)
      .read('fuel.portable', 'fine')
      .read('fuel.pickup', 'blocked');
  it('bulb and gauge say how it was: both are looked at again, and nothing is followed upstream for them', () => {
    const b = starved().wait(0.5).done('pick-up');
    expect(of(b, 'fuel.bulb')).toEqual(['fuel.bulb:cannot-tell']);
    expect(of(b, 'fuel.vacuum')).toEqual(['fuel.vacuum:cannot-tell']);
    expect(jobs(b)).not.toContain('bulb');
    expect(moves(b).slice(0, 3)).toContain('Squeeze the bulb again, after the work');
  });
  it('flat again after it, it is blocked still', () => {
    expect(of(starved().wait(0.5).done('pick-up').read('fuel.bulb', 'flat'), 'fuel.bulb')).toEqual(['fuel.bulb:fault']);
  });
  it('it ran for its time since: the run has shown it', () => {
    const b = ran(starved().wait(0.5).done('pick-up').read('fuel.pickup', 'clear').wait(0.2), 'ran');
    expect([...of(b, 'fuel.bulb'), ...of(b, 'fuel.vacuum'), ...of(b, 'run.died')]).toEqual([]);
  });
  it('three minutes show nothing of it', () => {
    const b = starved().wait(0.5).done('pick-up').read('fuel.pickup', 'clear').read('run.event', 'start').wait(0.05);
    b.read('run.outcome', 'ran').read('run.minutes', 3).read('run.event', 'stop');
    expect(of(b, 'fuel.bulb')).toEqual(['fuel.bulb:cannot-tell']);
  });
  it('sucked flat, what lies upstream comes before its joints; soft, the joints', () => {
    const bulb = (is: 'flat' | 'soft'): string[] =>
      moves(readyToRun(two, 'neglected', ['fuel']).read('fuel.level', 'full').read('fuel.bulb', is));
    expect(bulb('flat').slice(0, 3).join('\n')).toMatch(/Pick-up screen/);
    expect(bulb('flat').slice(0, 3).join('\n')).not.toMatch(/Hose and couplings/);
    expect(bulb('soft').slice(0, 2)).toContain('Hose and couplings, bubbles');
  });
});

describe('oil that a laboratory found thin', () => {
  const thin = (): Bench => ranWell(four).read('oil.viscosityFresh', 10.5).read('oil.viscosity', 7.4);
  it('is a fault until it was changed; then it is smelt and looked at, and the figure is of the oil that is out', () => {
    expect(of(thin(), 'oil.laboratory')).toEqual(['oil.laboratory:fault']);
    const b = thin().done('oil-level');
    expect(of(b, 'oil.laboratory')).toEqual([]);
    expect(of(b, 'oil.thin')).toEqual(['oil.thin:cannot-tell']);
    expect(of(b.read('oil.smell', 'oil').read('oil.look', 'clean'), 'oil.thin')).toEqual([]);
  });
  it('as thick as fresh, a change asks for nothing', () => {
    const b = ranWell(four).read('oil.viscosityFresh', 10.5).read('oil.viscosity', 10.4).done('oil-level');
    expect(of(b, 'oil.thin')).toEqual([]);
  });
  it('the laboratory’s figure of the oil after that speaks again', () => {
    expect(of(thin().done('oil-level').read('oil.viscosity', 7.3), 'oil.laboratory')).toEqual(['oil.laboratory:fault']);
  });
});

describe('a run that never got warm, its thermostat renewed', () => {
  const run = (b: Bench, ends: number): Bench => {
    b.read('run.event', 'start').read('run.stream', 'strong');
    for (let m = 0; m < 16; m += 2)
      b.wait(1 / 60).read('run.temperature', kelvin(Math.min(ends, 18 + 6 * m)), { conditions: { spot: 'head' } });
    return b.read('run.outcome', 'ran').read('run.minutes', 30).read('run.event', 'stop').wait(0.5);
  };
  const cold = (): Bench => run(readyToRun(four), 38).read('cooling.thermostatPan', 'open');
  it('asks for no second thermometer any more', () => {
    expect(of(run(readyToRun(four), 38), 'run.cold')).toEqual(['run.cold:watch']);
    expect(moves(cold().done('thermostat')).join('\n')).not.toMatch(/second thermometer/);
  });
  it('warm now, it is not said to run hotter than before', () => {
    const b = run(cold().done('thermostat').read('cooling.thermostatPan', 'good'), 62);
    expect(of(b, 'run.beside')).toEqual(['run.beside:sound']);
    expect(b.said('run.beside')).toMatch(/^It gets warm now/);
  });
  it('hotter than a run that was warm, it is watched', () => {
    expect(of(run(run(readyToRun(four), 55), 78), 'run.beside')).toEqual(['run.beside:watch']);
  });
});

describe('the thermostat of one bank, tried in a pan', () => {
  const banked: Profile = { ...four, cylinders: 6, layout: 'v', thermostat: 'fitted' };
  const run = (b: Bench, other: number): Bench => {
    b.read('run.event', 'start').read('run.stream', 'strong');
    for (let m = 0; m < 18; m += 2)
      for (const [spot, ends] of [
        ['head-port', 62],
        ['head-starboard', other]
      ] as const)
        b.wait(1 / 60).read('run.temperature', kelvin(Math.min(ends, 20 + 6 * m)), { conditions: { spot } });
    return b.read('run.outcome', 'ran').read('run.minutes', 20).read('run.event', 'stop').wait(0.2);
  };
  const tried = (): Bench =>
    readyToRun(banked, 'neglected', ['cooling'])
      .read('cooling.screen', 'clear')
      .read('cooling.source', 'tank')
      .read('cooling.thermostatPan', 'good', { conditions: { bank: 'port' } });
  it('the other is not taken out where a run brought its bank to its temperature', () => {
    expect(of(tried(), 'cooling.thermostat-other')).toHaveLength(1);
    expect(of(run(tried(), 62), 'cooling.thermostat-other')).toEqual([]);
  });
  it('a bank that stayed cold or runs hotter says nothing for it', () => {
    expect(of(run(tried(), 35), 'cooling.thermostat-other')).toHaveLength(1);
    expect(of(run(tried(), 84), 'cooling.thermostat-other')).toHaveLength(1);
  });
});

describe('said not to start, and why was seen', () => {
  const profile: Profile = { ...four, camDrive: 'belt', fuelSystem: 'electronic' };
  const said = (): Bench => {
    const b = readyToRun(profile, 'neglected', ['turn', 'fuel']);
    const { engine } = b.survey;
    b.survey = { ...b.survey, engine: { ...engine, history: { ...engine.history, said: ['no-start'] } } };
    return b;
  };
  it('a belt that has jumped: nobody listens for the fuel pump first', () => {
    expect(moves(said())).toContain('Key on: is the fuel pump heard?');
    expect(moves(said().read('turn.belt', 'slack'))).not.toContain('Key on: is the fuel pump heard?');
  });
});

describe('gum in the bowl', () => {
  it('is stripped for: no jet is looked through before that', () => {
    const b = readyToRun(two, 'neglected', ['fuel']).read('fuel.chokeOnly', 'yes').read('fuel.bowlLook', 'gummed');
    expect(moves(b)).not.toContain('Jets and passages, each seen through');
    expect(jobs(b)).toContain('carburettor');
    const clean = readyToRun(two, 'neglected', ['fuel']).read('fuel.chokeOnly', 'yes').read('fuel.bowlLook', 'clean');
    expect(moves(clean)).toContain('Jets and passages, each seen through');
  });
});

describe('a lamp that came on, and the oil found low', () => {
  const lamp = (): Bench =>
    readyToRun(four)
      .read('run.event', 'start')
      .wait(0.05)
      .read('run.stream', 'strong')
      .read('run.lamp', 'came')
      .read('run.outcome', 'stopped')
      .read('run.reason', 'lamp')
      .read('run.event', 'stop')
      .wait(0.2);
  const again = (b: Bench): Bench => ran(b.wait(0.2), 'ran', (x) => x.read('run.lamp', 'none'));
  const filled = (b: Bench): Bench =>
    b.done('oil-level').read('oil.level', 'yes').read('oil.dip', 'between').wait(0.1).read('oil.dip', 'between');
  it('filled, and the same run without it: found and mended is as good as written down', () => {
    const low = lamp().read('oil.dip', 'below').wait(0.1).read('oil.dip', 'below').wait(0.1);
    expect(low.holds()).toContain('run');
    expect(again(filled(low)).holds()).not.toContain('run');
  });
  it('one dip is not two', () => {
    expect(again(filled(lamp().read('oil.dip', 'below').wait(0.1))).holds()).toContain('run');
  });
  it('oil put in for nothing that was found explains nothing', () => {
    expect(again(filled(lamp())).holds()).toContain('run');
  });
  it('gone by itself, its cause is still to be written down', () => {
    expect(again(lamp()).holds()).toContain('run');
  });
});

describe('plugs wet with fuel, and a needle that runs over', () => {
  it('nobody moves the choke for them once that was seen', () => {
    const wet = (): Bench =>
      [1, 2, 3].reduce(
        (b, cylinder) => b.read('plugs.read', ['fuel'], { cylinder }),
        readyToRun(two, 'neglected', ['plugs', 'fuel'])
      );
    expect(moves(wet()).slice(0, 4)).toContain('Move choke and primer by hand');
    expect(moves(wet().read('fuel.floods', 'yes')).slice(0, 4)).not.toContain('Move choke and primer by hand');
  });
});

describe('no water, and what keeps it away was found', () => {
  const dry = (): Bench =>
    readyToRun(two)
      .read('run.event', 'start')
      .wait(0.02)
      .read('run.stream', 'none')
      .wait(0.05)
      .read('run.exhaust', 'none')
      .read('run.outcome', 'stopped')
      .read('run.event', 'stop')
      .wait(0.2);
  it('a blocked screen is cleared before a line is blown through or a pump opened', () => {
    expect(moves(dry())[0]).toMatch(/^Blow the stream’s line through/);
    const b = dry().read('cooling.screen', 'blocked');
    expect(moves(b)[0]).toMatch(/screen/i);
    expect(moves(b).slice(0, 3).join('\n')).not.toMatch(/^Blow|pump|Find the cause/m);
  });
  it('none again with the screen clear, the search goes on', () => {
    const b = dry().read('cooling.screen', 'blocked').done('screen').read('cooling.screen', 'clear').wait(0.1);
    const again = b
      .read('run.event', 'start')
      .wait(0.02)
      .read('run.stream', 'none')
      .read('run.outcome', 'stopped')
      .read('run.reason', 'stream')
      .read('run.event', 'stop');
    expect(moves(again)[0]).toMatch(/^(Blow|Open the pump|Probe)/);
  });
});

describe('a lamp that came on, its run stopped without a word why, and the thermostat found shut', () => {
  it('renewed, no cause is asked for in words', () => {
    const b = ran(readyToRun(two), 'ran', (x) => x.read('run.lamp', 'came').read('run.outcome', 'stopped'));
    b.read('cooling.thermostatPan', 'shut').wait(0.5).done('thermostat').read('cooling.thermostatPan', 'good');
    expect(of(b, 'run.stopped')).toEqual(['run.stopped:watch']);
    expect(moves(b).slice(0, 2)).not.toContain('Find the cause, write it down');
  });
});
