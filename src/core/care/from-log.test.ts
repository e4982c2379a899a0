import { describe, expect, it } from 'vitest';
import { Bench } from '../../../test/case.ts';
import type { Outing } from '../engine/outing.ts';
import { dueList, type Due } from './due.ts';

const day = (k: number): string => new Date(Date.UTC(2026, 5, 1 + k)).toISOString().slice(0, 10);
const now = new Date('2026-09-01T12:00:00.000Z');
const four = { strokes: 'four', cylinders: 2, sumpWithFilter: 2e-3 } as const;
const MM = 1e-3;

/** Ten outings of three hours, the level rising so many mm an hour. */
const outings = (rise: number, metered: boolean): Partial<Outing>[] =>
  Array.from({ length: 10 }, (_, k) => ({
    ...(metered ? { meter: 100 + 3 * (k + 1) } : { ran: 3 }),
    idle: 0.7,
    oilBefore: (3 + 3 * k * rise) * MM,
    oilAfter: (3 + 3 * (k + 1) * rise) * MM
  }));
function due(list: readonly Partial<Outing>[], more: (b: Bench) => Bench = (b) => b, at = now): Due[] {
  const b = new Bench(four, 'neglected', { hoursAMonth: 6 });
  b.survey = {
    ...b.survey,
    engine: { ...b.survey.engine, outings: Object.fromEntries(list.map((o, k) => [`o${k}`, { on: day(k), ...o }])) }
  };
  return dueList([more(b).survey], {}, at);
}
const find = (list: readonly Due[], id: string): Due | undefined => list.find((d) => d.id === id);
const volumes = (b: Bench): Bench => b.read('oil.markGap', 0.012).read('oil.markVolume', 300e-6);

