import { describe, expect, it } from 'vitest';
import { holdRules } from '../holds/rules.ts';
import { refusal } from '../holds/against.ts';
import { hazards } from '../hazards/hazards.ts';
import { jobs } from '../jobs/register.ts';
import { planOf } from '../plan/plan.ts';
import { stations } from '../stations/register.ts';
import { Bench } from '../../../test/case.ts';
import { beforeAfter } from '../history/before-after.ts';
import { canonicalJson } from './canonical.ts';
import { reportOf } from './report.ts';

describe('holds', () => {
  const drowned = (running: 'yes' | 'no' = 'no') =>
    new Bench({ strokes: 'four', cylinders: 2 }, 'drowned', {
      submerged: 'yes',
      water: 'salt',
      runningWhenSunk: running
    });
  const recovered = () =>
    drowned('yes')
      .read('turn.plugs', 'out')
      .read('turn.result', 'free')
      .read('turn.result', 'free')
      .read('turn.water', 'none')
      .read('oil.sump', 'drained')
      .read('fuel.tank', 'fresh')
      .read('fuel.line', 'drained')
      .read('fuel.bowl', 'drained');
  it('a drowned engine lifts step by step, not before', () => {
    const b = drowned();
    expect(b.holds()).toEqual(['drowned']);
    expect(refusal(b.judged().holds, 'run.outcome')).toMatch(/Drowned/);
    expect(refusal(b.judged().holds, 'compression.pressure')).toMatch(/Drowned/);
    expect(refusal(b.judged().holds, 'turn.result')).toBeUndefined();
    expect(recovered().holds()).toEqual(['drowned-running']);
  });
  it('drowned while running lifts only when every depth agrees', () => {
    const b = recovered().read('turn.depth', 0.06, { cylinder: 1 });
    expect(b.holds()).toEqual(['drowned-running']);
    expect(b.read('turn.depth', 0.06, { cylinder: 2 }).holds()).toEqual([]);
    const once = recovered().read('turn.depth', 0.06, { cylinder: 1 }).read('turn.depth', 0.062, { cylinder: 2 });
    expect(once.holds()).toEqual(['drowned-running']);
    expect(once.judged().holds[0]?.needs.some((n) => n.never)).toBe(false);
    const bent = once.read('turn.depth', 0.062, { cylinder: 2 });
    expect(bent.judged().holds[0]?.needs.some((n) => n.never)).toBe(true);
  });
  it('no start without water, indoors, or without a recorded place', () => {
    const b = new Bench();
    expect(refusal(b.judged().holds, 'run.outcome')).toMatch(/No cooling water/);
    expect(refusal(b.read('cooling.source', 'muffs').judged().holds, 'run.outcome')).toMatch(/Indoors/);
    b.read('safe.place', 'outdoors');
    expect(refusal(b.judged().holds, 'run.outcome')).toBeUndefined();
    b.read('safe.place', 'indoors');
    expect(b.holds()).toEqual(['indoors']);
  });
  it('an override takes effect, keeps its reason and can be taken back', () => {
    const b = new Bench().read('fuel.jar', 'layers');
    const override = { id: 'o1', at: '2026-05-02T09:00:00.000Z', hold: 'fuel', reason: 'run from a portable tank' };
    b.survey = { ...b.survey, overrides: [override] };
    expect(b.holds()).toEqual([]);
    expect(b.judged().holds.find((h) => h.id === 'fuel')?.override?.reason).toBe('run from a portable tank');
    b.survey = { ...b.survey, overrides: [override, { ...override, id: 'o2', supersedes: 'o1', withdrawn: true }] };
    expect(b.holds()).toEqual(['fuel']);
  });
  it('the first run that tripped is held until its cause is recorded and it is repeated', () => {
    const b = new Bench({ strokes: 'two' })
      .read('run.outcome', 'stopped')
      .read('run.lamp', 'came')
      .read('run.cause', 'screen blocked');
    expect(b.holds()).toEqual(['run']);
    expect(b.read('run.outcome', 'ran', { round: 2 }).read('run.lamp', 'none', { round: 2 }).holds()).toEqual([]);
  });
  it('every hold has its own id', () => expect(new Set(holdRules.map((h) => h.id)).size).toBe(holdRules.length));
});

describe('job list', () => {
  it('holds no cycle, and every step names known stations, hazards and predecessors', () => {
    const ids = new Set(jobs.map((s) => s.id));
    expect(ids.size).toBe(jobs.length);
    const visit = (id: string, path: string[]): void => {
      expect(path).not.toContain(id);
      for (const a of jobs.find((s) => s.id === id)?.after ?? []) visit(a, [...path, id]);
    };
    for (const s of jobs) {
      visit(s.id, []);
      for (const a of s.after ?? []) expect(ids).toContain(a);
      for (const h of s.hazards ?? []) expect(hazards).toHaveProperty(h);
      expect(stations).toHaveProperty(s.proof.station);
      expect(s.minutes).toBeGreaterThan(0);
    }
  });
  it('done is not proved until a reading after the work says so', () => {
    const state = (b: Bench) => {
      const j = b.judged();
      return planOf(j.context, j.findings).find((s) => s.id === 'screen')?.state;
    };
    const b = new Bench().read('cooling.screen', 'blocked');
    expect(state(b)).toBe('open');
    expect(state(b.done('screen'))).toBe('done');
    // Read again and no better: it failed its proof, and is open again.
    expect(state(b.read('cooling.screen', 'blocked', { round: 2 }))).toBe('open');
    expect(state(b.read('cooling.screen', 'clear', { round: 2 }))).toBe('proved');
  });
  it('keeps why it was done after the finding is gone', () => {
    const b = new Bench()
      .read('cooling.screen', 'blocked')
      .done('screen')
      .read('cooling.screen', 'clear', { round: 2 });
    const j = b.judged();
    expect(planOf(j.context, j.findings)[0]?.why[0]).toMatch(/screens are blocked/);
    expect(beforeAfter(j.context)).toEqual([
      expect.objectContaining({ label: 'Intake screens', before: 'blocked', after: 'clear', changed: true })
    ]);
  });
});

