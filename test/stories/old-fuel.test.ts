import { describe, expect, it } from 'vitest';
import { Bench } from '../case.ts';
import { moves, ran, readyToRun } from './all-good.ts';
import { good } from '../good.ts';
import { two } from './engines.ts';

/** What old fuel leaves behind when it is out, and what a run that went badly asks for then. */
const stood = (years = 5, schools: object = {}): Bench => {
  const b = new Bench({ ...two, cylinders: 2 }, 'long-stored', { yearsIdle: years, fuelLeft: 'ethanol' });
  b.survey = { ...b.survey, houseRules: { schools } };
  return b
    .read('fuel.level', 'full')
    .read('fuel.age', years * 12)
    .read('fuel.jar', 'dark');
};
const places = ['tank', 'line', 'bowl'] as const;
const filled = (b: Bench, value: 'fresh' | 'drained' = 'fresh'): Bench => {
  for (const k of places) b.read(`fuel.${k}`, value);
  return b;
};
const open = (b: Bench): string[] =>
  b
    .assessed()
    .steps.filter((s) => s.state === 'open')
    .map((s) => s.id);

describe('the fuel that a sample was taken of is out', () => {
  it('its sample is of nothing that is there any more, and its work is proved', () => {
    const b = filled(stood());
    expect(b.ids()).not.toContain('fuel.jar:fault');
    expect(b.assessed().steps.find((s) => s.id === 'fuel-drain')?.state).not.toBe('open');
    expect(b.holds()).not.toContain('fuel');
  });
  it('one place not emptied since, and it stands', () => {
    const b = stood().read('fuel.tank', 'fresh').read('fuel.line', 'fresh');
    expect(b.ids()).toContain('fuel.jar:fault');
    expect(b.holds()).toContain('fuel');
  });
  it('a bad sample of what was called fresh is of that, and stands', () => {
    const b = filled(stood()).read('fuel.jar', 'layers');
    expect(b.ids()).toContain('fuel.jar:fault');
    expect(b.holds()).toContain('fuel');
  });
  it('drained everywhere, it is old fuel no more', () => {
    const b = filled(stood(), 'drained');
    expect(b.ids()).toContain('fuel.emptied:sound');
    expect(b.said('fuel')).not.toMatch(/The fuel is old/);
  });
});

describe('the gum that it left is not poured out with it', () => {
  it('the carburettor is cleaned before the first start, whatever was poured in', () => {
    expect(open(stood())).toContain('carburettor');
    expect(open(filled(stood()))).toContain('carburettor');
    expect(open(filled(stood()).read('fuel.age', 0))).toContain('carburettor');
  });
  it('a house that tries first does not clean it', () => {
    expect(open(filled(stood(5, { carburettor: 'try' })))).not.toContain('carburettor');
    expect(open(filled(stood(1)))).not.toContain('carburettor');
  });
  it('cleaned, seen through, or run and settled: it is not cleaned for that', () => {
    expect(open(filled(stood()).done('carburettor'))).not.toContain('carburettor');
    expect(open(filled(stood()).read('fuel.jets', 'clear'))).not.toContain('carburettor');
    expect(open(filled(stood()).read('run.outcome', 'ran'))).not.toContain('carburettor');
  });
  it('unknown jets, and clear ones over a gummed bowl, are not seen through', () => {
    expect(open(filled(stood()).read('fuel.jets', 'unknown'))).toContain('carburettor');
    expect(open(filled(stood()).read('fuel.jets', 'clear').read('fuel.bowlLook', 'gummed'))).toContain('carburettor');
  });
});

describe('it runs on its choke only, and shakes', () => {
  const ran = (): Bench =>
    filled(stood(1))
      .read('run.event', 'start')
      .read('run.idles', 'shakes')
      .read('fuel.chokeOnly', 'yes')
      .read('run.event', 'stop')
      .read('run.outcome', 'stopped')
      .read('run.reason', 'other');
  const titles = (b: Bench): string[] => b.assessed().moves.map((m) => m.title);
  it('an engine that starves is not shorted out cylinder by cylinder', () => {
    expect(titles(ran())).not.toContain('Short the cylinders out one by one');
    expect(titles(ran()).slice(0, 5).join('\n')).toMatch(/Bowl off/);
  });
  it('its jets gummed and cleaned: nobody is told to find the cause that was found', () => {
    const b = ran().read('fuel.jets', 'gummed').done('carburettor');
    expect(titles(b)).not.toContain('Find the cause, write it down');
    expect(b.said('run.stopped')).toMatch(/cause of what it showed was found. Make the same run again/);
  });
  it('stopped for what it did not show, a cause is still to be written down', () => {
    const b = ran().read('run.reason', 'noise').read('fuel.jets', 'gummed').done('carburettor');
    expect(titles(b)).toContain('Find the cause, write it down');
  });
});

