import { describe, expect, it } from 'vitest';
import { railPressure } from '../../src/core/stations/fuel/rail.ts';
import { contextWithWork } from '../../src/core/jobs/work.ts';
import { Bench } from '../case.ts';
import { four } from './engines.ts';
import { story } from './story.ts';

/** An injected engine that does not start: pump and pressure of its rail, and what each asks for. */
const efi = { ...four, fuelSystem: 'electronic', cylinders: 2 } as const;
const fresh = (profile: object = efi): Bench => {
  const b = new Bench(profile, 'long-stored', { yearsIdle: 2 }).read('fuel.level', 'full').read('fuel.vent', 'open');
  for (const k of ['tank', 'line', 'bowl'] as const) b.read(`fuel.${k}`, 'fresh');
  return b.read('fuel.bulb', 'firm').read('fuel.shutoff', 'open').read('spark.lanyard', 'yes');
};
const failed = (b: Bench): Bench => {
  b.read('run.event', 'start').read('run.event', 'stop').read('run.outcome', 'failed').wait(0.1);
  for (const cylinder of [1, 2]) b.read('plugs.read', ['dry'], { cylinder });
  for (const cylinder of [1, 2])
    b.read('spark.result', 'good', { cylinder, conditions: { path: 'tester', light: 'shade' } });
  return b;
};
const titles = (b: Bench): string[] => b.assessed().moves.map((m) => m.title);
const rail = /Fuel rail: pump heard/;
const chance = (b: Bench): number => b.assessed().advice.suspects.find((s) => s.id === 'separator')?.probability ?? 0;

describe('dry plugs after a start that failed, spark good', () => {
  story(
    () => failed(fresh()),
    [
      { entered: 'the rail is what is looked at', by: (b) => b, says: /no fuel reaches the cylinders/ },
      {
        entered: '120 kPa, the pump running: its pressure, volts first',
        by: (b) => b.read('fuel.railPump', 'runs').read('fuel.rail', 120e3),
        finds: ['fuel.rail:fault'],
        jobs: ['rail'],
        says: /Volts at the pump, then filter, pump and regulator/
      },
      {
        entered: 'mended, 280 kPa: it is tried again, and nothing more is looked for',
        by: (b) => b.done('rail').read('fuel.rail', 280e3).read('fuel.railPump', 'runs'),
        finds: ['fuel.rail:sound'],
        notJobs: ['rail'],
        notNow: /Look into the tank|Tap or shut-off/
      }
    ]
  );
  it('the rail is asked for on an injected engine only', () => {
    expect(titles(failed(fresh())).join('\n')).toMatch(rail);
    expect(titles(failed(fresh({ ...efi, fuelSystem: 'carburettor' }))).join('\n')).not.toMatch(rail);
  });
  it('a silent pump: volts before the pump, and the suspect is likely', () => {
    const b = failed(fresh());
    const before = chance(b);
    b.read('fuel.railPump', 'silent');
    expect(b.said('fuel.rail-pump')).toMatch(/Fuse, relay, connector and volts at the pump, before the pump/);
    expect(chance(b)).toBeGreaterThan(before);
  });
  it('a pump that runs clears no pressure; pressure does', () => {
    const b = failed(fresh());
    const before = chance(b);
    expect(chance(b.read('fuel.railPump', 'runs'))).toBeCloseTo(before, 6);
    expect(chance(b.read('fuel.rail', 280e3))).toBeLessThan(0.6 * before);
  });
  it('wet plugs ask for no rail', () => {
    const b = failed(fresh());
    for (const cylinder of [1, 2]) b.read('plugs.read', ['fuel'], { cylinder });
    expect(titles(b).join('\n')).not.toMatch(rail);
  });
});