describe('gates', () => {
  const gate = (b: Bench, id: string) => b.assessed().gates.find((g) => g.id === id)!;
  it('a fault never opens by a reason, a doubt does', () => {
    const b = new Bench({ strokes: 'two' }).read('cooling.screen', 'blocked').read('spark.gap', 0.001, { cylinder: 1 });
    b.survey = {
      ...b.survey,
      reasons: ['station.cooling', 'identity'].map((id, k) => ({
        id: `g${k}`,
        at: '2026-05-02T10:00:00.000Z',
        gate: id,
        reason: 'the owner knows'
      }))
    };
    expect(gate(b, 'station.cooling')).toMatchObject({ passes: false, reasonOpens: false });
    expect(gate(b, 'identity')).toMatchObject({ passes: true, condition: 'watch' });
  });
  it('the running checks must have been made', () => {
    expect(gate(new Bench(), 'station.gear')).toMatchObject({
      passes: false,
      reasonOpens: false,
      condition: 'not-looked-at'
    });
    expect(gate(new Bench(), 'station.compression')).toMatchObject({ passes: false, reasonOpens: true });
    expect(new Bench().assessed().ready).toBe(false);
  });
});

describe('the record', () => {
  it('has one order of keys whatever the order they came in (RFC 8785, section 3.2.3)', () => {
    expect(canonicalJson({ b: [1, { d: 'ö', c: null }], a: 1e21, A: undefined })).toBe(
      '{"a":1e+21,"b":[1,{"c":null,"d":"ö"}]}'
    );
    expect(canonicalJson({ x: 1, y: 2 })).toBe(canonicalJson({ y: 2, x: 1 }));
  });
  it('care that is overdue is left open, and said so', () => {
    const b = new Bench({ strokes: 'two' }).read('cooling.impellerAge', 4);
    const { owner } = reportOf(b.assessed());
    expect(owner.left.join(' ')).toMatch(/Impeller is overdue since/);
    expect(owner.left).not.toContain('Nothing is left open.');
  });
  it('clears nothing for the owner before it is released: what was found stands there, and what nobody looked at', () => {
    const fresh = reportOf(new Bench({ strokes: 'two' }).assessed()).owner;
    expect(fresh.greeting).toMatch(/^Your outboard .* is not ready for service\.$/);
    expect(fresh.done).toEqual(['Nothing yet.']);
    expect(fresh.left.join(' ')).toMatch(/Not looked at yet: .*spark, compression.* and first run\./);
    const b = new Bench({ strokes: 'two' }, 'drowned', { submerged: 'yes' }).read('cooling.screen', 'blocked');
    const { owner } = reportOf(b.assessed());
    expect(owner.found.join(' ')).toMatch(/screens are blocked/);
    expect(owner.left.join(' ')).toMatch(/Held: Drowned/);
    for (const o of [fresh, owner])
      expect(JSON.stringify(o)).not.toMatch(/gone over\.|had to be repaired|Nothing is left open/);
  });
  it('calls nothing good for the owner that a hold is raised for', () => {
    const b = new Bench({ strokes: 'two', gearCapacity: 500e-6 });
    b.read('gear.first', 'oil').read('gear.look', 'clear').read('gear.drained', 495e-6).read('gear.magnet', 'clean');
    const a = b.assessed();
    expect(a.holds.map((h) => h.id)).toContain('gear-case');
    expect(a.stations.find((s) => s.id === 'gear')?.condition).toBe('sound');
    expect(reportOf(a).owner.greeting).not.toMatch(/gear oil/);
  });
  it('says that all is done where it is ready, and only there', () => {
    const b = new Bench({ strokes: 'two' });
    const owner = reportOf({ ...b.assessed(), ready: true, gates: [], holds: [], findings: [], steps: [] }).owner;
    expect(owner).toMatchObject({
      greeting: expect.stringMatching(/has been gone over/),
      found: ['Nothing that had to be repaired.'],
      left: ['Nothing is left open.']
    });
  });
  it('tells the owner in plain words, never in codes', () => {
    const b = new Bench({ strokes: 'two' })
      .read('cooling.screen', 'blocked')
      .done('screen')
      .read('cooling.screen', 'clear', { round: 2 });
    const { owner } = reportOf(b.assessed());
    expect(owner.found[0]).toMatch(/screens are blocked/);
    expect(owner.done[0]).toBe('Clear the intake screens');
    expect(JSON.stringify(owner)).not.toMatch(/undefined|cooling\.\w|not-looked/);
  });
});
