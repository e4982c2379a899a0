import { describe, expect, it } from 'vitest';
import { PSI } from '../../src/core/units/factors.ts';
import { Bench } from '../case.ts';
import { four, two } from './engines.ts';
import { story } from './story.ts';

/** What was tried once and did not help is not what is done next; what costs ten minutes comes before a leg. */
const titles = (b: Bench): string[] => b.assessed().moves.map((m) => m.title);
const free = (b: Bench): string[] =>
  b
    .assessed()
    .moves.filter((m) => !m.waits && m.kind !== 'wait')
    .map((m) => m.title);

/** A run that climbs nine kelvin a minute under a strong stream, and is stopped for it. */
const hotRun = (b: Bench): Bench => {
  b.read('run.event', 'start').read('run.stream', 'strong');
  for (let k = 0; k < 8; k++) b.wait(0.015).read('run.temperature', 298.15 + 9 * k, { conditions: { spot: 'head' } });
  return b.read('run.event', 'stop').read('run.outcome', 'stopped').read('run.reason', 'temperature');
};

describe('it ran hot with everything good', () => {
  const water = (): Bench =>
    new Bench(two, 'neglected', { hours: 300, water: 'salt' })
      .read('cooling.screen', 'clear')
      .read('cooling.strainer', 'clear')
      .read('cooling.opened', 'yes')
      .read('cooling.vanes', 6)
      .read('cooling.set', 0)
      .read('cooling.housing', 'good')
      .read('cooling.thermostatPan', 'good');
  story(water, [
    { entered: 'stopped at 88 °C', by: hotRun, finds: ['run.stopped:fault'] },
    {
      entered:
        'a second thermometer agrees; descaled, the cause written down: the run, and no search for what was found',
      by: (b) => b.read('run.second', 'same').wait(2).done('descale').read('run.cause', 'passages descaled'),
      finds: ['run.stopped:watch'],
      notJobs: ['hot'],
      notNow: /Find why it ran hot|second thermometer/
    },
    {
      entered: 'run again, and hot again: the cause of the first run explains no second one',
      by: (b) => hotRun(b.wait(1)),
      finds: ['run.stopped:fault'],
      notNow: /Flush and descale|second thermometer/
    }
  ]);
  it('descaled, and hot once more: air in the water is looked for before the same work', () => {
    const b = hotRun(
      hotRun(water()).read('run.second', 'same').read('cooling.passages', 'slow').done('descale').wait(1)
    );
    b.read('cooling.screen', 'clear').read('cooling.strainer', 'clear').read('cooling.thermostatPan', 'good');
    b.read('cooling.passages', 'free')
      .read('cooling.opened', 'yes')
      .read('cooling.vanes', 6)
      .read('cooling.set', 0)
      .read('cooling.housing', 'good');
    expect(titles(b)[0]).toMatch(/Leak-down, every cylinder, the water watched/);
    expect(b.assessed().steps.find((s) => s.id === 'descale')).toMatchObject({ state: 'open', failed: 'finding' });
    expect(
      b
        .assessed()
        .steps.find((s) => s.id === 'descale')!
        .why.join(' ')
    ).not.toMatch(/passages silted|by hand/);
    b.read('compression.leakdown', 0.05, { cylinder: 1 });
    expect(titles(b)[0]).not.toMatch(/Leak-down, every cylinder, the water watched/);
  });
  it('one that climbs like a straight line is told no temperature that nobody should read', () => {
    const said = hotRun(water()).said('run.heat');
    expect(said).toMatch(/still climbing with no end in sight, past the limit/);
    expect(said).not.toMatch(/over \d{3} °F/);
  });
});

