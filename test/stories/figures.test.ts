import { describe, expect, it } from 'vitest';
import { Bench } from '../case.ts';
import { four, magneto, two } from './engines.ts';

/** Figures and words of one thing: which of them is heard, and what none of them says. */
describe('volts while it runs', () => {
  const at = (b: Bench, volts: number) =>
    b.read('run.event', 'start').read('run.rpm', 2500).read('run.volts', volts).ids();
  it.each([22, 25, 29])('%d V is far too much for the battery of an outboard', (volts) =>
    expect(at(new Bench(two), volts)).toContain('run.overcharge:fault')
  );
  it('two batteries in a row, as read at rest, are judged as two', () => {
    const pair = () => new Bench(two).read('plugs.volts', 24.6);
    expect(at(pair(), 27.6)).toContain('run.charge:sound');
    expect(at(pair(), 24.8)).toContain('run.undercharge:fault');
    expect(at(pair(), 32)).toContain('run.overcharge:fault');
  });
});

describe('cranking speed', () => {
  const turned = () => new Bench(two).read('plugs.starterCircuit', 'turns').read('plugs.volts', 12.2);
  it('measured slow after “turns well” is slow: the measurement speaks, and starter and battery are looked at again', () => {
    const b = turned().read('plugs.rpm', 90);
    expect(b.ids()).toContain('plugs.slow:watch');
    expect(
      b
        .assessed()
        .moves.slice(0, 2)
        .map((m) => m.title)
    ).toContain('Battery and starter under load');
    expect(b.read('plugs.starterDirect', 'unknown').ids()).toContain('plugs.slow:watch');
  });
  it('looked at after it, the starter’s own finding speaks', () =>
    expect(new Bench(two).read('plugs.rpm', 90).read('plugs.starterCircuit', 'turns').ids()).not.toContain(
      'plugs.slow:watch'
    ));
});

describe('windings', () => {
  it.each(['secondary', 'charge', 'trigger'] as const)('%s next to nothing: asked once more, then short', (winding) => {
    const one = winding === 'secondary' ? { cylinder: 1 } : {};
    const id = `spark.${winding}${winding === 'secondary' ? '.1' : ''}`;
    const b = new Bench(two).read(`spark.${winding}`, 0.4, one);
    expect(b.ids()).toContain(`${id}:cannot-tell`);
    expect(
      b
        .assessed()
        .moves.slice(0, 2)
        .map((m) => m.title)
        .join()
    ).toMatch(/^Resistance of the/);
    expect(b.read(`spark.${winding}`, 0.4, one).ids()).toContain(`${id}:fault`);
  });
  it('a primary of half an ohm is what a primary is', () =>
    expect(new Bench(two).read('spark.primary', 0.5, { cylinder: 1 }).said('spark.primary')).toBe(''));
  it('two readings that do not agree are no mean', () => {
    const b = new Bench(two).read('spark.trigger', 350).read('spark.trigger', 900_000);
    expect(b.ids()).toContain('spark.trigger:cannot-tell');
    expect(b.said('spark.trigger')).toMatch(/one of them is wrong/);
    expect(
      b.read('spark.trigger', 345).read('spark.trigger', 350).read('spark.trigger', 352).said('spark.trigger')
    ).toBe('');
  });
});

describe('a pump that is known not to pump', () => {
  const held = (b: Bench) => b.holds().includes('pump');
  it.each([
    ['cooling.missing', 1],
    ['cooling.bush', 'spins'],
    ['cooling.bush', 'key'],
    ['cooling.housing', 'melted'],
    ['cooling.drill', 'nothing']
  ] as const)('%s %s: no start, until it was renewed, put together anew or pumps', (what, bad) => {
    const broken = () => new Bench(two).read(what, bad as never);
    expect(held(broken())).toBe(true);
    expect(held(broken().read(what, 'unknown' as never))).toBe(true);
    expect(held(broken().read('cooling.drill', 'unknown'))).toBe(true);
    expect(held(broken().read('cooling.drill', 'pumps'))).toBe(false);
    // What brought nothing is proved by the same test.
    expect(held(broken().read('cooling.assembled', 'yes'))).toBe(what === 'cooling.drill');
    expect(held(broken().done('pump'))).toBe(false);
    expect(held(broken().done('thermostat'))).toBe(true);
  });
  it('gone at the next look, with nothing done between, lifts nothing; a second look does', () => {
    const b = new Bench(two).read('cooling.missing', 2).read('cooling.missing', 0);
    expect(held(b)).toBe(true);
    expect(held(b.read('cooling.missing', 0))).toBe(false);
  });
  it('worn is not broken: vanes that are set are watched in the run', () =>
    expect(held(new Bench(two).read('cooling.set', 40).read('cooling.cracked', 1))).toBe(false));
});

