import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { contextOf } from '../findings/context.ts';
import { stations } from '../stations/register.ts';
import { Bench } from '../../../test/case.ts';
import { checkEntryBody } from '../survey/entry-check.ts';
import { entriesOf, withEntries } from './entries.ts';
import { readSurveyFile } from '../survey/read-file.ts';
import { runningWaits, sayLeft, sayWait, type Wait } from './wait.ts';

const wait = (id: string, at: string, minutes: number, more: Partial<Wait> = {}): Wait => ({
  id,
  at,
  label: 'Draining',
  minutes,
  ...more
});
const at = (b: Bench) => contextOf(b.survey, new Date('2026-05-03'), 'metric');

describe('running waits', () => {
  it('run until somebody ends them, the first to be over first', () => {
    const list = [
      wait('a', '2026-05-02T08:00:00.000Z', 60),
      wait('b', '2026-05-02T08:10:00.000Z', 20),
      wait('c', '2026-05-02T08:00:00.000Z', 5),
      wait('d', '2026-05-02T08:06:00.000Z', 5, { supersedes: 'c', ended: true })
    ];
    expect(runningWaits(list).map((r) => r.wait.id)).toEqual(['b', 'a']);
    expect(runningWaits(list)[0]!.until.toISOString()).toBe('2026-05-02T08:30:00.000Z');
    expect(runningWaits()).toEqual([]);
  });
  it('an end that was undone runs on: the latest word counts', () => {
    const ended = wait('b', '2026-05-02T08:06:00.000Z', 5, { supersedes: 'a', ended: true });
    const again = wait('c', '2026-05-02T08:00:00.000Z', 5, { supersedes: 'b' });
    expect(runningWaits([wait('a', '2026-05-02T08:00:00.000Z', 5), ended, again]).map((r) => r.wait.id)).toEqual(['c']);
  });
  it('are said in the words of a clock', () => {
    const until = new Date('2026-05-02T10:00:00.000Z');
    const said = (iso: string): string => sayLeft(until, new Date(iso));
    expect(said('2026-05-02T09:47:20.000Z')).toBe('12:40 left');
    expect(said('2026-05-02T06:55:00.000Z')).toBe('3 h 5 min left');
    expect(said('2026-04-29T10:00:00.000Z')).toBe('3 days left');
    expect(said('2026-05-02T10:00:30.000Z')).toBe('over');
    expect(said('2026-05-02T10:04:10.000Z')).toBe('over since 4 min');
    expect(said('2026-05-02T12:10:00.000Z')).toBe('over since 2 h 10 min');
  });
  it('whatever the two clocks, the words are finite', () => {
    fc.assert(
      fc.property(fc.date({ noInvalidDate: true }), fc.date({ noInvalidDate: true }), (a, b) => {
        expect(sayLeft(a, b)).toMatch(/left|over/);
        expect(sayLeft(a, b)).not.toMatch(/NaN|Infinity/);
      })
    );
  });
  it('are entries like any other: checked, kept in the file, read back', () => {
    const body = wait('w1', '2026-05-02T08:00:00.000Z', 20, { station: 'gear' });
    const checked = checkEntryBody('wait', body);
    expect(checked.ok).toBe(true);
    expect(checkEntryBody('wait', { ...body, minutes: 0 })).toMatchObject({
      ok: false,
      message: /over before it is written/
    });
    expect(checkEntryBody('wait', { ...body, minutes: 1e6 })).toMatchObject({
      ok: false,
      message: /a date, not a wait/
    });
    expect(checkEntryBody('wait', { ...body, label: ' ' })).toMatchObject({
      ok: false,
      message: /say what is waiting/
    });
    const survey = withEntries(new Bench().survey, [{ type: 'wait', body }]);
    const read = readSurveyFile(JSON.stringify(survey));
    expect(read.ok && read.survey.waits).toEqual([body]);
    expect(entriesOf(survey)).toContainEqual({ type: 'wait', body });
  });
});

describe('usual waits', () => {
  it('a case drains longer in the cold, by its oil’s viscosity (ASTM D341)', () => {
    const minutes = (b: Bench): number => stations.gear.waits!(at(b))[0]!.minutes;
    expect(minutes(new Bench())).toBe(20);
    expect(minutes(new Bench().read('safe.air', 283.15))).toBe(44);
    expect(minutes(new Bench().read('safe.air', 273.15))).toBe(112);
  });
  it('a soak follows the house rule, a dip waits for the oil, most checks wait for nothing', () => {
    expect(stations.turn.waits!(at(new Bench()))[0]).toMatchObject({ minutes: 720 });
    expect(stations.oil.waits!(at(new Bench()))[1]!.label).toBe('Oil settling');
    expect(stations.spark.waits).toBeUndefined();
  });
});

describe('a clock that is moved while it waits', () => {
  const [running] = runningWaits([wait('a', '2026-05-02T08:00:00.000Z', 20)]);
  it('forward, it is over; back beyond its start, it says so instead of counting wrongly', () => {
    expect(sayWait(running!, new Date('2026-05-02T11:00:00Z'))).toBe('over since 2 h 40 min');
    expect(sayWait(running!, new Date('2026-05-02T08:05:00Z'))).toBe('15:00 left');
    expect(sayWait(running!, new Date('2026-05-02T02:00:00Z'))).toMatch(/^20 min in all; this clock was moved back/);
  });
  it('two tablets a minute apart are no moved clock', () => {
    expect(sayWait(running!, new Date('2026-05-02T07:59:10Z'))).toBe('20:50 left');
  });
});