describe('a locked engine with rust in a bore', () => {
  const locked = (): Bench =>
    new Bench({ ...four, cylinders: 2 }, 'long-stored', { yearsIdle: 12 })
      .read('turn.plugs', 'out')
      .read('turn.result', 'locked')
      .read('plugs.hole', 'rust', { cylinder: 1 })
      .read('plugs.hole', 'clean', { cylinder: 2 });
  const searched = (): Bench => locked().read('turn.lockNeutral', 'still').read('turn.lockPinion', 'still');
  it('neutral and pinion are tried first: they cost a minute', () => {
    expect(titles(locked())).toContain('In neutral, propeller off');
  });
  it('oil comes before the leg', () => {
    expect(titles(searched())).not.toContain('Leg off');
    expect(titles(searched())).toContain('Soak the bores, wait a day, turn it again');
  });
  it('while it soaks, nobody drops the leg; a day later it is turned', () => {
    const b = searched().read('turn.soaked', 'yes');
    expect(titles(b)).not.toContain('Leg off');
    expect(free(b)).not.toContain('Turn it by hand again, a day after the soak');
    b.wait(24);
    expect(free(b).filter((t) => t !== 'Make it safe')[0]).toBe('Turn it by hand again, a day after the soak');
  });
  it('locked still after its day: now the leg', () => {
    const b = searched().read('turn.soaked', 'yes').wait(24).read('turn.result', 'locked');
    expect(titles(b)).toContain('Leg off');
  });
  it('no rust seen: the search goes on to its end', () => {
    const b = searched().read('plugs.hole', 'clean', { cylinder: 1 }).read('plugs.hole', 'clean', { cylinder: 1 });
    expect(titles(b)).toContain('Leg off');
  });
});

describe('a case that leaks at its propeller shaft', () => {
  const low = { conditions: { stage: 'low' } } as const;
  const placed = (): Bench =>
    new Bench(two)
      .read('gear.look', 'creamy')
      .read('gear.casePressure', 4 * PSI, low)
      .read('gear.caseTurned', 'yes', low)
      .wait(0.3)
      .read('gear.casePressure', 2.5 * PSI, low)
      .read('gear.caseBubbles', ['propshaft']);
  it('the pressure comes off before anything is opened', () => {
    expect(free(placed()).filter((t) => t !== 'Make it safe')[0]).toBe('Let the pressure off the gear case');
    expect(titles(placed().read('gear.caseOpen', 'yes'))).not.toContain('Let the pressure off the gear case');
  });
  it('while nothing is placed the test goes on', () => {
    const b = new Bench(two).read('gear.look', 'creamy').read('gear.casePressure', 4 * PSI, low);
    expect(titles(b)).not.toContain('Let the pressure off the gear case');
  });
  it('a groove that was measured is said, and asks for what it is deep enough for', () => {
    const b = placed().read('gear.caseOpen', 'yes').read('gear.shaftGroove', 0.3e-3);
    expect(b.ids()).toContain('gear.groove:fault');
    expect(b.said('gear.groove')).toMatch(/A new shaft/);
    expect(placed().read('gear.shaftGroove', 0.1e-3).ids()).toContain('gear.groove:watch');
    expect(placed().read('gear.shaftGroove', 0.02e-3).said('gear.groove')).toBe('');
    expect(b.done('reseal').said('gear.groove')).toBe('');
  });
});

describe('stopped for want of a stream, and the pump renewed', () => {
  const stopped = (): Bench =>
    new Bench(two, 'neglected', { hours: 300 })
      .read('cooling.source', 'tank')
      .read('cooling.screen', 'clear')
      .read('run.event', 'start')
      .wait(0.012)
      .read('run.stream', 'none')
      .read('run.event', 'stop')
      .read('run.outcome', 'stopped')
      .read('run.reason', 'stream')
      .read('cooling.outlet', 'clear')
      .read('cooling.opened', 'yes')
      .read('cooling.vanes', 6)
      .read('cooling.set', 30);
  it('the outlet and the screens are not looked at once more before the next run', () => {
    const b = stopped().done('pump');
    expect(titles(b)).not.toContain('Probe the stream outlet and its line');
    expect(titles(b)).not.toContain('Intake screens');
  });
  it('a strong stream on the next run is judged by that run, and the cause is asked for once', () => {
    const b = stopped().done('pump').wait(1).read('run.event', 'start').wait(0.012).read('run.stream', 'strong');
    expect(b.said('cooling.stream')).not.toMatch(/was stopped because of the stream/);
    expect(titles(b)).not.toContain('Find the cause, write it down');
    expect(b.holds()).toContain('run');
  });
  it('with nothing done between, a strong stream outweighs no stop', () => {
    const b = stopped().wait(1).read('run.event', 'start').wait(0.012).read('run.stream', 'strong');
    expect(b.said('cooling.stream')).toMatch(/was stopped because of the stream/);
  });
});

