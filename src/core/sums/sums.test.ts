import { describe, expect, it } from 'vitest';
import { parseQuantity } from '../units/index.ts';
import { sumIds, sums, type SumId } from './index.ts';

/** Runs a sum with its standard values, some of them replaced. */
function run(id: SumId, more: Record<string, string> = {}, units: 'us' | 'metric' = 'us') {
  const values = Object.fromEntries(
    sums[id].fields.map((f) => {
      const text = more[f.id] ?? f.standard[units];
      const parsed = parseQuantity(text, f.dimension, units);
      if (!parsed.ok) throw new Error(`${f.id}: ${parsed.message}`);
      return [f.id, parsed.si];
    })
  );
  return sums[id].run(values, units);
}

describe('reference sums', () => {
  it.each(sumIds)('%s answers its own standard values in both systems, as a sentence', (id) => {
    for (const units of ['us', 'metric'] as const) {
      const { figure, says, rows = [] } = run(id, {}, units);
      expect(`${figure} ${says} ${rows.flat().join(' ')}`).not.toMatch(/NaN|undefined|Infinity/);
      expect(says).toMatch(/\.$/);
    }
  });
  it('adapter: trapped 250 mL at 6.5 loses what the table says', () => {
    // Trapped 250 mL is 211.538 mL swept; 152.8, 143.7, 131.9, 121.8 and 110.4 psi (polytropic law, worked by hand).
    const rows = run('adapter', { swept: '211.538 cc' }).rows!.map(([, v]) => v);
    expect(rows).toEqual(['153 psi', '144 psi', '132 psi', '122 psi', '110 psi']);
  });
  it('wet dose: 5 mL lift 152.8 to 180.8 psi; a dose that fills the chamber is refused with a sentence', () => {
    expect(run('wet-dose', { swept: '211.538 cc', dry: '152.8 psi', dose: '5 mL', wet: '190 psi' }).says).toMatch(
      /lifts it to 181 psi/
    );
    expect(() => run('wet-dose', { dose: '60 mL' })).toThrow(/fill the chamber/);
  });
  it('cooling water: 1.5 L/h and 25 K want 2.29 L/min; water that leaves colder is refused', () => {
    expect(run('cooling-water', {}, 'metric').figure).toBe('2.29 L/min');
    expect(() => run('cooling-water', { out: '10 °C' }, 'metric')).toThrow(/leaves warmer/);
  });
  it('spark gap: 15, 20 and 30 kV jump 4.28, 5.98 and 9.49 mm (Kuffel)', () => {
    const rows = run('spark-gap', {}, 'metric').rows!.map(([, v]) => v);
    expect(rows).toEqual([4.28, 5.98, 9.49].map((mm) => `${mm} mm of open air at sea level`));
  });
  it('altitude: 90 psi at 1500 m is about 107.8 at sea level (ISO 2533)', () => {
    expect(run('altitude', { read: '90 psi', height: '1500 m' }).figure).toBe('108 psi');
    const hPa = run('altitude', {}, 'metric').rows!.map(([, v]) => parseFloat(v));
    [1013.25, 954.61, 898.75, 794.95, 701.09].forEach((p, k) => expect(Math.abs(hPa[k]! - p)).toBeLessThan(0.06));
  });
  it('resistance: 0.9607 Ω at 10 °C is 1 Ω at 20 °C (IEC 60028)', () => {
    expect(run('resistance', { ohms: '0.9607', at: '10 °C' }, 'metric').figure).toBe('1.00 Ω');
  });
  it('case test: 0.5 psi in 5 min from 250 mL is 1.70 mL/min; half a division proves nothing', () => {
    const known = { volume: '250 mL', pressure: '10 psi', drop: '0.5 psi', minutes: '5 min', step: '0.5 psi' };
    expect(run('case-test', known).figure).toBe('1.70 mL/min');
    expect(run('case-test', known).rows![0]![1]).toBe('shows a leak of 2.28 mL/min');
    expect(run('case-test', { ...known, drop: '0.3 psi' }).says).toMatch(/proves nothing yet/);
    expect(() => run('case-test', { ...known, volume: '0 mL' })).toThrow(/above zero/);
  });
  it('drain time: 20 min at 20 °C are 44 at 10 °C and 112 at 0 °C (ASTM D341)', () => {
    expect(run('drain-time', { air: '10 °C' }).figure).toBe('44 min');
    expect(run('drain-time', {}, 'metric').rows!.map(([, t]) => t)).toEqual(['112 min', '44 min', '20 min', '10 min']);
  });
  it('oil changes: 15 % behind leaves 2.25 % after two and 0.34 % after three', () => {
    const { figure, rows } = run('oil-changes', { fill: '3 L', drained: '2.55 L' });
    expect(figure).toBe('3 changes');
    expect(rows!.map(([, v]) => v)).toEqual(['15.0 % left', '2.3 % left', '0.34 % left', '0.05 % left']);
    expect(() => run('oil-changes', { fill: '3 L', drained: '5 L' })).toThrow(/fuel or water was on top/);
    expect(() => run('oil-changes', { fill: '0 L' })).toThrow(/more than nothing/);
  });
  it('air in the shed: 349 ppm after five minutes of 500 g/h in 100 m³ (NIOSH)', () => {
    expect(run('shed-air').figure).toBe('349 ppm');
    expect(run('shed-air', { minutes: '2 min' }).figure).toBe('143 ppm');
  });
  it('stabiliser: says when the usual ten minutes are not enough', () => {
    expect(run('stabiliser', { held: '400 mL', flow: '1.5 L' })).toMatchObject({ figure: '32 min' });
    expect(run('stabiliser', { held: '60 mL', flow: '1.5 L' }).says).toMatch(/are enough here/);
  });
  it('leak-down: 22.8 % on the published tester is its own restrictor', () => {
    expect(run('leak-down', { share: '22.8 %' }).figure).toBe('1.02 mm');
    expect(() => run('leak-down', { share: '100 %' })).toThrow(/under 100/);
  });
});