describe('what is felt by hand', () => {
  const suspicion = (b: Bench, id: string) => b.assessed().advice.suspects.find((s) => s.id === id)?.probability ?? 0;
  it('bumps counted with the plugs out say nothing, to the check and to the belief', () => {
    const none = new Bench(four).read('turn.plugs', 'out').read('turn.bumps', 0);
    expect(none.said('turn.bumps')).toBe('');
    expect(suspicion(none, 'belt')).toBeCloseTo(suspicion(new Bench(four).read('turn.plugs', 'out'), 'belt'), 3);
    expect(suspicion(new Bench(four).read('turn.plugs', 'in').read('turn.bumps', 0), 'belt')).toBeGreaterThan(0.1);
  });
  it('fewer bumps than cylinders only lean: two that rise together are felt as one', () => {
    const some = (n: number) => suspicion(new Bench(four).read('turn.plugs', 'in').read('turn.bumps', n), 'belt');
    expect(some(2)).toBeLessThan(0.1);
  });
  it('free with the leg off tells of an engine that was locked', () => {
    const turns = new Bench(two).read('turn.result', 'free').read('turn.lockLeg', 'free');
    expect(suspicion(turns, 'leg-locked')).toBeLessThan(0.05);
    const locked = new Bench(two).read('turn.result', 'locked').read('turn.lockLeg', 'free');
    expect(suspicion(locked, 'leg-locked')).toBeGreaterThan(0.4);
  });
});

describe('points, by eye and by meter', () => {
  const dirty = (b: Bench) => b.assessed().advice.suspects.find((s) => s.id === 'points-dirty')?.probability ?? 0;
  it('a meter that reads half an ohm is not outweighed by an eye that sees them clean', () => {
    const b = new Bench(magneto).read('spark.pointsLook', 'clean', { cylinder: 1 });
    expect(dirty(b)).toBeLessThan(0.2);
    expect(dirty(b.read('spark.pointsOhms', 0.5, { cylinder: 1 }))).toBeGreaterThan(0.4);
    expect(b.ids()).toContain('spark.points.1:watch');
  });
  it('what was grey before it was cleaned no longer tells', () => {
    const b = new Bench(magneto).read('spark.pointsLook', 'grey', { cylinder: 1 });
    const grey = dirty(b);
    expect(dirty(b.read('spark.pointsClean', 'still', { cylinder: 1 }))).toBeLessThan(grey);
  });
});

describe('after a run that showed something', () => {
  it('what comes is its cause and the run again, not “everything is known, run it”', () => {
    const b = new Bench(two)
      .read('run.event', 'start')
      .read('run.stream', 'strong')
      .wait(0.1)
      .read('run.event', 'stop');
    b.read('run.outcome', 'died').read('run.minutes', 6);
    expect(b.assessed().moves.map((m) => m.title)).not.toContain('First run on water, watched');
  });
});

describe('a coil that died warm, renewed', () => {
  const dying = () =>
    new Bench(two)
      .read('run.event', 'start')
      .read('run.idles', 'hot')
      .read('run.event', 'stop')
      .read('spark.primary', 0.6, { cylinder: 1, conditions: { temperature: 293 } })
      .read('spark.primary', 0.55, { cylinder: 1, conditions: { temperature: 343 } });
  it('its resistance is not asked for again: the same run is made again', () => {
    const b = dying()
      .done('coil')
      .read('spark.primary', 0.62, { cylinder: 1, conditions: { temperature: 343 } });
    expect(
      b
        .assessed()
        .moves.map((m) => m.title)
        .join()
    ).not.toMatch(/Coil resistance again/);
  });
  it('read warm only, it is asked for cold', () => {
    const b = new Bench(two).read('run.event', 'start').read('run.idles', 'hot').read('run.event', 'stop');
    b.read('spark.primary', 0.6, { cylinder: 1, conditions: { temperature: 343 } });
    expect(
      b
        .assessed()
        .moves.slice(0, 3)
        .map((m) => m.title)
        .join()
    ).toMatch(/when it has cooled down/);
  });
});

