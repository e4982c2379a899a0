import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  dimensions,
  fromSI,
  parseQuantity,
  say,
  sayApart,
  shownUnit,
  toSI,
  type DimensionName,
  type System,
  shownNumber,
  show
} from './index.ts';

const si = (typed: string, name: DimensionName, system: System = 'metric'): number => {
  const parsed = parseQuantity(typed, name, system);
  if (!parsed.ok) throw new Error(parsed.message);
  return parsed.si;
};
const complaint = (typed: string, name: DimensionName, system: System = 'metric') => {
  const parsed = parseQuantity(typed, name, system);
  return parsed.ok ? undefined : parsed;
};

describe('conversion factors of NIST SP 811 (2008), appendix B.8', () => {
  it.each([
    ['1 psi', 'pressure', 6894.757],
    ['1 bar', 'pressure', 1e5],
    ['1 inHg', 'pressure', 3386.389],
    ['1 kgf/cm²', 'pressure', 98066.5],
    ['1 fl oz', 'volume', 29.57353e-6],
    ['1 gal', 'tank', 3.785411784e-3],
    ['1 imp gal', 'tank', 4.54609e-3],
    ['1 qt', 'volume', 9.46352946e-4],
    ['1 in', 'length', 0.0254],
    ['1 ft', 'altitude', 0.3048],
    ['1 in³', 'displacement', 1.6387064e-5]
  ] as const)('%s', (typed, name, expected) => {
    expect(si(typed, name)).toBeCloseTo(expected, 12);
  });

  it('says how far two temperatures lie apart without the zero of a scale', () => {
    expect(sayApart(5, 'us')).toBe('9 °F');
    expect(sayApart(5, 'metric')).toBe('5 K');
    expect(sayApart(0.5, 'us', 1)).toBe('0.9 °F');
  });
  it('keeps the fixed points of the temperature scales', () => {
    expect(si('0 °C', 'temperature')).toBeCloseTo(273.15, 9);
    expect(si('32 °F', 'temperature')).toBeCloseTo(273.15, 9);
    expect(si('212F', 'temperature')).toBeCloseTo(373.15, 9);
    expect(si('-40', 'temperature')).toBeCloseTo(si('-40', 'temperature', 'us'), 9);
  });
});

describe('what people type', () => {
  it.each([
    ['95', 'pressure', 'us', 95 * 6894.757],
    ['95psi', 'pressure', 'metric', 95 * 6894.757],
    ['6.5bar', 'pressure', 'us', 650_000],
    ['6,5 bar', 'pressure', 'us', 650_000],
    ['3 1/2 oz', 'volume', 'metric', 3.5 * 29.57353e-6],
    ['3½ oz', 'volume', 'metric', 3.5 * 29.57353e-6],
    ['1/4 L', 'volume', 'metric', 2.5e-4],
    [' .5 L ', 'volume', 'metric', 5e-4],
    ['0,51', 'length', 'metric', 0.51e-3],
    ['50:1', 'mixture', 'metric', 50],
    ['2 years', 'months', 'metric', 24]
  ] as const)('%s as %s in %s', (typed, name, system, expected) => {
    expect(si(typed, name, system)).toBeCloseTo(expected, 9);
  });

  it.each([
    ['', 'pressure', /Nothing was entered/, 0],
    ['ninety', 'pressure', /does not start with a number/, 0],
    ['95 mm', 'pressure', /unit of length; a pressure is asked for/, 3],
    ['95 furlong', 'pressure', /not a unit known here/, 3],
    ['-12 psi', 'pressure', /under zero/, 0],
    ['1,000 psi', 'pressure', /two ways. Write 1000 or 1.000/, 1],
    ['3/0 oz', 'volume', /zero underneath/, 2],
    ['2 and a bit', 'count', /more than a number. Type the number alone, for example "2"/, 2],
    ['9.5.5', 'pressure', /something after the number/, 3],
    ['12 13 psi', 'pressure', /something after the number/, 3]
  ] as const)('%j is refused with a sentence', (typed, name, message, at) => {
    const found = complaint(typed, name);
    expect(found?.message).toMatch(message);
    expect(found?.at).toBe(at);
  });

  it('says what to type, by this user’s units', () => {
    expect(complaint('x', 'pressure', 'us')?.message).toContain('95 psi');
    expect(complaint('x', 'pressure', 'metric')?.message).toContain('6.5 bar');
  });
});

describe('properties', () => {
  const names = Object.keys(dimensions) as DimensionName[];

  it('every unit survives the way there and back', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...names),
        fc.nat(),
        fc.double({ min: 0, max: 1e5, noNaN: true }),
        (name, k, value) => {
          const units = dimensions[name].units;
          const unit = units[k % units.length]!;
          expect(fromSI(toSI(value, unit), unit)).toBeCloseTo(value, 6);
        }
      )
    );
  });

  it('what is shown can be typed again and means the same', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...names),
        fc.constantFrom<System>('metric', 'us'),
        fc.double({ min: 1, max: 900, noNaN: true }),
        (name, system, value) => {
          const unit = shownUnit(name, system);
          const text = say(toSI(value, unit), name, system);
          const again = si(text, name, system === 'us' ? 'metric' : 'us');
          expect(say(again, name, system)).toBe(text);
        }
      )
    );
  });

  it('never throws, whatever is typed', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'grapheme' }), fc.constantFrom(...names), (text, name) => {
        const parsed = parseQuantity(text, name, 'metric');
        expect(parsed.ok ? Number.isFinite(parsed.si) : parsed.message.length > 0).toBe(true);
      })
    );
  });

  it('a decimal comma equals a decimal point', () => {
    fc.assert(
      fc.property(fc.nat(999), fc.integer({ min: 0, max: 99 }), (whole, part) => {
        expect(si(`${whole},${part} bar`, 'pressure')).toBe(si(`${whole}.${part} bar`, 'pressure'));
      })
    );
  });
});

describe('a number for a chart', () => {
  it('is the shown one, as a number: a true minus sign is for eyes', () => {
    expect(show(268.15, 'temperature', 'metric').number).toBe('−5');
    expect(shownNumber(268.15, 'temperature', 'metric')).toBe(-5);
    expect(shownNumber(6894.757 * 112.4, 'pressure', 'us')).toBe(112);
    expect(shownNumber(6894.757 * 112.4, 'pressure', 'us', 689.4757)).toBe(112.4);
  });
});
