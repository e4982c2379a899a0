import { describe, expect, it } from 'vitest';
import { Bench } from '../../../test/case.ts';
import { goodRuns, ranAfter, ranWellAfter, runs } from './ran.ts';

const twin = { strokes: 'two', cylinders: 2, fuelSystem: 'carburettor' } as const;
const at = (b: Bench) => b.judged().context;

describe('whether it ran', () => {
  it('by a start of the log, or by how a run ended, in the order of time', () => {
    const b = new Bench(twin)
      .read('run.outcome', 'died')
      .read('run.event', 'start')
      .read('run.event', 'stop')
      .read('run.outcome', 'ran');
    expect(runs(at(b)).map((r) => r.value)).toEqual(['died', 'start', 'ran']);
    expect(goodRuns(at(b))).toHaveLength(1);
  });
  it.each(['ran', 'stopped', 'died'] as const)('%s is a run', (outcome) => {
    const b = new Bench(twin).read('run.outcome', outcome);
    expect(ranAfter(at(b))).toBe(true);
    expect(ranWellAfter(at(b))).toBe(outcome === 'ran');
  });
  it.each(['failed', 'unknown'] as const)('%s is none', (outcome) => {
    expect(ranAfter(at(new Bench(twin).read('run.outcome', outcome)))).toBe(false);
  });
  it('after an instant, what came before it does not count', () => {
    const b = new Bench(twin).read('run.outcome', 'ran');
    expect(ranAfter(at(b), b.survey.readings.at(-1)!.at)).toBe(false);
  });
});

describe('what a run ends', () => {
  const flooded = () =>
    new Bench(twin)
      .read('plugs.read', ['fuel'], { cylinder: 1 })
      .done('plugs')
      .read('plugs.read', ['normal'], { cylinder: 1 });
  it('a plug that was wet with fuel and was cleaned stays open after a start that failed', () => {
    const open = (b: Bench) => b.ids().some((id) => id.startsWith('plugs.cleaned'));
    expect(open(flooded())).toBe(true);
    expect(open(flooded().read('run.outcome', 'failed'))).toBe(true);
    expect(open(flooded().read('run.outcome', 'unknown'))).toBe(true);
    expect(open(flooded().read('run.outcome', 'stopped'))).toBe(false);
  });
  it('oil in the bores is burnt by a run that was stopped or died', () => {
    const wet = (b: Bench) => b.read('plugs.oil', 4e-6);
    for (const outcome of ['stopped', 'died'] as const) {
      const b = wet(new Bench(twin)).read('run.outcome', outcome);
      expect(runs(at(b))).toHaveLength(1);
      expect(b.holds()).not.toContain('liquid');
    }
  });
});
