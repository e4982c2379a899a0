import { describe, expect, it } from 'vitest';
import { contextOf } from '../../findings/context.ts';
import { Bench } from '../../../../test/case.ts';
import { overPressure, stageTest, type CaseStage } from './case-test.ts';

const psi = 6894.757;
const C = (t: number): number => t + 273.15;
const bench = (): Bench => new Bench({ gearCapacity: 250e-6 });
/** The shafts turned and the shift moved, after the readings so far. */
const turned = (b: Bench): Bench => b.read('gear.caseTurned', 'yes');
const at = (b: Bench) => contextOf(b.survey, new Date('2026-05-03'), 'us');
/** A stage read every so many minutes; the bench adds a minute itself. */
const stage = (
  b: Bench,
  s: CaseStage,
  list: readonly number[],
  every = 10,
  temperatures: readonly number[] = []
): Bench => {
  list.forEach((p, k) => {
    if (k) b.wait((every - 1) / 60);
    b.read('gear.casePressure', p * psi, {
      conditions: { stage: s, ...(temperatures[k] === undefined ? {} : { temperature: C(temperatures[k]!) }) }
    });
  });
  return b;
};

describe('the case test', () => {
  it('one reading is a beginning; no fall in ten minutes is not yet held, and says how long', () => {
    expect(stageTest(at(stage(bench(), 'low', [4])), 'low')!.verdict).toBe('begun');
    const ten = stageTest(at(stage(bench(), 'low', [4, 4])), 'low')!;
    // A 0.5 psi gauge on 250 mL shows 1.14 mL/min in ten minutes; for 1 mL/min it takes 11.4.
    expect(ten.smallest! * 1e6).toBeCloseTo(1.14, 2);
    expect(ten.holdFor!).toBeCloseTo(1.4, 1);
    expect(stage(bench(), 'low', [4, 4]).said('gear.case-low')).toMatch(/Hold it 2 min more/);
    expect(turned(stage(bench(), 'low', [4, 4, 4])).ids()).toContain('gear.case-low:sound');
  });
  describe('a stage that was let off before it could say anything', () => {
    const low = (): Bench => turned(stage(bench(), 'low', [4, 4], 5));
    const next = (b: Bench): string => b.assessed().moves.find((m) => /^Case test: /.test(m.title))!.title;
    it('is not held by what is read after it was put on again: not after another stage, not after it was let off', () => {
      const other = turned(stage(low(), 'high', [10, 10, 10, 10]));
      expect(stageTest(at(other), 'low')).toMatchObject({ verdict: 'hold', left: true });
      expect(other.said('gear.case-low')).toMatch(/let off: put it on again, and hold it 12 min/);
      expect(next(other)).toBe('Case test: the low stage again, held for 12 minutes');
      const off = low().read('gear.caseOpen', 'yes').wait(1);
      for (const b of [other, off]) {
        expect(stageTest(at(stage(b, 'low', [4])), 'low')!.verdict).toBe('begun');
        b.wait(0.5);
        expect(stageTest(at(stage(b, 'low', [4])), 'low')!.verdict).toBe('held');
      }
    });
    it('one that is on now is held to its end before the other one is put on again', () => {
      const b = stage(low(), 'high', [10, 10], 5);
      expect(next(b)).toMatch(/^Case test: hold the high stage/);
      expect(b.assessed().moves.find((m) => /^Case test: hold/.test(m.title))!.because).not.toMatch(/^Low stage/);
    });
    it('what was held stays held when it is let off', () => {
      const b = turned(stage(bench(), 'low', [4, 4, 4])).read('gear.caseOpen', 'yes');
      expect(stageTest(at(stage(b, 'high', [10])), 'low')!.verdict).toBe('held');
    });
  });
  it('a fall of several divisions is a leak with its interval', () => {
    const b = stage(bench(), 'high', [10, 9, 8, 7]);
    const t = stageTest(at(b), 'high')!;
    // 3 psi in 30 min, ± half a division at both ends: 0.083 to 0.117 psi/min, 1.4 to 2.0 mL/min of outside air.
    expect(t.leak!.low * 1e6).toBeCloseTo(1.42, 1);
    expect(t.leak!.high * 1e6).toBeCloseTo(1.98, 1);
    expect(b.ids()).toContain('gear.case-high:fault');
    expect(b.assessed().steps.map((s) => s.id)).toContain('case-test');
    expect(b.read('gear.caseBubbles', ['carrier']).said('gear.case-high')).toMatch(
      /It bubbles at: carrier and its O-ring/
    );
    // The place is named: what is left is to reseal it.
    expect(b.assessed().steps.map((s) => s.id)).toEqual(['reseal']);
  });
  it('a case that only cooled is not a leak', () => {
    // 10 psi at 20 °C cooling to 14 °C reads 9.49 psi (ideal gas): one division, with the temperature noted it is nothing.
    const b = stage(bench(), 'high', [10, 10, 9.5], 10, [20, 17, 14]);
    expect(stageTest(at(b), 'high')!.rate!.low).toBeLessThanOrEqual(0);
    expect(b.ids()).not.toContain('gear.case-high:fault');
  });
  it('a pressure that rises, and a temperature that jumps by 60 °C, are said and not judged', () => {
    expect(stage(bench(), 'high', [10, 11, 12]).said('gear.case-high')).toMatch(/goes the wrong way/);
    expect(stage(bench(), 'high', [10, 9], 10, [20, 80]).said('gear.case-high')).toMatch(/no steady leak passes/);
    expect(stage(bench(), 'high', [10, 7, 10]).ids()).toContain('gear.case-high:cannot-tell');
  });
  it('under vacuum the loss goes towards the air outside', () => {
    const leaking = stage(bench(), 'vacuum', [4, 3, 2]);
    expect(leaking.ids()).toContain('gear.case-vacuum:fault');
    expect(turned(stage(bench(), 'vacuum', [4, 4, 4])).ids()).toContain('gear.case-vacuum:sound');
  });
  it('held means nothing until the shafts were turned', () => {
    const b = stage(new Bench({ gearCapacity: 250e-6 }), 'low', [4, 4, 4]);
    expect(b.ids()).toContain('gear.case-low:cannot-tell');
    expect(b.said('gear.case-low')).toMatch(/Turn both shafts/);
  });
  it('deeper than the air outside presses there is no vacuum, and no stage that held it', () => {
    const b = turned(stage(bench(), 'vacuum', [20, 20, 20]));
    expect(stageTest(at(b), 'vacuum')).toBeUndefined();
    expect(b.ids()).not.toContain('gear.case-vacuum:sound');
  });
  it('over 15 psi is refused unless the manual allows it; vacuum is no pressure', () => {
    const b = bench();
    expect(overPressure(at(b), 20 * psi, 'high')).toMatch(/Refused: 20 psi is over 15 psi/);
    expect(overPressure(at(b), 15 * psi, 'high')).toBeUndefined();
    expect(overPressure(at(b), 20 * psi, 'vacuum')).toBeUndefined();
    b.survey = {
      ...b.survey,
      engine: { ...b.survey.engine, manual: { 'gear.casePressure': { value: 18 * psi, page: '6-11' } } }
    };
    expect(overPressure(at(b), 17 * psi, 'high')).toBeUndefined();
    expect(stage(bench(), 'high', [20]).said('gear.case-over')).toMatch(/Seals may have been blown/);
  });
  it('without the case’s volume it still tells a leak, and says what is missing', () => {
    const b = new Bench({});
    expect(stage(b, 'high', [10, 10]).said('gear.case-high')).toMatch(/Enter the case’s oil capacity/);
    expect(stage(new Bench({}), 'high', [10, 8, 6]).ids()).toContain('gear.case-high:fault');
  });
});

