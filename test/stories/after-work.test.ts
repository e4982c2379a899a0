import { describe, expect, it } from 'vitest';
import type { Profile } from '../../src/core/engine/profile.ts';
import { PSI } from '../../src/core/units/factors.ts';
import { Bench } from '../case.ts';
import { doBy } from '../../src/core/jobs/do-by.ts';
import { good } from '../good.ts';
import { four, two, v6 } from './engines.ts';

/** What was read before the work is what was cured; what shows after it is looked into, and not the same work once more. */
const goodAt = (profile: Profile, stations: readonly string[], history: object = {}): Bench => {
  const b = new Bench(profile, 'neglected', history);
  for (const s of stations)
    good(s as Parameters<typeof good>[0], {
      profile,
      banked: profile.layout === 'v',
      best: 120 * PSI,
      read: (what, value, more = {}) => void b.read(what, value as never, more),
      wait: (hours) => void b.wait(hours)
    });
  return b;
};
const head = ['safe', 'look', 'turn', 'plugs', 'spark'];
const titles = (b: Bench): string[] =>
  b
    .assessed()
    .moves.filter((m) => !m.waits)
    .map((m) => m.title);

describe('a case that was resealed', () => {
  const stage = (b: Bench, name: 'low' | 'high', from: number, to: number, minutes = 30): Bench => {
    b.read('gear.casePressure', from * PSI, { conditions: { stage: name } }).read('gear.caseTurned', 'yes');
    return b.wait(minutes / 60).read('gear.casePressure', to * PSI, { conditions: { stage: name } });
  };
  const leaked = (): Bench =>
    stage(
      goodAt(two, [...head, 'compression'], { water: 'salt' })
        .read('gear.first', 'milky')
        .read('gear.drained', 490e-6)
        .read('gear.magnet', 'paste'),
      'low',
      4,
      2
    ).read('gear.caseBubbles', ['propshaft']);

  it('bubbles of before stand until it is tested again, and say nothing of that test', () => {
    const b = leaked().read('gear.caseOpen', 'yes').done('reseal');
    expect(b.said('gear.case-low')).toMatch(/It bubbles at: propeller shaft/);
    stage(b, 'low', 4, 4);
    expect(b.ids().join()).not.toMatch(/gear\.bubbles/);
    expect(b.said('gear')).not.toMatch(/bubbles at/);
    stage(b, 'high', 10, 6);
    expect(b.said('gear.case-high')).not.toMatch(/bubbles at/);
  });
});

describe('rings that were soaked', () => {
  const soaked = (): Bench =>
    goodAt(two, head)
      .psi([
        [1, 118],
        [2, 72],
        [3, 120]
      ])
      .psi([[2, 70]])
      .read('compression.leakdown', 0.45, { cylinder: 2 })
      .read('compression.escape', ['crankcase'], { cylinder: 2 })
      .done('soak')
      .wait(24);
  it('are turned by hand before they are cranked, and proved by the gauge', () => {
    const b = soaked();
    expect(titles(b)[0]).toBe('Turn it by hand again, a day later');
    b.read('turn.result', 'bumps');
    expect(titles(b)[0]).toMatch(/^Prove it: .*compression/);
    const proved = b
      .psi([[2, 116]])
      .psi([[2, 117]])
      .assessed()
      .steps.find((s) => s.id === 'soak');
    expect(proved?.state).toBe('proved');
  });
  it('still low at two looks, it is looked into further, and not proved once more', () => {
    const now = titles(
      soaked()
        .psi([[2, 88]])
        .psi([[2, 90]])
    );
    expect(now.slice(0, 2).join('\n')).toMatch(/Wet test of cylinder 2|Leak-down of cylinder 2/);
    expect(now.join('\n')).not.toMatch(/Prove it: /);
  });
});

describe('one bank’s thermostat renewed, and the other bank runs hot', () => {
  it('is no reason to renew it once more', () => {
    const b = goodAt(v6, [...head, 'compression', 'gear', 'fuel'])
      .read('cooling.source', 'tank')
      .read('cooling.impellerAge', 1)
      .read('cooling.thermostatPan', 'shut', { conditions: { bank: 'port' } })
      .read('cooling.thermostatPan', 'good', { conditions: { bank: 'starboard' } })
      .done('thermostat')
      .read('run.event', 'start')
      .read('run.stream', 'strong');
    for (let k = 0; k < 8; k++)
      b.read('run.temperature', 313 + 3 * k, { conditions: { spot: 'head-port' } })
        .read('run.temperature', 315 + 6 * k, { conditions: { spot: 'head-starboard' } })
        .wait(0.015);
    const now = titles(b);
    expect(now[0]).toBe('Stop it now');
    expect(now.slice(0, 4).join('\n')).not.toMatch(/renew the thermostat/i);
  });
});

