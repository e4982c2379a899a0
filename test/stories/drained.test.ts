import { describe, expect, it } from 'vitest';
import { Bench } from '../case.ts';
import { two } from './engines.ts';

describe('drained, and told place by place', () => {
  const dark = (): Bench =>
    new Bench(two, 'long-stored', { yearsIdle: 4 }).read('fuel.age', 48).read('fuel.jar', 'dark').done('fuel-drain');
  const drain = (b: Bench) => b.assessed().steps.find((s) => s.id === 'fuel-drain');
  it('the tank told and the bowl not yet, nothing has failed', () => {
    const b = dark().read('fuel.tank', 'fresh');
    expect(drain(b)).toMatchObject({ state: 'done' });
    expect(b.holds()).toContain('fuel');
    b.read('fuel.line', 'fresh').read('fuel.bowl', 'fresh');
    expect(drain(b)).toMatchObject({ state: 'proved' });
    expect(b.holds()).not.toContain('fuel');
  });
  it('a jar that is dark again says that it has', () => {
    expect(drain(dark().read('fuel.tank', 'fresh').read('fuel.jar', 'dark'))?.state).toBe('open');
  });
});
