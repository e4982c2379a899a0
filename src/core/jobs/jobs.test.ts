import { isWork } from './done.ts';
import { describe, expect, it } from 'vitest';
import { Bench } from '../../../test/case.ts';
import { itemIds } from '../stations/items.ts';
import { mendedSteps } from './done.ts';
import { isJobId, jobOf, jobs, traitsOf, type JobId } from './register.ts';
import * as register from './register.ts';

describe('the register of jobs', () => {
  it('an unknown name throws with the name; one from outside is asked about first', () => {
    expect(() => jobOf('polish' as JobId)).toThrow('unknown job: polish');
    expect(() => jobOf('constructor' as JobId)).toThrow('unknown job: constructor');
    expect(['pump', 'polish', 'toString', ''].filter(isJobId)).toEqual(['pump']);
    expect(traitsOf('own-1')).toEqual({});
    expect(traitsOf('__proto__')).toEqual({});
  });
  it('lists every job of every system once', async () => {
    const files = import.meta.glob(['./*.ts', '!./*.test.ts'], { eager: true }) as Record<
      string,
      Record<string, unknown>
    >;
    const defined = Object.entries(files)
      .filter(([, m]) => m !== (register as unknown))
      .flatMap(([, m]) => Object.values(m))
      .filter((v): v is object => typeof v === 'object' && v !== null && !Array.isArray(v))
      .flatMap((system) => Object.entries(system).filter(([, job]) => typeof job === 'object' && 'proof' in job))
      .map(([id]) => id);
    expect(jobs.map((j) => j.id).sort()).toEqual(defined.sort());
    expect(new Set(defined).size).toBe(defined.length);
  });
  it('jobs name only jobs, and findings of stations that there are', () => {
    const stations = new Set(itemIds.map((i) => i.split('.')[0]));
    for (const j of jobs) {
      expect([...(j.after ?? []), ...(j.yieldsTo ?? []), ...(j.within ?? [])].filter((id) => !isJobId(id))).toEqual([]);
      for (const r of j.raisedBy ?? []) {
        const kind = typeof r === 'string' ? r : r.id;
        expect([j.id, stations.has(kind.split('.')[0])]).toEqual([j.id, true]);
      }
    }
  });
});

describe('a job marked by hand', () => {
  const why = (b: Bench, id: string): string =>
    b
      .assessed()
      .steps.find((s) => s.id === id)!
      .why.join(' ');
  it('on a dry engine does not say that it was under water', () => {
    const dry = new Bench({ cylinders: 1 }).done('anodes');
    expect(why(dry, 'anodes')).toBe('It was marked by hand; nothing found asks for it.');
    expect(why(new Bench({ cylinders: 1 }, 'drowned'), 'rinse')).toMatch(/under water/);
  });
  it('an engine that was under water has the jobs of one, whatever its case is called', () => {
    const b = new Bench({ cylinders: 1 }, 'neglected', { submerged: 'yes' });
    expect(b.assessed().steps.map((s) => s.id)).toContain('displace');
  });
  it('is behind us when it is done, and no longer when it is opened again', () => {
    const b = new Bench().done('pump');
    expect(mendedSteps(b.judged().context)).toContain('pump');
    b.survey = {
      ...b.survey,
      steps: [...b.survey.steps!, { id: 'again', at: '2026-06-01T08:00:00.000Z', step: 'pump', state: 'open' }]
    };
    expect(mendedSteps(b.judged().context)).not.toContain('pump');
  });
});

describe('a mark is work', () => {
  const mark = (step: string, state: 'done' | 'open' = 'done') => ({
    id: 'm',
    at: '2026-05-02T08:00:00.000Z',
    step,
    state
  });
  it('when a job or a whole procedure is done, not when one of its steps is', () => {
    expect(['pump', 'own-clip', 'procedure.pump-kit', 'flow.gear-oil'].map((s) => isWork(mark(s)))).toEqual([
      true,
      true,
      true,
      true
    ]);
    expect(
      ['procedure.pump-kit.begin', 'procedure.pump-kit.leg-off', 'flow.gear-oil.drain'].map((s) => isWork(mark(s)))
    ).toEqual([false, false, false]);
    expect(isWork(mark('pump', 'open'))).toBe(false);
  });
});
