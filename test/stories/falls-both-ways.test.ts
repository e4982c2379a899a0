import { describe, expect, it } from 'vitest';
import { compareAll } from '../../src/core/stations/compression/compare.ts';
import { fellBothWays } from '../../src/core/stations/compression/order.ts';
import { singleRepeat } from '../../src/core/stations/compression/repeat.ts';
import { sayRepeat } from '../../src/core/stations/compression/repeat-words.ts';
import { Bench } from '../case.ts';
import { jobs, moves, readyToRun } from './all-good.ts';
import { two, v6 } from './engines.ts';
import { story } from './story.ts';

type Pressures = [number, number][];
const forward: Pressures = [
  [1, 118],
  [2, 114],
  [3, 110],
  [4, 105],
  [5, 100],
  [6, 94]
];
const reverse: Pressures = [
  [6, 117],
  [5, 114],
  [4, 110],
  [3, 106],
  [2, 101],
  [1, 95]
];

describe('six cylinders read from first to last, then from last to first', () => {
  story(
    () => readyToRun(v6, 'neglected', ['compression']),
    [
      {
        entered: 'falling from the first to the last',
        by: (b) => b.psi(forward),
        finds: ['compression.order:cannot-tell'],
        notFinds: ['compression.low']
      },
      {
        entered: 'and falling the other way: what is read late is low, whichever it is',
        by: (b) => b.psi(reverse),
        finds: ['compression.cranking:watch', 'compression.alike:sound'],
        notFinds: ['compression.scatter', 'compression.low', 'compression.order', 'compression.spread'],
        says: /fall in both orders, by 5 psi from one cylinder to the next.*battery or starter, not a cylinder/,
        now: /^Compression again, on a charged battery/,
        notJobs: ['leak-down', 'overhaul', 'soak']
      },
      {
        entered: 'charged, all alike: the two tests before it are explained',
        by: (b) =>
          b.psi([
            [1, 118],
            [2, 117],
            [3, 118],
            [4, 116],
            [5, 117],
            [6, 118]
          ]),
        is: { compression: 'sound' },
        notFinds: ['compression.cranking', 'compression.scatter'],
        notJobs: ['compression-repeat']
      }
    ]
  );

  it('one that is low in both orders is low: the fall is not taken for it', () => {
    const b = readyToRun(v6, 'neglected', ['compression']).psi(forward);
    b.psi([[6, 88], ...reverse.slice(1)]);
    expect(b.ids()).not.toContain('compression.alike:sound');
    expect(b.said('compression.cranking')).toBe('');
  });

  it('a third test that is only begun changes nothing yet; whole and alike, with one of them read once more, it speaks', () => {
    const b = readyToRun(v6, 'neglected', ['compression'])
      .psi(forward)
      .psi(reverse)
      .psi([[1, 118]]);
    expect(b.ids()).toContain('compression.cranking:watch');
    expect(b.ids().filter((id) => /compression\.(scatter|low|spread)/.test(id))).toEqual([]);
    b.psi([2, 3, 4, 5, 6].map((k) => [k, 117]));
    b.psi([[6, 116]]);
    expect(b.ids().filter((id) => /compression\.(cranking|scatter|low|spread)/.test(id))).toEqual([]);
  });
  it('a first test that fell is explained by one after it in which all are alike, whatever was read again since', () => {
    const b = readyToRun(v6, 'neglected', ['compression']).psi(forward);
    b.psi([6, 5, 4, 3, 2, 1].map((k) => [k, 117])).psi([[3, 116]]);
    expect(b.ids().filter((id) => /compression\.(order|scatter|low|spread)/.test(id))).toEqual([]);
  });

  it('by rope it is the arm, and a twin shows it too', () => {
    const b = new Bench({ ...two, cylinders: 2, starting: 'rope' }).psi([
      [1, 118],
      [2, 95]
    ]);
    b.psi([
      [2, 117],
      [1, 97]
    ]);
    expect(b.said('compression.cranking')).toMatch(/arm or starter.*a rest between two/);
    expect(moves(b)).toContain('Compression again, cranked briskly');
    expect(jobs(b)).not.toContain('leak-down');
  });
});

describe('what two opposite orders tell', () => {
  const tests = (...lists: Pressures[]): { cylinder: number; pressure: number }[] =>
    lists.flat().map(([cylinder, pressure]) => ({ cylinder, pressure }));

  it('levels every reading by what a place costs', () => {
    const fell = fellBothWays(
      tests(
        [
          [1, 120],
          [2, 100]
        ],
        [
          [2, 120],
          [1, 100]
        ]
      ),
      0.1
    );
    expect(fell).toEqual({ step: 20, from: 0, levelled: [110, 110, 110, 110] });
  });
  it('is nothing in the same order twice, where one did not fall, or by less than the limit', () => {
    expect(fellBothWays(tests(forward, forward), 0.1)).toBeUndefined();
    expect(fellBothWays(tests(forward, reverse.toReversed()), 0.1)).toBeUndefined();
    expect(fellBothWays(tests(forward, reverse), 0.25)).toBeUndefined();
    expect(fellBothWays(tests(forward, reverse.slice(1)), 0.1)).toBeUndefined();
  });
});

describe('the sheet says what the next step says', () => {
  const says = (b: Bench): string => {
    const { context } = b.judged();
    return sayRepeat(singleRepeat(context, compareAll(context)!), 'us').sentence;
  };
  it('tired both ways, or cranked weakly by what was noted: all of them once more', () => {
    const b = readyToRun(v6, 'neglected', ['compression']).psi(forward).psi(reverse);
    expect(says(b)).toBe('Repeat all on a charged battery.');
    const rope = new Bench({ ...two, cylinders: 2, starting: 'rope' });
    const weak = { throttle: 'open', bores: 'dry', rpm: 120 } as const;
    const twice: Pressures = [
      [1, 80],
      [2, 79]
    ];
    expect(says(rope.psi(twice, { conditions: weak }).psi(twice, { conditions: weak }))).toBe(
      'Repeat all, cranked briskly.'
    );
  });
});
