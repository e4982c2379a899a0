import { describe, expect, it } from 'vitest';
import { Bench } from '../../../test/case.ts';
import { four, two } from '../../../test/stories/engines.ts';

/** A carburettor to be cleaned for what stood in it, and a needle that does not close: one strip, one kit. */
const stood = (profile: object = two): Bench => {
  const b = new Bench(profile, 'long-stored', { yearsIdle: 4, fuelLeft: 'ethanol' }).read('fuel.level', 'full');
  for (const k of ['tank', 'line', 'bowl'] as const) b.read(`fuel.${k}`, 'fresh');
  return b;
};
const steps = (b: Bench): Record<string, string> => Object.fromEntries(b.assessed().steps.map((s) => [s.id, s.state]));

describe('work that is done inside another job', () => {
  it('stands inside it, with what asks for it', () => {
    const b = stood().read('fuel.floods', 'yes');
    expect(steps(b)).toMatchObject({ carburettor: 'open' });
    expect(steps(b)).not.toHaveProperty('bowl');
    const [job] = b.assessed().steps.filter((s) => s.id === 'carburettor');
    expect(job!.why.join(' ')).toMatch(/clean the carburettor.*the needle does not close/);
  });
  it('is done with it, and nothing is stripped a second time for the old sight', () => {
    const b = stood().read('fuel.floods', 'yes').done('carburettor');
    expect(steps(b)).toMatchObject({ carburettor: 'done' });
    expect(steps(b)).not.toHaveProperty('bowl');
  });
  it('shows again after it: it stands by itself, as work that failed', () => {
    const b = stood().read('fuel.floods', 'yes').done('carburettor').wait(1).read('fuel.floods', 'yes');
    expect(steps(b)).toMatchObject({ bowl: 'open' });
  });
  it('alone it is a job of its own, and its passages are clean after it', () => {
    const b = new Bench(two).read('fuel.floods', 'yes');
    expect(steps(b)).toMatchObject({ bowl: 'open' });
    expect(steps(b)).not.toHaveProperty('carburettor');
    expect(steps(stood().read('fuel.floods', 'yes').done('bowl'))).not.toMatchObject({ carburettor: 'open' });
  });
  it('what comes after it comes after the whole', () => {
    const b = stood(four)
      .read('oil.level', 'yes')
      .read('oil.dip', 'above')
      .wait(0.2)
      .read('oil.dip', 'above')
      .read('oil.smell', 'strong')
      .read('fuel.floods', 'yes');
    expect(b.assessed().steps.find((s) => s.id === 'oil-level')?.after).toContain('carburettor');
  });
});
