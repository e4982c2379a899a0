import { describe, expect, it } from 'vitest';
import { Bench } from '../case.ts';
import { jobs, moves, readyToRun } from './all-good.ts';
import { tester, two } from './engines.ts';

/** It died after a while: what shows only while it is hot is looked at while it is. */
const died = (minutes: number, said?: 'dies-warm'): Bench => {
  const b = readyToRun(two);
  if (said) {
    const { engine } = b.survey;
    b.survey = { ...b.survey, engine: { ...engine, history: { ...engine.history, said: [said] } } };
  }
  return b
    .read('run.event', 'start')
    .read('run.stream', 'strong')
    .wait(minutes / 60)
    .read('run.outcome', 'died')
    .read('run.minutes', minutes);
};
const hot = { path: 'tester', light: 'shade', engine: 'warm' } as const;
const first = (b: Bench): string => moves(b)[0]!;

describe('an engine that died after eighteen minutes', () => {
  it('is tried for spark at once, while it is hot; nobody asks how soon it died', () => {
    expect(first(died(18))).toBe('Spark at once, while it will not run');
    expect(moves(died(18)).join()).not.toMatch(/How soon/);
    expect(moves(died(18).wait(2)).join()).not.toMatch(/Spark at once/);
    expect(moves(died(18).read('run.event', 'start')).join()).not.toMatch(/Spark at once/);
  });
  it('before work is proved that can be proved tomorrow: it is cold in half an hour', () => {
    const b = readyToRun(two).done('fuel-filter').read('run.event', 'start').read('run.stream', 'strong').wait(0.3);
    b.read('run.outcome', 'died').read('run.minutes', 18);
    const [spark, ...rest] = b.assessed().moves;
    expect(spark).toMatchObject({ title: 'Spark at once, while it will not run', class: 2 });
    expect(Date.parse(spark!.deadline!) - Date.parse(b.survey.readings.at(-2)!.at)).toBe(30 * 60_000);
    expect(rest.some((m) => m.title.startsWith('Prove it'))).toBe(true);
    // Behind a look that its finding asks for first, it waits for that.
    const tank = new Bench(two)
      .read('run.event', 'start')
      .wait(0.3)
      .read('run.outcome', 'died')
      .read('run.minutes', 18);
    expect(tank.assessed().moves.filter((m) => m.class === 2)).toEqual([]);
  });
  it('after three minutes it was not hot yet, unless it is said to die warm', () => {
    expect(moves(died(3)).join()).not.toMatch(/Spark at once/);
    expect(first(died(18, 'dies-warm'))).toBe('Spark at once, while it will not run');
  });
  it('no spark on one, hot: its coil, and nothing of the fuel is looked at for it', () => {
    const b = died(18)
      .read('spark.result', 'good', { cylinder: 1, conditions: hot })
      .read('spark.result', 'good', { cylinder: 2, conditions: hot })
      .read('spark.result', 'none', { cylinder: 3, conditions: hot });
    expect(b.ids()).toContain('spark.fails-warm.3:fault');
    expect(b.assessed().moves.filter((m) => m.class < 6 && m.station === 'fuel')).toEqual([]);
    b.read('spark.coilSwap', 'moves', { cylinder: 3 });
    expect(b.assessed().moves[0]!.job).toBe('coil');
    // Renewed, what was seen hot is of the old one: it is looked at warm again, and proved by that.
    b.done('coil');
    expect(b.ids()).toContain('spark.fails-warm.3:watch');
    expect(b.said('spark.fails-warm.3')).toMatch(/before the work on it/);
    b.read('run.event', 'start').wait(0.5).read('run.outcome', 'ran').read('run.minutes', 30).read('run.event', 'stop');
    b.read('spark.result', 'good', { cylinder: 3, conditions: hot }).read('spark.result', 'good', {
      cylinder: 3,
      ...tester
    });
    expect(b.ids().join()).not.toMatch(/fails-warm/);
    expect(jobs(b)).not.toContain('coil');
  });
  it('spark on all of them, hot: it is the fuel, and that is looked at', () => {
    const b = died(18);
    for (const cylinder of [1, 2, 3]) b.read('spark.result', 'good', { cylinder, conditions: hot });
    expect(moves(b).join()).not.toMatch(/Spark at once/);
  });
});