describe('it runs hot, and everything that was looked at is good', () => {
  it('a second thermometer comes before two hours of descaling', () => {
    const b = new Bench(two, 'neglected', { hours: 300, water: 'salt' });
    const hands = {
      profile: two,
      banked: false,
      best: 860_000,
      read: (w: never, v: never, m: object = {}) => void b.read(w, v, m),
      wait: (h: number) => void b.wait(h)
    };
    for (const s of ['safe', 'look', 'turn', 'plugs', 'spark', 'compression', 'gear', 'fuel', 'cooling'])
      good(s, hands as unknown as Parameters<typeof good>[1]);
    b.read('run.event', 'start').read('run.stream', 'strong');
    for (let k = 0; k < 8; k++) b.wait(0.015).read('run.temperature', 298 + 9 * k, { conditions: { spot: 'head' } });
    b.read('run.event', 'stop').read('run.outcome', 'stopped').read('run.reason', 'temperature');
    const titles = (): string[] => b.assessed().moves.map((m) => m.title);
    const [second, dear] = ['A second thermometer, same spot', 'Flush and descale the cooling passages'];
    expect(titles().indexOf(second)).toBe(0);
    expect(titles().slice(0, 3)).not.toContain(dear);
    b.read('run.second', 'same');
    expect(titles()).not.toContain(second);
  });
});

describe('it died after six minutes, the bulb sucked flat', () => {
  it('what is found to starve it is looked at, and nothing else for its dying', () => {
    const b = new Bench({ ...two, cylinders: 2 })
      .read('fuel.level', 'full')
      .read('run.event', 'start')
      .read('run.event', 'stop')
      .read('run.outcome', 'died')
      .read('run.minutes', 6)
      .read('fuel.dies', 'minutes')
      .read('fuel.vent', 'open')
      .read('fuel.bulb', 'flat');
    const titles = b.assessed().moves.map((m) => m.title);
    expect(titles).toContain('Pick-up screen and anti-siphon valve');
    expect(titles).not.toContain('Squeeze the bulb while it dies');
    expect(titles).not.toContain('Find the cause, write it down');
  });
});

it('oil for the mixture goes into the fuel that stays: the old is drained first', () => {
  const b = new Bench({ ...two, lubrication: 'premix', premixRatio: 50, supply: 'gravity' }, 'spring-return', {
    yearsIdle: 1
  })
    .read('fuel.level', 'full')
    .read('fuel.tankOil', 'plain');
  const moves = b.assessed().moves;
  const at = (title: RegExp): number => moves.findIndex((m) => title.test(m.title));
  expect(b.holds()).toEqual(expect.arrayContaining(['fuel', 'premix']));
  expect(at(/^Drain tank/)).toBeLessThan(at(/^Correct the mixture/));
  expect(moves[at(/^Correct the mixture/)]?.waits).toMatch(/^First: drain tank/);
});

describe('fuel that stood, before anybody looked at it', () => {
  const at = (years: number | undefined, fuelLeft?: 'ethanol' | 'none'): Bench =>
    new Bench({ ...two, cylinders: 2 }, 'long-stored', {
      ...(years === undefined ? {} : { yearsIdle: years }),
      ...(fuelLeft ? { fuelLeft } : {})
    });
  const fuel = (b: Bench) => b.judged().holds.find((h) => h.id === 'fuel');
  it('is held from the intake on, and nothing is repaired for it yet', () => {
    expect(fuel(at(9, 'ethanol'))).toMatchObject({ standing: false });
    expect(open(at(9, 'ethanol'))).not.toContain('fuel-drain');
  });
  it('not known whether any is in it: held at the start, and not across every view', () => {
    expect(fuel(at(9))).toMatchObject({ standing: true });
  });
  it('drained when it was put away, fresh, or of unknown age: nothing holds it before it was looked at', () => {
    for (const b of [at(9, 'none'), at(0.05, 'ethanol'), at(undefined, 'ethanol')]) expect(fuel(b)).toBeUndefined();
  });
});

