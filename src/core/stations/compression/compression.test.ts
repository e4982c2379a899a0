import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { Bench } from '../../../../test/case.ts';
import { orderEffect } from './order.ts';

const triple = { strokes: 'two', cylinders: 3, layout: 'inline', displacement: 830e-6 } as const;
const psi = 6894.757;

describe('cylinders against each other', () => {
  it('112 and 117 psi on an ordinary gauge are alike', () => {
    const b = new Bench({ strokes: 'two', cylinders: 2 }).psi([
      [1, 112],
      [2, 117]
    ]);
    expect(b.said('compression.alike')).toMatch(/no more than this gauge can tell/);
  });
  it('a low reading is doubted first, and only its repeat makes it low', () => {
    const b = new Bench(triple).psi([
      [1, 118],
      [2, 84],
      [3, 120]
    ]);
    expect(b.ids()).toContain('compression.low.2:watch');
    expect(b.said('compression.low')).toMatch(/Repeat it before believing it/);
    b.psi([
      [3, 119],
      [2, 85],
      [1, 117]
    ]);
    expect(b.ids()).toContain('compression.low.2:fault');
  });
  it('between the limit and what can be told, the answer is cannot tell', () => {
    const b = new Bench({ strokes: 'two', cylinders: 2 }).psi([
      [1, 120],
      [2, 102]
    ]);
    expect(b.ids()).toContain('compression.spread:cannot-tell');
  });
  it('with a valve at the gauge end the repeat is without the adapter', () => {
    const instrument = { name: 'hose', adapterVolume: 8e-6, valve: 'gauge end' as const };
    const b = new Bench(triple).psi(
      [
        [1, 118],
        [2, 80],
        [3, 120],
        [2, 81],
        [3, 119]
      ],
      { instrument }
    );
    expect(b.said('compression.low')).toMatch(/without the adapter/);
  });
  it('the manual’s spread wins over the house rule and is named with its page', () => {
    const b = new Bench({ strokes: 'two', cylinders: 2 }).psi([
      [1, 120],
      [2, 92],
      [2, 93],
      [1, 121]
    ]);
    expect(b.ids().some((i) => i.startsWith('compression.low'))).toBe(true);
    b.survey = {
      ...b.survey,
      engine: { ...b.survey.engine, manual: { 'compression.spread': { value: 0.4, page: '4-7' } } }
    };
    const alike = b.judged().findings.find((f) => f.id === 'compression.alike');
    expect(alike?.because.limit).toBe('40 % (manual, page 4-7)');
  });
  it('names neighbours by bank: 3 and 5 in a V, not 3 and 4', () => {
    const v6 = { strokes: 'two', cylinders: 6, layout: 'v' } as const;
    const good = [
      [1, 115],
      [2, 114],
      [4, 116],
      [6, 115]
    ] as const;
    expect(new Bench(v6).psi([...good, [3, 70], [5, 71]]).said('compression.neighbours')).toMatch(/3 and 5/);
    expect(
      new Bench(v6)
        .psi([
          [1, 115],
          [2, 114],
          [5, 116],
          [6, 115],
          [3, 70],
          [4, 71]
        ])
        .said('compression.neighbours')
    ).toBe('');
  });
});

