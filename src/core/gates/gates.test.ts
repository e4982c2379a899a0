import { describe, expect, it } from 'vitest';
import { Bench } from '../../../test/case.ts';
import { collectFor, practice } from '../../../test/findings.ts';
import type { Condition } from '../findings/finding.ts';
import type { Step } from '../plan/plan.ts';
import { stationIds, stations } from '../stations/register.ts';
import { gatesOf, ready, type Gate } from './gates.ts';

const conditions: readonly Condition[] = ['not-looked-at', 'sound', 'watch', 'fault', 'held', 'cannot-tell'];
const four = { strokes: 'four', cylinders: 2 } as const;

/** The gate of a station with one finding of a condition, with and without a reason. */
function gateOf(station: (typeof stationIds)[number], condition: Condition, reason: boolean): Gate {
  const b = new Bench(four)
    .read('turn.neutral', 'spins')
    .read('turn.forward', 'follows')
    .read('turn.reverse', 'follows');
  const id = `station.${station}`;
  if (reason)
    b.survey = {
      ...b.survey,
      reasons: [{ id: 'r', at: '2026-05-02T08:00:00.000Z', gate: id, reason: 'the owner knows' }]
    };
  const found = condition === 'not-looked-at' ? [] : collectFor(station, condition, practice);
  return gatesOf(b.judged().context, found, [], []).find((g) => g.id === id)!;
}

describe('the gate of a check', () => {
  const opens: Readonly<Record<Condition, 'always' | 'by a reason' | 'never'>> = {
    sound: 'always',
    watch: 'by a reason',
    'cannot-tell': 'by a reason',
    fault: 'never',
    held: 'never',
    'not-looked-at': 'by a reason'
  };
  it.each(stationIds.flatMap((s) => conditions.map((c) => [s, c] as const)))('%s, %s', (station, condition) => {
    const must = condition === 'not-looked-at' && stations[station].beforeRelease === true;
    const expected = must ? 'never' : opens[condition];
    expect(gateOf(station, condition, false)).toMatchObject({ passes: expected === 'always', condition });
    const withReason = gateOf(station, condition, true);
    expect([withReason.passes, withReason.reasonOpens]).toEqual([expected !== 'never', expected === 'by a reason']);
    expect(withReason.reason?.text).toBe('the owner knows');
  });
  it('turn, gear oil, fuel, cooling, engine oil and the first run must have been looked at', () => {
    expect(stationIds.filter((s) => stations[s].beforeRelease)).toEqual([
      'turn',
      'gear',
      'fuel',
      'cooling',
      'oil',
      'run'
    ]);
    expect(gateOf('turn', 'not-looked-at', false).sentence).toMatch(/it must be before/);
    expect(gateOf('plugs', 'not-looked-at', false).sentence).toBe('Not looked at.');
  });
});

const gate = (b: Bench, id: string, steps: readonly Step[] = []): Gate =>
  gatesOf(b.judged().context, [], b.judged().holds, steps).find((g) => g.id === id)!;
const withReason = (b: Bench, id: string): Bench => {
  b.survey = {
    ...b.survey,
    reasons: [{ id: 'r', at: '2026-05-02T08:00:00.000Z', gate: id, reason: 'the owner knows' }]
  };
  return b;
};
const step = (state: Step['state']): Step => ({
  id: 'pump',
  title: 'Renew the water pump',
  how: '',
  why: [],
  found: [],
  tools: [],
  parts: [],
  consumables: [],
  minutes: 60,
  wait: 0,
  hazards: [],
  proof: { station: 'cooling', text: '' },
  state,
  after: [],
  follows: []
});