describe('the banks of a V, read at the head', () => {
  const v = () => new Bench({ ...two, cylinders: 6, layout: 'v' }).read('cooling.stream', 'strong');
  const head = (b: Bench, bank: 'port' | 'starboard', celsius: number) =>
    b.read('cooling.head', celsius + 273.15, { conditions: { bank } });
  it('a cool one says nothing of a hot one, whichever was read last', () => {
    expect(head(head(v(), 'port', 97), 'starboard', 60).ids()).toContain('cooling.hot:fault');
    expect(head(head(v(), 'starboard', 60), 'port', 97).ids()).toContain('cooling.hot:fault');
  });
  it('one bank alone makes nothing sound of the other, unknown or not asked', () => {
    const one = () => head(v(), 'starboard', 58);
    expect(one().said('cooling.stream')).toMatch(/the head of the port bank was not read/);
    expect(one().ids()).not.toContain('cooling.stream:sound');
    expect(one().assessed().moves[0]!.title).toBe('Temperature at the head of the port bank');
    const told = one().read('cooling.head', 'unknown' as never, { conditions: { bank: 'port' } });
    expect(told.ids()).not.toContain('cooling.stream:sound');
    expect(head(one(), 'port', 60).ids()).toContain('cooling.stream:sound');
  });
  it('well apart, a strong stream does not clear the hotter one', () => {
    expect(head(head(v(), 'port', 75), 'starboard', 58).said('cooling.stream')).toMatch(/the port bank runs hotter/);
    expect(head(head(v(), 'port', 61), 'starboard', 58).ids()).toContain('cooling.stream:sound');
  });
  it('in a run, a bank noted by its name is a track of its own', () => {
    const b = v().read('cooling.source', 'tank').read('run.event', 'start');
    for (let k = 0; k < 6; k++)
      for (const [bank, t] of [
        ['port', 20 + 4 * k],
        ['starboard', 60 + 6 * k]
      ] as const)
        b.wait(-0.5 / 60).read('run.temperature', t + 273.15, { conditions: { bank } });
    b.wait(-0.5 / 60).read('run.temperature', 45 + 273.15, { conditions: { bank: 'port' } });
    expect(b.said('run.heat')).toMatch(/head, starboard/);
  });
});

describe('run again in vain', () => {
  const hotRun = (b: Bench) =>
    b
      .read('run.event', 'start')
      .read('run.temperature', 368, { conditions: { spot: 'head' } })
      .read('run.event', 'stop')
      .read('run.outcome', 'stopped')
      .read('run.reason', 'temperature')
      .read('run.cause', 'found and cured');
  it('an answer “unknown” between two runs is nothing done', () => {
    const b = hotRun(hotRun(new Bench(two)).read('cooling.bucket', 'unknown'));
    expect(b.assessed().moves.map((m) => m.id)).toContain('ask:run-in-vain');
    expect(
      hotRun(hotRun(new Bench(two)).read('cooling.screen', 'blocked'))
        .assessed()
        .moves.map((m) => m.id)
    ).not.toContain('ask:run-in-vain');
  });
});

describe('oil above the mark: one mind of check and belief', () => {
  const above = () =>
    new Bench({ ...four, lubrication: 'sump', sumpWithFilter: 2e-3 })
      .read('oil.level', 'yes')
      .read('oil.waited', 20)
      .read('oil.dip', 'above')
      .read('oil.dip', 'above');
  const chance = (b: Bench, id: string) => b.assessed().advice.suspects.find((s) => s.id === id)?.probability ?? 0;
  it('risen since the last fill, and no more poured than it holds: fuel, to both', () => {
    const b = above().read('oil.smell', 'faint').read('oil.lastFill', 2e-3).read('oil.lastMark', 'between');
    expect(b.said('oil.dip')).toMatch(/it is fuel rather than overfilling/);
    expect(chance(b, 'dilution')).toBeGreaterThan(2 * chance(b, 'overfilled'));
  });
  it('above already after the last fill, more poured than it holds: overfilled, to both', () => {
    const b = above().read('oil.smell', 'oil').read('oil.lastFill', 2.5e-3).read('oil.lastMark', 'above');
    expect(b.said('oil.dip')).toMatch(/overfilled rather than diluted/);
    expect(chance(b, 'overfilled')).toBeGreaterThan(4 * chance(b, 'dilution'));
  });
  it('the nose alone convicts nobody', () => {
    const b = above().read('oil.smell', 'fuel');
    expect(b.ids()).toContain('oil.dip:cannot-tell');
    expect(chance(b, 'dilution')).toBeLessThan(0.8);
  });
});
