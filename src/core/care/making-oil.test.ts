import { describe, expect, it } from 'vitest';
import { Bench } from '../../../test/case.ts';
import type { Engine } from '../engine/engine.ts';
import type { Outing } from '../engine/outing.ts';
import { contextOf } from '../findings/context.ts';
import { headHoursNow, loggedOutings, outingMeter, totalsOf } from './outings.ts';
import { makingOil, type MakingOil } from './making-oil.ts';

const MM = 1e-3;
const day = (k: number): string => new Date(Date.UTC(2026, 5, 1 + k)).toISOString().slice(0, 10);
const logged = (list: readonly Partial<Outing>[]): Engine['outings'] =>
  Object.fromEntries(list.map((o, k) => [`o${k}`, { on: day(k), ...o }]));
const four = { strokes: 'four', cylinders: 2, sumpWithFilter: 2e-3 } as const;

function judged(list: readonly Partial<Outing>[], volumes = false): MakingOil {
  const b = new Bench(four);
  if (volumes) b.read('oil.markGap', 0.012).read('oil.markVolume', 300e-6);
  b.survey = { ...b.survey, engine: { ...b.survey.engine, outings: logged(list) } };
  return makingOil(contextOf(b.survey, new Date('2026-09-01'), 'metric'));
}
/** Dips that scatter as dips do, the same each time. */
const wobble = [0.4, -0.7, 0.9, -0.2, 0.6, -0.9, 0.1, -0.5, 0.8, -0.4];
function outings(
  n: number,
  rise: (idle: number) => number,
  idle: (k: number) => number = () => 0.7
): Partial<Outing>[] {
  let level = 4 * MM;
  return Array.from({ length: n }, (_, k) => {
    const before = level + wobble[(2 * k) % 10]! * MM;
    level += rise(idle(k)) * MM * 3;
    return { ran: 3, idle: idle(k), oilBefore: before, oilAfter: level + wobble[(2 * k + 1) % 10]! * MM };
  });
}

describe('hours of the log', () => {
  it('are the meter’s where it tells, the estimate where not, and unknown where neither', () => {
    const engine = { outings: logged([{ meter: 100 }, { meter: 103.5, ran: 3 }, { ran: 2 }, {}, { meter: 110 }]) };
    expect(loggedOutings(engine).map((o) => [o.hours, o.metered ?? false])).toEqual([
      [undefined, false],
      [3.5, true],
      [2, false],
      [undefined, false],
      [6.5, true]
    ]);
    expect(outingMeter(engine).map((m) => m.hours)).toEqual([100, 103.5, 105.5, 110]);
    expect(totalsOf(loggedOutings(engine))).toMatchObject({ outings: 5, hours: 12, unknown: 2 });
  });
  it('a meter that runs backward gives no hours; a gap of days is not one outing', () => {
    const engine = { outings: logged([{ meter: 100 }, { meter: 12, ran: 4 }, { meter: 90, ran: 3 }]) };
    const list = loggedOutings(engine);
    expect(list[1]).toMatchObject({ hours: 4, backward: true });
    expect(list[2]!.hours).toBe(3);
  });
  it('two logs of one day both count, in the order in which they were written', () => {
    const engine = { outings: { b: { on: '2026-06-01', ran: 1 }, a: { on: '2026-06-01', ran: 2 } } };
    expect(loggedOutings(engine).map((o) => o.id)).toEqual(['b', 'a']);
    expect(totalsOf(loggedOutings(engine)).hours).toBe(3);
  });
  it('head hours go on from where they were noted', () => {
    const engine = (history: object, list: readonly Partial<Outing>[]): Engine =>
      ({ identity: {}, profile: {}, history, outings: logged(list) }) as Engine;
    expect(headHoursNow(engine({ hours: 700, headHours: 4 }, [{ meter: 706 }]))).toBe(10);
    expect(headHoursNow(engine({ headHours: 4 }, [{ ran: 2 }, { ran: 1.5 }]))).toBe(7.5);
    expect(headHoursNow(engine({ hours: 30 }, []))).toBe(30);
    expect(headHoursNow(engine({}, [{ on: day(0) }]))).toBeUndefined();
  });
});

