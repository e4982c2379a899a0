import { randomLcg } from 'd3-random';
import { describe, expect, it } from 'vitest';
import { assess, judged } from '../../src/core/assess.ts';
import { jobs as allJobs } from '../../src/core/jobs/register.ts';
import { allItems, itemIds } from '../../src/core/stations/items.ts';
import { Bench } from '../case.ts';
import { jobs, ran, readyToRun } from '../stories/all-good.ts';
import { four, two } from '../stories/engines.ts';

/**
 * What is taken over from the judgement before is what would be worked out anew: every step of a story is judged as the next
 * of the steps before it, and as a survey that nobody has judged yet.
 */
type Step = (b: Bench) => unknown;

const plain = (b: Bench, from = b.survey): unknown => {
  const now = new Date(Date.parse(b.survey.readings.at(-1)!.at) + 60_000);
  const { findings, holds, steps, moves, gates } = assess(from, now, 'us');
  return JSON.parse(JSON.stringify({ findings, holds, steps, moves, gates }));
};

const acts = (b: Bench, from = b.survey): unknown => {
  const { findings, holds } = judged(from, new Date(Date.parse(b.survey.readings.at(-1)!.at) + 60_000), 'us');
  return { findings, holds };
};

const stories: Readonly<Record<string, readonly [() => Bench, readonly Step[]]>> = {
  'a vent that is found shut and opened': [
    () => ran(readyToRun(two, 'neglected', ['fuel']), 'died', (b) => b.read('fuel.dies', 'minutes')),
    [
      (b) => b.read('fuel.level', 'some'),
      (b) => b.read('fuel.vent', 'closed'),
      (b) => b.read('fuel.vent', 'open'),
      (b) => ran(b, 'ran')
    ]
  ],
  'a lanyard that was out': [
    () => readyToRun(two, 'neglected', ['spark']),
    [
      (b) => b.read('spark.lanyard', 'no'),
      (b) => b.read('spark.result', 'none', { cylinder: 1 }),
      (b) => b.read('spark.lanyard', 'yes'),
      (b) => b.read('spark.result', 'good', { cylinder: 1 })
    ]
  ],
  'an outlet that was probed': [
    () => ran(readyToRun(two), 'ran', (b) => b.read('run.stream', 'weak')),
    [(b) => b.read('cooling.outlet', 'blocked'), (b) => b.read('cooling.stream', 'strong')]
  ],
  'oil that was brought up by the tally': [
    () => ran(readyToRun(four), 'ran', (b) => b.read('run.lamp', 'came')),
    [
      (b) => b.read('oil.dip', 'below'),
      (b) => b.read('oil.dip', 'below'),
      (b) => b.read('oil.poured', 4e-4),
      (b) => b.read('oil.dip', 'between'),
      (b) => b.read('oil.dip', 'between')
    ]
  ],
  'a job that was just ticked': [
    () =>
      readyToRun(two, 'neglected', ['compression'])
        .psi([
          [1, 70],
          [2, 120],
          [3, 119]
        ])
        .psi([[1, 71]]),
    [
      (b) => b.read('compression.leakdown', 0.5, { cylinder: 1 }),
      (b) => b.read('compression.escape', ['neighbour'], { cylinder: 1 }),
      (b) => b.done('head-gasket'),
      (b) => b.read('compression.leakdown', 0.05, { cylinder: 1 })
    ]
  ]
};

describe('what is kept from the judgement before', () => {
  it.each(Object.entries(stories))('%s', (_, [begin, steps]) => {
    const b = begin();
    plain(b);
    for (const step of steps) {
      step(b);
      expect(plain(b)).toEqual(plain(b, structuredClone(b.survey)));
    }
  });
  it('whatever is entered and ticked, in whatever order', () => {
    const random = randomLcg(0.37);
    const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)]!;
    const asked = itemIds.filter((id) => allItems[id].kind === 'choice' || allItems[id].kind === 'quantity');
    for (const profile of [two, four]) {
      const b = new Bench(profile, 'neglected', { yearsIdle: 3 });
      for (let k = 0; k < 60; k++) {
        if (random() < 0.12) b.done(pick(allJobs).id);
        const what = pick(asked);
        const item = allItems[what];
        const value =
          item.kind === 'choice'
            ? pick(item.options).value
            : item.kind === 'quantity'
              ? item.min + random() * 0.2 * (item.max - item.min)
              : 'unknown';
        b.read(what, value as never, item.perCylinder ? { cylinder: pick([1, 2, 3]) } : {});
        if (random() < 0.1) b.wait(random() * 30);
        expect(acts(b)).toEqual(acts(b, structuredClone(b.survey)));
      }
    }
  });
  it('a job just ticked still says what it was for', () => {
    const b = stories['a job that was just ticked']![0]();
    b.read('compression.leakdown', 0.5, { cylinder: 1 }).read('compression.escape', ['neighbour'], { cylinder: 1 });
    expect(jobs(b)).toContain('head-gasket');
    b.done('head-gasket');
    expect(
      b
        .assessed()
        .steps.find((s) => s.id === 'head-gasket')!
        .why.join(' ')
    ).toMatch(/gasket between the two/);
  });
});