describe('like with like', () => {
  it('an oiled reading is not compared with dry ones', () => {
    const b = new Bench(triple)
      .psi([
        [1, 118],
        [2, 117]
      ])
      .psi([[3, 140]], { conditions: { throttle: 'open', bores: 'oiled' } });
    expect(b.said('compression.unlike')).toMatch(/bores oiled/);
    expect(b.ids()).toContain('compression.unlike.3:cannot-tell');
    // It was read: it is asked for again, not for the first time.
    expect(b.ids()).not.toContain('compression.missing:cannot-tell');
  });
  it('readings with the throttle shut ask for a repeat', () => {
    const b = new Bench(triple).psi(
      [
        [1, 60],
        [2, 61],
        [3, 59]
      ],
      { conditions: { throttle: 'shut' } }
    );
    expect(b.said('compression.throttle')).toMatch(/wide open/);
  });
  it('a needle at the end of the scale is not a reading', () => {
    const instrument = { name: 'g', range: 300 * psi };
    expect(
      new Bench({ strokes: 'four', cylinders: 1 }).psi([[1, 305]], { instrument }).said('compression.range')
    ).toMatch(/another gauge/);
  });
  it('a battery under 10.5 V is said', () => {
    const b = new Bench(triple).psi([[1, 100]], { conditions: { throttle: 'open', volts: 9.9 } });
    expect(b.said('compression.cranking')).toMatch(/9.9 V/);
  });
  it('a re-check is a round of its own and the first round stays out of it', () => {
    const b = new Bench(triple)
      .psi([
        [1, 118],
        [2, 84],
        [3, 120],
        [2, 84],
        [3, 118]
      ])
      .psi(
        [
          [1, 117],
          [2, 116],
          [3, 118]
        ],
        { round: 2 }
      );
    expect(b.ids()).toContain('compression.alike:sound');
  });
});

describe('the wet test', () => {
  const pair = { strokes: 'two', cylinders: 2, displacement: 500e-6, ratio: 6.5 } as const;
  const wet = (psiWet: number, dose?: number) =>
    new Bench(pair)
      .psi([
        [1, 120],
        [2, 80],
        [2, 80],
        [1, 120]
      ])
      .psi(
        [
          [2, psiWet],
          [2, psiWet]
        ],
        { conditions: { throttle: 'open', bores: 'oiled', ...(dose === undefined ? {} : { dose }) } }
      );
  it('is not called a reading under other conditions', () => {
    expect(
      wet(100, 2.5e-6)
        .ids()
        .filter((i) => i.includes('unlike'))
    ).toEqual([]);
  });
  it('a rise far beyond the oil’s own volume is rings or bore', () => {
    expect(wet(118, 2.5e-6).said('compression.wet')).toMatch(/more than the oil’s own volume explains: rings or bore/);
  });
  it('a rise that the oil’s own volume explains is valve, gasket or crown', () => {
    expect(wet(86, 2.5e-6).said('compression.wet')).toMatch(/valve, gasket or crown/);
  });
  it('without the dose it cannot tell; lower than dry is the test, not the engine', () => {
    expect(wet(101).ids()).toContain('compression.wet.2:cannot-tell');
    expect(wet(101).said('compression.wet')).toMatch(/without the dose/);
    expect(wet(60, 2.5e-6).said('compression.wet')).toMatch(/lower than dry, which oil does not do/);
  });
  it('a dose that fills the chamber is said', () => {
    expect(wet(150, 45e-6).said('compression.wet')).toMatch(/nearly fill the chamber/);
  });
});

describe('the order of testing', () => {
  const tests = [1, 2, 3].map((cylinder, k) => ({ cylinder, pressure: 120 - 14 * k, volts: 12.4 - 0.8 * k }));
  it('a tiring battery confounds the late cylinders', () => {
    expect(orderEffect(tests, [3])).toMatchObject({
      confounded: true,
      tiring: true,
      fall: { of: 'volts', from: 12.4, to: 10.8 }
    });
  });
  it('the reverse order takes that away', () => {
    expect(orderEffect([...tests, ...[...tests].reverse()], [3]).confounded).toBe(false);
  });
  it('an early low cylinder is not excused by it', () => {
    expect(orderEffect(tests, [1]).confounded).toBe(false);
  });
  it('less than half of the best is no order: cranking that tires leaves more', () => {
    const dead = [120, 118, 0].map((pressure, k) => ({ cylinder: k + 1, pressure }));
    expect(orderEffect(dead, [3]).confounded).toBe(false);
    const b = new Bench(triple).psi([
      [1, 120],
      [2, 118],
      [3, 0]
    ]);
    expect(b.ids()).toContain('compression.low.3:watch');
    expect(b.psi([[3, 0]]).ids()).toContain('compression.low.3:fault');
  });
  it('the sheet asks for the reverse order before naming a cylinder', () => {
    const b = new Bench(triple);
    for (const t of tests)
      b.read('compression.pressure', t.pressure * psi, {
        cylinder: t.cylinder,
        conditions: { throttle: 'open', volts: t.volts }
      });
    expect(b.said('compression.order')).toMatch(/reverse order with a good battery/);
    expect(b.ids().some((i) => i.startsWith('compression.low'))).toBe(false);
  });
});