describe('a piston that stands low at top', () => {
  const sunk = (): Bench =>
    new Bench({ ...four, cylinders: 2 }, 'drowned', { submerged: 'yes', water: 'salt', runningWhenSunk: 'yes' })
      .read('turn.plugs', 'out')
      .read('turn.result', 'free')
      .read('turn.depth', 60e-3, { cylinder: 1 })
      .read('turn.depth', 61.2e-3, { cylinder: 2 });
  const again = (b: Bench, depth: number): Bench => b.read('turn.depth', depth, { cylinder: 2 });
  it('taken once, it is measured again before anybody pays for it; nothing spins meanwhile', () => {
    const b = sunk();
    expect(titles(b)).toContain('Piston depth of cylinder 2 again, its top found anew');
    expect(titles(b).join('\n')).not.toMatch(/Stop here: ask the owner|Send the power head/);
    expect(b.holds()).toContain('drowned-running');
  });
  it('the same again: a specialist', () => {
    const b = again(sunk(), 61.2e-3);
    expect(titles(b)[0]).toMatch(/Stop here: ask the owner/);
    expect(b.assessed().steps.map((s) => s.id)).toContain('bent-rod');
  });
  it('found where the others are the second time, it agrees with nothing yet', () => {
    const b = again(sunk(), 60e-3);
    expect(titles(b).join('\n')).not.toMatch(/Send the power head/);
    expect(b.holds()).toContain('drowned-running');
  });
});

describe('stopped for its heat, and nobody could say why', () => {
  const asked = (): Bench =>
    hotRun(
      new Bench(two)
        .read('cooling.screen', 'clear')
        .read('cooling.strainer', 'clear')
        .read('cooling.opened', 'yes')
        .read('cooling.set', 0)
        .read('cooling.housing', 'good')
        .read('cooling.thermostatPan', 'good')
        .read('cooling.passages', 'free')
    )
      .read('run.second', 'same')
      .read('run.cause', 'unknown');
  it('is not run hot once more to see it again', () => {
    expect(titles(asked())).toContain(
      'Stop: nobody here knows what heats it. Ask a specialist before it is started again'
    );
    expect(titles(asked()).filter((t) => /same run again|repeat the first run/.test(t))).toEqual([]);
  });
  it('mended since, it is', () => {
    const b = asked().wait(1).done('thermostat').read('cooling.thermostatPan', 'good');
    expect(titles(b).filter((t) => /nobody here knows what heats it/.test(t))).toEqual([]);
  });
});

describe('hot, and every look at its water was good', () => {
  story(
    () => new Bench(two),
    [
      {
        entered: '95 °C: why is looked for before anything runs again',
        by: (b) =>
          b
            .read('cooling.screen', 'clear')
            .read('cooling.strainer', 'clear')
            .read('cooling.outlet', 'clear')
            .read('cooling.thermostatPan', 'good')
            .read('cooling.opened', 'yes')
            .read('cooling.set', 0)
            .read('cooling.housing', 'good')
            .read('cooling.head', 368),
        finds: ['cooling.hot:fault'],
        now: /^A second thermometer, same spot/
      },
      {
        entered: 'the second one agrees',
        by: (b) => b.read('run.second', 'same'),
        now: /^Water through the passages/
      },
      {
        entered: 'water runs through freely: gas in it, and nothing is flushed',
        by: (b) => b.read('cooling.passages', 'free'),
        now: /^Leak-down, every cylinder, the water watched/,
        notNow: /Flush and descale|Find why/
      },
      {
        entered: 'slowly: that is the work',
        by: (b) => b.read('cooling.passages', 'slow'),
        finds: ['cooling.passages:fault'],
        jobs: ['descale']
      }
    ]
  );
});

