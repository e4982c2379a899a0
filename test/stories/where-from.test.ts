import { describe, expect, it } from 'vitest';
import type { Bench } from '../case.ts';
import { jobs, moves, readyToRun } from './all-good.ts';
import { two } from './engines.ts';

/** Where air or dirt comes from is found before what it came to is mended, and mended again. */
const line = (): Bench =>
  readyToRun(two, 'neglected', ['fuel'])
    .read('fuel.level', 'full')
    .read('fuel.age', 0)
    .read('fuel.jar', 'clear')
    .read('fuel.vent', 'open')
    .read('fuel.mix', 50);
const open = (b: Bench): string[] => jobs(b).filter((id) => id !== 'run-again');

describe('bubbles in the fuel hose', () => {
  const bubbles = (): Bench => line().read('fuel.couplings', 'tight').read('fuel.hose', 'bubbles');

  it('ask at which joint, before hose and couplings are renewed for them', () => {
    expect(moves(bubbles())[0]).toMatch(/^Where the air comes in/);
    const first = line().read('fuel.hose', 'bubbles');
    expect(moves(first)[0]).toBe('Couplings and their O-rings');
  });
  it.each([
    ['pickup', 'pick-up'],
    ['coupling', 'fuel-line'],
    ['hose', 'fuel-line'],
    ['filter', 'fuel-filter'],
    ['pump', 'fuel-pump']
  ] as const)('at the %s that is mended, and nothing else: %s', (at, job) => {
    const b = bubbles().read('fuel.airAt', at);
    expect(b.ids()).toContain(`fuel.air-${at}:fault`);
    expect(b.ids().filter((id) => id.startsWith('fuel.part-hose'))).toEqual([]);
    expect(open(b)).toEqual([job]);
  });
  it.each(['none', 'unknown'] as const)('nowhere to be found (%s), what is left of the line is renewed', (at) => {
    expect(open(bubbles().read('fuel.airAt', at))).toEqual(['fuel-line']);
  });
  it('mended, the hose is looked at again; what was seen before raises nothing', () => {
    const b = bubbles().read('fuel.airAt', 'filter').done('fuel-filter');
    expect(open(b)).toEqual([]);
    expect(moves(b)).toContain('Bubbles in the hose again, after the work');
    b.read('fuel.hose', 'supple').read('fuel.filter', 'clean');
    expect(b.ids().filter((id) => /fuel\.(air|bubbles|part-hose)/.test(id))).toEqual([]);
  });
  it('back after the line was renewed: joint by joint once more, and not the same work', () => {
    const b = bubbles().read('fuel.airAt', 'none').done('fuel-line').read('fuel.hose', 'bubbles');
    const list = moves(b).filter((m) => /air comes in|Renew what draws air/i.test(m));
    expect(list[0]).toMatch(/^Where the air comes in/);
    b.read('fuel.airAt', 'pump');
    expect(open(b)).toEqual(['fuel-pump']);
  });
  it('work at another place mends none of it', () => {
    for (const job of ['fuel-filter', 'fuel-line', 'hoses'] as const)
      expect(bubbles().read('fuel.airAt', 'pump').done(job).ids()).toContain('fuel.air-pump:fault');
    expect(bubbles().read('fuel.airAt', 'pump').done('fuel-pump').ids()).not.toContain('fuel.air-pump:fault');
    expect(bubbles().read('fuel.airAt', 'pickup').done('pick-up').ids()).not.toContain('fuel.air-pickup:fault');
  });
  it('a hard hose and a weeping coupling need no place', () => {
    expect(open(line().read('fuel.hose', 'hard'))).toContain('fuel-line');
    expect(open(line().read('fuel.hose', 'bubbles').read('fuel.couplings', 'leak'))).toContain('fuel-line');
  });
});

describe('dirt that comes back', () => {
  const LIGHT = /^A light into the tank/;
  const clogged = (): Bench => line().read('fuel.hose', 'supple').read('fuel.filter', 'clogged');

  it('a filter is cleaned; before it goes back, and at once where it clogs again, a light into the tank', () => {
    expect(moves(clogged())[0]).toBe('Clean or renew the fuel filters');
    expect(moves(clogged()).findIndex((m) => LIGHT.test(m))).toBeGreaterThan(0);
    const again = clogged().done('fuel-filter').read('fuel.filter', 'clogged');
    expect(moves(again)[0]).toMatch(LIGHT);
    expect(moves(again.read('fuel.tankLook', 'clean'))[0]).not.toMatch(LIGHT);
  });
  it('a dirty tank is cleaned before filter and carburettor', () => {
    const b = clogged().read('fuel.tankLook', 'dirt');
    expect(b.ids()).toContain('fuel.part-tank-dirt:fault');
    expect(b.ids()).not.toContain('fuel.level:fault');
    expect(moves(b)[0]).toBe('Clean the fuel tank out');
    expect(open(b)).toEqual(['tank-clean', 'fuel-filter']);
  });
  it('nearly empty and dirty are two things', () => {
    const b = clogged().read('fuel.level', 'empty').read('fuel.tankLook', 'dirt');
    expect(b.ids()).toEqual(expect.arrayContaining(['fuel.level:watch', 'fuel.part-tank-dirt:fault']));
  });
  it('the carburettor that was cleaned while the tank was dirty is cleaned once more, and nobody is asked', () => {
    const bowl = line()
      .read('fuel.hose', 'supple')
      .read('fuel.filter', 'clean')
      .read('fuel.bowlLook', 'dirt')
      .done('carburettor')
      .read('fuel.bowlLook', 'dirt');
    expect(moves(bowl).slice(0, 2)).toEqual(['Fuel filters', 'A light into the tank: dirt, rust, slime']);
    expect(moves(bowl).join(' | ')).toMatch(/Stop: done and not cured: strip and clean/);
    bowl.read('fuel.filter', 'clean').read('fuel.tankLook', 'dirt').done('tank-clean').read('fuel.tankLook', 'clean');
    expect(moves(bowl)[0]).toBe('Once more: strip and clean the carburettor');
    // Seen again after the tank was clean, it has failed.
    bowl.read('fuel.bowlLook', 'dirt');
    expect(moves(bowl).join(' | ')).toMatch(/Stop: done and not cured: strip and clean/);
  });
});
