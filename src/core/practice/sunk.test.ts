import { describe, expect, it } from 'vitest';
import { Attempt } from './attempt.ts';
import { Exercise } from './exercise.ts';
import { toldAtIntake } from './intake.ts';
import { readyExercise, setupOfReady } from './ready.ts';
import { codeOf, setOf, setupOf, type PracticeSet } from './set-code.ts';
import { drawTruth, faultsNow, type Truth } from './truth.ts';
import { fuelEmptied, milkyByWater, passesOf, waterInSump } from './water.ts';

const sunk = (seed: string, engine = 'four-stroke-twin'): Truth =>
  drawTruth(seed, { kind: 'drowned', engine, only: ['liquid', 'fuel-water'], leaks: false });
type Readings = Parameters<typeof waterInSump>[1];
const read = (...list: readonly (readonly [string, unknown])[]): Readings =>
  list.map(([what, value], k) => ({
    id: `r${k}`,
    at: new Date(Date.parse('2026-05-04T08:00:00.000Z') + k * 60_000).toISOString(),
    what,
    value
  })) as unknown as Readings;
const seeds = Array.from({ length: 40 }, (_, k) => `sunk ${k}`);

describe('an engine that sank', () => {
  it('says how long it was under and is out, the same from the same seed', () => {
    const { history } = sunk('a').intake.engine;
    expect(sunk('a').intake.engine.history).toEqual(history);
    expect(history).toMatchObject({ submerged: 'yes' });
    expect(Date.parse(history.recoveredAt as string)).toBeLessThan(Date.parse('2026-05-04T07:00:00.000Z'));
  });
  it('its oil is thinned of water by every change, and a run may bring some out of hiding', () => {
    for (const seed of seeds) {
      const t = sunk(seed);
      const shares = [0, 1, 2].map((n) =>
        waterInSump(t, read(...Array.from({ length: n }, () => ['oil.drained', 1.2e-3] as const)))
      );
      expect(shares[0]).toBeGreaterThan(shares[1]!);
      expect(shares[1]).toBeGreaterThan(shares[2]!);
      expect(milkyByWater(t, [])).toBe(true);
      expect(milkyByWater(t, read(['oil.drained', 1e-3], ['oil.drained', 1e-3], ['oil.drained', 1e-3]))).toBe(false);
    }
    const after = (seed: string) => waterInSump(sunk(seed), read(['oil.drained', 1e-3], ['run.outcome', 'ran']));
    const before = (seed: string) => waterInSump(sunk(seed), read(['oil.drained', 1e-3]));
    const brought = seeds.filter((s) => after(s) > before(s) + 1e-9).length;
    expect(brought).toBeGreaterThan(5);
    expect(brought).toBeLessThan(35);
    expect(waterInSump(sunk('a', 'barn-twin'), [])).toBe(0);
    expect(waterInSump(drawTruth('a', { engine: 'four-stroke-twin', kind: 'neglected' }), [])).toBe(0);
  });
  it('takes one to four passes of oil until only oil comes', () => {
    const needed = seeds.map((s) => passesOf(sunk(s), []).needed);
    expect(Math.min(...needed)).toBe(1);
    expect(Math.max(...needed)).toBe(4);
    expect(passesOf(sunk('a'), read(['turn.pass', 'water'], ['turn.pass', 'unknown'])).made).toBe(1);
  });
  it('its fuel is free of water once tank, line and bowl were each emptied', () => {
    const two = read(['fuel.tank', 'drained'], ['fuel.line', 'drained']);
    expect(fuelEmptied(two)).toBe(false);
    const all = [...two, ...read(['fuel.bowl', 'drained'])];
    expect(fuelEmptied(all)).toBe(true);
    const t = sunk('a');
    expect([...faultsNow(t, t.intake)]).toContain('fuel-water');
    expect([...faultsNow(t, { ...t.intake, readings: all })]).not.toContain('fuel-water');
  });
});

describe('following the advice on engines that sank', () => {
  it('breaks no hold and goes in no circle', () => {
    // A sample; the calibration follows hundreds.
    for (const seed of seeds.slice(0, 5)) {
      const attempt = new Attempt(drawTruth(seed, { kind: 'drowned', faults: 'usual', leaks: false }));
      const seen = new Map<string, number>();
      for (let k = 0; k < 100; k++) {
        const [move] = attempt.assessed().moves;
        const times = (seen.get(move!.id) ?? 0) + 1;
        seen.set(move!.id, times);
        expect(times, `${seed}: ${move!.title}`).toBeLessThanOrEqual(6);
        if (!attempt.follow(move!)) break;
      }
    }
  });
  it('the exercise: a start is refused, and forced it ends; what is ticked by hand can be done', () => {
    const e = new Exercise(setupOfReady(readyExercise('swamped')!));
    expect(e.do({ kind: 'look', act: 'spark' })).toMatchObject({ ok: false, refused: true });
    expect(e.works().map((w) => w.id)).toContain('drowned.electrics');
    expect(e.do({ kind: 'job', job: 'drowned.electrics' })).toMatchObject({ ok: true });
    expect(e.survey.steps?.map((s) => s.step)).toContain('drowned.electrics');
    expect(e.do({ kind: 'look', act: 'spark', anyway: true })).toMatchObject({ ok: true });
    expect(e.ended).toMatch(/rod bent/);
    const dry = new Exercise(setupOfReady(readyExercise('lead')!));
    expect(dry.works().map((w) => w.id)).not.toContain('drowned.electrics');
    expect(dry.do({ kind: 'job', job: 'drowned.electrics' })).toMatchObject({ ok: false });
  });
  it('its history is told with the exercise, the hours in air as they have passed', () => {
    const { survey } = new Exercise(setupOfReady(readyExercise('swamped')!));
    const told = Object.fromEntries(toldAtIntake(survey, 'metric').map((t) => [t.label, t.value]));
    expect(told).toMatchObject({ Case: 'Drowned', 'Which water': 'brackish', 'Running when it went under': 'no' });
    expect(told['Came out of the water']).toMatch(/^[\d.]+ h before$/);
    const dry = toldAtIntake(new Exercise(setupOfReady(readyExercise('lead')!)).survey, 'us').map((t) => t.label);
    expect(dry).toContain('Years idle');
    expect(dry).not.toContain('Came out of the water');
  });
  it('a set of them has its code, and codes of before it are what they were', () => {
    const set: PracticeSet = { seed: 77, count: 3, difficulty: 'hard', theme: 'drowned', advice: 'shut' };
    expect(setOf(codeOf(set))).toEqual(set);
    expect(setupOf(set, 2).wishes).toMatchObject({ kind: 'drowned' });
    expect(setupOf(set, 2).wishes).not.toHaveProperty('system');
    expect(codeOf({ ...set, theme: 'any' })).not.toBe(codeOf(set));
  });
});