describe('making oil', () => {
  it('is never said of one dip, nor of dips with oil added between them or with unknown hours', () => {
    expect(judged([]).verdict).toBe('no-dips');
    expect(judged([{ ran: 3, oilAfter: 15 * MM }]).verdict).toBe('cannot-tell');
    expect(
      judged([
        { ran: 3, oilAfter: 4 * MM },
        { ran: 3, added: 1e-4, oilAfter: 9 * MM }
      ]).rate
    ).toBeUndefined();
    expect(judged([{ oilBefore: 4 * MM, oilAfter: 9 * MM }]).rate).toBeUndefined();
    expect(judged([{ ran: 3, tilted: true, oilBefore: 0, oilAfter: 9 * MM }]).verdict).toBe('no-dips');
  });
  it('a rise of one and a half millimetres an hour is told from the scatter of dips; overfilled is not a rise', () => {
    const rises = judged(outings(5, () => 1.5));
    expect(rises.verdict).toBe('rises');
    expect(rises.rate!.low).toBeLessThan(1.5 * MM);
    expect(rises.rate!.high).toBeGreaterThan(1.5 * MM);
    const over = judged(
      outings(10, () => 0).map((o) => ({ ...o, oilBefore: o.oilBefore! + 14 * MM, oilAfter: o.oilAfter! + 14 * MM }))
    );
    expect(['steady', 'cannot-tell']).toContain(over.verdict);
    expect(`${over.sentence} ${over.advice}`).toMatch(/draw it down/i);
  });
  it('an addition makes a rise of its own that is not the engine’s', () => {
    const list = outings(6, () => 0);
    const topped = list.map((o, k) =>
      k < 3 ? o : { ...o, oilBefore: o.oilBefore! + 8 * MM, oilAfter: o.oilAfter! + 8 * MM }
    );
    expect(judged(topped).verdict).toBe('rises');
    const told = topped.map((o, k) => (k === 3 ? { ...o, oilBefore: o.oilBefore! - 8 * MM, added: 2e-4 } : o));
    expect(judged(told).verdict).not.toBe('rises');
  });
  it('idle and load are told apart, and what helps follows from that', () => {
    const list = outings(
      10,
      (idle) => (idle > 0.5 ? 1.6 : 0),
      (k) => (k % 2 ? 0.9 : 0.1)
    );
    const m = judged(list);
    expect(m.byLoad!.idle.value).toBeGreaterThan(1 * MM);
    expect(Math.abs(m.byLoad!.loaded.value)).toBeLessThan(0.7 * MM);
    expect(
      judged(
        outings(
          6,
          () => 1.5,
          () => 0.8
        )
      ).advice
    ).toMatch(/It idles 80 % of its hours: load it/);
    expect(
      judged(
        outings(
          6,
          () => 1.5,
          () => 0.1
        )
      ).advice
    ).toMatch(/look for why/);
  });
  it('the forecast runs to the limit of fuel where volumes are known, else to the mark, and is an interval', () => {
    const mark = judged(outings(4, () => 0.6));
    expect(mark.forecast).toMatchObject({ to: 'full mark' });
    const m = judged(
      outings(4, () => 0.6),
      true
    );
    expect(m.forecast!.to).toBe('dilution');
    // 0.6 mm an hour of 25 mL a millimetre in two litres is 0.75 % an hour: 4 % after 5.3 h, less the twelve that it ran.
    expect(m.fuel!.value).toBeCloseTo(0.0075 * 12, 1);
    expect(m.forecast!.soonest).toBeLessThanOrEqual(m.forecast!.latest ?? Infinity);
    expect(
      judged(
        outings(8, () => 1.5),
        true
      ).advice
    ).toMatch(/^Change the oil/);
  });
  it('a level that falls is oil used, with what of it by volume', () => {
    const m = judged(
      outings(6, () => -1.2),
      true
    );
    expect(m.verdict).toBe('falls');
    expect(m.sentence).toMatch(/mL/);
  });
  it('one step of the stick makes small changes', () => {
    const list = outings(5, () => 1.5);
    const [a, b] = [judged(list), judged(list.map((o, k) => (k === 2 ? { ...o, oilAfter: o.oilAfter! + MM } : o)))];
    expect(Math.abs(a.rate!.value - b.rate!.value)).toBeLessThan(0.15 * MM);
  });
});
