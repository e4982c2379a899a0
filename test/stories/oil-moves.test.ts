import { describe, expect, it } from 'vitest';
import type { Bench } from '../case.ts';
import { jobs, moves, ran, ranWell, readyToRun } from './all-good.ts';
import { four, two } from './engines.ts';

const sump = { ...four, lubrication: 'sump', sumpWithFilter: 4e-3 } as const;
const RISEN = 'Dip twice after the run: has it risen?';
const FLOODS = 'Fuel up to the carburettor, engine off: does it flood?';
const twice = (b: Bench, mark: 'between' | 'above' | 'below'): Bench =>
  b.wait(0.2).read('oil.dip', mark).read('oil.dip', mark);

describe('fuel in the engine oil, which was changed for it', () => {
  const changed = (): Bench => {
    const b = twice(readyToRun(sump, 'neglected', ['oil']).read('oil.level', 'yes').read('oil.waited', 15), 'above');
    b.read('oil.smell', 'strong').read('oil.look', 'thin').done('oil-level').read('oil.filter', 'renewed');
    return twice(b, 'between').read('oil.smell', 'oil').read('oil.look', 'clean');
  };
  it('is dipped again after its first run, before it goes back', () => {
    expect(moves(changed())).not.toContain(RISEN);
    const b = ran(changed(), 'ran');
    expect(moves(b)).toContain(RISEN);
    expect(b.assessed().gates.find((g) => g.id === 'station.oil')?.passes).toBe(false);
    twice(b, 'between');
    expect(moves(b)).not.toContain(RISEN);
    expect(b.assessed().gates.find((g) => g.id === 'station.oil')?.passes).toBe(true);
  });
  it('one dip after the run is no answer', () => {
    expect(ran(changed(), 'ran').wait(0.2).read('oil.dip', 'between').said('oil.diluted-before')).not.toBe('');
  });
  it('risen again: what was good before it was changed is looked at once more, before it is changed once more', () => {
    const b = twice(ran(changed(), 'ran'), 'above').read('oil.smell', 'strong');
    expect(moves(b)[0]).toBe(FLOODS);
    const list = moves(b);
    expect(list.findIndex((m) => /^Once more: bring the engine oil right/.test(m))).toBeGreaterThan(0);
    b.read('fuel.floods', 'yes');
    expect(jobs(b)).toContain('bowl');
    expect(moves(b)[0]).toMatch(/^Shut the fuel off/);
    b.read('fuel.shut', 'stopped');
    // What lets it in is mended before the oil is changed.
    expect(moves(b)[0]).toMatch(/^Strip and clean bowl/);
  });
  it('oil that never smelt of fuel is not dipped for it', () => {
    expect(moves(ranWell(sump))).not.toContain(RISEN);
  });
});

describe('engine oil that was there and is not', () => {
  it('is looked for before more is poured in', () => {
    const b = twice(ranWell(sump), 'below');
    expect(b.said('oil.dip')).toMatch(/where two before stood between the marks/);
    expect(moves(b)[0]).toMatch(/^Round the oil filter and the drain screw/);
    b.read('run.leaks', 'none');
    expect(moves(b)[0]).toMatch(/^Bring the engine oil right/);
  });
  it('low from the beginning is filled', () => {
    const b = readyToRun(sump, 'neglected', ['oil']).read('oil.level', 'yes').read('oil.waited', 15);
    expect(moves(twice(b, 'below'))[0]).toMatch(/^Bring the engine oil right/);
    expect(b.said('oil.dip')).not.toMatch(/two before/);
  });
  it('drawn off between, it has not run out', () => {
    const b = twice(ranWell(sump).read('oil.drained', 0.8e-3), 'below');
    expect(b.said('oil.dip')).not.toMatch(/two before/);
  });
});

describe('a case test that was broken off to fill the case', () => {
  const WHOLE = 'Case test, low stage first, shafts turned';
  const begun = (): Bench => {
    const b = readyToRun(two, 'neglected', ['gear']).read('gear.first', 'oil').read('gear.look', 'milky');
    b.read('gear.drained', 480e-6).read('gear.magnet', 'paste').read('gear.slots', 'good');
    return b.read('gear.casePressure', 27_600, { conditions: { stage: 'low' } });
  };
  it('is not gone on with: it is made from its beginning', () => {
    expect(moves(begun())[0]).toMatch(/^Case test: hold the low stage/);
    const b = begun().wait(0.2).read('gear.caseOpen', 'yes').read('gear.refill', 'stand');
    expect(moves(b).join(' | ')).not.toMatch(/hold the low stage/);
    expect(moves(b)).toContain(WHOLE);
    expect(b.said('gear.case-low')).toBe('');
  });
  it('read again after that, it is begun anew, and a fall across the filling is no leak', () => {
    const b = begun().wait(0.2).read('gear.caseOpen', 'yes').read('gear.refill', 'stand').wait(1);
    b.read('gear.casePressure', 20_700, { conditions: { stage: 'low' } });
    expect(
      b
        .assessed()
        .findings.filter((f) => f.id.startsWith('gear.test'))
        .map((f) => f.condition)
    ).not.toContain('fault');
    expect(moves(b)[0]).toMatch(/^Case test: hold the low stage/);
  });
});
