import { describe, expect, it } from 'vitest';
import { Bench } from '../case.ts';
import { jobs, moves, ranWell, readyToRun } from './all-good.ts';
import { four, two } from './engines.ts';

const head = { conditions: { spot: 'head' } } as const;
const PSI = 6894.757;

/** A lamp in the seventh minute, the head cool by two thermometers, oil between its marks. */
const lamp = (): Bench => {
  const b = readyToRun(four)
    .read('cooling.source', 'tank')
    .read('run.event', 'start')
    .wait(0.02)
    .read('run.stream', 'strong');
  for (const t of [305, 318, 328, 334]) b.wait(0.03).read('run.temperature', t, head);
  b.read('run.lamp', 'came').read('run.event', 'stop').read('run.outcome', 'stopped').read('run.minutes', 8);
  b.read('run.reason', 'lamp').read('run.second', 'same').wait(0.2);
  return b.read('oil.dip', 'between').read('oil.dip', 'between');
};
const gauge = (b: Bench, psi: number, rpm?: number): Bench =>
  (rpm === undefined ? b : b.read('oil.pressureRpm', rpm)).read('oil.pressure', psi * PSI);

describe('a lamp that tells of no heat', () => {
  it('asks for a gauge, and a gauge that was put in and not read settles nothing', () => {
    const b = lamp();
    expect(moves(b)[0]).toBe('Gauge in place of the sender: lamp or pressure?');
    b.done('oil-pressure');
    expect(jobs(b)).not.toContain('heat-sender');
    expect(moves(b).join(' | ')).toMatch(/oil pressure read on the gauge/);
  });
  it('too little pressure: not started again, no sender, and why is looked for', () => {
    const b = gauge(lamp(), 8, 2000);
    expect(b.said('oil.pressure')).toMatch(/Oil pressure is low: 8 psi at 2000 rpm/);
    expect(b.holds()).toContain('oil-pressure');
    expect(jobs(b)).toContain('oil-pump');
    expect(jobs(b)).not.toContain('heat-sender');
    expect(b.assessed().gates.find((g) => g.id === 'station.oil')?.passes).toBe(false);
    b.done('oil-pump');
    expect(b.holds()).not.toContain('oil-pressure');
    expect(moves(b).join(' | ')).toMatch(/oil pressure right by the gauge/);
    expect(gauge(b.wait(1), 38, 2000).said('oil.pressure')).toMatch(/has its pressure/);
    expect(jobs(b)).not.toContain('oil-pump');
  });
  it('pressure as it should be: the sender', () => {
    const b = gauge(lamp(), 40, 2000).done('oil-pressure');
    expect(jobs(b)).toContain('heat-sender');
    expect(b.holds()).not.toContain('oil-pressure');
  });
  it('read, whatever it showed, it is not put in again; read before the lamp came it still is', () => {
    const cool = (): Bench => lamp().read('run.second', 'normal');
    expect(jobs(cool())).toContain('oil-pressure');
    expect(jobs(gauge(cool(), 40, 2000))).not.toContain('oil-pressure');
    expect(jobs(gauge(cool(), 8, 2000))).not.toContain('oil-pressure');
    expect(jobs(gauge(cool(), 40, 2000).read('run.lamp', 'came'))).toContain('oil-pressure');
  });
  it('at what speed nobody noted: read again, and no sender meanwhile', () => {
    const b = gauge(lamp(), 12);
    expect(b.ids()).toContain('oil.pressure:cannot-tell');
    expect(jobs(b)).not.toContain('heat-sender');
    expect(jobs(b)).not.toContain('oil-pump');
  });
  it('a speed of the run minutes before is not the speed it was read at', () => {
    const b = gauge(lamp().read('run.rpm', 1100).wait(0.05), 30);
    expect(b.ids()).toContain('oil.pressure:cannot-tell');
  });
  it('low, and better the next time with nothing done: held until it was good twice, and neither repaired nor cleared', () => {
    const b = gauge(gauge(lamp(), 5, 3000), 45);
    expect(b.ids()).toContain('oil.pressure:cannot-tell');
    expect(b.holds()).toContain('oil-pressure');
    expect(jobs(b)).not.toContain('heat-sender');
    expect(jobs(b)).not.toContain('oil-pump');
    expect(gauge(b, 46).ids()).toContain('oil.pressure:sound');
    expect(b.holds()).not.toContain('oil-pressure');
  });
  it('is not started for another reading before somebody knows that there is oil in it', () => {
    const b = gauge(new Bench(four).read('run.event', 'start').read('run.lamp', 'came').read('run.event', 'stop'), 12);
    expect(moves(b).join(' | ')).toMatch(/Dip again: is there oil in it/);
    expect(moves(b).join(' | ')).not.toMatch(/Oil pressure again/);
  });
  it('hardly any is too little at any speed', () => {
    expect(gauge(lamp(), 2).ids()).toContain('oil.pressure:fault');
  });
  it('within what the gauge is off by it is neither', () => {
    expect(gauge(lamp(), 20, 2000).ids()).toContain('oil.pressure:cannot-tell');
  });
  it('read before the lamp came, it clears no lamp', () => {
    const b = gauge(readyToRun(four).read('cooling.source', 'tank'), 40, 2000).wait(2);
    const after = b.read('run.event', 'start').wait(0.02).read('run.stream', 'strong');
    for (const t of [305, 318, 328, 334]) after.wait(0.03).read('run.temperature', t, head);
    after.read('run.lamp', 'came').read('run.event', 'stop').read('run.outcome', 'stopped').read('run.reason', 'lamp');
    after.read('run.second', 'same').read('oil.dip', 'between').read('oil.dip', 'between');
    expect(jobs(after)).not.toContain('heat-sender');
    expect(moves(after).join(' | ')).toMatch(/Gauge in place/);
  });
  it('nobody asks a good engine for it', () => {
    expect(moves(ranWell(four)).join(' | ')).not.toMatch(/gauge/i);
    expect(moves(ranWell(two)).join(' | ')).not.toMatch(/gauge/i);
  });
});
