import { describe, expect, it } from 'vitest';
import type { Profile } from '../../src/core/engine/profile.ts';
import { Bench } from '../case.ts';
import { readyToRun } from './all-good.ts';
import { four, two } from './engines.ts';

const titles = (b: Bench): string[] => b.assessed().moves.map((m) => m.title);
const open = (b: Bench): string[] =>
  b
    .assessed()
    .steps.filter((s) => s.state === 'open')
    .map((s) => s.id);

describe('a cylinder that is still low once its lash was set', () => {
  it('is looked into further: the proof of the lash waits for that, and hides nothing', () => {
    const b = new Bench(four);
    for (const c of [1, 2, 4]) b.psi([[c, 180]]);
    b.psi([[3, 120]]).psi([[3, 121]]);
    b.read('safe.lanyard', 'out')
      .read('safe.battery', 'off')
      .read('safe.propeller', 'clear')
      .read('safe.secured', 'yes');
    b.read('compression.lashIn', 0.2e-3, { cylinder: 3 }).read('compression.lashEx', 0, { cylinder: 3 });
    expect(titles(b)[0]).toMatch(/^Set the valve lash/);
    b.done('lash');
    b.psi([[3, 138]]).psi([[3, 139]]);
    expect(titles(b)[0]).toBe('Valve lash of cylinder 3');
    b.read('compression.lashIn', 0.2e-3, { cylinder: 3 }).read('compression.lashEx', 0.3e-3, { cylinder: 3 });
    expect(titles(b)[0]).toMatch(/^(Wet test|Leak-down) of cylinder 3/);
  });
});

describe('leak-down beside compression', () => {
  const leaking = (profile: Profile, low: boolean, where: string): Bench => {
    const b = readyToRun(profile);
    const n = profile.cylinders as number;
    const good = profile.strokes === 'four' ? 180 : 120;
    const of = (c: number): number => (low && c === Math.min(2, n) ? 0.68 * good : good);
    for (let k = 0; k < 2; k++) for (let c = 1; c <= n; c++) b.psi([[c, of(c)]], { round: 2 });
    const at = { cylinder: Math.min(2, n), round: 2 };
    if (profile.strokes === 'four') b.read('compression.lashIn', 0.2e-3, at).read('compression.lashEx', 0.3e-3, at);
    return b.read('compression.leakdown', 0.45, at).read('compression.escape', [where] as never, at);
  };
  it.each(['intake', 'exhaust', 'neighbour', 'water', 'edge'])(
    'all cylinders alike and good, 45 %% at %s: off its top, read again, and nothing is taken apart',
    (where) => {
      const b = leaking(four, false, where);
      expect(b.said('compression.leakdown')).toMatch(/a leak like that would show there/);
      expect(titles(b)[0]).toBe('Leak-down of cylinder 2 again, piston at top of its compression stroke');
      expect(open(b)).toEqual(open(readyToRun(four)));
    }
  );
  it('read again and tight, the doubt is closed; loose after that, it is open again', () => {
    const b = leaking(four, false, 'exhaust').read('compression.leakdown', 0.06, { cylinder: 2, round: 2 });
    expect(b.ids()).toContain('compression.leakdown.2:sound');
    expect(titles(b).join('\n')).not.toMatch(/Leak-down/);
    expect(b.read('compression.leakdown', 0.45, { cylinder: 2, round: 2 }).said('compression.leakdown.2')).toMatch(
      /not of the same thing/
    );
  });
  it('read again and the same, it counts', () => {
    const b = leaking(four, false, 'exhaust').read('compression.leakdown', 0.44, { cylinder: 2, round: 2 });
    expect(b.ids()).toContain('compression.leakdown.2:fault');
  });
  it('compression that was read before work on the cylinders says nothing of a leak after it', () => {
    const b = readyToRun(four).done('valves').read('compression.leakdown', 0.45, { cylinder: 2, round: 2 });
    expect(b.said('compression.leakdown')).not.toMatch(/would show there/);
  });
  it.each([
    ['neighbour', 'head-gasket'],
    ['edge', 'head-gasket'],
    ['water', 'water-in']
  ])('one low, and its air comes out at %s: the work is %s', (where, job) => {
    for (const profile of [two, four]) {
      const b = leaking(profile, true, where);
      expect(open(b)).toContain(job);
      // Air tells the same as oil, and more.
      expect(titles(b)).not.toContain('Wet test with a measured dose');
    }
  });
  it('a single cylinder has no neighbour', () => {
    const b = leaking({ ...two, cylinders: 1 }, true, 'neighbour');
    expect(open(b)).not.toContain('head-gasket');
    expect(b.said('compression.leakdown')).not.toMatch(/neighbour/);
  });
});

describe('read through an adapter, and without', () => {
  const open_ = { throttle: 'open', bores: 'dry' } as const;
  const adapter = {
    conditions: open_,
    instrument: { name: 'long adapter', adapterVolume: 30e-6, valve: 'gauge end' }
  } as const;
  const plain = {
    conditions: open_,
    instrument: { name: 'plain gauge', adapterVolume: 0, valve: 'plug end' }
  } as const;
  const list = (a: number, b: number, c: number): [number, number][] => [
    [1, a],
    [2, b],
    [3, c]
  ];
  it('the plain one speaks, whichever came first; nothing is asked for once more', () => {
    for (const b of [
      new Bench(two).psi(list(98, 97, 99), adapter).psi(list(122, 121, 123), plain),
      new Bench(two).psi(list(122, 121, 123), plain).psi(list(98, 97, 99), adapter)
    ]) {
      expect(b.ids().join()).not.toMatch(/compression\.unlike/);
      expect(b.said('compression.alike')).toMatch(/alike/);
    }
  });
  it('low by the plain one alone, a volume explains nothing: it stands in doubt', () => {
    const b = new Bench(two).psi(list(120, 121, 119), adapter).psi(list(95, 96, 94), plain);
    expect(b.ids().join()).toMatch(/compression\.unlike/);
  });
  it('one low through it and good without is still looked at once more', () => {
    const b = new Bench(two).psi(list(98, 60, 99), adapter).psi(list(122, 121, 123), plain);
    expect(b.said('compression.unlike')).toMatch(/plainly low beside the others/);
  });
});
