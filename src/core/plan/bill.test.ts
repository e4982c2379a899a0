import { describe, expect, it } from 'vitest';
import { Bench } from '../../../test/case.ts';
import { two } from '../../../test/stories/engines.ts';
import type { Weighing } from '../diagnosis/weighing.ts';
import { partsOf } from './costs.ts';
import { billOf, jobsOf } from './bill.ts';
import type { Step } from './plan.ts';

type Jobs = Parameters<typeof billOf>[0];
const work = (probability: number, price: number): Jobs[number]['works'][number] => ({
  label: `${price}`,
  probability,
  parts: [price, price, price],
  minutes: [0, 0, 0]
});
const bill = (works: readonly (readonly [number, number])[], state?: Step['state']): ReturnType<typeof billOf> =>
  billOf(
    [{ id: 'x', works: works.map(([p, price]) => work(p, price)) }],
    state ? [{ id: 'x', state } as Step] : [],
    60
  );

describe('what is established, and what is likely besides', () => {
  it('certain work is established, whether or not it is on the list', () => {
    const sums = bill([
      [1, 40],
      [1, 10]
    ]);
    expect(sums).toEqual({ established: 50, likely: 0 });
  });
  it('of a job on the list its likeliest is established, and what it may turn out to be only costs what is more', () => {
    const sums = bill(
      [
        [0.9, 10],
        [0.6, 110]
      ],
      'open'
    );
    expect(sums.established).toBeCloseTo(10);
    expect(sums.likely).toBeCloseTo(0.6 * 100);
  });
  it('from even odds on it counts, and below them it is of the reserve', () => {
    const beside = (p: number): number =>
      bill(
        [
          [0.9, 10],
          [p, 110]
        ],
        'open'
      ).likely;
    expect(beside(0.5)).toBeCloseTo(50);
    expect(beside(0.49)).toBe(0);
  });
  it('what is cheaper than the likeliest takes nothing off', () => {
    const sums = bill(
      [
        [0.9, 110],
        [0.6, 10]
      ],
      'open'
    );
    expect(sums.likely).toBe(0);
  });
  it('a job that is not on the list, or is done, costs by its likeliest, from even odds on', () => {
    expect(bill([[0.7, 100]])).toEqual({ established: 0, likely: 70 });
    expect(bill([[0.7, 100]], 'done')).toEqual({ established: 0, likely: 70 });
    expect(bill([[0.4, 100]])).toEqual({ established: 0, likely: 0 });
  });
  it('hours cost by the rate', () => {
    const jobs: Jobs = [{ id: 'x', works: [{ label: 'x', probability: 1, parts: [0, 0, 0], minutes: [30, 30, 30] }] }];
    expect(billOf(jobs, [], 60).established).toBeCloseTo(30);
  });
});

describe('everything that may cost money', () => {
  const { context } = new Bench(two).judged();
  interface Suspect {
    readonly id: string;
    readonly chance: number;
    readonly step?: string;
    readonly artefact?: boolean;
    readonly mended?: boolean;
  }
  /** Suspects at their chances, each 10 to 30 cr of parts at half the usual prices. */
  const weighed = (list: readonly Suspect[]): Weighing =>
    ({
      model: {
        suspects: list.map(({ id, step, artefact }) => ({
          id,
          label: `label of ${id}`,
          kind: { parts: [20, 40, 60], minutes: [10, 20, 30], ...(step ? { step } : {}), artefact: artefact ?? false }
        }))
      },
      belief: { posterior: list.map((x) => x.chance) },
      money: { scale: 0.5 },
      mended: new Set(list.flatMap((x) => (x.mended ? [x.id] : [])))
    }) as unknown as Weighing;
  const step = (id: string, state: Step['state'] = 'open'): Step =>
    ({ id, title: `title of ${id}`, state, minutes: 100 }) as Step;
  const jobs = (list: readonly Suspect[], steps: readonly Step[] = []) =>
    new Map(jobsOf(context, weighed(list), steps).map((j) => [j.id, j.works]));

  it('suspects of one job share it, each by its chance; one without a job is its own', () => {
    const made = jobs([
      { id: 'a.1', chance: 0.3, step: 'coil' },
      { id: 'a.2', chance: 0.2, step: 'coil' },
      { id: 'b', chance: 0.4 }
    ]);
    expect(made.get('coil')).toEqual([
      { label: 'label of a.1', probability: 0.3, parts: [10, 20, 30], minutes: [10, 20, 30] },
      { label: 'label of a.2', probability: 0.2, parts: [10, 20, 30], minutes: [10, 20, 30] }
    ]);
    expect(made.get('b')).toHaveLength(1);
  });
  it('a wrong reading, what was mended, and less than one in a hundred cost nothing', () => {
    const made = jobs([
      { id: 'a', chance: 0.9, artefact: true },
      { id: 'b', chance: 0.9, mended: true },
      { id: 'c', chance: 0.009 },
      { id: 'd', chance: 0.01 }
    ]);
    expect(['a', 'b', 'c', 'd'].filter((id) => made.has(id))).toEqual(['d']);
  });
  it('a job on the list is there for certain: as what it almost certainly cures, else as itself', () => {
    const suspects = (chance: number): Suspect[] => [
      { id: 'x', chance: 0.3, step: 'coil' },
      { id: 'y', chance, step: 'coil' }
    ];
    const of = (chance: number, state: Step['state'] = 'open') =>
      jobs(suspects(chance), [step('coil', state)])
        .get('coil')!
        .map((w) => [w.label, w.probability]);
    expect(of(0.8)).toEqual([
      ['label of y', 1],
      ['label of x', 0.3]
    ]);
    expect(of(0.79)).toEqual([
      ['title of coil', 1],
      ['label of y', 0.79],
      ['label of x', 0.3]
    ]);
    expect(of(0.9, 'done')).toEqual([
      ['label of x', 0.3],
      ['label of y', 0.9]
    ]);
  });
  it('one that no suspect stands behind costs its own parts and hands', () => {
    const parts = partsOf('coil').map((x) => x * 0.5);
    expect(jobs([], [step('coil'), step('pump', 'proved')]).get('coil')).toEqual([
      { label: 'title of coil', probability: 1, parts, minutes: [70, 100, 160] }
    ]);
    expect(jobs([], [step('pump', 'proved')]).has('pump')).toBe(false);
  });
  it('service goes into every engine, but into none that came for one job', () => {
    expect(jobs([]).get('service')).toEqual([
      {
        label: 'service items and the gates',
        probability: 1,
        parts: [17.5, 27.5, 47.5],
        minutes: [45, 60, 100]
      }
    ]);
    const single = new Bench(two, 'single-job').judged().context;
    const [service] = jobsOf(single, weighed([]), []);
    expect(service!.works[0]).toMatchObject({ parts: [0, 0, 0], minutes: [0, 0, 0] });
  });
});
