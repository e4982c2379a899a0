import { describe, expect, it } from 'vitest';
import type { ItemId } from '../../src/core/stations/items.ts';
import { Bench } from '../case.ts';
import { four, two } from './engines.ts';

const has = (b: Bench, id: string): boolean => b.ids().includes(id);

describe('what a run showed once stays open, though the next answer is good', () => {
  it.each([
    ['run.lamp', 'came', 'none', 'run.lamp'],
    ['run.smoke', 'keeps', 'none', 'run.smoke'],
    ['run.leaks', 'fuel', 'none', 'run.leaks'],
    ['run.gears', 'fails', 'both', 'run.gears'],
    ['run.plugAfter', 'wet', 'dry', 'run.plug-wet']
  ] as const)('%s %s, then %s', (item, bad, good, finding) => {
    const b = new Bench(two).read(item as ItemId, bad as never).read(item as ItemId, good as never);
    expect(has(b, `${finding}:fault`)).toBe(true);
    expect(b.said(finding)).toMatch(/not since, but no cause was found/);
    b.read('run.cause', 'a loose wire, mended').read(item as ItemId, good as never);
    expect(b.ids().filter((x) => x.startsWith(finding))).toEqual([]);
  });
  it('stopped for a noise, and then it ran: the noise is asked for, running dry of fuel is not', () => {
    const b = (reason: string): Bench =>
      new Bench(two)
        .read('run.outcome', 'stopped')
        .read('run.reason', reason as never)
        .read('run.outcome', 'ran')
        .read('run.minutes', 20);
    expect(has(b('noise'), 'run.stopped:fault')).toBe(true);
    expect(b('noise').read('run.cause', 'a loose cowl').ids()).toContain('run.ran:sound');
    expect(has(b('fuel'), 'run.stopped:fault')).toBe(false);
  });
  it('a slip that was corrected is none', () => {
    const b = new Bench(two).read('run.lamp', 'came');
    b.read('run.lamp', 'none', { supersedes: b.survey.readings.at(-1)!.id });
    expect(has(b, 'run.lamp:fault')).toBe(false);
  });
  it.each([
    ['run.lamp', 'came', 'none', 'run.lamp'],
    ['run.leaks', 'oil', 'none', 'run.leaks']
  ] as const)('%s %s of a later round, noted first, stands once', (item, bad, good, finding) => {
    const b = new Bench(two).read(item, bad as never, { round: 2 }).read(item, good as never, { round: 1 });
    expect(b.ids().filter((x) => x.startsWith(finding))).toEqual([`${finding}:fault`]);
    expect(b.said(finding)).not.toMatch(/not since/);
    const late = new Bench(two).read(item, good as never, { round: 2 }).read(item, bad as never, { round: 1 });
    expect(has(late, `${finding}:fault`)).toBe(true);
  });
  it('a turn of an earlier round, noted last, is the latest turn for everything that goes by it', () => {
    for (const result of ['locked', 'gritty'] as const) {
      const b = new Bench({}).read('turn.result', 'bumps', { round: 2 }).read('turn.result', result, { round: 1 });
      expect(b.holds()).toContain('locked');
      expect(b.ids().join()).toMatch(result === 'locked' ? /turn\.locked/ : /turn\.gritty/);
    }
  });
  it('stopped for heat, ran, and stopped again: stopped stands once', () => {
    const b = new Bench(two).read('run.reason', 'temperature').read('run.outcome', 'ran').read('run.reason', 'other');
    expect(b.ids().filter((x) => x.startsWith('run.stopped'))).toEqual(['run.stopped:fault']);
  });
  it('a reason for stopping says that it was stopped', () => {
    expect(has(new Bench(two).read('run.reason', 'noise'), 'run.stopped:fault')).toBe(true);
  });
  it('no water at the exhaust, with the start not noted, is no early look', () => {
    expect(has(new Bench(two).read('run.exhaust', 'none'), 'run.no-water:fault')).toBe(true);
  });
});

