import { describe, expect, it } from 'vitest';
import { Bench } from '../../../test/case.ts';
import type { Profile } from '../engine/profile.ts';
import { fleetOf } from './fleet.ts';
import { flowById } from './flows.ts';
import type { SupplyId } from './supplies.ts';

const now = new Date('2026-11-01');
const layUp = flowById('lay-up')!;
const member = (engineId: string, profile: Profile, more: (b: Bench) => Bench = (b) => b) => ({
  engineId,
  survey: more(new Bench(profile, 'lay-up')).survey
});
const two: Profile = {
  strokes: 'two',
  cylinders: 2,
  displacement: 400e-6,
  fuelSystem: 'carburettor',
  gearCapacity: 260e-6,
  plugDrain: 'fitted',
  plugLevel: 'fitted',
  plugVent: 'not-fitted'
};
const four: Profile = { ...two, strokes: 'four', fuelSystem: 'electronic', sumpWithFilter: 2e-3 };

describe('many engines through one job', () => {
  it('engine by step: a step is asked of those that have it', () => {
    const f = fleetOf([member('a', two), member('b', two), member('c', four)], layUp, now, 'metric');
    const of = (id: string) => f.steps.find((s) => s.id === id)?.of;
    expect([of('treat'), of('oil'), of('bowl'), of('gear')]).toEqual([3, 1, 2, 3]);
    expect(f.rows.map((r) => r.steps.has('oil'))).toEqual([false, false, true]);
  });
  it('a step that asks another thing of another kind of engine is a line of its own, beside it', () => {
    const f = fleetOf([member('a', two), member('c', four)], layUp, now, 'metric');
    const bores = f.steps.filter((s) => s.id === 'bores');
    expect(bores.map((s) => [s.key, s.of])).toEqual([
      ['bores', 1],
      ['bores-2', 1]
    ]);
    expect(f.steps.indexOf(bores[1]!)).toBe(f.steps.indexOf(bores[0]!) + 1);
    // Only what is measured in is needed by the bottle.
    expect(f.needs.find((n) => n.supply === 'boreOil')).toMatchObject({ known: 1 });
  });
  it('what is ticked is done, by whom, and is no longer needed', () => {
    const ticked = member('a', two, (b) => b.done('flow.lay-up').done('flow.lay-up.gear'));
    const f = fleetOf([ticked, member('b', two)], layUp, now, 'metric');
    expect(f.steps.find((s) => s.id === 'gear')).toMatchObject({ of: 2, done: 1 });
    expect(f.rows[0]!.steps.get('gear')).toMatchObject({ done: true });
    expect(f.needs.find((n) => n.supply === 'gearOil')!.amount).toBeCloseTo(260e-6, 12);
  });
  it('what they need together, and of how many nobody knows', () => {
    const { gearCapacity: _, plugVent: __, ...bare } = two;
    const f = fleetOf([member('a', two), member('b', four), member('c', bare)], layUp, now, 'metric');
    const need = (supply: SupplyId) => f.needs.find((n) => n.supply === supply)!;
    expect(need('gearOil')).toMatchObject({ unknown: 1 });
    expect(need('gearOil').amount).toBeCloseTo(520e-6, 12);
    expect(need('plugWashers')).toMatchObject({ amount: 4, unknown: 1 });
    expect(need('engineOil').amount).toBeCloseTo(2e-3, 12);
    expect(need('oilFilter').amount).toBe(1);
    expect(fleetOf([], layUp, now, 'metric')).toEqual({ rows: [], steps: [], needs: [], hands: [] });
  });
  it('oil in the bores is on the label', () => {
    const f = fleetOf([member('a', two, (b) => b.read('plugs.oil', 8e-6)), member('b', two)], layUp, now, 'metric');
    expect(f.rows.map((r) => r.oiled)).toEqual([true, false]);
  });

  it('who does what: engines and steps left by hand, what nobody has comes last', () => {
    const hand =
      (inHand: string) =>
      (b: Bench): Bench => {
        b.survey.engine.identity = { ...b.survey.engine.identity, inHand };
        return b;
      };
    const done = (b: Bench): Bench => {
      b.survey = {
        ...b.survey,
        steps: [{ id: 's', at: '2026-11-01T08:00:00.000Z', step: 'flow.lay-up.gear', state: 'done' }]
      };
      return b;
    };
    const { rows, hands } = fleetOf(
      [
        member('a', two, hand('Mo')),
        member('b', two),
        member('c', two, (b) => done(hand('Ana')(b))),
        member('d', two, hand('Mo'))
      ],
      layUp,
      now,
      'metric'
    );
    const steps = rows[0]!.steps.size;
    expect(hands).toEqual([
      { who: 'Ana', engines: 1, finished: 0, left: steps - 1 },
      { who: 'Mo', engines: 2, finished: 0, left: 2 * steps },
      { engines: 1, finished: 0, left: steps }
    ]);
  });
});