describe('water in the bowl', () => {
  it('is drained with the fuel that brought it, and the bowl looked into once more; nothing is stripped for it', () => {
    const b = new Bench({ ...two, cylinders: 2 }).read('fuel.bowlLook', 'water');
    expect(open(b)).toContain('fuel-drain');
    expect(open(b)).not.toContain('carburettor');
    filled(b.done('fuel-drain'));
    expect(
      b
        .assessed()
        .moves.slice(0, 3)
        .map((m) => m.title)
    ).toContain('Bowl off once more: dry, and its jets seen through');
    b.read('fuel.bowlLook', 'clean').read('fuel.jets', 'clear');
    expect(b.judged().findings.map((f) => f.id)).not.toContain('fuel.part-bowl-water');
  });
  it('gum beside it is stripped for', () => {
    const b = new Bench({ ...two, cylinders: 2 }).read('fuel.bowlLook', 'water').read('fuel.jets', 'gummed');
    expect(open(b)).toContain('carburettor');
  });
});

describe('a two-stroke that gets its oil with its fuel', () => {
  const premix = { ...two, lubrication: 'premix', premixRatio: 50 } as const;
  const fresh = (): Bench => {
    const b = readyToRun(premix, 'neglected', ['fuel']);
    for (const [k, v] of Object.entries({ level: 'some', age: 0.2, jar: 'clear', tank: 'fresh', bulb: 'firm' }))
      b.read(`fuel.${k}` as 'fuel.level', v as never);
    return b;
  };
  it('with its mixture not said, it is asked for before it runs, and does not go back on a good run', () => {
    const titles = moves(fresh());
    const ask = titles.indexOf('How much oil is in its fuel, by whoever mixed it');
    expect(ask).toBeGreaterThanOrEqual(0);
    expect(ask).toBeLessThan(titles.indexOf('First run on water, watched'));
    const b = ran(fresh(), 'ran');
    expect(b.assessed().gates.find((g) => g.id === 'station.fuel')?.passes).toBe(false);
    expect(b.read('fuel.mix', 50).said('fuel.mix')).toMatch(/50:1/);
    expect(b.assessed().gates.find((g) => g.id === 'station.fuel')?.passes).toBe(true);
  });
  it('what was told of the old fuel says nothing of what was filled in since it was drained', () => {
    const b = fresh().read('fuel.mix', 50);
    expect(b.said('fuel.mix')).toMatch(/50:1/);
    b.done('fuel-drain').read('fuel.tank', 'fresh');
    expect(b.said('fuel.mix')).toMatch(/Nobody said how much oil/);
    expect(moves(b)).toContain('How much oil is in its fuel, by whoever mixed it');
    expect(b.read('fuel.mix', 50).said('fuel.mix')).toMatch(/50:1/);
  });
  it('ran without oil: mixed right, it is turned by hand and its cylinders are read again', () => {
    const b = ran(fresh(), 'ran').read('fuel.tankOil', 'plain');
    expect(b.said('compression.ran-dry')).toMatch(/without its oil/);
    b.done('mix').read('fuel.mix', 50);
    expect(moves(b)[0]).toBe('Turned by hand: does it drag?');
    expect(moves(b.read('turn.result', 'free'))[0]).toMatch(/^Compression of every cylinder once more/);
    b.psi([
      [1, 124],
      [2, 126],
      [3, 125]
    ]);
    expect(b.said('compression.ran-dry')).toBe('');
  });
  it('of a run that only its end was told of, the same', () => {
    const b = fresh().read('run.outcome', 'ran').read('run.minutes', 12).read('fuel.tankOil', 'plain');
    expect(b.said('compression.ran-dry')).toMatch(/without its oil/);
  });
  it('said to be without oil before, and mixed since: that run had its oil', () => {
    const b = ran(fresh().read('fuel.tankOil', 'plain').done('mix').read('fuel.mix', 50), 'ran');
    expect(b.said('compression.ran-dry')).toBe('');
  });
});

describe('nobody told the age of the fuel, and it stood', () => {
  it('fresh fuel in tank, line and bowl cleans no jets: the carburettor is still cleaned first', () => {
    const b = new Bench(two, 'long-stored', { yearsIdle: 4, fuelLeft: 'ethanol' }).read('fuel.level', 'some');
    expect(open(b)).toContain('carburettor');
    filled(b);
    expect(b.ids()).toContain('fuel.fresh:sound');
    expect(open(b)).toContain('carburettor');
  });
  it('one that was laid up dry has nothing in its jets', () => {
    const b = filled(new Bench(two, 'long-stored', { yearsIdle: 4, fuelLeft: 'none' }));
    expect(open(b)).not.toContain('carburettor');
  });
});
