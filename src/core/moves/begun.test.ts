import { describe, expect, it } from 'vitest';
import { Bench } from '../../../test/case.ts';
import { tester, two } from '../../../test/stories/engines.ts';
import type { Ask } from '../advice/asks.ts';
import type { Finding } from '../findings/finding.ts';
import type { Hold } from '../holds/hold.ts';
import { jobOf, type JobId } from '../jobs/register.ts';
import type { Step } from '../plan/plan.ts';
import { begun } from './begun.ts';
import type { Position } from './position.ts';

const finding = (id: string, more: Partial<Finding> = {}): Finding =>
  ({ id, station: id.split('.')[0], condition: 'fault', sentence: `${id}.`, ...more }) as unknown as Finding;
const step = (id: JobId, more: Partial<Step> = {}): Step => {
  const { title, proof } = jobOf(id);
  return {
    id,
    title,
    proof,
    state: 'done',
    markedAt: '2026-05-02T08:01:00.000Z',
    follows: [],
    cylinders: [1],
    ...more
  } as unknown as Step;
};
const ask = (more: Partial<Ask> = {}): Ask => ({
  finding: finding('spark.none.1'),
  kind: 'look',
  title: 'a look',
  station: 'spark',
  minutes: 3,
  ...more
});

/** The lead of cylinder 1 is renewed; `read` says whether its spark was looked at since. */
function proofs(
  given: {
    steps?: readonly Step[];
    findings?: readonly Finding[];
    holds?: readonly Partial<Hold>[];
    asks?: readonly Ask[];
  },
  read = true
) {
  const b = new Bench(two).done('lead').wait(1);
  if (read) b.read('spark.result', 'good', { cylinder: 1, ...tester });
  const { steps = [step('lead')], findings = [], holds = [], asks = [] } = given;
  const p = { context: b.judged().context, steps, findings, holds } as unknown as Position;
  return begun(p, asks).filter((m) => m.id.startsWith('proof:'));
}
const asked = (given: Parameters<typeof proofs>[0], read = true): boolean => proofs(given, read).length > 0;

