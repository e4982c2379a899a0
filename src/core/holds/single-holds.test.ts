import { describe, expect, it } from 'vitest';
import type { Profile } from '../engine/profile.ts';
import { Bench } from '../../../test/case.ts';
import { begin, cases, four, fresh, holdOf, sunk, twin } from '../../../test/hold-cases.ts';
import { unliftable } from './against.ts';
import { caseTest } from '../../../test/case-test.ts';

describe('single holds', () => {
  it('a piston that stands low is nothing the yard can lift', () => {
    const b = begin(cases['drowned-running']!);
    for (const [cylinder, depth] of [
      [1, 0.06],
      [1, 0.06],
      [2, 0.0615],
      [2, 0.0615]
    ] as const)
      b.read('turn.depth', depth, { cylinder });
    const { holds } = b.judged();
    expect(unliftable(holds)).toBe(true);
    expect(holds[0]!.needs.find((n) => n.never)?.text).toMatch(/piston 2 stands low/);
    expect(unliftable(begin(cases.indoors!).judged().holds)).toBe(false);
  });
  it('one smooth turn is not two, and depths of one piston are not all', () => {
    const b = begin(cases['drowned-running']!).read('turn.result', 'bumps');
    expect(holdOf(b, 'drowned-running')!.needs.map((n) => n.done)).toEqual([false, false]);
    b.read('turn.result', 'bumps').read('turn.depth', 0.06, { cylinder: 1 });
    expect(holdOf(b, 'drowned-running')!.needs.map((n) => n.done)).toEqual([true, false]);
  });
  it('a piston that stands low holds whatever kind of case it is, taken once or twice, and is where the work ends', () => {
    const low = (...of2: number[]): Bench =>
      of2.reduce(
        (b, d) => b.read('turn.depth', 0.06, { cylinder: 1 }).read('turn.depth', d, { cylinder: 2 }),
        new Bench(four, 'neglected').read('turn.result', 'free')
      );
    expect(holdOf(low(0.0615), 'low-piston')!.needs[0]).toMatchObject({ items: ['turn.depth'] });
    const twice = low(0.0615, 0.0615);
    expect(holdOf(twice, 'low-piston')).toMatchObject({
      needs: [{ never: true }],
      because: expect.stringMatching(/^A bent rod/)
    });
    expect(twice.assessed().moves[0]!.id).toBe('ask:low-piston');
    expect(holdOf(low(0.06, 0.06), 'low-piston')).toBeUndefined();
    // Back from the specialist its depths are taken anew, and the old ones are of the old rod.
    const back = twice.done('bent-rod').wait(1);
    for (const cylinder of [1, 2, 1, 2]) back.read('turn.depth', 0.06, { cylinder });
    expect(holdOf(back, 'low-piston')).toBeUndefined();
  });
  describe('nobody can say whether it ran when it went under', () => {
    const unsaid = (runningWhenSunk?: 'unknown' | 'no', profile: Profile = twin): Bench =>
      [...cases.drowned!.meet.flat(), ...fresh].reduce(
        (b, f) => f(b),
        new Bench(profile, 'drowned', { ...sunk, ...(runningWhenSunk ? { runningWhenSunk } : {}) })
      );
    const depths = (b: Bench, ...values: number[]): Bench =>
      values.reduce((x, v, k) => [v, v].reduce((y, d) => y.read('turn.depth', d, { cylinder: k + 1 }), x), b);
    it.each([undefined, 'unknown'] as const)('said of it: %s; its pistons show it', (said) => {
      const b = unsaid(said);
      const open = holdOf(b, 'drowned')!.needs.filter((n) => !n.done);
      expect(open.map((n) => n.text)).toEqual([
        expect.stringMatching(/^known that it stood .* or every piston’s depth/)
      ]);
      expect(holdOf(depths(b, 0.06, 0.06), 'drowned')).toBeUndefined();
    });
    it('somebody remembers that it stood: nothing is asked of its pistons', () => {
      expect(holdOf(unsaid('no'), 'drowned')).toBeUndefined();
    });
    it('a piston that stands low is no matter of who remembers what', () => {
      expect(holdOf(depths(unsaid(), 0.06, 0.0615), 'drowned')!.needs.find((n) => n.never)?.text).toMatch(
        /piston 2 stands low/
      );
    });
    it('one piston with nothing beside it: the owner is asked, and the yard cannot lift it', () => {
      const b = depths(unsaid('unknown', { ...twin, cylinders: 1 }), 0.06).read('turn.depthRight', 'unknown');
      expect(holdOf(b, 'drowned')!.needs.find((n) => n.never)?.text).toMatch(/^nobody knows whether it ran/);
      expect(b.assessed().moves.map((m) => m.id)).toContain('ask:drowned');
    });
  });
  it('noise or play keeps it locked though it turns free a day later; a tight spot does not by itself', () => {
    const b = new Bench(twin).read('turn.result', 'bumps').read('turn.feel', ['noise']);
    expect(holdOf(b, 'locked')?.because).toMatch(/noise or play/);
    expect(holdOf(b.wait(20).read('turn.result', 'bumps'), 'locked')?.needs.map((n) => n.done)).toEqual([false, true]);
    expect(holdOf(new Bench(twin).read('turn.result', 'bumps').read('turn.feel', ['play']), 'locked')).toBeDefined();
    expect(holdOf(new Bench(twin).read('turn.result', 'bumps').read('turn.feel', ['tight']), 'locked')).toBeUndefined();
  });
  it('free again within the hours of the house does not count as the next day', () => {
    const b = begin(cases.locked!).read('turn.result', 'bumps').wait(11).read('turn.result', 'bumps');
    expect(holdOf(b, 'locked')?.needs.map((n) => n.done)).toEqual([true, false]);
  });
  it.each([
    ['muffs', false],
    ['tank', false],
    ['afloat', false],
    ['port', true],
    ['none', true],
    ['unknown', true]
  ] as const)('water from “%s”: held is %s', (source, held) => {
    const hold = holdOf(new Bench().read('cooling.source', source), 'water');
    expect(hold !== undefined).toBe(held);
    if (held && source !== 'unknown') expect(hold!.standing).toBe(false);
  });
  it('what was bad last is named, and only what was', () => {
    const b = new Bench(twin).read('turn.result', 'gritty').read('turn.result', 'stiff').read('turn.result', 'bumps');
    expect(holdOf(b, 'locked')?.because).toBe('It was stiff when turned by hand.');
    expect(
      holdOf(new Bench(twin).read('turn.result', 'locked').read('turn.result', 'free'), 'locked')?.because
    ).toMatch(/locked/);
    expect(holdOf(new Bench(twin).read('turn.result', 'free'), 'locked')).toBeUndefined();
  });
  it('a tight spot alone does not keep it locked; noise beside it does', () => {
    const b = new Bench(twin)
      .read('turn.result', 'gritty')
      .read('turn.result', 'bumps')
      .read('turn.feel', ['tight', 'noise']);
    expect(holdOf(b, 'locked')?.needs[0]!.done).toBe(false);
    expect(holdOf(b.read('turn.feel', ['tight']), 'locked')?.needs[0]!.done).toBe(true);
    expect(holdOf(b.read('turn.result', 'gritty'), 'locked')?.needs[0]!.done).toBe(false);
  });
  it('a hose port is named as what leaves the pump dry', () => {
    expect(holdOf(new Bench().read('cooling.source', 'port'), 'water')?.because).toMatch(
      /hose port leaves the pump dry/
    );
    expect(holdOf(new Bench(), 'water')?.because).toMatch(/No source of cooling water is recorded/);
  });
  it('a refill for a stand run does not lift the release where the case was merely low', () => {
    const needs = (refill: 'no' | 'stand') =>
      holdOf(new Bench().read('gear.look', 'none').read('gear.refill', refill), 'gear-water')?.needs;
    expect(needs('no')?.map((n) => [n.text, n.done])).toEqual([
      ['refilled for a stand run, out of gear', false],
      ['resealed and case-tested, every stage of it, then refilled for service', false]
    ]);
    expect(needs('stand')?.map((n) => n.done)).toEqual([true, false]);
  });
  it('water that the house looks at with washers first has its own way out', () => {
    const b = new Bench();
    b.survey = { ...b.survey, houseRules: { schools: { gearWater: 'washers' } } };
    b.read('gear.look', 'milky').read('gear.refill', 'service');
    expect(holdOf(b, 'gear-water')?.needs[1]).toMatchObject({
      text: expect.stringMatching(/^fresh washers/),
      done: false
    });
    expect(holdOf(b.read('gear.washers', 'yes').read('gear.look', 'clear'), 'gear-water')).toBeUndefined();
  });
  it('a stream that nobody looked for while it ran is no stream missing', () => {
    expect(holdOf(new Bench(twin).read('cooling.stream', 'none'), 'run')).toBeDefined();
    expect(holdOf(new Bench(twin).read('cooling.stream', 'unknown'), 'run')).toBeUndefined();
    expect(holdOf(new Bench(twin).read('cooling.stream', 'none').read('run.outcome', 'ran'), 'run')).toBeDefined();
    expect(holdOf(new Bench(twin).read('run.outcome', 'ran'), 'run')).toBeUndefined();
  });
  it('every need says where it is met', () => {
    for (const c of Object.values(cases))
      for (const hold of begin(c).judged().holds)
        for (const need of hold.needs) {
          expect([hold.id, need.text.length > 4]).toEqual([hold.id, true]);
          expect([hold.id, need.text, need.never === true || need.station !== undefined]).toEqual([
            hold.id,
            need.text,
            true
          ]);
        }
  });
  it('what is only not recorded yet is standing; what was answered is not', () => {
    const bare = new Bench(four).judged().holds;
    expect(
      bare
        .filter((h) => h.standing)
        .map((h) => h.id)
        .sort()
    ).toEqual(['indoors', 'oil', 'water']);
    expect(holdOf(new Bench(four).read('oil.dip', 'below'), 'oil')?.standing).toBe(false);
    expect(holdOf(new Bench(four).read('oil.look', 'milky'), 'oil')?.standing).toBe(false);
    expect(holdOf(new Bench(twin), 'oil')).toBeUndefined();
  });
  it('dips on an engine that was not level hold it', () => {
    const b = new Bench(four).read('oil.dip', 'between').read('oil.dip', 'between');
    expect(holdOf(b, 'oil')).toBeUndefined();
    expect(holdOf(b.read('oil.level', 'no'), 'oil')?.because).toMatch(/not level/);
  });
  it('spun before its oil change by the house’s rule, it is still not started on that oil', () => {
    const b = new Bench(four, 'drowned', sunk);
    b.survey = { ...b.survey, houseRules: { schools: { drownedSpin: 'before' } } };
    b.read('oil.dip', 'between').read('oil.dip', 'between');
    const hold = holdOf(b, 'oil')!;
    expect([hold.because, hold.standing]).toEqual([expect.stringMatching(/not been changed since the water/), false]);
    expect(hold.needs[0]).toMatchObject({ text: 'oil changed since the water', done: false });
    expect(
      holdOf(b, 'drowned')!
        .needs.map((n) => n.text)
        .join()
    ).not.toMatch(/sump drained/);
  });
  it('a four-stroke drains its sump before it spins by the usual rule', () => {
    const needs = (b: Bench) => holdOf(b, 'drowned')!.needs.find((n) => /sump drained/.test(n.text));
    const b = new Bench(four, 'drowned', sunk);
    expect(needs(b)?.done).toBe(false);
    expect(needs(b.read('oil.sump', 'drained'))?.done).toBe(true);
  });
  it('a two-stroke is dry when a pass comes clear', () => {
    const need = (b: Bench) => holdOf(b, 'drowned')!.needs.find((n) => /displaced/.test(n.text))!.done;
    const b = new Bench(twin, 'drowned', sunk);
    expect(need(b)).toBe(false);
    expect(need(b.read('turn.pass', 'water'))).toBe(false);
    expect(need(b.read('turn.pass', 'clear'))).toBe(true);
  });
  it('slivers and pieces hold the gears; paste and a clean magnet do not', () => {
    const held = (magnet: 'clean' | 'paste' | 'slivers' | 'pieces') =>
      holdOf(new Bench().read('gear.magnet', magnet), 'gear-chips')?.because;
    expect([held('clean'), held('paste')]).toEqual([undefined, undefined]);
    expect(held('pieces')).toMatch(/^Pieces/);
    expect(holdOf(new Bench().read('gear.magnet', 'slivers').read('gear.explained', 'no'), 'gear-chips')).toBeDefined();
  });
  it('gear oil with water: a stand run after a refill, service after a held test only', () => {
    const b = new Bench({ gearCapacity: 250e-6 }).read('gear.look', 'milky');
    const needs = () => holdOf(b, 'gear-water')?.needs.map((n) => n.done);
    expect(needs()).toEqual([false, false]);
    b.read('gear.refill', 'stand');
    expect(needs()).toEqual([true, false]);
    b.read('gear.refill', 'service').read('gear.pressureTest', 'leaked');
    expect(needs()).toEqual([true, false]);
    b.read('gear.pressureTest', 'held');
    expect(needs()).toEqual([true, false]);
    caseTest(b);
    expect(needs()).toBeUndefined();
    expect(holdOf(new Bench().read('gear.first', 'nothing'), 'gear-water')).toBeDefined();
  });
  it('a run that got too hot, or had no stream, holds the release until it is repeated', () => {
    const hot = new Bench(twin).read('cooling.head', 363.15);
    expect(holdOf(hot, 'run')?.because).toMatch(/passed its limit of 194 °F/);
    expect(holdOf(new Bench(twin).read('cooling.head', 363.1), 'run')).toBeUndefined();
    const dry = new Bench(twin).read('run.outcome', 'ran').read('run.stream', 'none');
    expect(holdOf(dry, 'run')?.because).toMatch(/no stream/);
    // Nobody tapped its start: it had been running for nobody knows how long.
    expect(holdOf(dry, 'run')?.needs.map((n) => n.done)).toEqual([false, false]);
    const early = new Bench(twin)
      .read('run.event', 'start')
      .wait(-1 / 120)
      .read('run.stream', 'none');
    expect(holdOf(early, 'run')).toBeUndefined();
    const long = new Bench(twin).read('run.event', 'start').read('run.stream', 'none').read('run.stream', 'strong');
    expect(holdOf(long.read('run.outcome', 'ran'), 'run')?.because).toMatch(/no stream once, and its cause/);
    expect(holdOf(long.read('run.cause', 'outlet was blocked'), 'run')).toBeUndefined();
  });
  it('fuel: watered, varnished or too old holds; not looked at does not', () => {
    expect(holdOf(new Bench(), 'fuel')).toBeUndefined();
    expect(holdOf(new Bench().read('fuel.age', 30), 'fuel')?.because).toMatch(/past the age/);
    expect(holdOf(new Bench().read('fuel.jar', 'layers'), 'fuel')?.because).toMatch(/water in the fuel/);
    expect(
      holdOf(
        fresh.reduce((b, s) => s(b), new Bench().read('fuel.age', 30)),
        'fuel'
      )
    ).toBeUndefined();
  });
});
