import { describe, expect, it } from 'vitest';
import { Bench } from '../../../test/case.ts';
import { everyMonth } from './calendar-events.ts';
import { dueList, monthsLater } from './due.ts';
import { meterOf, runSince } from './meter.ts';

const at = (month: number, hours: number) => ({ at: `2026-${String(month).padStart(2, '0')}-01T12:00:00.000Z`, hours });
const engine = (hours: number, more: object = {}) =>
  new Bench({ strokes: 'four' }, 'neglected', { hours, hoursAMonth: 10, ...more });
function serviced(b: Bench, when: string, hours: number): Bench {
  const mark = { id: when, at: when, step: 'care.engine-oil', state: 'done' as const, hours };
  b.survey = { ...b.survey, steps: [...(b.survey.steps ?? []), mark] };
  return b;
}
const oil = (b: Bench, now: string, noted?: readonly { at: string; hours: number }[]) =>
  dueList([b.survey], {}, new Date(now), noted).find((d) => d.id === 'engine-oil')!;

describe('care by hours falls due though nobody reads the meter', () => {
  const b = serviced(engine(150), '2026-01-10T12:00:00.000Z', 100);
  it('the day counts from when the hours were noted, not from today', () => {
    const noted = [at(3, 150)];
    const early = oil(b, '2026-03-02T12:00:00.000Z', noted);
    expect(early).toMatchObject({ atHours: 200, state: 'later' });
    // Fifty hours more at ten a month: five months after March, whenever it is asked.
    for (const now of ['2026-03-02', '2026-06-15', '2026-09-01'])
      expect(oil(b, `${now}T12:00:00.000Z`, noted).hoursOn).toBe(early.hoursOn);
    expect(early.hoursOn?.slice(0, 7)).toBe('2026-07');
    const late = oil(b, '2026-09-01T12:00:00.000Z', noted);
    expect(late.state).toBe('overdue');
    expect(late.because).toMatch(/read the meter/);
  });
  it('two readings far enough apart tell the rate better than the owner', () => {
    expect(meterOf([b.survey], [at(1, 100), at(8, 114)]).rate).toBeCloseTo(2.01, 1);
    expect(meterOf([b.survey], [at(4, 140), at(5, 148)]).rate).toBe(10);
  });
});

describe('meters that do not simply count on', () => {
  const none = new Bench();
  it('a lower reading among higher ones is a slip', () => {
    expect(meterOf([none.survey], [at(1, 100), at(2, 11), at(3, 120)]).runs).toEqual([[at(1, 100), at(3, 120)]]);
  });
  it('another meter goes on from where the old one stood', () => {
    const meter = meterOf([none.survey], [at(1, 100), at(3, 160), at(4, 2), at(6, 42)]);
    expect(meter.runs).toHaveLength(2);
    expect(runSince(meter, '2026-01-02T00:00:00.000Z', 100)).toBe(100);
    const b = serviced(engine(42), '2026-01-01T12:00:00.000Z', 100);
    const due = oil(b, '2026-06-02T12:00:00.000Z', [at(3, 160), at(4, 2), at(6, 42)]);
    expect(due.state).toBe('overdue');
  });
  it('nothing known is nothing run, and no day', () => {
    expect(meterOf([])).toEqual({ runs: [] });
    expect(runSince({ runs: [] }, '2026-01-01T00:00:00.000Z', 5)).toBe(0);
    expect(oil(new Bench({ strokes: 'four' }), '2026-06-01T12:00:00.000Z').state).toBe('unknown');
  });
});

describe('a head that is newer than the meter', () => {
  const first = (history: object, kind: 'fitted-head' | 'new-engine') => {
    const b = new Bench({ strokes: 'four' }, kind, history);
    return dueList([b.survey], {}, new Date('2026-05-03T12:00:00.000Z')).find((d) => d.id === 'first-oil')!;
  };
  it('an old leg’s meter does not make the first change overdue', () => {
    expect(first({ hours: 450 }, 'fitted-head')).toMatchObject({ atHours: 470, state: 'unknown' });
    expect(first({ hours: 450, headHours: 18 }, 'fitted-head')).toMatchObject({ atHours: 452 });
    expect(first({ hours: 452, headHours: 20 }, 'fitted-head').state).toBe('overdue');
    expect(first({ hours: 25 }, 'new-engine').state).toBe('overdue');
  });
});

describe('days', () => {
  it('months later end with the shorter month, over years and leap years', () => {
    expect(monthsLater('2027-01-31', 1)).toBe('2027-02-28');
    expect(monthsLater('2028-01-31', 1)).toBe('2028-02-29');
    expect(monthsLater('2026-11-30', 3)).toBe('2027-02-28');
    expect(monthsLater('2026-05-01', 24)).toBe('2028-05-01');
  });
  it('a monthly entry leaves no month out', () => {
    expect(everyMonth('2027-01-28')).toBe('FREQ=MONTHLY');
    expect(everyMonth('2027-01-30')).toBe('FREQ=MONTHLY;BYMONTHDAY=28,29,30;BYSETPOS=-1');
    expect(everyMonth('2027-01-31')).toBe('FREQ=MONTHLY;BYMONTHDAY=28,29,30,31;BYSETPOS=-1');
  });
});
