import { describe, expect, it } from 'vitest';
import { contextOf } from '../findings/context.ts';
import { holdRules } from '../holds/rules.ts';
import { allItems } from '../stations/items.ts';
import { Bench } from '../../../test/case.ts';
import { stageAt, stagesOf } from './break-in.ts';
import { eventsOf } from './calendar-events.ts';
import { dueList } from './due.ts';
import { flows, flowById } from './flows.ts';
import { procedureMark } from '../procedures/progress.ts';
import { flowOf, flowState } from './flow.ts';

const now = new Date('2026-06-01T12:00:00.000Z');
const due = (b: Bench, at = now) => dueList([b.survey], b.survey.houseRules ?? {}, at);
const find = (b: Bench, id: string, at = now) => due(b, at).find((d) => d.id === id)!;
/** Marks with hours, as the page writes them. */
function serviced(b: Bench, step: string, at: string, hours?: number): Bench {
  const mark = { id: `${step}${at}`, at, step, state: 'done' as const, ...(hours === undefined ? {} : { hours }) };
  b.survey = { ...b.survey, steps: [...(b.survey.steps ?? []), mark] };
  return b;
}

describe('what falls due', () => {
  it('whichever comes first of hours and months', () => {
    const b = new Bench({ strokes: 'four' }, 'spring-return', { hours: 150, hoursAMonth: 10 });
    serviced(b, 'care.engine-oil', '2026-03-01T12:00:00.000Z', 120);
    // 100 h after 120 h, at 10 h a month from 150 h: seven months; the year ends later.
    const d = find(b, 'engine-oil');
    expect(d).toMatchObject({ atHours: 220, on: '2027-03-01' });
    expect(d.day).toBe(d.hoursOn);
    expect(d.hoursOn?.slice(0, 7)).toBe('2026-12');
  });
  it('an unknown rate counts only the calendar, and says so', () => {
    const b = serviced(
      new Bench({ strokes: 'four' }, 'neglected', { hours: 150, hoursAMonth: 'unknown' as never }),
      'care.engine-oil',
      '2026-03-01T12:00:00.000Z',
      120
    );
    expect(find(b, 'engine-oil')).toMatchObject({
      day: '2027-03-01',
      because: expect.stringMatching(/only the calendar counts/)
    });
  });
  it('never recorded is not overdue: it is unknown', () => {
    expect(find(new Bench({ strokes: 'two' }), 'gear-oil')).toMatchObject({ state: 'unknown' });
    expect(due(new Bench({ strokes: 'two' })).some((d) => d.id === 'engine-oil')).toBe(false);
  });
  it('hours run past are overdue today, whatever the calendar says', () => {
    const b = serviced(
      new Bench({ strokes: 'four' }, 'neglected', { hours: 260 }),
      'care.gear-oil',
      '2026-05-01T12:00:00.000Z',
      150
    );
    expect(find(b, 'gear-oil').state).toBe('overdue');
  });
  it('the first oil of a fitted head at 20 h of its own, then the ordinary one', () => {
    const b = new Bench({ strokes: 'four' }, 'fitted-head', { hours: 19, hoursAMonth: 10 });
    expect(find(b, 'first-oil', new Date('2026-05-03T12:00:00.000Z'))).toMatchObject({ atHours: 20, state: 'soon' });
    expect(find(b, 'first-oil')).toMatchObject({ state: 'overdue', because: expect.stringMatching(/read the meter/) });
    serviced(b, 'care.first-oil', '2026-05-30T12:00:00.000Z', 20);
    expect(due(b).some((d) => d.id === 'first-oil')).toBe(false);
    expect(find(b, 'engine-oil').atHours).toBe(120);
  });
  it('an impeller by heat and shade, by the age somebody knew', () => {
    const sun = new Bench({}, 'neglected', { stored: 'sun' }).read('cooling.impellerAge', 2.5);
    expect(find(sun, 'impeller')).toMatchObject({ state: 'overdue' });
    const shade = new Bench({}, 'neglected', { stored: 'indoors' }).read('cooling.impellerAge', 2.5);
    expect(find(shade, 'impeller')).toMatchObject({ state: 'overdue' });
    const younger = new Bench({}, 'neglected', { stored: 'indoors' }).read('cooling.impellerAge', 1.5);
    expect(find(younger, 'impeller')).toMatchObject({ state: 'later', on: expect.stringMatching(/^2026-1/) });
    shade.survey = { ...shade.survey, houseRules: { schools: { impeller: '1' } } };
    expect(find(shade, 'impeller')).toMatchObject({ state: 'overdue', school: expect.stringMatching(/yearly/) });
  });
  it('a laid-up engine is turned each month, from the day it was laid up', () => {
    expect(find(new Bench({}, 'lay-up'), 'monthly-turn').day).toBe('2026-06-02');
    const turned = new Bench({}, 'lay-up')
      .wait(24 * 20)
      .read('turn.plugs', 'in')
      .read('turn.result', 'bumps');
    expect(find(turned, 'monthly-turn').day).toBe('2026-06-22');
    expect(due(new Bench({}, 'neglected', { laidUp: 'yes' })).some((d) => d.id === 'monthly-turn')).toBe(true);
    expect(due(new Bench()).some((d) => d.id === 'monthly-turn')).toBe(false);
  });
  it('the end of a month is the end of the shorter one', () => {
    const b = serviced(new Bench({}, 'lay-up'), 'care.monthly-turn', '2027-01-31T12:00:00.000Z');
    expect(find(b, 'monthly-turn', new Date('2027-02-01T12:00:00.000Z')).day).toBe('2027-02-28');
  });
  it('a temporary repair comes round by its day', () => {
    const b = new Bench();
    b.survey = {
      ...b.survey,
      jobs: [
        {
          id: 'j',
          at: '2026-05-02T08:00:00.000Z',
          step: 'own-1',
          title: 'Sleeve',
          temporary: { until: '2026-06-20', why: 'grooved shaft' }
        }
      ]
    };
    expect(find(b, 'inspect-own-1')).toMatchObject({
      day: '2026-06-20',
      state: 'soon',
      because: expect.stringMatching(/grooved shaft/)
    });
    const edit = { at: '2026-05-09T08:00:00.000Z', step: 'own-1' };
    const later = { ...edit, id: 'k', temporary: { until: '2026-08-01', why: 'longer sleeve' } };
    b.survey = { ...b.survey, jobs: [...b.survey.jobs!, later] };
    expect(due(b).filter((d) => d.id === 'inspect-own-1')).toMatchObject([{ day: '2026-08-01' }]);
    b.survey = { ...b.survey, jobs: [...b.survey.jobs!, { ...edit, id: 'l', temporary: null }] };
    expect(due(b).some((d) => d.id === 'inspect-own-1')).toBe(false);
  });
  it('becomes calendar entries of whole days that keep their name', () => {
    const b = new Bench({}, 'lay-up');
    const [turn] = eventsOf('e1', 'Avocet', due(b)).filter((e) => e.rule);
    expect(turn).toMatchObject({
      uid: 'e1-monthly-turn@indaga',
      day: '2026-06-02',
      rule: 'FREQ=MONTHLY'
    });
  });
});

