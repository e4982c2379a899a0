import { describe, expect, it } from 'vitest';
import type { History, Profile } from '../engine/profile.ts';
import { contextOf, type Context } from '../findings/context.ts';
import { Bench } from '../../../test/case.ts';
import { labelsOf } from './labels.ts';
import { protocol } from './protocol.ts';

const at = (b: Bench): Context => contextOf(b.survey, new Date('2026-05-03'), 'metric');
const sunk = (p: Profile = { strokes: 'four', cylinders: 1 }, h: History = {}): Bench =>
  new Bench(p, 'drowned', { submerged: 'yes', runningWhenSunk: 'no', ...h });
const ids = (b: Bench): string[] => protocol(at(b)).map((s) => s.id);
const next = (b: Bench): string | undefined => protocol(at(b)).find((s) => s.state !== 'done')?.id;
const labels = (b: Bench): string[] => labelsOf(at(b), b.judged().holds).map((l) => l.text);

describe('the drowned protocol', () => {
  it('a four-stroke has a sump and its changes, a two-stroke a crankcase', () => {
    expect(ids(sunk())).toEqual([
      'safe',
      'rinse',
      'plugs',
      'sump',
      'displace',
      'fuel',
      'air',
      'electrics',
      'changes',
      'gear',
      'run',
      'long',
      'next-day'
    ]);
    const two = ids(sunk({ strokes: 'two' }));
    expect(two).toContain('crankcase');
    expect(two).not.toContain('sump');
  });
  it('fresh water needs no rinse; unknown water is taken as salt; running when it sank adds the depths before any spin', () => {
    expect(ids(sunk({}, { water: 'fresh' }))).not.toContain('rinse');
    expect(ids(sunk({}, { water: 'unknown' }))).toContain('rinse');
    const running = ids(sunk({ strokes: 'four' }, { runningWhenSunk: 'yes' }));
    expect(running.indexOf('depths')).toBeGreaterThan(0);
    expect(running.indexOf('depths')).toBeLessThan(running.indexOf('displace'));
  });
  it('injection releases pressure first, a carburettor has its bowl', () => {
    const how = (p: Profile): string => protocol(at(sunk(p))).find((s) => s.id === 'fuel')!.how;
    expect(how({ fuelSystem: 'direct' })).toMatch(/Pressure released/);
    expect(how({ fuelSystem: 'carburettor' })).toMatch(/Bowl/);
  });
  it('goes on as the record grows, and counts what is repeated', () => {
    const b = sunk();
    expect(next(b)).toBe('safe');
    b.read('safe.battery', 'not-fitted').read('safe.rinsed', 'yes');
    expect(next(b)).toBe('plugs');
    b.read('turn.plugs', 'out').read('turn.water', 'none').read('oil.sump', 'drained');
    expect(next(b)).toBe('displace');
    b.read('turn.pass', 'water').read('turn.pass', 'drops');
    expect(protocol(at(b)).find((s) => s.id === 'displace')!.count).toBe('2 passes so far');
    b.read('turn.pass', 'clear');
    expect(next(b)).toBe('fuel');
  });
  it('what no reading proves is ticked, and unticked again', () => {
    const b = sunk().done('drowned.air');
    const state = (): string => protocol(at(b)).find((s) => s.id === 'air')!.state;
    expect(state()).toBe('done');
    b.survey = { ...b.survey, steps: [...b.survey.steps!, { ...b.survey.steps![0]!, id: 'again', state: 'open' }] };
    expect(state()).toBe('open');
  });
  it('a low piston is stuck: nothing here lifts it', () => {
    const b = sunk({ strokes: 'four', cylinders: 2 }, { runningWhenSunk: 'yes' });
    for (const [cylinder, depth] of [
      [1, 62.4],
      [2, 64.1]
    ] as const)
      b.read('turn.depth', depth / 1000, { cylinder }).read('turn.depth', depth / 1000, { cylinder });
    expect(protocol(at(b)).find((s) => s.id === 'depths')!.state).toBe('stuck');
  });
  it('spins and starts stay refused until sump and water are dealt with; the house may spin before the change', () => {
    const b = sunk().read('turn.plugs', 'out').read('turn.result', 'free').read('turn.water', 'none');
    for (const k of ['tank', 'line', 'bowl'] as const) b.read(`fuel.${k}`, 'fresh');
    expect(b.holds()).toContain('drowned');
    b.survey = { ...b.survey, houseRules: { schools: { drownedSpin: 'before' } } };
    expect(b.holds()).toEqual(['oil']);
    expect(protocol(at(b)).find((s) => s.id === 'sump')!.how).toMatch(/Your house rule spins it first/);
    b.survey = { ...b.survey, houseRules: {} };
    expect(b.read('oil.sump', 'drained').holds()).not.toContain('drowned');
  });
});

describe('labels', () => {
  it('a sound engine carries none', () => {
    expect(labels(new Bench({ strokes: 'four' }))).toEqual([]);
  });
  it('held against cranking, bores filled, sump dry: each says so', () => {
    const b = sunk().done('drowned.fill').read('oil.drained', 0.5e-3);
    expect(labels(b)).toEqual(['DO NOT CRANK', 'OIL IN BORES', 'NO OIL']);
  });
  it('oil in the bores alone forbids cranking too', () => {
    expect(labels(new Bench({ strokes: 'two' }).done('drowned.fill'))).toEqual(['DO NOT CRANK', 'OIL IN BORES']);
  });
  it('a drained gear case is empty until it is refilled', () => {
    const b = new Bench().read('gear.drained', 3e-4);
    expect(labels(b)).toEqual(['CASE EMPTY']);
    expect(labels(b.read('gear.refill', 'stand'))).toEqual([]);
    expect(labels(b.read('gear.drained', 3e-4, { round: 2 }))).toEqual(['CASE EMPTY']);
  });
  it('poured in again, the sump’s label goes', () => {
    const b = new Bench({ strokes: 'four' }).read('oil.drained', 1e-3);
    expect(labels(b)).toEqual(['NO OIL']);
    expect(labels(b.read('oil.poured', 5e-4))).toEqual([]);
  });
});