describe('pressure of the rail', () => {
  const verdict = (kPa: number, profile: object = efi, manual?: number): string | undefined => {
    const b = new Bench(profile).read('fuel.rail', kPa * 1000);
    if (manual !== undefined)
      b.survey = { ...b.survey, engine: { ...b.survey.engine, manual: { 'fuel.rail': { value: manual * 1000 } } } };
    return railPressure(contextWithWork(b.survey, new Date('2026-05-06'), 'us'))?.verdict;
  };
  it('too little, too near to tell, enough', () => {
    expect([verdict(0), verdict(185), verdict(187), verdict(213), verdict(215), verdict(300)]).toEqual([
      'low',
      'low',
      'close',
      'close',
      'good',
      'good'
    ]);
  });
  it('the manual’s figure wins, and of direct injection only it knows', () => {
    expect(verdict(250, efi, 300)).toBe('low');
    expect(verdict(250, { ...efi, fuelSystem: 'direct' })).toBe('cannot-tell');
    expect(verdict(250, { ...efi, fuelSystem: 'direct' }, 200)).toBe('good');
    // Less than port injection needs is too little for it as well.
    expect(verdict(0, { ...efi, fuelSystem: 'direct' })).toBe('low');
    expect(verdict(100, { ...efi, fuelSystem: 'direct' })).toBe('low');
  });
  it('too near to tell asks for itself once more, and for no work', () => {
    const b = new Bench(efi).read('fuel.rail', 200e3);
    expect(titles(b)).toContain('Rail pressure again, cranking on a charged battery');
    expect(b.assessed().steps.map((s) => s.id)).not.toContain('rail');
  });
});

describe('an injector that does not click', () => {
  it('is that cylinder’s, its connector first', () => {
    const b = new Bench(efi)
      .read('fuel.injectors', 'clicks', { cylinder: 1 })
      .read('fuel.injectors', 'silent', { cylinder: 2 });
    expect(b.ids()).toContain('fuel.injector.2:fault');
    expect(b.said('fuel.injector')).toMatch(/Its connector and a test lamp on it before the injector/);
    expect(b.assessed().steps.find((s) => s.id === 'injector')).toMatchObject({ state: 'open', cylinders: [2] });
    b.done('injector').read('fuel.injectors', 'clicks', { cylinder: 2 });
    expect(b.assessed().steps.find((s) => s.id === 'injector')?.state).toBe('proved');
  });
});

describe('a cylinder that does no work, its injector silent', () => {
  const titles = (b: Bench): string[] => b.assessed().moves.map((m) => m.title);
  const idle = (): Bench => {
    const b = fresh().read('run.event', 'start').read('run.idles', 'shakes').read('run.drop', 'falls', { cylinder: 1 });
    b.read('run.drop', 'same', { cylinder: 2 }).read('run.event', 'stop').read('run.outcome', 'ran');
    return b
      .read('spark.result', 'good', { cylinder: 2, conditions: { path: 'tester', light: 'shade' } })
      .psi([[2, 170]]);
  };
  it('is listened to before its bowl is opened', () => {
    expect(titles(idle())).toContain('Injector of cylinder 2: does it click?');
  });
  it('mended, it is run again before anything more is looked for', () => {
    const b = idle().read('fuel.injectors', 'silent', { cylinder: 2 }).done('injector');
    b.read('fuel.injectors', 'clicks', { cylinder: 2 });
    expect(titles(b).join('\n')).not.toMatch(/Bowl off|Plug of cylinder 2|Find the cause/);
    expect(titles(b)).toContain('Cure the cause and repeat the first run');
  });
});

describe('a run that a lamp stopped, its cause written down', () => {
  it('is made again once on the list, not twice', () => {
    const b = new Bench(four)
      .read('run.event', 'start')
      .read('run.lamp', 'came')
      .read('run.event', 'stop')
      .read('run.outcome', 'stopped')
      .read('run.reason', 'lamp')
      .read('run.cause', 'oil low');
    const again = b.assessed().moves.filter((m) => /repeated and good|repeat the first run/.test(m.title));
    expect(again.map((m) => m.title)).toEqual(['Cure the cause and repeat the first run']);
  });
});

