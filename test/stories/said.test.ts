import { describe, expect, it } from 'vitest';
import type { Said } from '../../src/core/engine/profile.ts';
import { complaints, saidWords } from '../../src/core/stations/said.ts';
import { Bench } from '../case.ts';
import { good } from '../good.ts';

const twin = {
  strokes: 'two',
  cylinders: 2,
  layout: 'inline',
  fuelSystem: 'carburettor',
  supply: 'bulb',
  ignition: 'cdi',
  starting: 'rope',
  lubrication: 'premix',
  gearCase: 'shift',
  indicator: 'fitted'
} as const;
const brought = (...said: Said[]): Bench => new Bench(twin, 'neglected', { said, yearsIdle: 0.1 });
function goods(b: Bench, ...checks: Parameters<typeof good>[0][]): Bench {
  for (const s of checks)
    good(s, {
      profile: twin,
      banked: false,
      best: 860e3,
      read: (what, value, more) => void b.read(what, value as never, more),
      wait: (h) => void b.wait(h)
    });
  return b;
}
const titles = (b: Bench, n = 3): string[] =>
  b
    .assessed()
    .moves.slice(0, n)
    .map((m) => m.title);
const gate = (b: Bench) => b.assessed().gates.find((g) => g.id === 'said');

describe('what an engine is said to do', () => {
  it('is looked for first by what costs a minute, behind making it safe and before the round', () => {
    const b = brought('dies');
    expect(titles(b)).toEqual(['Make it safe', 'Look into the tank', 'Tank vent']);
    goods(b, 'safe').read('fuel.level', 'some').read('fuel.vent', 'open');
    expect(titles(b, 2)).toEqual(['Squeeze the bulb', 'Fuel filters']);
  });
  it('is hearsay: it colours no check, raises no job and no hold, and settles no suspect', () => {
    for (const id of Object.keys(complaints) as Said[]) {
      const [told, silent] = [brought(id).assessed(), brought().assessed()];
      expect(
        told.stations.every((s) => s.condition === 'not-looked-at'),
        id
      ).toBe(true);
      expect(told.steps).toEqual(silent.steps);
      expect(told.holds).toEqual(silent.holds);
      expect(
        told.advice.suspects.filter((s) => s.settling !== 'open').map((s) => s.id),
        id
      ).toEqual([]);
    }
  });
  it('raises what would do it, and says that it was only said', () => {
    const chance = (b: Bench): number =>
      b.assessed().advice.suspects.find((s) => s.id === 'impeller')?.probability ?? 0;
    expect(chance(brought('stream'))).toBeGreaterThan(chance(brought()) + 0.05);
    const says = brought('stream')
      .assessed()
      .advice.suspects.flatMap((s) => s.evidence.map((w) => w.says));
    expect(says).toContain('it is said that it has a weak stream, or none');
    expect(says).not.toContain('the stream is weak');
  });
  it('seen here it is what was seen, and no more what was said', () => {
    const b = goods(brought('thrust'), 'safe').read('look.twist', 'slips');
    const ids = b.ids().map((f) => f.split(':')[0]);
    expect(ids).toContain('look.twist');
    expect(ids).not.toContain('turn.said-thrust');
    expect(gate(b)?.condition).toBe('sound');
  });
  it('jumps out of gear by hand: a hub that was twisted and held is not named', () => {
    const b = goods(brought('thrust'), 'safe').read('turn.forward', 'slips');
    expect(b.said('turn.dog')).toMatch(/its hub/);
    expect(b.read('look.twist', 'unknown').said('turn.dog')).toMatch(/its hub/);
    expect(b.read('look.twist', 'holds').said('turn.dog')).not.toMatch(/hub/);
  });
  it('what was mended leaves the run to show it, not the looks before it', () => {
    const b = goods(brought('dies'), 'safe').read('fuel.vent', 'closed');
    expect(titles(b, 1)).toEqual(['Open what is shut: tank vent, fuel tap']);
    b.done('fuel-open').read('fuel.vent', 'open');
    expect(titles(b, 2)).toEqual(['Look it over, cowl to skeg', 'Turn it by hand']);
    expect(b.ids()).toContain('fuel.said-dies:not-looked-at');
  });
  it('closes the gate until a run shows that it is gone, or somebody gives the reason', () => {
    const b = goods(brought('idles', 'leaks'), 'safe', 'look', 'turn', 'plugs', 'spark', 'compression', 'gear', 'fuel');
    expect(gate(b)).toMatchObject({ condition: 'watch', passes: false, reasonOpens: true });
    goods(b, 'cooling', 'run');
    expect(gate(b)).toMatchObject({ condition: 'sound', passes: true });
    expect(gate(brought())).toBeUndefined();
  });
  it('a short run does not show that it no more dies after some minutes', () => {
    const run = (minutes: number): Bench => {
      const b = brought('dies').read('fuel.level', 'some').read('fuel.vent', 'open').read('fuel.bulb', 'firm');
      b.read('fuel.filter', 'clean').read('run.event', 'start');
      return b
        .wait(minutes / 60)
        .read('run.event', 'stop')
        .read('run.outcome', 'ran');
    };
    expect(gate(run(3))?.passes).toBe(false);
    expect(titles(run(3), 60)).toContain('Run it for ten minutes: whether it still dies');
    expect(gate(run(12))?.passes).toBe(true);
    expect(gate(run(3).read('fuel.dies', 'no'))?.passes).toBe(true);
  });
  it('with every look made in vain it is run for it, before what only the kind of case suggests', () => {
    const all = ['safe', 'look', 'turn', 'plugs', 'spark', 'compression', 'gear', 'fuel', 'cooling'] as const;
    const run = goods(brought('gears'), ...all).assessed().moves[0]!;
    expect(run).toMatchObject({ id: 'look:run', needs: 'start' });
    expect(run.because).toMatch(/It is said that it misses a gear or jumps out of it, and nothing/);
    // Nothing a run would show, or a check nobody has made: the rest comes first.
    expect(goods(brought(), ...all).assessed().moves[0]!.id).not.toBe('look:run');
    expect(goods(brought('gears'), ...all.slice(0, -1)).assessed().moves[0]!.id).not.toBe('look:run');
  });
  it('an answer of "unknown" settles nothing, and what this engine does not have is not looked for', () => {
    expect(gate(brought('stream').read('run.stream', 'unknown'))?.passes).toBe(false);
    expect(brought('oil').ids()).toEqual([]);
    expect(new Bench(twin, 'neglected', { said: 'unknown' }).ids()).toEqual([]);
  });
  it('speaks of every complaint in one sentence', () => {
    for (const id of Object.keys(complaints) as Said[]) expect(`It ${saidWords(id)}.`).toMatch(/^It [a-z].*[a-z]\.$/);
  });
});

it('the owner’s paragraph says what was told and not yet seen', async () => {
  const { decide } = await import('../../src/core/decision/decide.ts');
  const { ownersQuestion } = await import('../../src/core/decision/question.ts');
  const says = (b: Bench): string => {
    const a = b.assessed();
    return ownersQuestion(a, decide(a, 200), a.advice, a.steps, new Date('2026-05-03T08:00:00.000Z'));
  };
  expect(says(brought('dies', 'smoke'))).toContain(
    'You say that it dies after some minutes and smokes; that was not seen here yet.'
  );
  expect(says(brought('dies').read('fuel.dies', 'minutes'))).not.toContain('You say');
});

it('hearsay alone takes nobody into a pump before work that is established', () => {
  const b = brought('hot', 'stream').read('look.hoses', 'cracked');
  const looks = b.assessed().moves.filter((m) => m.kind === 'look' && m.minutes >= 30 && m.class < 8);
  expect(looks.map((m) => m.title)).toEqual([]);
});
