import { describe } from 'vitest';
import type { Conditions, Instrument } from '../../src/core/record/reading.ts';
import { Bench } from '../case.ts';
import { direct } from '../gauges.ts';
import { story } from './story.ts';

const twin = { strokes: 'two', cylinders: 2, displacement: 300e-6, ignition: 'cdi', starting: 'rope' } as const;
const open: Conditions = { throttle: 'open', bores: 'dry', engine: 'cold' };

const psi =
  (list: readonly (readonly [number, number])[], conditions: Conditions = open, instrument: Instrument = direct) =>
  (b: Bench): Bench =>
    b.psi(list, { conditions, instrument });
const twice =
  (list: readonly (readonly [number, number])[]) =>
  (b: Bench): Bench =>
    psi(list)(psi(list)(b));

describe('leak-down answers what asked for it', () => {
  const leak = (k: number, share: number) => (b: Bench) => b.read('compression.leakdown', share, { cylinder: k });
  story(
    () => new Bench(twin),
    [
      {
        entered: '58 and 57, twice',
        by: twice([
          [1, 58],
          [2, 57]
        ]),
        finds: ['compression.figure:cannot-tell'],
        says: /leak-down next/
      },
      { entered: 'cylinder 1 is tight at 4 %', by: leak(1, 0.04), finds: ['compression.figure:cannot-tell'] },
      {
        entered: 'cylinder 2 is tight at 5 %',
        by: leak(2, 0.05),
        finds: ['compression.figure:sound'],
        notSays: /leak-down next/
      }
    ]
  );
  describe('of one that is low', () =>
    story(
      () => new Bench(twin),
      [
        {
          entered: '120 and 84, twice',
          by: twice([
            [1, 120],
            [2, 84]
          ]),
          finds: ['compression.low.2:fault']
        },
        { entered: 'cylinder 1 tight', by: leak(1, 0.04), finds: ['compression.low.2:fault'] },
        {
          entered: 'cylinder 2 tight as well',
          by: leak(2, 0.04),
          finds: ['compression.low.2:cannot-tell'],
          says: /leak-down finds it tight/,
          notSays: /Wet test or leak-down next/
        }
      ]
    ));
  describe('of one that is low and leaks', () =>
    story(
      () => new Bench(twin),
      [
        {
          entered: '120 and 84, twice',
          by: twice([
            [1, 120],
            [2, 84]
          ]),
          finds: ['compression.low.2:fault']
        },
        {
          entered: 'cylinder 2 leaks',
          by: leak(2, 0.42),
          finds: ['compression.low.2:fault', 'compression.leakdown.2:fault'],
          says: /leak-down was heard: what it points to is opened next/,
          notSays: /Wet test or leak-down next/
        }
      ]
    ));
});

describe('two leak-downs that do not agree', () => {
  story(
    () => new Bench(twin),
    [
      {
        entered: '42 % on cylinder 2',
        by: (b) => b.read('compression.leakdown', 0.42, { cylinder: 2 }),
        finds: ['compression.leakdown.2:fault']
      },
      {
        entered: '4 % a minute later, with nothing done between',
        by: (b) => b.read('compression.leakdown', 0.04, { cylinder: 2 }),
        finds: ['compression.leakdown.2:cannot-tell'],
        says: /gave 42 % and 4 %: they are not of the same thing/,
        notSays: /tight|23 %/
      },
      {
        entered: 'rings freed, 4 %',
        by: (b) => b.read('compression.leakdown', 0.04, { cylinder: 2, round: 2 }),
        finds: ['compression.leakdown.2:sound']
      }
    ]
  );
});
