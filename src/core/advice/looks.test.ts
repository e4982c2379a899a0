import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { judge } from '../judge.ts';
import { Bench } from '../../../test/case.ts';
import { weighing } from '../diagnosis/weighing.ts';
import { rankChecks } from '../diagnosis/ranking.ts';
import { advise } from './advice.ts';

const twin = {
  strokes: 'two',
  cylinders: 2,
  fuelSystem: 'carburettor',
  ignition: 'cdi',
  starting: 'rope',
  supply: 'bulb',
  indicator: 'fitted',
  thermostat: 'fitted'
} as const;
const advice = (b: Bench) => advise(b.judged());

describe('looks and the first moves', () => {
  it('begins with safety, then cheap and decisive: the hand turn of a long-stored engine', () => {
    const b = new Bench(twin, 'long-stored', { yearsIdle: 6 });
    expect(b.assessed().moves[0]?.station).toBe('safe');
    b.read('safe.lanyard', 'out')
      .read('safe.battery', 'off')
      .read('safe.propeller', 'clear')
      .read('safe.secured', 'yes')
      .read('safe.place', 'outdoors');
    expect(
      b
        .assessed()
        .moves.slice(0, 2)
        .map((m) => m.title)
    ).toEqual(['Look it over, cowl to skeg', 'Turn it by hand']);
    b.read('turn.result', 'bumps').read('turn.feel', []);
    expect(
      b
        .assessed()
        .moves.slice(0, 2)
        .map((m) => m.title)
    ).toEqual(['Look it over, cowl to skeg', 'Plugs out and read']);
  });
  it.each(['long-stored', 'neglected', 'drowned', 'spring-return'] as const)(
    'the first three of a fresh %s survey cost minutes, not hours',
    (kind) => {
      const b = new Bench(twin, kind, kind === 'drowned' ? { submerged: 'yes' } : {});
      const first = advice(b)
        .checks.filter((c) => !c.waits)
        .slice(0, 3);
      expect(first.reduce((sum, c) => sum + c.minutes, 0)).toBeLessThanOrEqual(25);
      expect(first.map((c) => c.id)).not.toContain('pump');
    }
  );
  it('set-up that is there already costs nothing', () => {
    const minutes = (b: Bench): number => {
      const j = b.judged();
      const w = weighing(j.context, j.findings);
      return rankChecks(j.context, w.model, w.belief, w.position, () => undefined).find((c) => c.id === 'compression')!
        .minutes;
    };
    const b = new Bench(twin).read('turn.result', 'bumps');
    const before = minutes(b);
    expect(minutes(b.read('plugs.read', ['normal'], { cylinder: 1 }))).toBe(before - 8);
  });
  it('a hold keeps what it blocks out of the way and says so', () => {
    const b = new Bench({ ...twin, starting: 'electric' }, 'drowned', { submerged: 'yes', runningWhenSunk: 'yes' });
    const a = advice(b);
    expect(
      a.checks.filter((c) => ['compression', 'spark'].includes(c.id)).every((c) => c.waits?.startsWith('held: '))
    ).toBe(true);
    expect(b.assessed().moves[0]).toMatchObject({ kind: 'continue', class: 2, title: 'Battery off, do not start it' });
  });
  it('stops where mending costs more than the engine is worth', () => {
    const b = new Bench({ strokes: 'two', cylinders: 1 }, 'neglected', { worth: 300, salvage: 120 })
      .read('safe.lanyard', 'out')
      .read('turn.result', 'free')
      .read('turn.feel', ['noise', 'play'])
      .read('gear.magnet', 'pieces')
      .read('gear.look', 'burnt');
    const a = advice(b);
    expect(a.hopeless).toBe(true);
    // Nobody said what it is worth: then it is not given up, and looks are still ranked.
    const { worth: _w, salvage: _s, ...history } = b.survey.engine.history;
    const unpriced = judge(
      { ...b.survey, engine: { ...b.survey.engine, history } },
      new Date('2026-05-03T08:00:00Z'),
      'us'
    );
    expect(advise(unpriced).hopeless).toBe(false);
    expect(advise(unpriced).checks.some((c) => c.worthIt)).toBe(true);
  });
  it('whatever is recorded, gains are numbers, probabilities are shares, and sentences end', () => {
    const some = fc.array(
      fc.record({
        what: fc.constantFrom(
          'gear.first',
          'gear.look',
          'turn.result',
          'fuel.jar',
          'fuel.bulb',
          'cooling.stream',
          'cooling.outlet',
          'run.outcome',
          'run.idles',
          'look.hub',
          'oil.look'
        ),
        pick: fc.nat(20)
      }),
      { maxLength: 12 }
    );
    fc.assert(
      fc.property(some, fc.constantFrom('two', 'four'), fc.integer({ min: 1, max: 6 }), (list, strokes, cylinders) => {
        const b = new Bench({ strokes: strokes as 'two', cylinders });
        const options: Record<string, readonly string[]> = {
          'gear.first': ['oil', 'water', 'milky', 'nothing'],
          'gear.look': ['clear', 'milky', 'burnt', 'none'],
          'turn.result': ['bumps', 'free', 'gritty', 'locked'],
          'fuel.jar': ['clear', 'layers', 'dark'],
          'fuel.bulb': ['firm', 'soft', 'flat'],
          'cooling.stream': ['strong', 'weak', 'none'],
          'cooling.outlet': ['clear', 'blocked'],
          'run.outcome': ['ran', 'stopped', 'failed'],
          'run.idles': ['even', 'spits', 'hot'],
          'look.hub': ['dry', 'cream'],
          'oil.look': ['clean', 'milky']
        };
        for (const { what, pick } of list)
          b.read(what as 'gear.first', options[what]![pick % options[what]!.length] as 'oil');
        const a = advice(b);
        for (const c of a.checks) {
          expect(c.gain).toBeGreaterThanOrEqual(0);
          expect(Number.isFinite(c.perMinute)).toBe(true);
          expect(c.because).toMatch(/[.]$/);
        }
        for (const s of a.suspects) expect(s.probability >= 0 && s.probability <= 1).toBe(true);
        for (const x of a.contradictions) expect(x.sentence).toMatch(/[.]$/);
      }),
      { numRuns: 80 }
    );
  });
});
