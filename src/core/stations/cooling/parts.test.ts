import { describe, expect, it } from 'vitest';
import { Bench } from '../../../../test/case.ts';
import { flowsDiffer } from './parts.ts';

const C = (t: number): number => t + 273.15;

describe('thermostat in the pan', () => {
  const pan = (stamp: number | undefined, opens: number | undefined): Bench => {
    const b = new Bench();
    if (stamp !== undefined) b.read('cooling.thermostatStamp', C(stamp));
    if (opens !== undefined) b.read('cooling.thermostatOpens', C(opens));
    return b;
  };
  it('opens at its stamp, late or early; without a stamp nobody can tell', () => {
    expect(pan(60, 62).ids()).toContain('cooling.thermostat:sound');
    expect(pan(60, 71).ids()).toContain('cooling.thermostat:fault');
    expect(pan(60, 52).ids()).toContain('cooling.thermostat:watch');
    expect(pan(undefined, 62).ids()).toContain('cooling.thermostat:cannot-tell');
  });
  it('never opens is a fault, never shuts is watched, and both raise one job', () => {
    for (const [value, condition] of [
      ['shut', 'fault'],
      ['open', 'watch']
    ] as const) {
      const b = new Bench().read('cooling.thermostatPan', value);
      expect(b.ids()).toContain(`cooling.thermostat:${condition}`);
      expect(b.assessed().steps.map((s) => s.id)).toContain('thermostat');
    }
  });
});

describe('the pump’s neighbours', () => {
  it.each([
    ['cooling.strainer', 'blocked', 'cooling.strainer:watch'],
    ['cooling.bush', 'seized', 'cooling.bush:watch'],
    ['cooling.bush', 'spins', 'cooling.pump:fault'],
    ['cooling.bush', 'key', 'cooling.key:fault'],
    ['cooling.cover', 'worn', 'cooling.cover:fault'],
    ['cooling.tube', 'leaking', 'cooling.tube:fault'],
    ['cooling.drill', 'backward', 'cooling.drill:fault'],
    ['cooling.drill', 'nothing', 'cooling.drill:fault'],
    ['cooling.drill', 'pumps', 'cooling.drill:watch']
  ] as const)('%s %s', (what, value, finding) => {
    expect(new Bench().read(what, value as 'unknown').ids()).toContain(finding);
  });
  it('a missing key is a key, and no new pump', () => {
    const b = new Bench().read('cooling.impellerAge', 1).read('cooling.bush', 'key');
    const open = (): string[] => b.assessed().steps.flatMap((s) => (s.state === 'open' ? [s.id] : []));
    expect(open()).toContain('leg-water');
    expect(open()).not.toContain('pump');
    expect(b.holds()).toContain('pump');
    b.done('leg-water');
    expect(b.ids()).not.toContain('cooling.key:fault');
    // Ticked is not pumped.
    expect(b.holds()).toContain('pump');
    expect(b.read('cooling.drill', 'pumps').holds()).not.toContain('pump');
  });
  it('vanes turned backward, in a house that turns them back, are looked at and not renewed', () => {
    const b = new Bench().read('cooling.backward', 'yes');
    b.survey = { ...b.survey, houseRules: { schools: { backward: 'turn' } } };
    expect(b.ids()).toContain('cooling.turned-back:watch');
    expect(b.assessed().steps.map((s) => s.id)).not.toContain('pump');
  });
  it('a pump that pumps, assembled as it should, is sound', () => {
    expect(new Bench().read('cooling.assembled', 'yes').read('cooling.drill', 'pumps').ids()).toContain(
      'cooling.drill:sound'
    );
  });
});

describe('the timed bucket', () => {
  it('alone means nothing: it is a bleed', () => {
    expect(new Bench().read('cooling.bucket', 2e-5).ids()).toContain('cooling.bucket:cannot-tell');
  });
  it('beside an earlier look it is less, as much, or more, beyond what bucket and watch scatter', () => {
    const after = (flow: number): string[] =>
      new Bench().read('cooling.bucket', 2e-5).read('cooling.bucket', flow, { round: 2 }).ids();
    expect(after(1.2e-5)).toContain('cooling.bucket:watch');
    expect(after(1.9e-5)).toContain('cooling.bucket:sound');
    expect([flowsDiffer(1, 1.1), flowsDiffer(1, 1.3), flowsDiffer(1.3, 1)]).toEqual(['alike', 'less', 'more']);
  });
});
