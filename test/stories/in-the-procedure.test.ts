import { describe, expect, it } from 'vitest';
import type { Profile } from '../../src/core/engine/profile.ts';
import { isJobId, jobOf } from '../../src/core/jobs/register.ts';
import { BEGIN, procedureMark, progressOf, putTogetherAt } from '../../src/core/procedures/progress.ts';
import { procedureNamed } from '../../src/core/procedures/register.ts';
import type { Bench } from '../case.ts';
import { moves, readyToRun } from './all-good.ts';
import { four } from './engines.ts';

/** Followed from first bolt to last, each step ticked; `reads` what is read at a step. The job is marked as its page marks it. */
function followed(b: Bench, name: string, job: string, reads: Readonly<Record<string, (x: Bench) => Bench>>): Bench {
  const p = procedureNamed(name)!;
  b.done(procedureMark(p, BEGIN));
  for (const step of p.steps(b.judged().context)) (reads[step.id]?.(b) ?? b).done(procedureMark(p, step.id));
  const made = progressOf(b.judged().context, p);
  const at = isJobId(job) ? putTogetherAt(made, jobOf(job).proof.reads ?? []) : undefined;
  b.done(procedureMark(p)).done(job);
  const steps = b.survey.steps!;
  b.survey = { ...b.survey, steps: [...steps.slice(0, -1), { ...steps.at(-1)!, ...(at ? { at } : {}) }] };
  return b;
}
const state = (b: Bench, job: string): string | undefined => b.assessed().steps.find((s) => s.id === job)?.state;
const gasket: Profile = { ...four, camDrive: 'belt', interference: 'yes' };
const all = [1, 2, 3, 4].map((k) => [k, 150] as const);

describe('what is read in a procedure after it was put together proves its job', () => {
  it('the head: belt, and every cylinder', () => {
    const b = followed(readyToRun(gasket), 'head-gasket', 'head-gasket', {
      'belt-on': (x) => x.read('turn.belt', 'sound'),
      test: (x) => x.psi(all)
    });
    expect(state(b, 'head-gasket')).toBe('proved');
    expect(b.holds()).not.toContain('belt');
    expect(b.ids().join(' ')).not.toMatch(/belt-was-off|head-was-off/);
    expect(moves(b).join(' | ')).not.toMatch(/Prove it: cylinders alike/);
  });
  it('what was read before the head came off proves nothing, and what was not read is asked for', () => {
    const unread = followed(readyToRun(gasket), 'head-gasket', 'head-gasket', { proof: (x) => x.psi(all) });
    expect(state(unread, 'head-gasket')).toBe('done');
    expect(unread.holds()).toContain('belt');
    const half = followed(readyToRun(gasket), 'head-gasket', 'head-gasket', { test: (x) => x.psi(all) });
    expect(half.holds()).toContain('belt');
  });
  it('a job that was marked again later keeps that moment, and a last bolt after the reading has proved nothing', () => {
    const p = procedureNamed('head-gasket')!;
    const reads = jobOf('head-gasket').proof.reads ?? [];
    const on = readyToRun(gasket).done(procedureMark(p, BEGIN)).done(procedureMark(p, 'on'));
    const at = on.survey.steps!.at(-1)!.at;
    const b = on.psi(all).done(procedureMark(p, 'test'));
    const made = progressOf(b.judged().context, p);
    expect(putTogetherAt(made, reads)).toBe(at);
    expect(putTogetherAt(made, reads, b.survey.readings.at(-1)!.at)).toBeUndefined();
    expect(putTogetherAt(made, [])).toBeUndefined();
    expect(putTogetherAt(progressOf(b.done(procedureMark(p, 'on')).judged().context, p), reads)).toBeUndefined();
  });
});
