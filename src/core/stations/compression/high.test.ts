import { describe, expect, it } from 'vitest';
import { Bench } from '../../../../test/case.ts';
import { contextOf } from '../../findings/context.ts';
import { compare } from './compare.ts';
import { singleRepeat } from './repeat.ts';

const open = { throttle: 'open', bores: 'dry' } as const;
const triple = (strokes: 'two' | 'four' = 'two'): Bench => new Bench({ strokes, cylinders: 3, ignition: 'cdi' });
const said = (b: Bench): string[] => b.ids().filter((f) => f.startsWith('compression.'));

describe('more than such an engine gives', () => {
  it('one cylinder too high makes no neighbour low', () => {
    const once = triple().psi([
      [1, 120],
      [2, 122],
      [3, 180]
    ]);
    expect(said(once)).toEqual(['compression.high.3:cannot-tell', 'compression.alike:sound']);
    expect(once.assessed().steps.map((s) => s.id)).not.toContain('leak-down');
    expect(said(once.psi([[3, 181]]))).toContain('compression.high.3:watch');
  });
  it('a cylinder that is low beside the usual ones stays low', () => {
    const b = triple().psi([
      [1, 120],
      [2, 70],
      [3, 180],
      [2, 71]
    ]);
    expect(said(b)).toContain('compression.low.2:fault');
    expect(said(b)).not.toContain('compression.low.1:watch');
  });
  it('of one cylinder alone, and of all of them, nothing sound is said against the engine’s figure', () => {
    const single = new Bench({ strokes: 'two', cylinders: 1 }).psi([[1, 250]]);
    expect(said(single)).toEqual(['compression.high.1:cannot-tell']);
    const all = triple().psi([
      [1, 250],
      [2, 251],
      [3, 252]
    ]);
    expect(said(all).filter((x) => x.includes('high'))).toHaveLength(3);
  });
  it('within its kind it is none: two neighbours under a strong third are low', () => {
    const b = triple().psi([
      [1, 140],
      [2, 100],
      [3, 101],
      [3, 100],
      [2, 101]
    ]);
    expect(said(b)).toContain('compression.low.2:fault');
    expect(said(triple('four').psi([[1, 180]])).some((x) => x.includes('high'))).toBe(false);
  });
  it('with oil in the bores a high reading is the oil', () => {
    const b = triple().psi([[1, 190]], { conditions: { throttle: 'open', bores: 'oiled' } });
    expect(said(b).some((x) => x.includes('high'))).toBe(false);
  });
});

describe('low in one test and not in the other', () => {
  const test = (b: Bench, second: number, more: object): Bench =>
    b.psi(
      [
        [1, 118],
        [2, second]
      ],
      more
    );
  const twin = (): Bench => new Bench({ strokes: 'two', cylinders: 2, ignition: 'cdi' });
  it('cold and low, warm and alike: it is read once more', () => {
    const b = test(twin(), 60, { conditions: { ...open, engine: 'cold' } });
    test(b, 117, { conditions: { ...open, engine: 'warm' } });
    expect(said(b)).toContain('compression.unlike.2:cannot-tell');
    expect(b.said('compression.unlike')).toMatch(/plainly low beside the others in another test/);
    expect(said(b.psi([[2, 118]], { conditions: { ...open, engine: 'warm' } }))).toEqual(['compression.alike:sound']);
  });
  it('through an adapter that lowered both alike there is nothing to repeat', () => {
    const adapter = { instrument: { name: 'b', adapterVolume: 10e-6 }, conditions: open };
    const b = twin().psi(
      [
        [1, 98],
        [2, 97]
      ],
      adapter
    );
    test(b, 117, { conditions: open, instrument: { name: 'a', valve: 'plug end' } });
    expect(said(b)).toEqual(['compression.alike:sound']);
  });
});

describe('one cylinder over all the others', () => {
  const odd = (): Bench =>
    new Bench({ strokes: 'two', cylinders: 3, layout: 'inline', displacement: 700e-6 }).psi([
      [1, 120],
      [2, 121],
      [3, 190]
    ]);
  const found = (b: Bench) => compare(contextOf(b.survey, new Date('2026-06-01'), 'us'))!;
  const repeat = (b: Bench) => singleRepeat(contextOf(b.survey, new Date('2026-06-01'), 'us'), found(b));
  it('marks none of the others as low, and names the one to be read again', () => {
    expect(found(odd()).rows.map((r) => r.low)).toEqual([false, false, false]);
    expect(repeat(odd())).toEqual({ kind: 'odd-high', cylinder: 3 });
    expect(repeat(odd().psi([[3, 188]]))).toEqual({ kind: 'look-in', cylinder: 3 });
  });
  it('looked into and clean, the others are low', () => {
    const b = odd()
      .psi([[3, 188]])
      .read('plugs.hole', 'clean', { cylinder: 3 });
    expect(found(b).rows.map((r) => r.low)).toEqual([true, true, false]);
  });
});
