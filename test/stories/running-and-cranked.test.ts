import { describe, expect, it } from 'vitest';
import type { HouseRules } from '../../src/core/house-rules/rules.ts';
import { PSI } from '../../src/core/units/factors.ts';
import { Bench } from '../case.ts';
import { good } from '../good.ts';
import { four, open, tester, two } from './engines.ts';
import { story } from './story.ts';

const looked = (b: Bench, ...checks: readonly string[]): Bench => {
  for (const station of checks)
    good(station, {
      profile: b.survey.engine.profile,
      banked: false,
      best: 150 * PSI,
      read: (what, value, more = {}) => void b.read(what as 'look.case', value as 'sound', more),
      wait: (hours) => void b.wait(hours)
    });
  return b;
};
const house = (b: Bench, schools: HouseRules['schools']): Bench => {
  b.survey = { ...b.survey, houseRules: { ...b.survey.houseRules, schools } };
  return b;
};
const movesOf = (b: Bench): readonly { title: string; waits?: string }[] => b.assessed().moves;

describe('while it runs, nothing is asked that needs it to stand', () => {
  const start = (): Bench =>
    looked(new Bench(two), 'safe', 'look', 'turn').read('run.event', 'start').read('run.stream', 'strong');
  story(start, [
    {
      entered: 'started before half of it was looked at: the run is watched, the plugs stay in',
      by: (b) => b,
      now: /^Watch the run$/
    },
    {
      entered: 'it overcharges: the circuit is worked on once it stands',
      by: (b) => b.read('run.rpm', 2500).read('run.volts', 16.2),
      finds: ['run.overcharge:fault'],
      now: /^Watch the run$/
    },
    {
      entered: 'stopped: now the circuit',
      by: (b) => b.read('run.event', 'stop').read('run.outcome', 'ran').read('run.minutes', 15),
      now: /Charging circuit/
    }
  ]);

  it('what was answered is not asked again, and in the end it is stopped', () => {
    const b = start();
    for (let k = 0; k < 12; k++) b.read('run.temperature', 338, { conditions: { spot: 'head' } });
    b.read('run.lamp', 'none').read('run.leaks', 'none').read('run.smoke', 'none').read('run.gears', 'both');
    expect(movesOf(b)[0]?.title).toBe('Stop it, and say how it ran');
  });

  it('a danger comes before the watching', () => {
    const b = start().read('run.lamp', 'came');
    expect(movesOf(b)[0]?.title).toBe('Stop it now');
    expect(movesOf(b).some((m) => m.title === 'Watch the run')).toBe(false);
  });

  it('told to stop it, nothing that needs it to stand is asked meanwhile', () => {
    const free = movesOf(start().read('run.lamp', 'came')).filter((m) => !m.waits);
    expect(free.map((m) => m.title)).not.toContain('Plugs out and read');
  });
  it('a run whose end was said is over, though nobody tapped its stop', () => {
    const b = start().read('run.outcome', 'died');
    expect(movesOf(b).some((m) => m.title === 'Watch the run' || m.title === 'Stop it now')).toBe(false);
  });
});

