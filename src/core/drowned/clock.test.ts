import { describe, expect, it } from 'vitest';
import { Bench } from '../../../test/case.ts';
import type { CaseKind } from '../engine/case-kind.ts';
import type { History } from '../engine/profile.ts';
import { contextOf } from '../findings/context.ts';
import type { HouseRules } from '../house-rules/rules.ts';
import { exposure } from '../stations/turn/exposure.ts';
import { drownedClock } from './clock.ts';

const out = '2026-05-02T06:00:00.000Z';
const clock = (
  now: string,
  history: History = {},
  kind: CaseKind = 'drowned',
  rules: HouseRules = {},
  kept = false
) => {
  const b = new Bench({}, kind, { recoveredAt: out, ...history });
  b.survey = { ...b.survey, houseRules: rules };
  if (kept) b.read('safe.rinsed', 'kept');
  return drownedClock(contextOf(b.survey, new Date(now), 'metric'));
};

describe('the clock of a drowned engine', () => {
  it('runs from coming out of the water: three hours after salt, twelve after fresh', () => {
    expect(clock('2026-05-02T07:00:00.000Z', { water: 'salt' })).toMatchObject({
      hoursLeft: 2,
      until: new Date('2026-05-02T09:00:00.000Z'),
      school: 'act within 3 h of salt water (house rule)'
    });
    expect(clock('2026-05-02T07:00:00.000Z', { water: 'fresh' })).toMatchObject({
      hoursLeft: 11,
      school: 'act within 12 h of fresh water (house rule)'
    });
  });
  it('brackish and unknown water count as salt, and say so', () => {
    expect(clock(out, { water: 'brackish' })).toMatchObject({
      hoursLeft: 3,
      school: expect.stringMatching(/brackish water/)
    });
    for (const water of ['unknown', undefined] as const)
      expect(clock(out, water ? { water } : {})).toMatchObject({
        hoursLeft: 3,
        school: expect.stringMatching(/unknown, taken as salt/)
      });
  });
  it('the house’s hours count', () => {
    const rules = { numbers: { drownedSalt: 1.5 } };
    expect(clock(out, { water: 'salt' }, 'drowned', rules)).toMatchObject({
      hoursLeft: 1.5,
      school: expect.stringMatching(/within 1.5 h/)
    });
  });
  it('says what to do while there is time, and what to assume after it', () => {
    expect(clock('2026-05-02T08:59:00.000Z')?.sentence).toBe(
      'Work on it now, or keep it under fresh water rather than in air.'
    );
    for (const late of ['2026-05-02T09:00:00.000Z', '2026-05-04T09:00:00.000Z'])
      expect(clock(late)?.sentence).toMatch(/^The time is past: assume corrosion has begun/);
    expect(clock('2026-05-02T12:00:00.000Z')?.hoursLeft).toBe(-3);
  });
  it('kept under fresh water it is slowed, and says so before what to do', () => {
    // Two hours in air of three; from then on under fresh water: the last third is twelve hours of fresh water, ten times slower.
    const kept = clock('2026-05-02T08:01:00.000Z', { water: 'salt' }, 'drowned', {}, true);
    expect(kept?.sentence).toMatch(/^Kept under fresh water: .* Work on it now/);
    expect(kept?.hoursLeft).toBeCloseTo((1 - 121 / 180) * 12 * 10, 3);
  });
  it('rinsed, what is left of the time runs by fresh water; displaced with oil, it is gone', () => {
    const b = new Bench({}, 'drowned', { recoveredAt: out, water: 'salt' }).read('safe.rinsed', 'yes');
    const at = (now: string) => contextOf(b.survey, new Date(now), 'metric');
    expect(drownedClock(at('2026-05-02T09:01:00.000Z'))?.hoursLeft).toBeCloseTo((1 - 121 / 180) * 12 - 1, 3);
    expect(drownedClock(at('2026-05-02T09:01:00.000Z'))?.school).toMatch(/12 h of fresh water/);
    b.read('turn.dried', 'yes');
    expect(drownedClock(at('2026-05-09T09:00:00.000Z'))).toBeUndefined();
    expect(exposure(at('2026-05-09T09:00:00.000Z'))).toMatchObject({
      perHour: 0,
      stoppedAt: '2026-05-02T08:02:00.000Z'
    });
    expect(exposure(at('2026-05-09T09:00:00.000Z'))!.spent).toBeLessThan(0.7);
  });
  it('what lay too long in air is said, whatever was done since, and only then', () => {
    const late = new Bench({}, 'drowned', { recoveredAt: '2026-05-01T20:00:00.000Z', water: 'salt' });
    expect(late.read('turn.dried', 'yes').said('turn.exposed')).toMatch(
      /lay 12 h in air .* 4 times what the house allows/
    );
    const soon = new Bench({}, 'drowned', { recoveredAt: out, water: 'salt' });
    expect(soon.read('turn.dried', 'yes').wait(500).said('turn.exposed')).toBe('');
    const fresh = new Bench({}, 'drowned', { recoveredAt: '2026-05-01T22:00:00.000Z', water: 'fresh' });
    expect(fresh.read('turn.dried', 'yes').said('turn.exposed')).toBe('');
  });
  it('an engine of another case, or of which nobody knows when it came out, has none', () => {
    expect(clock(out, { submerged: 'yes' }, 'neglected')).toBeUndefined();
    expect(clock(out, { recoveredAt: 'unknown' })).toBeUndefined();
    expect(drownedClock(contextOf(new Bench({}, 'drowned').survey, new Date(out), 'metric'))).toBeUndefined();
  });
});
