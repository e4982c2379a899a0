import { describe, expect, it } from 'vitest';
import type { Profile } from '../../src/core/engine/profile.ts';
import type { JobId } from '../../src/core/jobs/register.ts';
import { BEGIN, jobsMarked, procedureMark, progressOf, putTogether } from '../../src/core/procedures/progress.ts';
import { procedureNamed, procedures } from '../../src/core/procedures/register.ts';
import { Bench } from '../case.ts';
import { moves } from './all-good.ts';
import { four, two, v6 } from './engines.ts';

type Hands = (x: Bench) => Bench;

/** Ticked and read as its page does it: the job is marked when everything before its proof is done, at that moment. */
function followed(b: Bench, name: string, job: JobId, reads: Readonly<Record<string, Hands>>, until?: string): Bench {
  const p = procedureNamed(name)!;
  const now = () => progressOf(b.judged().context, p);
  b.done(procedureMark(p, BEGIN));
  for (const step of p.steps(b.judged().context)) {
    (reads[step.id]?.(b) ?? b).done(procedureMark(p, step.id));
    const put = putTogether(now());
    const marked = jobsMarked(b.survey, p, now()).some((m) => m.job === job);
    if (put?.whole && !marked) b.done(job, { at: put.at });
    if (step.id === until) return b;
  }
  b.done(procedureMark(p));
  return jobsMarked(b.survey, p, now()).length ? b : b.done(job);
}
const state = (b: Bench, job: string): string | undefined => b.assessed().steps.find((s) => s.id === job)?.state;
const belted: Profile = { ...four, camDrive: 'belt', interference: 'yes' };
const psi = (...list: number[]): Hands => {
  const pulls = list.map((p, k) => [k + 1, p] as const);
  return (x) => x.psi(pulls);
};
const well = psi(150, 150, 150, 150);

/** A head gasket gone between 2 and 3. */
const blown = (): Bench => {
  const b = psi(150, 90, 90, 150)(new Bench(belted).read('turn.plugs', 'in').read('turn.result', 'bumps'));
  for (const cylinder of [2, 3])
    psi(
      150,
      90,
      90,
      150
    )(b)
      .read('compression.leakdown', 0.6, { cylinder })
      .read('compression.escape', ['neighbour'] as never, { cylinder });
  return b;
};
const leaks = (share: number): Hands => {
  return (x) => [1, 2, 3, 4].reduce((y, cylinder) => y.read('compression.leakdown', share, { cylinder }), x);
};

describe('what a procedure reads after the work proves the job that it is the inside of', () => {
  it('the head: belt, every cylinder, and nothing is read again', () => {
    const b = followed(blown(), 'head-gasket', 'head-gasket', {
      'belt-on': (x) => x.read('turn.belt', 'sound'),
      test: (x) => leaks(0.08)(well(x))
    });
    expect(state(b, 'head-gasket')).toBe('proved');
    expect(b.holds()).not.toContain('belt');
    expect(b.ids().join(' ')).not.toMatch(/belt-was-off|head-was-off|scatter|leakdown-gasket/);
    expect(moves(b).join(' | ')).not.toMatch(/Compression again|Prove it: cylinders alike/);
  });
  it('in the middle of it, too: cylinders that read well are mended, not unlike the pulls before', () => {
    const b = followed(blown(), 'head-gasket', 'head-gasket', { test: well }, 'test');
    expect(b.ids().join(' ')).not.toMatch(/scatter/);
    expect(b.holds()).toContain('belt');
  });
  it('what was read before the head came off proves nothing', () => {
    const b = followed(blown(), 'head-gasket', 'head-gasket', { proof: (x) => leaks(0.08)(well(x)) });
    expect(state(b, 'head-gasket')).toBe('done');
  });
  it('a key seen sheared with the wheel off is what was found, one seen whole at its refit what was done', () => {
    const sheared = new Bench(two).read('spark.keyLook', 'sheared');
    const b = followed(sheared, 'flywheel-off', 'flywheel-key', {
      key: (x) => x.read('spark.keyLook', 'sheared'),
      'wheel-on': (x) => x.read('spark.keyLook', 'sound')
    });
    expect(state(b, 'flywheel-key')).not.toBe('open');
    expect(b.ids().filter((id) => id.startsWith('spark.key') && /:fault|:cannot-tell/.test(id))).toEqual([]);
  });
});

describe('when a procedure’s work is over', () => {
  const p = procedureNamed('head-gasket')!;
  const at = (b: Bench) => putTogether(progressOf(b.judged().context, p));
  it('is the last tick before its proof, and not before every one is ticked', () => {
    const b = blown().done(procedureMark(p, BEGIN));
    expect(at(b)).toBeUndefined();
    for (const s of p.steps(b.judged().context)) {
      if (s.proves) break;
      expect(at(b)?.whole ?? false).toBe(false);
      b.done(procedureMark(p, s.id));
    }
    const last = b.survey.steps!.at(-1)!.at;
    expect(at(b)).toEqual({ at: last, whole: true });
    // Worked at once more: it is over when that was.
    b.done(procedureMark(p, 'on'));
    expect(at(b)).toEqual({ at: b.survey.steps!.at(-1)!.at, whole: true });
  });
  it('every step that proves reads something, and comes after the work', () => {
    for (const profile of [two, belted, v6] as Profile[])
      for (const { id, steps } of procedures) {
        const list = steps(new Bench(profile).judged().context);
        const proof = list.findIndex((s) => s.proves);
        if (proof < 0) continue;
        expect([id, list.slice(proof).some((s) => s.items?.length)]).toEqual([id, true]);
        expect([id, proof > 0]).toEqual([id, true]);
        // Nothing is taken off any more.
        expect([id, list.slice(proof).some((s) => s.takesOff?.length)]).toEqual([id, false]);
      }
  });
});