describe('an answer given before the thing it answers is none', () => {
  it('metal explained, and pieces again', () => {
    const b = new Bench(two).read('gear.magnet', 'slivers').read('gear.explained', 'yes');
    expect(b.holds()).not.toContain('gear-chips');
    expect(b.assessed().steps.map((s) => s.id)).not.toContain('metal');
    b.read('gear.magnet', 'pieces');
    expect(b.holds()).toContain('gear-chips');
    expect(has(b, 'gear.metal:fault')).toBe(true);
  });
  it('sump drained, and milky after that', () => {
    const b = new Bench(four).read('oil.look', 'milky').read('oil.sump', 'drained').read('oil.look', 'milky');
    expect(b.judged().holds.find((h) => h.id === 'oil')?.because).toMatch(/milky/);
  });
  it('refilled, then said not to be: the case is empty', () => {
    const b = new Bench(two).read('gear.drained', 0.2e-3).read('gear.refill', 'service');
    expect(b.holds()).not.toContain('gear-case');
    expect(b.read('gear.refill', 'no').holds()).toContain('gear-case');
    expect(b.read('gear.poured', 0.2e-3).holds()).toContain('gear-case');
    expect(b.read('gear.poured', 0.3e-3).read('gear.levelHole', 'bubbleFree').holds()).not.toContain('gear-case');
  });
  it('pressure let off, then said not to be', () => {
    const b = new Bench(two).read('gear.casePressure', 60e3, { conditions: { stage: 'high' } });
    expect(b.read('gear.caseOpen', 'yes').holds()).not.toContain('gear-case');
    expect(b.read('gear.caseOpen', 'no').holds()).toContain('gear-case');
    expect(b.read('gear.caseOpen', 'unknown').holds()).toContain('gear-case');
  });
});

describe('what is seen counts without what is usually read beside it', () => {
  it('a rope that slips', () => {
    const b = new Bench({ ...two, starting: 'rope' }).read('plugs.rope', 'slips');
    expect(has(b, 'plugs.rope:fault')).toBe(true);
    expect(b.assessed().steps.map((s) => s.id)).toContain('rope');
    expect(has(new Bench({ ...two, starting: 'both' }).read('plugs.rope', 'stuck'), 'plugs.rope:watch')).toBe(true);
  });
  it('a starter that fails straight from the battery; a fuse where the volts end', () => {
    const electric = { ...four, starting: 'electric' } as const;
    const b = new Bench(electric).read('plugs.starterDirect', 'nothing');
    expect(has(b, 'plugs.starter:cannot-tell')).toBe(true);
    expect(b.assessed().steps.map((s) => s.id)).not.toContain('starter');
    expect(has(b.read('plugs.volts', 12.1), 'plugs.starter:fault')).toBe(true);
    expect(has(new Bench(electric).read('plugs.voltsEnd', 'fuse'), 'plugs.starter-fuse:fault')).toBe(true);
  });
  it('air where none should come, though the figure is good, or was not read', () => {
    const air = (place: string): Bench =>
      new Bench({ ...two, cylinders: 2 }).read('compression.escape', [place] as never, { cylinder: 1 });
    for (const place of ['water', 'neighbour', 'edge'])
      expect(air(place).read('compression.leakdown', 0.04, { cylinder: 1 }).ids()).toContain(
        'compression.leakdown-through.1:watch'
      );
    expect(air('crankcase').read('compression.leakdown', 0.04, { cylinder: 1 }).ids()).toContain(
      'compression.leakdown.1:sound'
    );
    expect(air('water').ids()).toContain('compression.escape-unread.1:cannot-tell');
  });
  it('a head that is not flat', () => {
    const flat = (gap: number): string[] => new Bench(two).read('compression.flatness', gap).ids();
    expect([flat(0.03e-3), flat(0.08e-3), flat(0.3e-3)]).toEqual([
      ['compression.flatness:sound'],
      ['compression.flatness:watch'],
      ['compression.flatness:fault']
    ]);
  });
  it('an outlet that is blocked, with a stream or without', () => {
    expect(has(new Bench(two).read('cooling.outlet', 'shut'), 'cooling.outlet:fault')).toBe(true);
    const strong = new Bench(two).read('cooling.stream', 'strong').read('cooling.outlet', 'shut');
    expect(has(strong, 'cooling.outlet:fault')).toBe(true);
  });
  it('a tight spot, with no word on how it turns', () => {
    expect(has(new Bench(two).read('turn.feel', ['tight']), 'turn.feel:watch')).toBe(true);
  });
});

