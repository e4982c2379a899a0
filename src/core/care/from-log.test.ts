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
});

it('broken in on mineral oil, the first change is the day on which the manual’s own goes in', () => {
  const b = new Bench(four, 'new-engine', { hours: 0, hoursAMonth: 5 });
  const first = (schools: object): Due => find(dueList([b.survey], { schools }, now), 'first-oil')!;
  expect(first({ breakIn: 'load' }).title).toMatch(/mineral oil out/);
  expect(first({}).title).toBe('First oil change');
});
