import { describe, expect, it } from 'vitest';
import type { Conditions } from '../../src/core/record/reading.ts';
import { Bench } from '../case.ts';
import { magneto, tester, v6 } from './engines.ts';
import { story } from './story.ts';

const twin = { strokes: 'two', cylinders: 2, displacement: 300e-6, ignition: 'cdi', starting: 'rope' } as const;

describe('spark: none through the tester', () => {
  const spark =
    (k: number, value: 'good' | 'none' | 'weak', conditions: Conditions = { path: 'tester' }) =>
    (b: Bench) =>
      b.read('spark.result', value, { cylinder: k, conditions });
  story(
    () => new Bench(twin).read('spark.lanyard', 'yes'),
    [
      { entered: 'cylinder 1 good', by: spark(1, 'good') },
      { entered: 'cylinder 2 none', by: spark(2, 'none'), finds: ['spark.none.2:fault'] },
      {
        entered: 'cylinder 2 good to a bolt',
        by: spark(2, 'good', { path: 'bolt' }),
        finds: ['spark.ground.2:fault'],
        notFinds: ['spark.good', 'spark.unsteady']
      },
      {
        entered: 'unknown, later',
        by: (b) => b.read('spark.result', 'unknown', { cylinder: 2 }),
        finds: ['spark.ground.2:fault']
      }
    ]
  );
  describe('with the lanyard out', () =>
    story(
      () => new Bench(twin),
      [
        {
          entered: 'none on both',
          by: (b) => spark(2, 'none')(spark(1, 'none')(b)),
          finds: ['spark.lanyard:cannot-tell'],
          notFinds: ['spark.all', 'spark.none']
        },
        {
          entered: 'the lanyard was out',
          by: (b) => b.read('spark.lanyard', 'no'),
          finds: ['spark.lanyard:cannot-tell'],
          says: /lanyard out or the switch off: that says nothing/
        },
        {
          entered: 'it is in now, and nobody has looked again',
          by: (b) => b.read('spark.lanyard', 'yes'),
          finds: ['spark.lanyard:cannot-tell'],
          notFinds: ['spark.all', 'spark.none', 'spark.part']
        },
        {
          entered: 'good on both',
          by: (b) => spark(2, 'good')(spark(1, 'good')(b)),
          finds: ['spark.good:sound'],
          notFinds: ['spark.lanyard', 'spark.unsteady']
        }
      ]
    ));
  describe('weak in the sun', () =>
    story(
      () => new Bench(twin).read('spark.lanyard', 'yes'),
      [
        {
          entered: 'cylinder 1 good, 2 weak in the sun',
          by: (b) => spark(2, 'weak', { path: 'tester', light: 'sun' })(spark(1, 'good')(b)),
          finds: ['spark.sun.2:cannot-tell'],
          notFinds: ['spark.weak']
        },
        {
          entered: 'good in shade',
          by: spark(2, 'good', { path: 'tester', light: 'shade' }),
          finds: ['spark.good:sound'],
          notFinds: ['spark.sun']
        },
        {
          entered: 'weak in the sun once more',
          by: spark(2, 'weak', { path: 'tester', light: 'sun' }),
          finds: ['spark.good:sound']
        }
      ]
    ));
  describe('what was tried at one cylinder says nothing of another', () =>
    story(
      () => new Bench({ ...twin, cylinders: 3 }).read('spark.lanyard', 'yes'),
      [
        {
          entered: 'cylinder 2 dead, the fault moves with its lead',
          by: (b) =>
            spark(
              3,
              'good'
            )(spark(2, 'none')(spark(1, 'good')(b)))
              .read('spark.plugSwap', 'stays')
              .read('spark.leadSwap', 'moves'),
          finds: ['spark.own-lead.2:fault'],
          says: /it is its lead or cap/
        },
        {
          entered: 'renewed and good; now cylinder 3 is dead',
          by: (b) => spark(3, 'none')(spark(2, 'good')(b.done('lead'))),
          notFinds: ['spark.own']
        }
      ]
    ));
  describe('windings, cold and hot', () =>
    story(
      () => new Bench(twin).read('spark.lanyard', 'yes'),
      [
        {
          entered: '350 Ω cold and 340 Ω hot: the hot one is not averaged in',
          by: (b) => {
            b.survey = {
              ...b.survey,
              engine: { ...b.survey.engine, manual: { 'spark.charge': { value: 340, to: 370 } } }
            };
            return b
              .read('spark.charge', 350, { conditions: { temperature: 293.15 } })
              .read('spark.charge', 340, { conditions: { temperature: 353.15 } });
          },
          finds: ['spark.charge:sound', 'spark.hot-charge:fault']
        }
      ]
    ));
  describe('one sparks, and nobody said anything of the lanyard', () =>
    story(
      () => new Bench(twin).read('look.wiring', 'chewed'),
      [
        {
          entered: 'cylinder 1 good, cylinder 2 none',
          by: (b) => spark(2, 'none')(spark(1, 'good')(b)),
          finds: ['spark.none.2:fault'],
          notFinds: ['spark.lanyard'],
          notSays: /lanyard and the switch are not recorded/
        },
        {
          entered: 'the loom mended, good on 2',
          by: (b) => spark(2, 'good')(b.done('wiring')),
          finds: ['spark.good:sound'],
          notFinds: ['spark.unsteady', 'spark.none']
        }
      ]
    ));
});