describe('a doubt about a stage has an end', () => {
  /** A small case that loses its vacuum over an hour: a leak about as large as what counts as held. */
  const fading = (b = new Bench({ gearCapacity: 150e-6 }), s: CaseStage = 'vacuum'): Bench => {
    for (const [minutes, p] of [
      [0, 3.75],
      [5, 3.25],
      [15, 2.25],
      [20, 1.25],
      [20, 0.75]
    ] as const) {
      b.wait((minutes - 1) / 60);
      b.read('gear.casePressure', p * psi, { conditions: { stage: s, temperature: 290 } });
    }
    return turned(b);
  };
  const titles = (b: Bench): string[] => b.assessed().moves.map((m) => m.title);

  it('on the limit after long enough, it is looked for by eye instead of held for one minute more', () => {
    const b = fading();
    const t = stageTest(at(b), 'vacuum')!;
    expect(t.verdict).toBe('hold');
    expect(t.onLimit).toBe(true);
    expect(b.said('gear.case-vacuum')).toMatch(/on the limit.*does not count as held/);
    expect(titles(b).join('|')).not.toMatch(/hold the vacuum stage/);
    expect(b.ids()).not.toContain('gear.case-vacuum:sound');
    expect(b.ids()).not.toContain('gear.case-vacuum:fault');
  });
  it('soap put on before the stage says nothing of it', () => {
    const soap = 'Case test: soapy water over every seal and plug at the low stage';
    const before = new Bench({ gearCapacity: 150e-6 }).read('gear.caseBubbles', []);
    expect(titles(fading(before, 'low'))).toContain(soap);
    expect(titles(fading(undefined, 'low'))).toContain(soap);
    expect(titles(fading(undefined, 'low').read('gear.caseBubbles', []))).not.toContain(soap);
  });
  it('a stage that has said what it can keeps the next one from waiting', () => {
    const b = fading(new Bench({ gearCapacity: 150e-6 }), 'low').read('gear.caseBubbles', []);
    expect(titles(b)).toContain('Case test: the high stage now');
    expect(b.ids()).not.toContain('gear.case-low:sound');
  });
  it('a stage that only wants time still says how much', () => {
    expect(titles(stage(bench(), 'low', [4, 4])).join('|')).toMatch(/hold the low stage 2 more minutes/);
  });
  it('bubbles seen ask for the stage again once; read again, they stand without another repeat', () => {
    const seen = turned(stage(bench(), 'low', [4, 4, 4])).read('gear.caseBubbles', ['carrier']);
    const again = 'Case test: the stage again at which it bubbles, shafts turned';
    expect(titles(seen)).toContain(again);
    expect(titles(turned(stage(seen, 'low', [4, 4, 4])))).not.toContain(again);
    expect(turned(stage(seen, 'low', [4, 4, 4])).ids()).toContain('gear.bubbles:fault');
  });
  it('bubbles at the plugs ask for fresh washers before anything else', () => {
    const seen = turned(stage(bench(), 'low', [4, 4, 4])).read('gear.caseBubbles', ['plugs']);
    expect(titles(seen)).toContain('A fresh washer for each gear plug, then the same stage again');
  });
});