describe('the other gates', () => {
  it('identity: tag and serial number, or a reason', () => {
    const b = new Bench();
    expect(gate(b, 'identity')).toMatchObject({ passes: false, reasonOpens: true });
    expect(gate(withReason(b, 'identity'), 'identity').passes).toBe(true);
    const named = new Bench();
    named.survey = { ...named.survey, engine: { ...named.survey.engine, identity: { tag: 'T', serial: 'S' } } };
    expect(gate(named, 'identity')).toMatchObject({ passes: true, sentence: 'T, serial S.' });
    named.survey = { ...named.survey, engine: { ...named.survey.engine, identity: { serial: 'S' } } };
    expect(gate(named, 'identity').passes).toBe(false);
  });
  it('holds: no reason opens it, an override does and is said', () => {
    const b = withReason(new Bench().read('gear.magnet', 'slivers'), 'holds');
    expect(gate(b, 'holds')).toMatchObject({
      passes: false,
      reasonOpens: false,
      condition: 'held',
      sentence: 'Metal in the gear case.'
    });
    b.survey = {
      ...b.survey,
      overrides: [{ id: 'o', at: '2026-05-02T09:00:00.000Z', hold: 'gear-chips', reason: 'seen' }]
    };
    expect(gate(b, 'holds')).toMatchObject({ passes: true, sentence: 'Overridden: Metal in the gear case.' });
    expect(gate(new Bench().read('safe.place', 'outdoors'), 'holds')).toMatchObject({
      passes: true,
      sentence: 'No hold stands.'
    });
  });
  it('a hold against the start alone does not close the release', () => {
    expect(gate(new Bench().read('safe.place', 'indoors'), 'holds').passes).toBe(true);
  });
  it('hand-over: tight, counters and hours, or a reason; what is not tight opens by none', () => {
    const b = new Bench(four, 'neglected', { hours: 120 });
    const all = () => gate(b, 'handover');
    expect(all()).toMatchObject({ condition: 'not-looked-at', passes: false, reasonOpens: true });
    b.read('run.tight', 'yes');
    expect(all()).toMatchObject({ passes: false, sentence: 'Service counters are not recorded as reset.' });
    b.read('run.counters', 'not-proved');
    expect(all().sentence).toMatch(/not proved by a key cycle/);
    b.read('run.counters', 'reset');
    expect(all()).toMatchObject({
      passes: true,
      sentence: 'Tight and shut; counters reset and proved; 120 engine hours.'
    });
    expect(gate(b.read('run.counters', 'not-fitted'), 'handover')).toMatchObject({
      passes: true,
      sentence: expect.stringMatching(/not fitted/)
    });
    expect(gate(withReason(b.read('run.tight', 'no'), 'handover'), 'handover')).toMatchObject({
      condition: 'fault',
      passes: false,
      reasonOpens: false
    });
  });
  it('hours unknown is an answer; hours not asked is none', () => {
    const done = (h: { hours?: number | 'unknown' }) =>
      gate(new Bench(four, 'neglected', h).read('run.tight', 'yes').read('run.counters', 'reset'), 'handover');
    expect(done({ hours: 'unknown' })).toMatchObject({
      passes: true,
      sentence: expect.stringMatching(/engine hours unknown/)
    });
    expect(done({})).toMatchObject({ passes: false, sentence: expect.stringMatching(/not noted/) });
  });
  it('tray: what is missing opens by no reason', () => {
    const b = withReason(new Bench(), 'tray');
    expect(gate(b, 'tray')).toMatchObject({ passes: true, sentence: expect.stringMatching(/Nothing was taken off/) });
    const part = { id: 'p', at: '2026-05-02T08:00:00.000Z', name: 'Head bolt' };
    b.survey = { ...b.survey, tray: [part] };
    expect(gate(b, 'tray')).toMatchObject({
      passes: false,
      reasonOpens: false,
      condition: 'held',
      sentence: 'Still on the tray: Head bolt.'
    });
    b.survey = { ...b.survey, trayMarks: [{ id: 'm', at: part.at, part: 'p', state: 'refitted' }] };
    expect(gate(b, 'tray')).toMatchObject({ passes: true, sentence: expect.stringMatching(/^The one part/) });
  });
  it('job list: open jobs and unproved ones want a reason', () => {
    expect(gate(new Bench(), 'jobs')).toMatchObject({ passes: true, sentence: 'No job was asked for.' });
    expect(gate(new Bench(), 'jobs', [step('open')])).toMatchObject({
      condition: 'watch',
      passes: false,
      reasonOpens: true,
      sentence: '1 job is open: Renew the water pump.'
    });
    expect(gate(new Bench(), 'jobs', [step('open'), step('open')]).sentence).toMatch(/^2 jobs are open/);
    expect(gate(new Bench(), 'jobs', [step('done')])).toMatchObject({
      condition: 'cannot-tell',
      passes: false,
      sentence: 'Done but not proved: Renew the water pump (check cooling).'
    });
    expect(gate(withReason(new Bench(), 'jobs'), 'jobs', [step('open')]).passes).toBe(true);
    for (const state of ['proved', 'not-needed'] as const)
      expect(gate(new Bench(), 'jobs', [step(state)]).passes).toBe(true);
  });
  it('a reason opens the gate it was given at and no other', () => {
    const b = withReason(new Bench(), 'jobs');
    expect(gate(b, 'identity')).toMatchObject({ passes: false });
    expect(gate(b, 'identity').reason).toBeUndefined();
    expect(gate(b, 'handover').reason).toBeUndefined();
  });
  it('a check says what is gravest about it, and only that', () => {
    const found = [
      ...collectFor('fuel', 'watch', practice),
      { ...collectFor('fuel', 'fault', practice)[0]!, sentence: 'Water in it.' },
      { ...collectFor('fuel', 'fault', practice)[0]!, sentence: 'Varnish.' },
      ...collectFor('fuel', 'sound', practice)
    ];
    const fuel = gatesOf(new Bench().judged().context, found, [], []).find((g) => g.id === 'station.fuel');
    expect(fuel).toMatchObject({ condition: 'fault', sentence: 'Water in it. Varnish.', station: 'fuel' });
  });
  it('only overridden holds against the release are said at the gate of holds', () => {
    const b = new Bench().read('safe.place', 'indoors').read('gear.magnet', 'pieces');
    const override = (hold: string) => ({ id: hold, at: '2026-05-02T09:00:00.000Z', hold, reason: 'seen' });
    b.survey = { ...b.survey, overrides: [override('indoors'), override('gear-chips')] };
    expect(gate(b, 'holds').sentence).toBe('Overridden: Metal in the gear case.');
  });
  it('several parts of the tray are counted, and what was not looked at says so', () => {
    const b = new Bench();
    const at = '2026-05-02T08:00:00.000Z';
    b.survey = {
      ...b.survey,
      tray: ['p', 'q'].map((id) => ({ id, at, name: id })),
      trayMarks: ['p', 'q'].map((part) => ({ id: `m${part}`, at, part, state: 'refitted' as const }))
    };
    expect(gate(b, 'tray').sentence).toMatch(/^All 2 parts/);
    expect(gate(new Bench(), 'handover').sentence).toMatch(
      /^Tight, caps on, dipstick in, no tools left: not looked at/
    );
    expect(gate(new Bench().read('run.tight', 'no'), 'handover').sentence).toMatch(/^Not everything is tight/);
  });
  it('the latest reason counts, whatever the order it was entered in', () => {
    const reasons = [
      { id: 'b', at: '2026-05-02T09:00:00.000Z', gate: 'jobs', reason: 'later', by: 'Maud' },
      { id: 'a', at: '2026-05-02T08:00:00.000Z', gate: 'jobs', reason: 'earlier' }
    ];
    const b = new Bench();
    for (const list of [reasons, [...reasons].reverse()]) {
      b.survey = { ...b.survey, reasons: list };
      expect(gate(b, 'jobs').reason).toEqual({ text: 'later', at: '2026-05-02T09:00:00.000Z', by: 'Maud' });
    }
  });
  it('ready is every gate, and only that', () => {
    const [a] = gatesOf(new Bench().judged().context, [], [], []);
    expect(ready([])).toBe(true);
    expect(ready([{ ...a!, passes: true }])).toBe(true);
    expect(
      ready([
        { ...a!, passes: true },
        { ...a!, passes: false }
      ])
    ).toBe(false);
  });
  it('a check that the engine does not have has no gate', () => {
    const ids = (strokes: 'two' | 'four') =>
      gatesOf(new Bench({ strokes }).judged().context, [], [], []).map((g) => g.id);
    expect(ids('two')).not.toContain('station.oil');
    expect(ids('four')).toContain('station.oil');
  });
});

