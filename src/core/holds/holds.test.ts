import { describe, expect, it } from 'vitest';
import { begin, cases, holdOf, meet } from '../../../test/hold-cases.ts';
import { Bench } from '../../../test/case.ts';
import { against, doesSomething, heldAgainst, refusal } from './against.ts';
import { type Hold } from './hold.ts';
import { holdRules } from './rules.ts';

describe('every hold', () => {
  it('has its case in this table', () => {
    expect(Object.keys(cases).sort()).toEqual(holdRules.map((r) => r.id).sort());
  });
  it.each(Object.entries(cases))(
    '%s is raised with its reason, blocks what it names, and is no mere gap in the record',
    (id, c) => {
      const hold = holdOf(begin(c), id)!;
      expect(hold).toMatchObject({ blocks: c.blocks, because: expect.stringMatching(c.because), standing: false });
      expect(hold.needs.some((n) => !n.done)).toBe(true);
    }
  );
  it.each(Object.entries(cases))('%s lifts when every need is met, and not before', (id, c) => {
    expect(holdOf(meet(begin(c), c.meet), id)).toBeUndefined();
    for (let without = 0; without < c.meet.length; without++) {
      const others = c.meet.filter((_, k) => k !== without);
      const hold = holdOf(meet(begin(c), others), id);
      expect([id, without, hold !== undefined]).toEqual([id, without, true]);
    }
  });
  it.each(Object.entries(cases))('%s is not lifted by answers of “unknown”', (id, c) => {
    const b = begin(c);
    const items = c.meet
      .flat()
      .map((step) => step(new Bench(c.profile, c.kind, c.history)).survey.readings.at(-1))
      .filter((r) => r !== undefined);
    for (const r of items) b.read(r.what, 'unknown' as never, r.cylinder ? { cylinder: r.cylinder } : {});
    expect(holdOf(b, id)).toBeDefined();
  });
  it.each(Object.entries(cases))('%s overridden stays in the list with its reason and holds nothing', (id, c) => {
    const b = begin(c);
    b.survey = {
      ...b.survey,
      overrides: [{ id: 'o', at: '2027-01-01T00:00:00.000Z', hold: id, reason: 'the owner insists', by: 'Maud' }]
    };
    const { holds } = b.judged();
    expect(holds.find((h) => h.id === id)?.override).toMatchObject({ reason: 'the owner insists', by: 'Maud' });
    for (const action of c.blocks) expect(against(holds, action as 'crank').map((h) => h.id)).not.toContain(id);
  });
});

describe('overrides', () => {
  const withOverrides = (...list: { id: string; at: string; supersedes?: string; withdrawn?: true }[]): Hold => {
    const b = begin(cases.indoors!);
    b.survey = { ...b.survey, overrides: list.map((o) => ({ hold: 'indoors', reason: `reason ${o.id}`, ...o })) };
    return holdOf(b, 'indoors')!;
  };
  it('the latest one counts, whatever the order they were entered in', () => {
    const [a, b] = [
      { id: 'a', at: '2026-05-02T09:00:00.000Z' },
      { id: 'b', at: '2026-05-02T08:00:00.000Z' }
    ];
    expect(withOverrides(a, b).override?.reason).toBe('reason a');
    expect(withOverrides(b, a).override?.reason).toBe('reason a');
  });
  it('one taken back, or replaced by one taken back, counts no longer', () => {
    const a = { id: 'a', at: '2026-05-02T08:00:00.000Z' };
    expect(withOverrides({ ...a, withdrawn: true }).override).toBeUndefined();
    expect(
      withOverrides(a, { id: 'b', at: '2026-05-02T09:00:00.000Z', supersedes: 'a', withdrawn: true }).override
    ).toBeUndefined();
  });
  it('of another hold change nothing', () => {
    const b = begin(cases.indoors!);
    b.survey = { ...b.survey, overrides: [{ id: 'o', at: '2026-05-02T08:00:00.000Z', hold: 'fuel', reason: 'no' }] };
    expect(holdOf(b, 'indoors')?.override).toBeUndefined();
  });
});

describe('what a hold refuses', () => {
  const held = begin(cases.drowned!).judged().holds;
  it('names the hold and what lifts it', () => {
    expect(refusal(held, 'compression.pressure')).toMatch(
      /^Refused: Drowned: no cranking.*It lifts when: plugs out; turned by hand/
    );
    expect(refusal([], 'compression.pressure')).toBeUndefined();
  });
  it('what says that it ran, and not that it stopped', () => {
    for (const [what, value] of [
      ['run.event', 'start'],
      ['run.outcome', 'ran'],
      ['run.minutes', 4],
      ['run.longRun', 'yes']
    ] as const)
      expect([what, refusal(held, what, value)]).toEqual([what, expect.stringMatching(/^Refused/)]);
    for (const [what, value] of [
      ['run.event', 'stop'],
      ['run.outcome', 'stopped'],
      ['run.outcome', 'failed'],
      ['run.temperature', 350],
      ['run.cause', 'water']
    ] as const)
      expect([what, refusal(held, what, value)]).toEqual([what, undefined]);
  });
  it('only readings that crank or start do something', () => {
    for (const what of ['compression.pressure', 'spark.gap', 'plugs.volts'] as const)
      expect([what, doesSomething(what, 1)]).toEqual([what, true]);
    for (const what of ['compression.leakdown', 'turn.result', 'plugs.oil', 'gear.look'] as const)
      expect([what, doesSomething(what, 'yes')]).toEqual([what, false]);
    expect([doesSomething('run.outcome', 'ran'), doesSomething('run.outcome', 'stopped')]).toEqual([true, false]);
  });
  it('says only what is still to be done', () => {
    const b = begin(cases.drowned!).read('turn.plugs', 'out');
    expect(refusal(b.judged().holds, 'spark.result')).toMatch(/It lifts when: turned by hand/);
  });
  it('of whole checks, those that crank or start', () => {
    const refused = (holds: readonly Hold[]) =>
      (
        ['safe', 'look', 'turn', 'plugs', 'spark', 'compression', 'gear', 'fuel', 'cooling', 'oil', 'run'] as const
      ).filter((s) => heldAgainst(holds, s).length > 0);
    expect(refused(held)).toEqual(['spark', 'compression', 'run']);
    expect(refused(begin(cases.indoors!).judged().holds)).toEqual(['run']);
    expect(heldAgainst(held, 'gear')).toEqual([]);
  });
});
