import { describe, expect, it } from 'vitest';
import { Bench } from '../case.ts';
import { readyToRun } from './all-good.ts';
import { four, two } from './engines.ts';

/** What a finding says comes next is what its next step is: the same look, in the same order. */
const next = (b: Bench, station: string): string[] =>
  b
    .assessed()
    .moves.filter((m) => m.class < 6 && m.station === station)
    .map((m) => m.title);

describe('a sentence and its next step', () => {
  it('a crankcase that does not hold is put under soap before anything is opened', () => {
    const b = readyToRun(two).read('compression.crankcase', 'falls', { cylinder: 2 });
    expect(b.said('compression.crankcase')).toMatch(/Soapy water at the seals, the reeds and the joints/);
    expect(next(b, 'compression')[0]).toMatch(/under pressure again of cylinder 2, soapy water/);
    b.read('compression.crankcase', 'reed', { cylinder: 2 });
    expect(next(b, 'compression').join()).not.toMatch(/soapy water/);
    expect(b.assessed().steps.find((s) => s.id === 'crank-seal')?.state).toBe('open');
    // Once more, and nobody could name it: it is opened.
    const twice = readyToRun(two).read('compression.crankcase', 'falls', { cylinder: 2 });
    twice.read('compression.crankcase', 'falls', { cylinder: 2 });
    expect(next(twice, 'compression').join()).not.toMatch(/soapy water/);
  });
  it('less wet than dry is read again, both ways, before air goes in', () => {
    const b = new Bench(two);
    for (let k = 0; k < 2; k++)
      b.psi([
        [1, 120],
        [2, 121],
        [3, 80]
      ]);
    b.read('compression.pressure', 60 * 6894.757, {
      cylinder: 3,
      conditions: { throttle: 'open', bores: 'oiled', dose: 2e-6 }
    });
    expect(b.said('compression.wet')).toMatch(/Repeat both with the same gauge/);
    expect(next(b, 'compression').join()).toMatch(/dry and then with oil: one gauge/);
  });
  it('weak and hot: nothing is run for a bucket', () => {
    const b = readyToRun(two, 'neglected', ['cooling'])
      .read('cooling.source', 'tank')
      .read('cooling.screen', 'clear')
      .read('cooling.outlet', 'clear')
      .read('cooling.stream', 'weak')
      .read('cooling.head', 375);
    expect(b.said('cooling.stream')).toMatch(/not delivering/);
    expect(next(b, 'cooling').join()).not.toMatch(/bucket/);
  });
  it('turned backward in the drill, the pump is looked into before the leg is worked on', () => {
    const b = readyToRun(four).read('cooling.drill', 'backward');
    expect(b.said('cooling.drill')).toMatch(/Open it and look/);
    expect(next(b, 'cooling')[0]).toBe('Pump open again: how far the vanes stay bent');
    expect(next(b.read('cooling.set', 0.1), 'cooling')[0]).not.toMatch(/Pump open again/);
  });
  it('a stage that leaks at a place that was seen asks for no more soap', () => {
    const psi = 6894.757;
    const b = new Bench({ ...two, gearCapacity: 500e-6 })
      .read('gear.first', 'water')
      .read('gear.casePressure', 4 * psi, {
        conditions: { stage: 'low' }
      });
    b.read('gear.caseTurned', 'yes')
      .wait(0.3)
      .read('gear.casePressure', 1 * psi, { conditions: { stage: 'low' } });
    expect(b.said('gear.case-low')).toMatch(/Soapy water/);
    b.read('gear.caseBubbles', ['propshaft']);
    expect(b.said('gear.case-low')).toMatch(/It bubbles at: propeller shaft/);
    expect(b.said('gear.case-low')).not.toMatch(/Soapy water/);
  });
});