describe('a run of which nobody noted what only it shows', () => {
  const run = (more: (b: Bench) => Bench = (b) => b): Bench =>
    more(new Bench(four).read('run.event', 'start').wait(0.3))
      .read('run.outcome', 'ran')
      .read('run.minutes', 18)
      .read('run.event', 'stop');
  const gate = (b: Bench): Gate => b.assessed().gates.find((g) => g.id === 'station.run')!;
  const move = (b: Bench) => b.assessed().moves.find((m) => m.id === 'untried:run');
  it('is no whole run: water and leaks are asked for, and a reason may leave them open', () => {
    expect(gate(run())).toMatchObject({ passes: false, reasonOpens: true, condition: 'cannot-tell' });
    expect(gate(run()).sentence).toBe('It ran, and nobody noted whether water came and whether it leaked.');
    expect(move(run())?.items).toEqual(['run.stream', 'run.exhaust', 'run.leaks']);
    const wet = run((b) => b.read('run.stream', 'strong'));
    expect(move(wet)?.items).toEqual(['run.leaks']);
    expect(gate(wet.read('run.leaks', 'none')).passes).toBe(true);
  });
  it('unknown is no note, and is not asked for again; a note of the run before is of that run', () => {
    const b = run((x) => x.read('run.exhaust', 'yes')).read('run.leaks', 'unknown');
    expect(gate(b).passes).toBe(false);
    expect(move(b)).toBeUndefined();
    const before = run((x) => x.read('run.stream', 'strong').read('run.leaks', 'none'));
    before.wait(2).read('run.event', 'start').wait(0.3).read('run.outcome', 'ran').read('run.minutes', 18);
    expect(gate(before).sentence).toMatch(/nobody noted whether water came and whether it leaked/);
  });
});