describe('none, the lanyard not answered, and none with the stop wire off', () => {
  const none = (): Bench =>
    new Bench(magneto, 'long-stored', { yearsIdle: 8 }).read('spark.result', 'none', { cylinder: 1, ...tester });
  const lanyard = (b: Bench): number => b.assessed().advice.suspects.find((s) => s.id === 'lanyard')?.probability ?? 0;
  it('nobody is asked for a lanyard that is out of the circuit', () => {
    expect(none().ids()).toContain('spark.lanyard:cannot-tell');
    const b = none().read('spark.stopWire', 'still');
    expect(b.ids()).not.toContain('spark.lanyard:cannot-tell');
    expect(b.ids()).toContain('spark.all:fault');
    expect(lanyard(b)).toBeLessThan(lanyard(none()) / 2);
  });
  it('spark that returns with it off leaves both of them open', () => {
    const b = none().read('spark.stopWire', 'returns');
    expect(b.said('spark')).toMatch(/before a wire is blamed/);
  });
  it('unknown is no answer', () => {
    expect(none().read('spark.stopWire', 'unknown').ids()).toContain('spark.lanyard:cannot-tell');
  });
});

describe('one bank of a V without spark', () => {
  const dead = (): Bench => {
    const b = new Bench(v6).read('spark.lanyard', 'yes').read('look.wiring', 'good');
    for (let cylinder = 1; cylinder <= 6; cylinder++)
      b.read('spark.result', cylinder % 2 ? 'good' : 'none', { cylinder, ...tester });
    return b.read('spark.triggerTest', 'within').read('spark.chargeTest', 'within');
  };
  const next = (b: Bench): string | undefined => b.assessed().moves.find((m) => m.station === 'spark')?.title;
  const renewed = (b: Bench): boolean => b.assessed().steps.some((s) => s.id === 'spark-common' && s.state === 'open');
  it('what is left of its feed is tried before it is bought', () => {
    const b = dead();
    expect(b.said('spark.part-pack')).toMatch(/one whole bank: it is the power pack of that bank, by elimination/);
    expect(next(b)).toMatch(/^A known good power pack/);
    expect(renewed(b)).toBe(false);
  });
  it('spark with a good one in its place makes it the work', () => {
    expect(renewed(dead().read('spark.packSwap', 'returns'))).toBe(true);
  });
  it('nobody has one to try: the work stands on what was measured', () => {
    expect(renewed(dead().read('spark.packSwap', 'unknown'))).toBe(true);
  });
  it('still none with a good one: all that the bank shares was cleared, and nothing is bought', () => {
    const b = dead().read('spark.packSwap', 'still');
    expect(b.said('spark.pair')).toMatch(/All that they share was cleared/);
    expect(renewed(b)).toBe(false);
  });
});