describe('hot again once a cause of before was put right', () => {
  const hot = (b: Bench): Bench => hotRun(b).read('run.second', 'same');
  it('an outlet that was cleared explains no heat after it', () => {
    const b = hot(
      hot(new Bench(two).read('cooling.screen', 'clear').read('cooling.strainer', 'clear'))
        .read('cooling.outlet', 'blocked')
        .wait(1)
    );
    expect(titles(b)).toContain('Thermostat in a pan');
  });
});

it('passages that were slow, and free at the next look with nothing done, are not called sound', () => {
  const b = new Bench(two).read('cooling.passages', 'slow').wait(1).read('cooling.passages', 'free');
  expect(b.ids()).toContain('cooling.again-passages:cannot-tell');
  expect(b.ids()).not.toContain('cooling.passages:sound');
});

describe('hot on muffs, though its stream is strong', () => {
  const looked = (source: 'muffs' | 'tank'): Bench =>
    hotRun(
      new Bench(two).read('cooling.screen', 'clear').read('cooling.strainer', 'clear').read('cooling.source', source)
    )
      .read('run.second', 'same')
      .read('cooling.thermostatPan', 'good')
      .read('cooling.passages', 'free');
  const OTHER = /^Another water than these muffs/;

  it('other water before the pump comes off; not where it ran in a tank', () => {
    expect(titles(looked('muffs')).find((t) => OTHER.test(t) || /pump/.test(t))).toMatch(OTHER);
    expect(titles(looked('tank')).filter((t) => OTHER.test(t))).toEqual([]);
  });
  it('good in the tank it was the muffs: nothing is opened, and nothing else is written down', () => {
    const b = looked('muffs').read('cooling.source', 'tank');
    expect(titles(b).join(' | ')).toMatch(/The head again, on that water/);
    b.read('run.event', 'start').read('run.stream', 'strong');
    for (let k = 0; k < 14; k++)
      b.wait(0.02).read('run.temperature', 298.15 + Math.min(40, 6 * k), { conditions: { spot: 'head' } });
    b.read('run.event', 'stop').read('run.outcome', 'ran').read('run.minutes', 16);
    expect(b.holds()).not.toContain('run');
    const first = b.assessed().moves.filter((m) => m.class <= 5);
    expect(first.map((m) => m.title).join(' | ')).not.toMatch(/water pump|Find the cause/);
  });
  it('on the same muffs once more, or with no head read, nothing says that it was the muffs', () => {
    const again = (source: 'muffs' | 'tank', read: boolean): Bench => {
      const b = looked('muffs').read('cooling.source', source).read('run.event', 'start').read('run.stream', 'strong');
      if (read) b.wait(0.25).read('run.temperature', 335, { conditions: { spot: 'head' } });
      return b.read('run.event', 'stop').read('run.outcome', 'ran').read('run.minutes', 16);
    };
    expect(again('muffs', true).holds()).toContain('run');
    expect(again('tank', false).holds()).toContain('run');
    expect(again('tank', true).holds()).not.toContain('run');
  });
  it('hot there as well, it is not the water', () => {
    const b = hotRun(looked('muffs').read('cooling.source', 'tank'));
    expect(titles(b).filter((t) => OTHER.test(t))).toEqual([]);
    expect(titles(b).join(' | ')).toMatch(/Open the water pump/);
  });
});