describe('what the log of outings makes due', () => {
  it('oil that rises is due by its forecast, in hours of the meter', () => {
    const d = find(due(outings(0.5, true), volumes), 'log-oil')!;
    expect(d.title).toMatch(/^Engine oil/);
    expect(d.because).toMatch(/makes oil/);
    expect(d.state === 'overdue' || (d.atHours ?? 0) > 130).toBe(true);
  });
  it('without a meter its hours are not counted on; past its mark it is due at once', () => {
    const d = find(due(outings(0.5, false)), 'log-oil')!;
    expect(d.state).toBe('overdue');
  });
  it('an oil change that the owner logged is an oil change: the next one counts from there', () => {
    const list = outings(0, true);
    const before = find(due(list), 'engine-oil')!;
    expect(before.state).toBe('unknown');
    const after = find(due(list.map((o, k) => (k === 6 ? { ...o, changed: true as const } : o))), 'engine-oil')!;
    // Changed on the sixth of June at 118 h on the meter.
    expect([after.last?.on, after.atHours]).toEqual([day(6), 218]);
    expect(after.on).toBe('2027-06-07');
  });
  it('a level that holds makes nothing due, and one dip tells nothing', () => {
    expect(find(due(outings(0, true), volumes), 'log-oil')).toBeUndefined();
    expect(find(due([{ ran: 2, oilAfter: 20 * MM }]), 'log-oil')).toBeUndefined();
  });
  it('changed by the yard since, it is not due by the log before that', () => {
    const changed = (b: Bench): Bench => {
      const mark = { id: 's', at: '2026-08-01T10:00:00.000Z', step: 'care.engine-oil', state: 'done' as const };
      b.survey = { ...b.survey, steps: [mark] };
      return b;
    };
    expect(find(due(outings(0.5, true), changed), 'log-oil')).toBeUndefined();
  });
  it.each(['weak', 'none'] as const)(
    'a %s stream at the last outing is overdue; a strong one after it is not',
    (stream) => {
      expect(find(due([{ ran: 1, stream }]), 'log-stream')).toMatchObject({ state: 'overdue', day: day(0) });
      expect(
        find(
          due([
            { ran: 1, stream },
            { ran: 1, stream: 'strong' }
          ]),
          'log-stream'
        )
      ).toBeUndefined();
      expect(find(due([{ ran: 1, stream }, { ran: 1 }]), 'log-stream')).toBeDefined();
    }
  );
  const wet = (o: Partial<Outing>, runsIn?: string, more: (b: Bench) => Bench = (b) => b): Due | undefined =>
    find(
      due([{ ran: 2, ...o }], (b) => {
        if (runsIn) b.survey.engine.history = { ...b.survey.engine.history, runsIn: runsIn as 'salt' };
        return more(b);
      }),
      'flush'
    );
  it('salt is flushed out after each outing: noted as done, it is; not noted, it is asked; unknown water asks nothing', () => {
    expect(wet({ water: 'salt', flushed: false })?.state).toBe('overdue');
    expect(wet({ water: 'salt' })?.because).toMatch(/nobody noted/);
    expect(wet({ water: 'salt', flushed: true })).toBeUndefined();
    expect(wet({ water: 'fresh' })).toBeUndefined();
    expect(wet({})).toBeUndefined();
    expect(wet({}, 'brackish')?.state).toBe('overdue');
    // The outing says more than where it usually runs.
    expect(wet({ water: 'fresh' }, 'salt')).toBeUndefined();
  });
  it('flushed by the yard the same day, or in its lay-up, it is no more due; before that outing it is', () => {
    const step =
      (step: string, on: string) =>
      (b: Bench): Bench => {
        b.survey = { ...b.survey, steps: [{ id: 's', at: `${on}T18:00:00.000Z`, step, state: 'done' }] };
        return b;
      };
    expect(wet({ water: 'salt' }, undefined, step('care.flush', day(0)))).toBeUndefined();
    expect(wet({ water: 'salt' }, undefined, step('flow.lay-up.flush', day(3)))).toBeUndefined();
    expect(wet({ water: 'salt' }, undefined, step('care.flush', '2026-05-20'))?.state).toBe('overdue');
  });

  describe('where no meter is', () => {
    const plugs =
      (on: string): ((b: Bench) => Bench) =>
      (b) => {
        b.survey = {
          ...b.survey,
          steps: [{ id: 's', at: `${on}T10:00:00.000Z`, step: 'care.gear-oil', state: 'done' }]
        };
        return b;
      };
    /** An outing of four hours every third day. */
    const many = Array.from({ length: 30 }, (_, k): Partial<Outing> => ({ on: day(3 * k), ran: 4 }));
    it('hours are those that were logged since: 116 h after the first day are over its hundred', () => {
      const d = find(due(many, plugs(day(0))), 'gear-oil')!;
      expect(d.state).toBe('overdue');
      expect(d.because).toContain('116 h logged since');
    });
    it('those before it do not count, and the next day is told by how much it runs', () => {
      const d = find(due(many, plugs(day(60))), 'gear-oil')!;
      expect(d.because).toContain('36 h logged since');
      // 64 h left at the 6 h a month that the owner tells: before the year is over.
      expect([d.hoursOn, d.on]).toEqual(['2027-07-18', '2027-07-31']);
      expect(d.day).toBe(d.hoursOn);
      expect(d.state).toBe('later');
    });
    it('work done after the last outing counts from that day, not from the outing', () => {
      const d = find(due(many, plugs('2026-08-30')), 'gear-oil')!;
      expect(d.hoursOn! > '2027-12-01').toBe(true);
    });
  });
});

it('broken in on mineral oil, the first change is the day on which the manual’s own goes in', () => {
  const b = new Bench(four, 'new-engine', { hours: 0, hoursAMonth: 5 });
  const first = (schools: object): Due => find(dueList([b.survey], { schools }, now), 'first-oil')!;
  expect(first({ breakIn: 'load' }).title).toMatch(/mineral oil out/);
  expect(first({}).title).toBe('First oil change');
});
