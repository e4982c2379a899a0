import fc from 'fast-check';
// @ts-expect-error It brings no types.
import jstat from 'jstat';
import { describe, expect, it } from 'vitest';
import { Bench } from '../../../test/case.ts';
import { decide } from './decide.ts';
import type { Job } from '../plan/bill.ts';
import { drawCosts, histogram, quantile, shareOver } from './monte-carlo.ts';
import { pertDraw, pertMean, pertShape, pertVariance, type Three } from '../physics/pert.ts';
import { answerBy, ownersQuestion } from './question.ts';

const { jStat } = jstat as unknown as {
  jStat: {
    beta: {
      inv(p: number, a: number, b: number): number;
      mean(a: number, b: number): number;
      variance(a: number, b: number): number;
    };
  };
};
const job = (label: string, probability: number, parts: Three, minutes: Three): Job => ({
  id: label,
  works: [{ label, probability, parts, minutes }]
});

describe('PERT-beta', () => {
  const three: fc.Arbitrary<Three> = fc
    .tuple(fc.integer({ min: 0, max: 200 }), fc.integer({ min: 1, max: 200 }), fc.integer({ min: 1, max: 500 }))
    .map(([a, b, c]) => [a, a + b, a + b + c]);
  it('mean and variance equal those of the beta, by jstat', () => {
    fc.assert(
      fc.property(three, (t) => {
        const { alpha, beta } = pertShape(t)!;
        const width = t[2] - t[0];
        expect(pertMean(t)).toBeCloseTo(t[0] + width * jStat.beta.mean(alpha, beta), 8);
        expect(pertVariance(t)).toBeCloseTo(width ** 2 * jStat.beta.variance(alpha, beta), 6);
      })
    );
  });
  it('draws have the quantiles jstat gives, and a range of no width is a number', () => {
    const t: Three = [40, 80, 180];
    const { alpha, beta } = pertShape(t)!;
    const list = drawCosts([job('x', 1, t, [0, 0, 0])], 60, 40_000, 0.3).costs;
    for (const p of [0.05, 0.25, 0.5, 0.75, 0.95])
      expect(Math.abs(quantile(list, p) - (40 + 140 * jStat.beta.inv(p, alpha, beta)))).toBeLessThan(1.2);
    expect(pertDraw([7, 7, 7], () => 0.5)()).toBe(7);
  });
});

describe('Monte Carlo', () => {
  const jobs = [
    job('a', 0.3, [50, 90, 200], [30, 60, 120]),
    job('b', 0.8, [10, 20, 60], [10, 20, 45]),
    job('c', 1, [35, 55, 95], [45, 60, 100])
  ];
  it('mean and variance against the closed form of independent works that are there or not', () => {
    const rate = 60;
    let mean = 0;
    let variance = 0;
    for (const { works } of jobs)
      for (const w of works) {
        const m = pertMean(w.parts) + (pertMean(w.minutes) / 60) * rate;
        const v = pertVariance(w.parts) + pertVariance(w.minutes) * (rate / 60) ** 2;
        mean += w.probability * m;
        variance += w.probability * (v + m * m) - (w.probability * m) ** 2;
      }
    const d = drawCosts(jobs, rate, 60_000, 0.7);
    const error = Math.sqrt(variance / 60_000);
    expect(Math.abs(d.mean - mean)).toBeLessThan(4 * error);
    expect(Math.abs(d.deviation ** 2 / variance - 1)).toBeLessThan(0.03);
  });
  it('the same seed gives the same draws, another seed others', () => {
    expect(drawCosts(jobs, 60, 500, 0.2).costs).toEqual(drawCosts(jobs, 60, 500, 0.2).costs);
    expect(drawCosts(jobs, 60, 500, 0.2).mean).not.toBe(drawCosts(jobs, 60, 500, 0.21).mean);
  });
  it('works of one job pay their hands once', () => {
    const works = [1, 2].map((k) => ({
      label: `${k}`,
      probability: 1,
      parts: [10, 10, 10] as Three,
      minutes: [60, 60, 60] as Three
    }));
    expect(drawCosts([{ id: 'pump', works }], 60, 10, 0.5).mean).toBe(80);
  });
  it('shares, quantiles and steps agree with the list', () => {
    const list = Float64Array.from({ length: 100 }, (_, k) => k + 1);
    expect([shareOver(list, 0), shareOver(list, 50), shareOver(list, 100)]).toEqual([1, 0.5, 0]);
    expect(histogram(list, 10).reduce((sum, b) => sum + b.n, 0)).toBe(100);
    const steps = histogram(list, 10);
    for (const [k, b] of steps.entries()) {
      expect(b.to - b.from).toBeCloseTo(steps[0]!.to);
      if (k) expect(b.from).toBeCloseTo(steps[k - 1]!.to);
    }
    expect([quantile(new Float64Array(0), 0.5), shareOver(new Float64Array(0), 1)]).toEqual([0, 0]);
    for (const p of [1.2, -0.1, Number.NaN])
      expect(() => drawCosts([job('x', p, [0, 0, 0], [0, 0, 0])], 60, 1, 0.1)).toThrow(/from 0 to 1/);
  });
});