describe('rail, pump and injector that read otherwise with nothing done between', () => {
  const twice = (what: 'rail' | 'railPump' | 'injectors', bad: unknown, good: unknown): Bench => {
    const at = what === 'injectors' ? { cylinder: 2 } : {};
    return new Bench(efi).read(`fuel.${what}`, bad as never, at).read(`fuel.${what}`, good as never, at);
  };
  it.each([
    ['rail', 110e3, 290e3],
    ['rail', 290e3, 110e3],
    ['railPump', 'silent', 'runs'],
    ['injectors', 'silent', 'clicks']
  ] as const)('%s: %s, then %s is looked at once more, and fuel is not sound', (what, first, then) => {
    const b = twice(what, first, then);
    expect(b.ids()).toContain(`fuel.again-${what}${what === 'injectors' ? '.2' : ''}:cannot-tell`);
    expect(b.assessed().stations.find((s) => s.id === 'fuel')?.condition).not.toBe('sound');
  });
  it('mended between, the new reading is the engine as it is', () => {
    const b = new Bench(efi).read('fuel.rail', 110e3).done('rail').read('fuel.rail', 290e3);
    expect(b.ids().filter((id) => id.includes('again-'))).toEqual([]);
  });
  it('unknown takes nothing back', () => {
    const b = new Bench(efi).read('fuel.injectors', 'silent', { cylinder: 2 });
    expect(
      b
        .read('fuel.injectors', 'unknown', { cylinder: 2 })
        .assessed()
        .steps.map((s) => s.id)
    ).toContain('injector');
  });
});

describe('rail pressure read on a weak battery', () => {
  const weak = (): Bench =>
    new Bench({ ...efi, starting: 'electric' }).read('plugs.volts', 9.2).read('fuel.rail', 150e3);
  it('is read again on a charged one, and no pump is blamed', () => {
    const b = weak();
    expect(b.ids()).toContain('fuel.rail:cannot-tell');
    expect(b.assessed().steps.map((s) => s.id)).not.toContain('rail');
  });
  it('low again on a good one, it is low', () => {
    const b = weak().read('plugs.volts', 12.1).read('fuel.rail', 150e3);
    expect(b.ids()).toContain('fuel.rail:fault');
  });
});

describe('a start that failed, and its pump found silent', () => {
  it('has its cause: no plug is pulled and no tap turned for it before that is mended', () => {
    const b = fresh().read('run.outcome', 'failed');
    expect(titles(b).slice(0, 2).join(' | ')).toMatch(/Plugs out: wet or dry/);
    b.read('fuel.railPump', 'silent');
    expect(titles(b)[0]).toMatch(/^Fuel pressure: volts at the pump/);
    expect(titles(b).slice(0, 4).join(' | ')).not.toMatch(/wet or dry|Tap or shut-off/);
  });
});

describe('too little pressure in the rail, and dirt in the vapour separator', () => {
  const dirty = (look: 'dirt' | 'gummed'): Bench =>
    failed(fresh()).read('fuel.railPump', 'runs').read('fuel.rail', 120e3).read('fuel.bowlLook', look);
  it('the filter that let it through is looked at; what lies under the pressure is cleaned before it', () => {
    const b = dirty('dirt');
    expect(titles(b)[0]).toBe('Fuel filters');
    const work = b.assessed().moves.filter((m) => m.kind === 'job');
    expect(work.find((m) => m.job === 'rail')?.waits).toMatch(/First: strip and clean bowl or vapour separator/);
    expect(work[0]!.job).toBe('bowl');
  });
  it('gum came through no filter', () => {
    expect(
      dirty('gummed')
        .assessed()
        .moves.filter((m) => m.class < 6 && m.title === 'Fuel filters')
    ).toEqual([]);
  });
});