describe('short jobs', () => {
  const context = (b: Bench) => contextOf(b.survey, now, 'metric');
  it('ask only for readings, holds and limits that there are, for any engine', () => {
    const ids = new Set<string>(holdRules.map((h) => h.id));
    for (const f of flows) {
      expect(f.holds.filter((h) => !ids.has(h))).toEqual([]);
      for (const strokes of ['two', 'four', undefined] as const)
        for (const fuelSystem of ['carburettor', 'direct', undefined] as const) {
          const b = new Bench(
            { ...(strokes ? { strokes } : {}), ...(fuelSystem ? { fuelSystem } : {}) },
            'fitted-head'
          );
          const steps = f.steps(context(b));
          expect(new Set(steps.map((s) => s.id)).size).toBe(steps.length);
          for (const s of steps) for (const i of s.items ?? []) expect(allItems[i]).toBeDefined();
        }
    }
  });
  it('are ticked, finished and opened again by marks in the record', () => {
    const flow = flowById('gear-oil')!;
    const b = serviced(new Bench(), procedureMark(flow, 'drain'), '2026-05-02T09:00:00.000Z');
    expect(
      flowState(context(b), flow, [])
        .steps.filter((s) => s.done)
        .map((s) => s.step.id)
    ).toEqual(['drain']);
    expect(flowState(context(b), flow, []).finished).toBeUndefined();
    serviced(b, procedureMark(flow), '2026-05-02T10:00:00.000Z');
    expect(flowState(context(b), flow, []).finished).toMatchObject({ at: '2026-05-02T10:00:00.000Z' });
    expect(flowOf(b.survey)).toBe('gear-oil');
    expect(flowOf(new Bench().survey)).toBeUndefined();
  });
  it('lay-up: the stabiliser’s time from what line and bowl hold', () => {
    const b = new Bench({ strokes: 'two', fuelSystem: 'carburettor' }, 'lay-up')
      .read('fuel.lineVolume', 0.4e-3)
      .read('fuel.idleFlow', 1.5e-3 / 3600);
    // Twice 400 mL at 1.5 L/h: 32 minutes.
    expect(flowById('lay-up')!.steps(context(b))[0]!.text).toMatch(/32 min at idle/);
    expect(flowById('lay-up')!.steps(context(new Bench({}, 'lay-up')))[0]!.text).toMatch(/as long as its volume needs/);
  });
  it('lay-up: measured oil into an injected engine, by its displacement', () => {
    const b = new Bench({ strokes: 'four', cylinders: 2, displacement: 500e-6, fuelSystem: 'electronic' }, 'lay-up');
    const text = flowById('lay-up')!
      .steps(context(b))
      .map((s) => s.text)
      .join(' ');
    // 2 mL for each 100 mL of 250 mL swept.
    expect(text).toMatch(/about 5(\.0)? mL of oil into each cylinder/);
    expect(text).not.toMatch(/drained by its screw/);
  });
  it('break-in: the stage by the hours of the head, none where they are unknown', () => {
    const at = (hours?: number) =>
      stageAt(context(new Bench({}, 'new-engine', hours === undefined ? {} : { hours })))?.id;
    expect([at(0.1), at(0.5), at(2), at(9), at(30), at()]).toEqual([
      'idle',
      'half',
      'three',
      'five',
      undefined,
      undefined
    ]);
    const soon = new Bench();
    soon.survey = { ...soon.survey, houseRules: { schools: { breakIn: 'load' } } };
    expect(stagesOf(context(soon))[1]!.text).toMatch(/under load/);
  });
});