describe('the decision', () => {
  const gasket = (history: Record<string, number> = {}): Bench => {
    const b = new Bench(
      { strokes: 'two', cylinders: 4, layout: 'inline', displacement: 1.2e-3, starting: 'electric' },
      'neglected',
      history
    );
    b.read('safe.lanyard', 'out').read('turn.result', 'bumps').read('turn.feel', []);
    for (let k = 0; k < 2; k++)
      b.psi(
        [
          [1, 118],
          [2, 70],
          [3, 71],
          [4, 117]
        ],
        { instrument: { name: 'g', adapterVolume: 0, valve: 'plug end' } }
      );
    for (const c of [2, 3])
      b.read('compression.leakdown', 0.45, { cylinder: c }).read('compression.escape', ['neighbour'], { cylinder: c });
    return b;
  };
  it('is the same every time, names its spread, and asks for an agreed sum where it is wide', () => {
    const d = decide(gasket({ worth: 3600, salvage: 600, ceiling: 600 }).judged());
    expect(decide(gasket({ worth: 3600, salvage: 600, ceiling: 600 }).judged())).toEqual(d);
    expect(d.cost.low).toBeLessThan(d.cost.median);
    expect(d.breakEven).toBe(3000);
    expect(d.overCeiling).toBeGreaterThan(0.05);
  });
  it('prices missing: sums and words, no value on any option', () => {
    const d = decide(gasket().judged());
    expect(d.worthKnown).toBe(false);
    expect(d.options.every((o) => o.value === undefined)).toBe(true);
    expect(d.breakEven).toBeUndefined();
    expect(d.cost.mean).toBeGreaterThan(200);
  });
  it('a ceiling of zero is a ceiling: nearly every case passes it', () => {
    const d = decide(gasket({ worth: 3600, ceiling: 0 }).judged());
    expect(d.overCeiling).toBe(1);
    expect(['repair-under', 'hold']).toContain(d.recommended);
  });
  it('an engine worth little is kept for parts', () => {
    const d = decide(gasket({ worth: 420, salvage: 200 }).judged());
    expect(d.recommended).toBe('parts');
  });
  it('a sound engine is serviced and released, and nothing more', () => {
    const b = new Bench({ strokes: 'two', cylinders: 1, ignition: 'cdi' }, 'spring-return', {
      laidUp: 'yes',
      worth: 900
    });
    b.read('safe.lanyard', 'out')
      .read('turn.result', 'bumps')
      .read('turn.feel', [])
      .read('gear.first', 'oil')
      .read('gear.look', 'clear')
      .read('fuel.age', 0.2)
      .read('fuel.jar', 'clear')
      .read('look.cowl', 'clean');
    const d = decide(b.judged());
    expect(['service', 'hold']).toContain(d.recommended);
    expect(d.options.find((o) => o.id === 'service')!.closed).toBeUndefined();
  });
  it('every check bad at once is a decision all the same', () => {
    const b = gasket({ worth: 3600 });
    b.read('gear.first', 'water')
      .read('gear.look', 'milky')
      .read('gear.magnet', 'pieces')
      .read('fuel.jar', 'layers')
      .read('cooling.stream', 'none')
      .read('run.outcome', 'failed')
      .read('look.case', 'stain')
      .read('look.wiring', 'chewed')
      .read('fuel.bulb', 'flat');
    for (let c = 1; c <= 4; c++) b.read('spark.result', 'none', { cylinder: c });
    const d = decide(b.judged());
    expect(JSON.stringify(d)).not.toMatch(/NaN|null|Infinity/);
    expect(['parts', 'specialist', 'repair-under', 'hold']).toContain(d.recommended);
  });
  it('not known enough yet until what decides has been looked at; three sums never mixed', () => {
    const fresh = decide(
      new Bench({ strokes: 'two', cylinders: 2, absent: ['controls', 'propeller'] }, 'neglected').judged()
    );
    expect(fresh.recommended).toBe('hold');
    expect(fresh.because).toMatch(/^Open: Look it over, cowl to skeg; Turn it by hand; /);
    expect(fresh.options.find((o) => o.id === 'service')!.closed).toMatch(/^Not looked at enough/);
    // Missing controls and a propeller are certain; what such engines usually hide is reserve.
    const whole = decide(new Bench({ strokes: 'two', cylinders: 2 }, 'neglected').judged());
    expect(fresh.sums.established - whole.sums.established).toBeGreaterThan(300);
    expect(fresh.sums.likely).toBeLessThan(fresh.sums.reserve);
  });
  it('one noise is no reason to keep it for parts', () => {
    const b = new Bench({ strokes: 'two', cylinders: 2 }, 'neglected', { worth: 300, salvage: 200 });
    b.read('turn.result', 'free').read('turn.feel', ['noise']);
    expect(decide(b.judged()).recommended).toBe('hold');
  });
  it('asks the owner in one paragraph: found, sum, worst case, question', () => {
    const b = gasket({ worth: 3600, salvage: 600, ceiling: 700 });
    const j = b.assessed();
    const now = new Date('2026-05-04T12:00:00.000Z');
    const text = ownersQuestion(j, decide(j), j.advice, j.steps, now);
    expect(text).toMatch(/^Test, found: head gasket between cylinders 2 and 3/);
    expect(text).toMatch(/What is certain costs about \d+ cr.*; nine times in ten the whole stays under \d+ cr\./);
    expect(text).toMatch(/[?.]$/);
  });
  it('names work that was plainly seen, and says that nothing asks for a repair only where nothing does', () => {
    const text = (b: Bench): string => {
      const j = b.assessed();
      return ownersQuestion(j, decide(j), j.advice, j.steps, new Date('2026-05-04T12:00:00.000Z'));
    };
    const twin = { strokes: 'two', cylinders: 2 } as const;
    expect(text(new Bench(twin, 'spring-return'))).toMatch(/nothing we have seen so far asks for a repair/);
    const seen = text(new Bench(twin, 'spring-return').read('look.hoses', 'cracked'));
    expect(seen).toMatch(/To be done: renew hoses and bulb/);
    expect(seen).not.toMatch(/nothing we have seen/);
  });
  it('an answer is asked for by a day: before the promised one by the work, tomorrow at the earliest, today under water', () => {
    const now = new Date('2026-05-04T12:00:00.000Z');
    const b = gasket({ worth: 3600, salvage: 600, ceiling: 700 });
    const d = { ...decide(b.assessed()), recommended: 'repair', minutes: { median: 300, high: 700 } } as const;
    const day = (history: object, kind = b.survey.assessment.kind): string | undefined =>
      answerBy(
        { ...b.survey, assessment: { ...b.survey.assessment, kind }, engine: { ...b.survey.engine, history } },
        d,
        now
      )
        ?.toISOString()
        .slice(0, 10);
    expect(day({})).toBe('2026-05-11');
    expect(day({ promised: '2026-05-20T12:00:00.000Z' })).toBe('2026-05-17');
    expect(day({ promised: '2026-05-05T12:00:00.000Z' })).toBe('2026-05-05');
    expect(day({}, 'drowned')).toBe('2026-05-04');
    expect(answerBy(b.survey, { ...d, recommended: 'hold' }, now)).toBeUndefined();
  });
  it('a recorded decision is an entry like any other', async () => {
    const { entriesOf, withEntries } = await import('../record/entries.ts');
    const { checkEntryBody } = await import('../survey/entry-check.ts');
    const body = {
      id: 'd1',
      at: '2026-05-02T10:00:00.000Z',
      by: 'Ines',
      option: 'repair',
      reason: 'Known and cheap.',
      authority: 'Go ahead.'
    };
    const checked = checkEntryBody('decision', body);
    expect(checked.ok).toBe(true);
    const survey = withEntries(new Bench().survey, checked.ok ? [checked.entry] : []);
    expect(survey.decisions).toHaveLength(1);
    expect(entriesOf(survey).map((e) => e.type)).toEqual(['decision']);
    expect(checkEntryBody('decision', { ...body, option: 'sell' }).ok).toBe(false);
    expect(checkEntryBody('decision', { ...body, reason: ' ' })).toMatchObject({
      message: expect.stringMatching(/say why/)
    });
  });
});

