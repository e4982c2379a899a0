import { describe, expect, it } from 'vitest';
import { Bench } from '../case.ts';
import { moves } from './all-good.ts';
import { magneto } from './engines.ts';

/** It would not start; its fuel stood for years. What the plugs say decides whether that is why (C). */
const failed = (plug: 'dry' | 'fuel'): Bench =>
  new Bench({ ...magneto, fuelSystem: 'carburettor', supply: 'gravity' }, 'neglected', { yearsIdle: 2 })
    .read('fuel.kind', 'plain')
    .read('cooling.source', 'tank')
    .read('run.outcome', 'failed')
    .read('plugs.read', [plug], { cylinder: 1 });

describe('old fuel, and a start that failed', () => {
  it('with dry plugs: old fuel comes as well as fresh, and what keeps it away is looked for before spark', () => {
    const b = failed('dry');
    const list = moves(b);
    expect(list.slice(0, 2)).toEqual(['Look into the tank', 'Tap or shut-off under the cowl']);
    expect(list.indexOf('Look into the tank')).toBeLessThan(list.findIndex((m) => m.startsWith('Spark')));
    b.read('fuel.level', 'some').read('fuel.shutoff', 'open').read('fuel.jar', 'clear');
    expect(moves(b)[0]).toMatch(/^Spark/);
  });
  it('a tap found shut is why', () => {
    const b = failed('dry').read('fuel.level', 'some').read('fuel.shutoff', 'closed');
    expect(moves(b)[0]).toMatch(/^Open what is shut/);
  });
  it('with wet plugs the fuel that came is the first thing to be changed', () => {
    expect(moves(failed('fuel')).findIndex((m) => m.startsWith('Drain tank'))).toBeGreaterThanOrEqual(0);
    expect(moves(failed('fuel'))).not.toContain('Tap or shut-off under the cowl');
  });
});
