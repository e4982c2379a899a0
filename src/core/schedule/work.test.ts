import { describe, expect, it } from 'vitest';
import { flowMark } from '../care/flow.ts';
import { Bench } from '../../../test/case.ts';
import type { TrayPart } from '../record/work.ts';
import { singleJob, workOf } from './work.ts';

const ids = { surveyId: 's', engineId: 'e' };
const work = (b: Bench, back = false) => {
  const a = b.assessed();
  return workOf(ids, a, a.moves, a.steps, back);
};
const marked = (b: Bench, ...steps: [string, 'open' | 'done'][]): Bench => {
  b.survey = {
    ...b.survey,
    steps: steps.map(([step, state], k) => ({ id: `m${k}`, at: `2026-05-02T09:0${k}:00.000Z`, step, state }))
  };
  return b;
};

describe('what the bench knows of an engine', () => {
  it('names the next look, and counts the rest of them', () => {
    const { checks, runs, idle } = work(new Bench({ strokes: 'two', cylinders: 2 }));
    expect(checks!.title).toMatch(/^Look: .*, then \d+ more$/);
    expect(checks!.minutes).toBeGreaterThan(30);
    expect([runs, idle]).toEqual([true, undefined]);
  });
  it('is idle when it is back, and when it is kept for parts', () => {
    expect(work(new Bench(), true)).toMatchObject({ idle: 'back in service', tonight: [] });
    const b = new Bench();
    b.survey = {
      ...b.survey,
      decisions: [{ id: 'd', at: '2026-05-02T09:00:00.000Z', option: 'parts', reason: 'bent rod' }]
    };
    expect(work(b).idle).toBe('kept for parts');
  });
  it('a lay-up is not run, and an unknown promise is none', () => {
    expect(work(new Bench({}, 'lay-up')).runs).toBe(false);
    expect(work(new Bench({}, 'neglected', { promised: 'unknown' })).promised).toBeUndefined();
  });
  it('the pump’s kit by the house’s school', () => {
    expect(work(new Bench().read('cooling.impellerAge', 1)).kit).toBe(false);
    expect(work(new Bench().read('cooling.impellerAge', 1).read('cooling.missing', 1)).kit).toBe(true);
    expect(work(new Bench()).kit).toBe(true);
  });
});

describe('a short job', () => {
  const job = () => new Bench({ strokes: 'two' }, 'single-job');
  it('is its own work until it is finished', () => {
    const open = marked(job(), [flowMark('gear-oil'), 'open']);
    expect(work(open)).toMatchObject({ checks: { title: 'Gear oil change', minutes: 20 }, runs: false });
    expect(work(marked(job(), [flowMark('gear-oil'), 'open'], [flowMark('gear-oil'), 'done'])).checks).toBeUndefined();
  });
  it('is held by water in the oil, whatever was ticked; another engine’s holds are not its business', () => {
    const wet = marked(
      job()
        .read('gear.first', 'water')
        .read('cooling.source', 'none' as 'unknown'),
      [flowMark('gear-oil'), 'open']
    );
    expect(singleJob(wet.judged())!.state.held.map((h) => h.id)).toEqual(['gear-water']);
    const dry = marked(job().read('gear.first', 'oil').read('gear.refill', 'service'), [flowMark('gear-oil'), 'open']);
    expect(singleJob(dry.judged())!.state.held).toEqual([]);
    expect(singleJob(new Bench().judged())).toBeUndefined();
  });
});

describe('leaving tonight', () => {
  const part = (k: number, step: string): TrayPart => ({
    id: `p${k}`,
    at: '2026-05-02T08:30:00.000Z',
    name: `p${k}`,
    step
  });
  it('what was opened is covered, what lies about is named, frost comes first', () => {
    const b = new Bench({ strokes: 'two' })
      .read('safe.forecast', 268)
      .read('safe.battery', 'on')
      .read('gear.first', 'water')
      .read('cooling.opened', 'yes')
      .read('cooling.missing', 2);
    b.survey = { ...b.survey, tray: [part(1, 'pump'), part(2, 'pump')] };
    const { tonight } = work(b);
    expect(tonight[0]).toMatch(/^Frost/);
    expect(tonight.join(' ')).toMatch(/2 parts lie on the tray/);
    expect(tonight.join(' ')).toMatch(/Leg off: chained/);
    expect(tonight.join(' ')).toMatch(/Battery is connected/);
  });
  it('asks nothing where nothing is open', () => {
    expect(work(new Bench().read('safe.battery', 'off')).tonight).toEqual([]);
  });
});