describe('a hot head', () => {
  const hot = (): Bench => {
    const b = new Bench({ ...two, thermostat: 'fitted' }).read('cooling.source', 'afloat').read('run.event', 'start');
    for (let n = 0; n < 8; n++) b.read('run.temperature', 300 + 10 * n, { conditions: { spot: 'head' } });
    return b.read('run.stream', 'strong').read('run.event', 'stop').read('run.outcome', 'stopped');
  };
  it('a strong stream comes through its outlet: that is not probed, a second thermometer is', () => {
    const b = hot().read('cooling.screen', 'clear').read('cooling.strainer', 'clear');
    const titles = b.assessed().moves.map((m) => m.title);
    expect(titles.some((t) => /outlet/.test(t))).toBe(false);
    expect(titles.some((t) => /second thermometer/.test(t))).toBe(true);
  });
  it('a second thermometer that reads normal leaves it untold: no repair, and no start', () => {
    const b = hot().read('run.second', 'normal');
    expect(b.ids()).toEqual(expect.arrayContaining(['cooling.hot:cannot-tell', 'run.heat:cannot-tell']));
    const a = b.assessed();
    expect(a.steps.map((s) => s.id)).not.toContain('hot');
    expect(a.moves[0]).toMatchObject({ kind: 'repeat', station: 'cooling' });
    expect(b.holds()).toContain('run');
    // Hot again after that, it is the head.
    b.read('run.event', 'start').read('run.temperature', 372, { conditions: { spot: 'head' } });
    expect(b.ids()).toContain('run.heat:fault');
  });
});

describe('the last word counts where it is worse', () => {
  it('filled for a stand run only, it is not driven and not given back', () => {
    const b = new Bench(two).read('gear.refill', 'stand');
    expect(b.ids()).toContain('gear.stand-fill:fault');
    expect(b.judged().holds.find((h) => h.id === 'stand-fill')?.blocks).toEqual(['gear', 'release']);
    expect(b.read('gear.refill', 'service').holds()).not.toContain('stand-fill');
  });
  it('bubbles at the level hole: it is not full', () => {
    expect(has(new Bench(two).read('gear.levelHole', 'bubbles'), 'gear.poured:cannot-tell')).toBe(true);
  });
  it('fresh fuel in the tank, old fuel in the bowl', () => {
    const b = new Bench(two).read('fuel.age', 0.2).read('fuel.tank', 'fresh').read('fuel.bowl', 'old');
    expect(has(b, 'fuel.left-old:fault')).toBe(true);
    expect(b.holds()).toContain('fuel');
    expect(b.assessed().steps.map((s) => s.id)).toContain('fuel-drain');
  });
  it('a starter that turned, and does nothing now', () => {
    const b = new Bench({ ...four, starting: 'electric' }).read('plugs.starterCircuit', 'turns');
    b.read('plugs.volts', 12.1).read('plugs.starterDirect', 'nothing');
    expect(has(b, 'plugs.starter:fault')).toBe(true);
    expect(has(b.read('plugs.starterCircuit', 'turns'), 'plugs.starter:fault')).toBe(false);
  });
  it('a run of two minutes proves nothing, and neither does one of which nothing is known', () => {
    const ran = (): Bench => new Bench(two).read('run.outcome', 'ran');
    expect(ran().ids()).toContain('run.short:cannot-tell');
    expect(ran().read('run.minutes', 2).said('run.short')).toMatch(/too short to have warmed/);
    expect(has(ran().read('run.minutes', 20), 'run.ran:sound')).toBe(true);
    expect(has(ran().read('cooling.head', 335), 'run.ran:sound')).toBe(true);
    expect(has(ran().read('cooling.head', 300), 'run.ran:sound')).toBe(false);
  });
  it('it ran, and was then stopped for its heat', () => {
    const b = new Bench(two).read('run.outcome', 'ran').read('run.reason', 'temperature');
    expect(has(b, 'run.stopped:fault')).toBe(true);
  });
});

describe('what is entered after the stop, with no start tapped, is of a run', () => {
  const stopped = (): Bench =>
    new Bench({ ...two, thermostat: 'fitted' })
      .read('run.event', 'start')
      .read('run.stream', 'strong')
      .read('run.event', 'stop')
      .read('run.outcome', 'ran');
  it('a moment after, it belongs to the one that ended', () => {
    expect(stopped().read('run.stream', 'none').holds()).toContain('run');
  });
  it('half an hour later it is another one', () => {
    const b = stopped()
      .wait(0.5)
      .read('run.temperature', 400, { conditions: { spot: 'head' } });
    expect(has(b, 'run.heat:fault')).toBe(true);
    expect(b.holds()).toContain('run');
  });
  it('and so is what came after its entries had ceased', () => {
    const b = new Bench(two).read('run.event', 'start').read('run.temperature', 320).wait(2);
    expect(has(b.read('run.temperature', 400), 'run.heat:fault')).toBe(true);
  });
});