describe('plugs that were renewed', () => {
  const done = (): Bench =>
    goodAt(two, ['safe', 'look', 'turn'])
      .read('plugs.read', ['cracked'], { cylinder: 1 })
      .read('plugs.read', ['normal'], { cylinder: 2 })
      .read('plugs.read', ['normal'], { cylinder: 3 })
      .done('plugs');
  const state = (b: Bench): string | undefined => b.assessed().steps.find((s) => s.id === 'plugs')?.state;
  it('cracked again is the plug, and the work stands open; oily is the engine, and the work is through', () => {
    expect(state(done().read('plugs.read', ['cracked'], { cylinder: 1 }))).toBe('open');
    expect(state(done().read('plugs.read', ['oily'], { cylinder: 1 }))).toBe('proved');
    expect(state(done().read('plugs.read', ['normal'], { cylinder: 1 }))).toBe('proved');
  });
});

describe('it slips in gear, and the propeller slips on its hub', () => {
  const slips = (): Bench =>
    goodAt(two, ['safe', 'look'])
      .read('turn.result', 'bumps')
      .read('turn.forward', 'slips')
      .read('look.twist', 'slips');
  it('with the hub mended, the gears are tried again before a linkage is set', () => {
    const b = slips().done('propeller').read('look.twist', 'holds');
    expect(b.ids()).toContain('turn.dog:cannot-tell');
    expect(titles(b)[0]).toBe('Shift through by hand again');
    expect(b.assessed().steps.map((s) => s.id)).not.toContain('linkage');
    expect(b.read('turn.forward', 'slips').ids()).toContain('turn.dog:fault');
  });
  it('tried again and follows, nothing is left of it', () => {
    const b = slips().done('propeller').read('look.twist', 'holds').read('turn.forward', 'follows');
    expect(b.ids().join()).not.toMatch(/turn\.dog/);
  });
});

describe('what a reading shows as done is done', () => {
  it('oil passed through until it came clear: nothing is displaced once more', () => {
    const b = new Bench({ ...two, cylinders: 2 }, 'drowned', { submerged: 'yes', water: 'fresh' })
      .read('turn.plugs', 'out')
      .read('turn.water', 'none')
      .read('turn.pass', 'clear');
    const open = b.assessed().steps.filter((s) => s.state === 'open');
    expect(open.map((s) => s.id)).not.toContain('displace');
  });
  it('a case that ran dry has its magnet looked at before it is tested', () => {
    const b = goodAt(two, [...head, 'compression'])
      .read('gear.look', 'none')
      .read('gear.drained', 20e-6);
    expect(titles(b)[0]).toMatch(/^Wipe the magnet/);
  });
});

describe('a pump that was renewed', () => {
  const worn = (): Bench =>
    goodAt(two, [...head, 'compression', 'gear', 'fuel'])
      .read('cooling.source', 'tank')
      .read('cooling.impellerAge', 6)
      .read('cooling.opened', 'yes')
      .read('cooling.missing', 2)
      .read('cooling.set', 35)
      .read('cooling.housing', 'grooved');
  it('is not judged by the vanes that came out of it; a tick alone is no clean bill', () => {
    const b = worn().done('pump');
    expect(b.ids()).toContain('cooling.pump:cannot-tell');
    expect(b.said('cooling.pump')).not.toMatch(/has had it|6 years/);
    expect(b.read('cooling.drill', 'pumps').ids()).toContain('cooling.pump:sound');
    expect(b.assessed().steps.find((s) => s.id === 'pump')?.state).toBe('proved');
  });
  it('the vanes that went downstream are still to be found', () => {
    const b = worn().done('pump').read('cooling.drill', 'pumps');
    expect(b.ids()).toContain('cooling.pieces:fault');
    expect(b.read('cooling.found', 'all').ids().join()).not.toMatch(/pieces/);
  });
  it('its marks at a later look are those of the new one', () => {
    const b = worn().done('pump').read('cooling.opened', 'yes').read('cooling.housing', 'melted');
    expect(b.ids()).toContain('cooling.pump:fault');
    expect(b.said('cooling.pump')).toMatch(/housing melted/);
    expect(b.said('cooling.pump')).not.toMatch(/missing/);
  });
  it('it is run again before anything more is looked for that ran hot before', () => {
    const b = worn().read('run.event', 'start').read('run.stream', 'weak');
    for (let k = 0; k < 10; k++) b.read('run.temperature', 308 + 5.5 * k, { conditions: { spot: 'head' } }).wait(0.015);
    b.read('run.event', 'stop').read('run.outcome', 'stopped').read('run.reason', 'temperature');
    b.done('pump').read('cooling.drill', 'pumps').read('cooling.assembled', 'yes').read('cooling.found', 'all');
    expect(titles(b)[0]).toBe('Cure the cause and repeat the first run');
    expect(
      b
        .assessed()
        .steps.filter((s) => s.state === 'open')
        .map((s) => s.id)
    ).not.toContain('hot');
  });
});