describe('work that is done and not proved', () => {
  it('is proved next, by the one reading that its proof is', () => {
    expect(proofs({}, false)).toMatchObject([
      {
        class: 3,
        kind: 'repeat',
        title: 'Prove it: good spark on that cylinder, in shade',
        job: 'lead',
        items: ['spark.result'],
        minutes: 3
      }
    ]);
    expect(proofs({ steps: [step('coil')] }, false)[0]).not.toHaveProperty('items');
    expect(proofs({ steps: [step('lead', { own: true })] })[0]!.title).toBe('Prove it: spark again');
    expect(proofs({ steps: [step('lead', { raisedAt: 'look' })] })[0]!.title).toMatch(/^Prove it: look.* again$/);
  });
  it('only where it is done, marked, over, put together, and not proved by a run', () => {
    expect(asked({ steps: [step('lead', { state: 'open' })] })).toBe(false);
    expect(asked({ steps: [step('lead', { state: 'proved' })] })).toBe(false);
    const { markedAt: _, ...unmarked } = step('lead');
    expect(asked({ steps: [unmarked as Step] })).toBe(false);
    expect(asked({ steps: [step('lead', { busyUntil: '2026-05-03T08:00:00.000Z' })] })).toBe(false);
    expect(asked({ steps: [step('heat-sender')] })).toBe(false);
    expect(asked({ holds: [{ id: 'assembled' }] as never })).toBe(false);
    expect(asked({ holds: [{ id: 'assembled', override: { reason: 'x', at: '' } }] as never })).toBe(true);
    expect(asked({ holds: [{ id: 'water' }] as never })).toBe(true);
  });
  it('a fault at its own cylinder, read since, says what is next', () => {
    const own = finding('spark.none.1', { cylinder: 1 });
    expect(asked({ findings: [own] })).toBe(false);
    expect(asked({ findings: [own] }, false)).toBe(true);
    expect(asked({ findings: [finding('spark.none.2', { cylinder: 2 })] })).toBe(true);
    expect(asked({ findings: [finding('spark.all')] })).toBe(true);
    expect(asked({ findings: [finding('spark.weak.1', { cylinder: 1, condition: 'watch' })] })).toBe(true);
    expect(asked({ findings: [finding('plugs.water.1', { cylinder: 1 })] })).toBe(true);
  });
  it('what raised it, and still asks for a look, says which look closes it', () => {
    const raised = { finding: finding('spark.own-lead.1', { cylinder: 1 }) };
    expect(asked({ asks: [ask(raised)] })).toBe(false);
    expect(asked({ asks: [ask(raised)] }, false)).toBe(true);
    expect(asked({ asks: [ask({ ...raised, kind: 'job' })] })).toBe(true);
    expect(asked({ asks: [ask({ ...raised, station: 'plugs' })] })).toBe(true);
    expect(asked({ asks: [ask()] })).toBe(true);
  });
  it('what was read and stands against it asks for what is next', () => {
    const against = [step('lead', { against: ['spark.weak.1'] })];
    const weak = { finding: finding('spark.weak.1', { condition: 'watch', cylinder: 1 }) };
    expect(asked({ steps: against, asks: [ask(weak)] })).toBe(false);
    expect(asked({ steps: against, asks: [ask(weak)] }, false)).toBe(true);
    expect(asked({ steps: against, asks: [ask()] })).toBe(true);
    expect(proofs({ steps: against })[0]!.class).toBe(9);
    expect(proofs({ steps: against }, false)[0]!.class).toBe(3);
    // It is shown anew by a run that is on the list.
    const run = (more: Partial<Step> = {}): Step => step('run-again', { state: 'open', ...more });
    expect(asked({ steps: [...against, run()] })).toBe(false);
    expect(asked({ steps: [...against, run({ state: 'done' })] })).toBe(true);
    expect(asked({ steps: [...against, run({ by: 'at 5 h' })] })).toBe(true);
  });
  it('another of its own readings that is asked for is the proof', () => {
    const same = { items: ['spark.result'] as const };
    expect(asked({ asks: [ask(same)] })).toBe(false);
    expect(asked({ asks: [ask(same)] }, false)).toBe(true);
    expect(asked({ asks: [ask({ ...same, late: 'release' })] })).toBe(true);
    expect(asked({ asks: [ask({ ...same, kind: 'job' })] })).toBe(true);
    expect(asked({ asks: [ask({ ...same, station: 'plugs' })] })).toBe(true);
    expect(asked({ asks: [ask({ items: ['spark.gap'] })] })).toBe(true);
  });
  it('a search that was begun there is finished first', () => {
    expect(asked({ asks: [ask({ kind: 'continue' })] })).toBe(false);
    expect(asked({ asks: [ask({ kind: 'continue' })] }, false)).toBe(true);
    expect(asked({ asks: [ask({ kind: 'continue', station: 'plugs' })] })).toBe(true);
  });
  it('a doubt about what proves it that is closed at another check comes before', () => {
    const turn = { kind: 'repeat', station: 'turn' } as const;
    expect(asked({ asks: [ask(turn)] }, false)).toBe(false);
    expect(asked({ asks: [ask({ ...turn, kind: 'look' })] }, false)).toBe(true);
    expect(asked({ asks: [ask({ ...turn, finding: finding('turn.stiff') })] }, false)).toBe(true);
    expect(asked({ asks: [ask({ kind: 'repeat', finding: finding('spark.gap.1') })] }, false)).toBe(true);
  });
  it('work that lies under it at the same check is done before it is proved', () => {
    const under = (more: Partial<Step> = {}) =>
      proofs({ steps: [step('lead', { follows: ['ground'] }), step('ground', { state: 'open', ...more })] }, false)[0]!;
    expect(under()).toMatchObject({ waits: 'First: clean and tighten the engine ground.', class: 8 });
    for (const more of [
      { by: 'at the next haul-out' },
      { failed: 'sign' as const },
      { state: 'proved' as const },
      { proof: jobOf('bulb').proof }
    ])
      expect(under(more).waits).toBeUndefined();
  });
  it('something else that is open at its check is mended first', () => {
    const other = (more: Partial<Step> = {}): Step => step('coil', { state: 'open', ...more });
    const waiting = (more: Partial<Step> = {}, read = true): string | undefined =>
      proofs({ steps: [step('lead'), other(more)] }, read)[0]!.waits;
    expect(waiting()).toBe('First: renew the coil or winding.');
    expect(proofs({ steps: [step('lead'), other()] })[0]!.class).toBe(8);
    expect(waiting({}, false)).toBeUndefined();
    expect(waiting({ by: 'at the next haul-out' })).toBeUndefined();
    expect(waiting({ proof: jobOf('bulb').proof })).toBeUndefined();
    // With that in the way no ask at this check hides it.
    expect(asked({ steps: [step('lead'), other()], asks: [ask({ items: ['spark.result'] })] })).toBe(true);
    expect(asked({ steps: [step('lead'), other()], asks: [ask({ kind: 'continue' })] })).toBe(true);
  });
});