describe('an engine that is worth less than what is certain', () => {
  const pieces = (worth: number): Bench => {
    const b = new Bench(
      { strokes: 'two', cylinders: 1, displacement: 120e-6, ignition: 'points', starting: 'rope', shift: 'shift' },
      'neglected',
      { worth, salvage: 200, hours: 600, submerged: 'no' }
    );
    b.read('safe.lanyard', 'out').read('safe.battery', 'not-fitted').read('safe.propeller', 'clear');
    b.read('safe.secured', 'yes').read('look.cowl', 'clean').read('look.wiring', 'good').read('look.hoses', 'supple');
    b.read('turn.plugs', 'in').read('turn.result', 'bumps').read('turn.neutral', 'spins');
    b.read('turn.forward', 'follows').read('turn.reverse', 'follows');
    b.read('plugs.read', ['normal'], { cylinder: 1 }).read('plugs.hole', 'clean', { cylinder: 1 });
    b.read('spark.lanyard', 'yes').read('spark.result', 'good', {
      cylinder: 1,
      conditions: { path: 'tester', light: 'shade' }
    });
    b.psi([[1, 120]]).psi([[1, 120]]);
    b.read('gear.first', 'oil').read('gear.look', 'clear').read('gear.magnet', 'pieces');
    b.read('fuel.level', 'some').read('fuel.age', 0).read('fuel.jar', 'clear');
    b.read('fuel.tank', 'fresh').read('fuel.line', 'fresh').read('fuel.bowl', 'fresh');
    return b;
  };
  it('is kept for parts, and not sent to a specialist for a price', () => {
    const d = decide(pieces(250).assessed(), 2000);
    expect(d.recommended).toBe('parts');
    expect(d.because).toMatch(/^What is certain alone costs/);
  });
  it('one that is worth mending is not', () => {
    expect(decide(pieces(3000).assessed(), 2000).recommended).not.toBe('parts');
  });
});
