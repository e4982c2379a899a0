import { describe, expect, it } from 'vitest';
import { compareAll } from '../../src/core/stations/compression/compare.ts';
import { PSI } from '../../src/core/units/factors.ts';
import { Bench } from '../case.ts';
import { four, magneto, two } from './engines.ts';
import { story } from './story.ts';

/** Readings taken alike that do not agree: one is wrong, and nothing is built on any of them until a repeat tells which. */
const read = (list: readonly (readonly [number, number])[]) => (b: Bench) => b.psi(list);

describe('one cylinder, and the last pull says something else', () => {
  story(
    () => new Bench(magneto),
    [
      {
        entered: '125 twice: it reaches what such an engine gives',
        by: read([
          [1, 125],
          [1, 125]
        ]),
        finds: ['compression.figure:sound'],
        is: { compression: 'sound' }
      },
      {
        entered: 'then 50: no mean of the three is said to be sound',
        by: read([[1, 50]]),
        is: { compression: 'cannot-tell' },
        finds: ['compression.scatter.1:cannot-tell'],
        notFinds: ['compression.figure'],
        notSays: /100 psi/,
        now: /^Compression again of cylinder 1/,
        ready: false
      },
      {
        entered: '52: two against two, asked once more',
        by: read([[1, 52]]),
        finds: ['compression.scatter.1:cannot-tell'],
        now: /^Compression again of cylinder 1/,
        notJobs: ['overhaul']
      },
      {
        entered: '50: three in a row speak, and it is low',
        by: read([[1, 50]]),
        notFinds: ['compression.scatter', 'compression.figure:sound'],
        finds: ['compression.figure:cannot-tell'],
        now: /Leak-down/
      }
    ]
  );
});

describe('a slip of the pen among three good ones', () => {
  story(
    () => new Bench(two),
    [
      {
        entered: '300 where 125 was: the neighbours are not low, the figure is asked again',
        by: read([
          [1, 125],
          [2, 124],
          [3, 125],
          [3, 125],
          [2, 124],
          [1, 125],
          [1, 300]
        ]),
        finds: ['compression.scatter.1:cannot-tell'],
        notFinds: ['compression.low', 'compression.neighbours', 'compression.high'],
        says: /Cylinders 2 and 3 are alike/,
        now: /^Compression again of cylinder 1/
      },
      {
        entered: 'read again twice as it was: closed, and the slip no longer speaks',
        by: read([
          [1, 126],
          [1, 125],
          [1, 125]
        ]),
        notFinds: ['compression.scatter'],
        finds: ['compression.alike:sound'],
        says: /The cylinders are alike/
      }
    ]
  );
  it('the first reading was wrong: two that agree after it outweigh it, and it is struck through', () => {
    const found = compareAll(
      new Bench(two)
        .psi([
          [1, 60],
          [2, 124],
          [3, 125],
          [1, 126],
          [1, 125]
        ])
        .judged().context
    )!;
    expect(found.outdone.map((r) => Math.round(r.value / PSI))).toEqual([60]);
    expect(found.rows[0]!.mean / PSI).toBeCloseTo(125.5);
    expect(found.rows.some((r) => r.low || r.scattered)).toBe(false);
  });
  it('oil beside dry readings that do not agree shows nothing', () => {
    const b = new Bench(two).psi([
      [1, 125],
      [2, 124],
      [3, 125],
      [1, 70]
    ]);
    b.psi([[1, 140]], { conditions: { throttle: 'open', bores: 'oiled', dose: 5e-6 } });
    expect(b.said('compression.wet')).toBe('');
  });
});

describe('two neighbours that are low', () => {
  const low = (b: Bench) =>
    b.psi([
      [1, 170],
      [2, 95],
      [3, 94],
      [4, 168]
    ]);
  it('once: the gasket is no surer than the readings', () =>
    expect(low(new Bench(four)).ids()).toContain('compression.neighbours:watch'));
  it('and air finds one of them tight: nothing is said of the gasket between them', () => {
    const b = low(low(new Bench(four))).read('compression.leakdown', 0.03, { cylinder: 2 });
    expect(b.ids()).toContain('compression.low.2:cannot-tell');
    expect(b.said('compression.neighbours')).toBe('');
  });
});

describe('line vacuum that cannot be', () => {
  const speed = () => new Bench(two).read('fuel.vacuumSpeed', 3000);
  it.each([
    ['fuel.vacuumPortable', /portable tank: that one’s own vent/],
    ['fuel.vacuumOpen', /cap open, where it can only be less/],
    ['fuel.vacuumIdle', /at idle: a line that holds nothing back at speed/]
  ] as const)('%s is high, though its own tank at speed holds nothing back: no repair', (what, says) => {
    const b = speed().read(what, 40_000);
    expect(b.ids().filter((id) => id.startsWith('fuel.vacuum'))).toEqual(['fuel.vacuum:cannot-tell']);
    expect(b.said('fuel.vacuum')).toMatch(says);
    const a = b.assessed();
    expect(a.steps.filter((s) => s.state === 'open').map((s) => s.id)).not.toContain('fuel-line');
    expect(a.moves[0]!.title).toMatch(/Line vacuum again/);
  });
  it('its own tank high as well accuses the engine’s side, as before', () =>
    expect(speed().read('fuel.vacuumSpeed', 40_000).read('fuel.vacuumPortable', 40_000).ids()).toContain(
      'fuel.vacuum-engine-side:fault'
    ));
});

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
    expect(held(broken().read('cooling.assembled', 'yes'))).toBe(false);
    expect(held(broken().done('pump'))).toBe(false);
    expect(held(broken().done('thermostat'))).toBe(true);
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
