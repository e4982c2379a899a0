import { describe, expect, it } from 'vitest';
import { Bench } from '../../../test/case.ts';
import { readyToRun } from '../../../test/stories/all-good.ts';
import { four, tester, two } from '../../../test/stories/engines.ts';
import { jobOf, type JobId } from '../jobs/register.ts';
import type { Step } from './plan.ts';

const step = (b: Bench, id: JobId): Step | undefined => b.assessed().steps.find((s) => s.id === id);
const dead = (): Bench =>
  readyToRun(two, 'neglected', ['spark'])
    .read('spark.lanyard', 'yes')
    .read('spark.result', 'good', { cylinder: 1, ...tester })
    .read('spark.result', 'none', { cylinder: 2, ...tester })
    .read('spark.result', 'good', { cylinder: 3, ...tester })
    .read('spark.leadSwap', 'moves');

describe('a job on the list is what its rule says', () => {
  it('tools, parts, consumables, minutes, hazards', () => {
    const b = readyToRun(four, 'neglected', ['oil']).read('oil.level', 'yes');
    b.read('oil.dip', 'below').read('oil.dip', 'below').read('look.anodes', 'gone');
    for (const id of ['oil-level', 'anodes'] as const) {
      const [mine, rule] = [step(b, id)!, jobOf(id)];
      expect(mine.state).toBe('open');
      expect(mine.consumables).toEqual(rule.consumables ?? []);
      expect(mine.tools).toEqual(rule.tools ?? []);
      expect(mine.parts).toEqual(rule.parts ?? []);
      expect(mine.minutes).toBe(rule.minutes);
      expect(mine.hazards).toEqual(rule.hazards ?? []);
    }
  });
  it('names the cylinder that it is for, and none where it is for the engine', () => {
    expect(step(dead(), 'lead')!.cylinders).toEqual([2]);
    expect(step(readyToRun(four).read('look.anodes', 'gone'), 'anodes')).not.toHaveProperty('cylinders');
  });
  it('a house that buys the maker’s oil is told so of its oils alone', () => {
    const b = readyToRun(four, 'neglected', ['oil'])
      .read('oil.level', 'yes')
      .read('oil.dip', 'below')
      .read('oil.dip', 'below');
    b.survey = { ...b.survey, houseRules: { schools: { partsOil: 'maker' } } };
    const said = step(b, 'oil-level')!.consumables;
    expect(said.length).toBeGreaterThan(0);
    for (const x of said) expect(/the maker’s own$/.test(x)).toBe(/\boil\b/.test(x));
  });
});

describe('a job that was marked done', () => {
  it('is proved by its own cylinder, and by no other one', () => {
    const done = dead().done('lead');
    expect(step(done, 'lead')!.state).toBe('done');
    expect(step(done.read('spark.result', 'good', { cylinder: 1, ...tester }), 'lead')!.state).toBe('done');
    expect(step(done.read('spark.result', 'good', { cylinder: 2, ...tester }), 'lead')!.state).toBe('proved');
  });
  it('read again and no better, it is open again and says that it failed', () => {
    const after = step(
      dead()
        .done('lead')
        .read('spark.result', 'none', { cylinder: 2, ...tester }),
      'lead'
    );
    expect(after?.state === 'open' ? after.failed : 'closed').toBeDefined();
    expect(after?.state).not.toBe('proved');
  });
  it('a reading of before the work proves nothing', () => {
    expect(
      step(
        dead()
          .read('spark.result', 'good', { cylinder: 1, ...tester })
          .done('lead'),
        'lead'
      )!.state
    ).toBe('done');
  });
});