describe('gears that nobody tried', () => {
  const turned = (shift: 'shift' | 'direct'): Bench =>
    new Bench({ ...four, shift }).read('turn.plugs', 'out').read('turn.result', 'free').read('turn.result', 'free');
  const gate = (b: Bench): Gate => b.assessed().gates.find((g) => g.id === 'station.turn')!;
  it('keep the gate of the check shut, though what was seen of it is sound', () => {
    const b = turned('shift');
    expect(b.ids()).toContain('turn.free:sound');
    expect(gate(b)).toMatchObject({ passes: false, reasonOpens: true, condition: 'cannot-tell' });
    expect(gate(b).sentence).toMatch(/^Neutral and its gears were tried neither/);
    expect(gate(b.read('turn.neutral', 'unknown')).passes).toBe(false);
  });
  it('are asked for once, whether as a decisive look or for the gate', () => {
    const b = turned('shift').read('turn.neutral', 'spins');
    expect(b.assessed().moves.filter((m) => /shift.*by hand/i.test(m.title))).toHaveLength(1);
  });
  it('open it by hand or in the run; direct drive has none', () => {
    const byHand = turned('shift').read('turn.neutral', 'spins');
    expect(gate(byHand).passes).toBe(false);
    expect(gate(byHand).sentence).toBe('Forward and reverse were tried neither by hand nor in the run.');
    expect(gate(byHand.read('turn.forward', 'follows').read('turn.reverse', 'unknown')).sentence).toBe(
      'Reverse was tried neither by hand nor in the run.'
    );
    expect(gate(byHand.read('turn.reverse', 'not-fitted')).passes).toBe(true);
    expect(gate(turned('shift').read('run.gears', 'both')).passes).toBe(true);
    expect(gate(turned('direct')).passes).toBe(true);
  });
});