describe('bumps against the word on how it turned', () => {
  const turned = (): Bench =>
    looked(new Bench(four), 'safe', 'look').read('turn.plugs', 'in').read('turn.result', 'free');
  it.each([
    [undefined, 'cannot-tell', /again, plugs in, and count/],
    [0, 'cannot-tell', /Timing belt and its marks/],
    // The plugs come out for the gauge, and are read on the way.
    [2, 'cannot-tell', /Plugs out and read \| Compression/],
    [4, 'sound', /Plugs out and read/],
    [8, 'cannot-tell', /Count the bumps again/]
  ] as const)('%s counted: %s', (n, condition, next) => {
    const b = turned();
    if (n !== undefined) b.read('turn.bumps', n);
    const a = b.assessed();
    expect(a.stations.find((s) => s.id === 'turn')?.condition).toBe(condition);
    expect(
      a.moves
        .slice(0, 2)
        .map((m) => m.title)
        .join(' | ')
    ).toMatch(next);
    expect(b.said('turn.')).not.toMatch(n === 4 ? /without bumps|of 4/ : /All 4 bumps|Record where the plugs were/);
  });
  it('where nobody knows where the plugs were, it asks for no compression; said late, it is turned once more', () => {
    const b = new Bench(four).read('turn.plugs', 'unknown').read('turn.result', 'free');
    expect(b.assessed().moves[0]?.title).not.toMatch(/Compression/);
    expect(movesOf(b.read('turn.plugs', 'in'))[0]?.title).toMatch(/again, plugs in, and count/);
  });
  it('no bump, and with the cover off there is no belt: nothing is held for one, and compression is next', () => {
    const b = turned().read('turn.bumps', 0).read('turn.belt', 'not-fitted');
    expect(b.holds()).not.toContain('belt');
    expect(b.ids().filter((id) => id.startsWith('turn.belt'))).toEqual([]);
    expect(movesOf(b).map((m) => m.title)).toContain('Compression, every cylinder');
  });
  it('on an engine with automatic decompression no bump is no word on it', () => {
    const b = new Bench({ ...four, decompression: 'fitted' }).read('turn.plugs', 'in').read('turn.result', 'free');
    expect(b.read('turn.bumps', 0).ids()).toContain('turn.free:sound');
  });
  it('with the belt slack and valves in the way no hand turns it before its marks were looked at', () => {
    const b = looked(new Bench({ ...four, camDrive: 'belt', interference: 'yes' }), 'safe', 'look');
    const byHand = (): boolean => movesOf(b).some((m) => !m.waits && m.title === 'Turn it by hand');
    b.read('turn.belt', 'slack');
    expect(byHand()).toBe(false);
    b.read('turn.belt', 'renewed');
    expect(byHand()).toBe(true);
  });
});

describe('cranked by a starter that was too slow for it', () => {
  story(() => {
    const b = looked(new Bench(four), 'safe', 'look', 'turn').read('plugs.rpm', 110);
    for (const cylinder of [1, 2, 3, 4]) b.read('plugs.read', ['normal'], { cylinder });
    return b;
  }, [
    {
      entered: 'weak on two, none on two: no part is blamed, the battery comes first',
      by: (b) => {
        for (const cylinder of [1, 2, 3, 4])
          b.read('spark.result', cylinder < 3 ? 'weak' : 'none', { cylinder, ...tester });
        return b;
      },
      is: { spark: 'cannot-tell' },
      notFinds: ['spark.pair', 'spark.none'],
      notSays: /the others good/,
      now: /Battery and starter under load/
    },
    {
      entered: 'on a charged battery good on two, none on two: now it is what they share',
      by: (b) => {
        b.done('battery').read('plugs.volts', 11.4).read('plugs.rpm', 260);
        for (const cylinder of [1, 2, 3, 4])
          b.read('spark.result', cylinder < 3 ? 'good' : 'none', { cylinder, ...tester });
        return b;
      },
      finds: ['spark.pair:fault']
    }
  ]);

  it('none on two in sunlight is not blamed on what they share', () => {
    const b = new Bench(four);
    for (const cylinder of [1, 2]) b.read('spark.result', 'good', { cylinder, ...tester });
    for (const cylinder of [3, 4])
      b.read('spark.result', 'none', { cylinder, conditions: { path: 'tester', light: 'sun' } });
    expect(b.ids()).not.toContain('spark.pair:fault');
  });

  it('a low reading that a slow starter may have made has no lash measured and no air let in', () => {
    const b = new Bench(four);
    for (const [cylinder, p] of [120, 121, 70, 119].entries())
      b.read('compression.pressure', p * PSI, { cylinder: cylinder + 1, ...open });
    const titles = movesOf(b.read('plugs.starterCircuit', 'slow'))
      .filter((m) => !m.waits)
      .slice(0, 3)
      .map((m) => m.title)
      .join(' | ');
    expect(titles).toMatch(/Starter straight from the battery/);
    expect(titles).not.toMatch(/lash|Leak-down/);
  });

  it('found slow a minute after the compression, it was slow for the compression', () => {
    const b = looked(new Bench(four), 'safe', 'look', 'turn', 'plugs', 'spark');
    for (const cylinder of [1, 2, 3, 4]) b.read('compression.pressure', 90 * PSI, { cylinder, ...open });
    expect(b.assessed().moves[0]?.title).toMatch(/Leak-down/);
    b.read('plugs.rpm', 150);
    expect(b.said('compression.')).toMatch(/It was cranked weakly/);
    expect(b.assessed().moves[0]?.title).toMatch(/Battery and starter under load/);
  });
});