describe('next to nothing in every cylinder', () => {
  const none = (): Bench =>
    new Bench(triple).psi([
      [1, 3],
      [2, 0],
      [3, 2]
    ]);
  it('is the gauge until it was read again: hose and valve first, and no air put in', () => {
    expect(none().ids()).toContain('compression.nothing:cannot-tell');
    expect(none().assessed().moves[0]!.title).toMatch(/hose and valve of the gauge first/);
    expect(
      none()
        .assessed()
        .steps.map((s) => s.id)
    ).not.toContain('leak-down');
  });
  it('read again the same, it is a question to the engine; read again good, it was the gauge', () => {
    const again = none().psi([[1, 2]]);
    expect(again.ids()).toContain('compression.figure:cannot-tell');
    const single = new Bench({ ...triple, cylinders: 1 }).psi([[1, 0]]);
    expect(single.said('compression.nothing')).toMatch(/^Next to nothing: /);
  });
  it('by design, or by a belt that has jumped, it is no gauge', () => {
    const four = { ...triple, strokes: 'four', camDrive: 'belt' } as const;
    const low = (b: Bench) =>
      b
        .psi([1, 2, 3].map((k) => [k, 2] as const))
        .ids()
        .join();
    expect(low(new Bench({ ...four, decompression: 'fitted' }))).not.toMatch(/compression\.nothing/);
    expect(low(new Bench(four).read('turn.belt', 'slack'))).not.toMatch(/compression\.nothing/);
    expect(low(new Bench(four))).toMatch(/compression\.nothing/);
  });
});

describe('against a figure', () => {
  it('a kind’s range only opens a question', () => {
    const b = new Bench({ strokes: 'two', cylinders: 1 }).psi([
      [1, 70],
      [1, 71]
    ]);
    expect(b.ids()).toContain('compression.figure:cannot-tell');
    expect(b.said('compression.figure')).toMatch(/a question, not a fault: leak-down next/);
  });
  it('automatic decompression is said to read low by design', () => {
    expect(
      new Bench({ strokes: 'four', cylinders: 1, decompression: 'fitted' }).psi([[1, 55]]).said('compression.figure')
    ).toMatch(/by design/);
  });
  it('altitude is taken off before the figure is asked', () => {
    const b = new Bench({ strokes: 'two', cylinders: 1 }).read('safe.altitude', 1500).psi([[1, 90]]);
    expect(b.judged().findings.find((f) => f.id === 'compression.figure')?.because.value).toMatch(
      /108 psi at sea level/
    );
  });
  it('never judges a figure it does not have', () => {
    expect(new Bench({ cylinders: 1 }).psi([[1, 100]]).ids()).toContain('compression.nofigure:cannot-tell');
  });
});

describe('properties', () => {
  it('gives a judgement without NaN for any readings on any engine', () => {
    const readings = fc.array(fc.tuple(fc.integer({ min: 1, max: 12 }), fc.double({ min: 0, max: 500, noNaN: true })), {
      minLength: 1,
      maxLength: 30
    });
    fc.assert(
      fc.property(readings, fc.constantFrom('two', 'four', 'unknown'), (list, strokes) => {
        const text = JSON.stringify(
          new Bench({ strokes: strokes as 'two', cylinders: 12 }).psi(list).judged().findings
        );
        expect(text).not.toMatch(/NaN|undefined|Infinity/);
      }),
      { numRuns: 40 }
    );
  });
  it('scaling every reading changes no comparison (gauge error cancels)', () => {
    const ids = (k: number) =>
      new Bench(triple)
        .psi([
          [1, 118 * k],
          [2, 84 * k],
          [3, 120 * k]
        ])
        .ids()
        .filter((i) => /low|alike|spread/.test(i));
    expect(ids(1.05)).toEqual(ids(1));
  });
});
