import { describe, expect, it } from 'vitest';
import { assess } from '../../src/core/assess.ts';
import { flowMark } from '../../src/core/care/flow.ts';
import { standsAt } from '../../src/core/record/stands-at.ts';
import { lineOf } from '../../src/lib/server/work/line.ts';
import { Bench } from '../case.ts';
import { ranWell, readyToRun } from './all-good.ts';
import { four, two } from './engines.ts';

const titles = (b: Bench): string[] => b.assessed().moves.map((m) => m.title);
const days = (n: number): number => 24 * n;
const sump = { ...four, lubrication: 'sump', sumpWithFilter: 2e-3 } as const;

describe('an engine that was looked at, and then waited', () => {
  it('for some weeks, for a part: what was seen still counts', () => {
    const b = readyToRun(two);
    const before = titles(b);
    expect(titles(b.wait(days(40)))).toEqual(before);
  });
  it('for a season: its fuel is no more fresh, and it is turned by hand before anything spins it', () => {
    const b = readyToRun(sump).wait(days(250));
    expect(b.holds()).toContain('fuel');
    expect(b.ids()).toContain('fuel.age:fault');
    const list = titles(b);
    for (const look of ['Turn it by hand', 'Look into the tank', 'Dip the engine oil twice, look and smell'])
      expect(list).toContain(look);
    expect(list.indexOf('First run on water, watched')).toBeGreaterThan(list.indexOf('Look into the tank'));
  });
  it('after it ran well, for a season: it is run again before it goes back', () => {
    const b = ranWell(two);
    expect(b.ids()).toContain('run.ran:sound');
    const list = titles(b.wait(days(250)));
    expect(b.ids()).toContain('run.stood:cannot-tell');
    expect(list).toContain('Run it again, watched: it has stood since');
    expect(b.assessed().ready).toBe(false);
    expect(b.read('run.outcome', 'ran').ids()).toContain('run.ran:sound');
  });
  it('drained it does not age, and filled again it is fresh', () => {
    const b = new Bench(two, 'neglected', { yearsIdle: 0 });
    for (const k of ['tank', 'line', 'bowl'] as const) b.read(`fuel.${k}`, 'drained');
    expect(b.wait(days(400)).holds()).not.toContain('fuel');
    const old = readyToRun(two).wait(days(400)).done('fuel-drain').wait(0.1);
    for (const k of ['tank', 'line', 'bowl'] as const) old.read(`fuel.${k}`, 'fresh');
    expect(old.holds()).not.toContain('fuel');
    expect(old.ids()).not.toContain('fuel.age:fault');
  });
  it('the age that was told of fuel and impeller grows from when it was told', () => {
    const b = new Bench(two, 'neglected').read('fuel.age', 3).read('cooling.impellerAge', 1);
    expect(b.ids()).not.toContain('fuel.age:fault');
    const shown = b.wait(days(500)).judged().stations;
    expect(b.ids()).toContain('fuel.age:fault');
    expect(b.said('cooling.pump')).toMatch(/is 28 months old, past 2 years/);
    expect(shown.find((s) => s.id === 'fuel')?.sounding).toMatchObject({ number: '19' });
  });
});

describe('an assessment that is closed', () => {
  const year = days(400);
  it('stands as it was signed, until something is entered', () => {
    const b = readyToRun(two);
    const signed = b.wait(0.1).survey.readings.at(-1)!.at;
    const later = b.wait(year).survey;
    const now = new Date(Date.parse(signed) + 3.6e6 * year);
    expect(standsAt(later, signed, now).toISOString()).toBe(new Date(signed).toISOString());
    expect(standsAt(later, undefined, now)).toBe(now);
    const ticked = { ...later, steps: [{ id: 't', at: now.toISOString(), step: 'care', state: 'done' as const }] };
    expect(standsAt(ticked, signed, now)).not.toBe(now);
    expect(standsAt(b.read('fuel.level', 'full').survey, signed, now)).toBe(now);
    const line = (releasedAt: string | null) =>
      lineOf(
        {
          surveyId: 's',
          engineId: 'e',
          kind: 'neglected',
          startedAt: signed,
          survey: later,
          releasedAt,
          history: [],
          hours: []
        },
        now,
        'us'
      );
    expect(line(signed).row.holds.map((h) => h.title)).not.toContain('Old or watered fuel aboard');
    expect(line(null).row.holds.map((h) => h.title)).toContain('Old or watered fuel aboard');
    expect(assess(later, now, 'us').holds.map((h) => h.id)).toContain('fuel');
  });
  it('a short job that was finished is not taken up again because its fuel grew old', () => {
    const b = new Bench(two, 'single-job');
    for (const k of ['tank', 'line', 'bowl'] as const) b.read(`fuel.${k}`, 'fresh');
    const at = b.wait(0.1).survey.readings.at(-1)!.at;
    const step = flowMark('spring');
    b.survey = {
      ...b.survey,
      steps: (['open', 'done'] as const).map((state, k) => ({ id: `m${k}`, at, step, state }))
    };
    const now = new Date(Date.parse(at) + 3.6e6 * year);
    const input = { surveyId: 's', engineId: 'e', kind: 'single-job' as const, startedAt: at, survey: b.survey };
    const { row } = lineOf({ ...input, releasedAt: null, history: [], hours: [] }, now, 'us');
    expect(row.flow?.id).toBe('spring');
    expect(row.holds.map((h) => h.title)).not.toContain('Old or watered fuel aboard');
  });
});

describe('oil into bores that stood for years', () => {
  const stood = (): Bench => {
    const b = new Bench(two, 'long-stored', { yearsIdle: 6 });
    for (const cylinder of [1, 2, 3])
      b.read('plugs.read', ['dry'], { cylinder }).read('plugs.hole', 'clean', { cylinder });
    return b.read('plugs.order', 'yes').read('turn.plugs', 'out').read('turn.result', 'free');
  };
  const now = (b: Bench): string[] => b.assessed().moves.flatMap((m) => (m.waits ? [] : [m.title]));
  const OIL = 'Oil the bores, note how much';

  it('is the next step before anything cranks it, and “none” is no answer to it', () => {
    expect(now(stood())).toContain(OIL);
    const none = stood().read('plugs.oil', 0);
    expect(now(none)).toContain(OIL);
    expect(none.assessed().moves.find((m) => m.title === 'Compression, every cylinder')?.waits).toBe(
      'First: oil into the bores.'
    );
    expect(now(none.read('plugs.oil', 10e-6))).not.toContain(OIL);
  });
  it('readings marked dry over it are noted as oiled, and the doubt is closed', () => {
    const all = [1, 2, 3].map((k) => [k, 118] as const);
    const b = stood().read('plugs.oil', 10e-6).psi(all);
    expect(b.ids()).toContain('compression.bores:cannot-tell');
    expect(now(b)).toContain('Compression again, noted as oiled');
    b.psi(all, { conditions: { throttle: 'open', bores: 'oiled' } });
    expect(b.ids()).not.toContain('compression.bores:cannot-tell');
    expect(now(b).join(' | ')).not.toMatch(/noted as oiled/);
    // A day later the oil has run off, and dry readings are dry.
    expect(stood().read('plugs.oil', 10e-6).wait(30).psi(all).ids()).not.toContain('compression.bores:cannot-tell');
  });
});