describe('water in the gear oil, in a house that takes the washers for it first', () => {
  const wet = (): Bench =>
    looked(
      house(new Bench(two), { gearWater: 'washers' }),
      'safe',
      'look',
      'turn',
      'plugs',
      'spark',
      'compression'
    ).read('gear.first', 'water');
  story(wet, [
    { entered: 'seen at the plug: drained', by: (b) => b, now: /Drain and measure/, notNow: /Case test/ },
    {
      entered: 'drained, milky: fresh washers with the refill',
      by: (b) => b.read('gear.drained', 480e-6).read('gear.look', 'milky').read('gear.magnet', 'paste'),
      now: /^Refill the gear case/
    },
    {
      entered: 'filled for service, washers in: it is not filled once more, and it does not go back unlooked at',
      by: (b) =>
        b
          .read('gear.washers', 'yes')
          .read('gear.poured', 500e-6)
          .read('gear.levelHole', 'bubbleFree')
          .read('gear.refill', 'service'),
      finds: ['gear.water:cannot-tell'],
      notJobs: ['gear-refill'],
      holds: ['gear-water'],
      notNow: /Refill|Prove it/
    },
    {
      entered: 'ticked after it was recorded: proved',
      by: (b) => b.done('gear-refill'),
      notNow: /Prove it/
    },
    {
      entered: 'after the run clear oil at the plug: the old oil’s look says nothing of the new',
      by: (b) => looked(b, 'fuel', 'cooling', 'run').read('gear.first', 'oil'),
      notFinds: ['gear.water'],
      holds: []
    },
    {
      entered: 'water again: the washers were not it',
      by: (b) => b.read('gear.first', 'water'),
      finds: ['gear.water:fault'],
      holds: ['gear-water']
    }
  ]);
});

it('a house that never runs on a crack of the plug drains before the run', () => {
  const b = looked(
    house(new Bench(two), { gearCheck: 'full' }),
    'safe',
    'look',
    'turn',
    'plugs',
    'spark',
    'compression',
    'fuel',
    'cooling'
  ).read('gear.first', 'oil');
  expect(b.assessed().moves[0]?.title).toMatch(/^Drain and measure the gear oil/);
});

it('an engine that never was locked is not accused by a pinion that is free', () => {
  const b = looked(new Bench(two), 'safe', 'look', 'turn');
  expect(b.assessed().advice.suspects.find((s) => s.id === 'pinion')?.raised ?? false).toBe(false);
});

it('what is renewed anyway is not opened first to look at it', () => {
  const b = looked(new Bench(two, 'neglected', {}), 'safe', 'look', 'turn', 'plugs', 'spark', 'compression', 'gear');
  const a = b.read('cooling.impellerAge', 9).assessed();
  expect(a.steps.filter((s) => s.state === 'open').map((s) => s.id)).toContain('pump');
  expect(a.moves.map((m) => m.title)).not.toContain('Open the water pump');
});

describe('compression cranked as slowly twice', () => {
  const test = (b: Bench): Bench =>
    [1, 2, 3].reduce(
      (x, cylinder) =>
        x.read('compression.pressure', 98 * PSI, {
          cylinder,
          conditions: { throttle: 'open', bores: 'dry', rpm: 140 }
        }),
      b
    );
  const titles = (b: Bench) => b.assessed().moves.map((m) => m.title);
  const engine = () => new Bench({ ...two, starting: 'electric' }).read('safe.battery', 'off');
  it('is not made a third time: what cranks it is looked at', () => {
    const once = test(engine());
    expect(titles(once)).toContain('Compression again, cranked briskly');
    const twice = test(once.wait(0.5));
    expect(titles(twice).join(' | ')).not.toMatch(/Compression again/);
    expect(titles(twice)).toContain('Battery and starter under load');
    twice.read('plugs.starterCircuit', 'turns').read('plugs.volts', 11.2);
    expect(titles(twice)).not.toContain('Battery and starter under load');
  });
  it('by a rope there is no starter to look at', () => {
    const b = test(test(new Bench({ ...two, starting: 'rope' })).wait(0.5));
    expect(titles(b).join(' | ')).not.toMatch(/Compression again|Battery and starter/);
  });
});