describe('a case that held its test, refilled for service', () => {
  const held = (): Bench => {
    const b = goodAt(two, [...head, 'compression', 'fuel', 'cooling'], { water: 'salt' });
    b.read('gear.look', 'milky').read('gear.drained', 592e-6).read('gear.water', 23e-6).read('gear.magnet', 'paste');
    for (const [stage, p] of [
      ['low', 4],
      ['high', 10],
      ['vacuum', -5]
    ] as const) {
      b.read('gear.casePressure', p * PSI, { conditions: { stage } }).read('gear.caseTurned', 'yes');
      b.wait(3).read('gear.casePressure', p * PSI, { conditions: { stage } });
    }
    return b.read('gear.caseOpen', 'yes');
  };

  it('before it is refilled the drained case is not cracked open to look for water', () => {
    expect(titles(held())[0]).toBe('Refill the gear case, one fresh washer for each plug');
    expect(titles(held())).not.toContain('Lower gear plug a crack open');
  });

  it('what came out of it before asks for no second fill, and it is looked at again with a date', () => {
    const b = held().read('gear.slots', 'good').read('gear.washers', 'yes').read('gear.refill', 'service');
    expect(b.ids().join(' ')).not.toContain('gear.amount');
    expect(b.assessed().steps.filter((s) => s.state === 'open')).toEqual([]);
    expect(doBy(b.judged().context).map((d) => d.id)).toContain('by-gear-oil');
  });

  it('too little is not forgiven by filling it up', () => {
    const b = goodAt(two, [...head, 'compression'])
      .read('gear.look', 'clear')
      .read('gear.drained', 250e-6);
    b.read('gear.washers', 'yes').read('gear.refill', 'service');
    expect(b.ids()).toContain('gear.amount:watch');
  });
});

describe('a hard hose and a soft bulb', () => {
  const open = (b: Bench): string[] =>
    b
      .assessed()
      .steps.filter((s) => s.state === 'open')
      .map((s) => s.id);
  const hard = (): Bench =>
    new Bench(two).read('fuel.level', 'full').read('fuel.bulb', 'soft').read('fuel.hose', 'hard');
  it('is renewed once, with all hose of its age', () => {
    expect(open(hard())).toContain('hoses');
    expect(open(hard())).not.toContain('fuel-line');
    expect(open(hard().read('fuel.couplings', 'leak'))).toContain('fuel-line');
  });
  it('renewed, what was seen of the old one asks for nothing', () => {
    const b = hard().done('hoses');
    expect(b.ids().filter((id) => id.startsWith('fuel.part-hose') || id.startsWith('fuel.bulb'))).toEqual([]);
    expect(open(b)).not.toContain('fuel-line');
  });
  it('soft again after that, it is followed further', () => {
    expect(open(hard().done('hoses').read('fuel.bulb', 'soft'))).toContain('bulb');
  });
  it('a hold on a cracked hose stays until somebody saw the new one', () => {
    const b = new Bench(two).read('look.hoses', 'cracked').done('hoses');
    expect(b.holds()).toContain('fuel-escapes');
    expect(b.read('look.hoses', 'supple').holds()).not.toContain('fuel-escapes');
  });
});

describe('compression on a weak battery, then on a charged one', () => {
  const weak = (fourth = 98): Bench =>
    new Bench(four)
      .read('plugs.volts', 9.2)
      .read('plugs.rpm', 120)
      .psi([
        [1, 110],
        [2, 108],
        [3, 104],
        [4, fourth]
      ]);
  const titles = (b: Bench): string[] => b.assessed().moves.map((m) => m.title);
  const brisk = (b: Bench): Bench =>
    b
      .read('plugs.volts', 11.5)
      .read('plugs.rpm', 280)
      .psi([
        [1, 170],
        [2, 172],
        [3, 171],
        [4, 169]
      ]);
  it('the battery comes first: no other order, no air', () => {
    expect(titles(weak())).toContain('Crank again on a charged battery');
    expect(titles(weak()).join('\n')).not.toMatch(/reverse order|Leak-down/);
  });
  it('read briskly and alike, the last of the weak ones is no doubt of its own', () => {
    expect(
      brisk(weak())
        .ids()
        .filter((id) => id.startsWith('compression.unlike'))
    ).toEqual([]);
  });
  it('one that was plainly low beside the others of the weak test still is', () => {
    expect(brisk(weak(60)).ids()).toContain('compression.unlike.4:cannot-tell');
  });
});

describe('it binds since it was put together', () => {
  it('that is undone before any of it is proved', () => {
    const b = new Bench(two).done('pump').read('turn.assembled', 'binds');
    const first = b.assessed().moves.find((m) => m.class > 1 && m.class < 6)!;
    expect(first.title).toMatch(/^Undo what was done last/);
    expect(
      b
        .read('turn.assembled', 'same')
        .assessed()
        .moves.map((m) => m.id)
    ).toContain('proof:pump');
  });
});
