import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { crankingPressure, withoutAdapter } from './adapter.ts';
import { atSeaLevel, pressureAtAltitude } from './atmosphere.ts';
import { FREEZING_EXPANSION, freezingPoint, roomForIce } from './ice.ts';
import { correctTank, oilFor, pourWithCup, ratioMade } from './premix.ts';
import { withOil, withOilInterval } from './wet-dose.ts';
import { pooledDeviation, probabilityAlike, spreadCdf, spreadOf } from './spread.ts';

const psi = 6894.757;

describe('atmosphere, ISO 2533:1975 table of pressures', () => {
  it.each([
    [0, 1013.25],
    [500, 954.61],
    [1000, 898.75],
    [2000, 794.95],
    [3000, 701.09]
  ])('%i m is %f hPa', (metres, hPa) => {
    expect(Math.abs(pressureAtAltitude(metres) / 100 - hPa)).toBeLessThan(0.05);
  });
  it('brings 90 psi read at 1500 m to about 107.8 psi at sea level', () => {
    expect(atSeaLevel(90 * psi, pressureAtAltitude(1500)) / psi).toBeCloseTo(107.8, 1);
  });
  it('refuses altitudes where the law does not hold', () => {
    expect(() => pressureAtAltitude(12_000)).toThrow(/outside/);
    expect(() => atSeaLevel(1e5, 0)).toThrow(RangeError);
  });
});

describe('ice, CRC Handbook densities', () => {
  it('water grows by 9.07 % when it freezes', () => {
    expect(FREEZING_EXPANSION * 100).toBeCloseTo(9.07, 2);
    expect(roomForIce(50e-6) * 1e6).toBeCloseTo(4.53, 2);
  });
  it('sea water of 35 g/kg freezes near −1.9 °C (UNESCO); unknown water is taken as fresh', () => {
    expect(freezingPoint('salt') - 273.15).toBeCloseTo(-1.9, 6);
    expect(freezingPoint('unknown')).toBe(freezingPoint('fresh'));
    expect(() => roomForIce(-1)).toThrow(RangeError);
  });
});

describe('adapter volume', () => {
  const c = { volume: 250e-6, ratio: 6.5 };
  it.each([
    [0, 152.8],
    [2, 143.7],
    [5, 131.9],
    [8, 121.8],
    [12, 110.4]
  ])('%i mL leaves %f psi', (mL, expected) => {
    expect(crankingPressure(c, mL * 1e-6) / psi).toBeCloseTo(expected, 1);
  });
  it('costs a 120 mL cylinder 35 % with 8 mL', () => {
    expect(crankingPressure({ volume: 120e-6, ratio: 6.5 }, 8e-6) / psi).toBeCloseTo(99.4, 1);
  });
  it('undoes itself: the corrected reading covers the pressure without the adapter', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 60e-6, max: 600e-6, noNaN: true }),
        fc.double({ min: 5.5, max: 9.5, noNaN: true }),
        fc.double({ min: 0, max: 15e-6, noNaN: true }),
        (volume, ratio, dead) => {
          const truth = crankingPressure({ volume, ratio });
          const found = withoutAdapter(crankingPressure({ volume, ratio }, dead), { volume, ratio }, dead);
          expect(found.low).toBeLessThanOrEqual(truth + 1);
          expect(found.high).toBeGreaterThanOrEqual(truth - 1);
        }
      )
    );
  });
  it('refuses a ratio of one', () => {
    expect(() => crankingPressure({ volume: 1e-4, ratio: 1 })).toThrow(RangeError);
  });
});

describe('oil in the bore', () => {
  it('a dose of 5 mL alone lifts 152.8 to 180.8 psi at 250 mL, and to about 224 at 120 mL', () => {
    const dry = crankingPressure({ volume: 250e-6, ratio: 6.5 });
    expect(withOil(dry, { volume: 250e-6, ratio: 6.5 }, 5e-6) / psi).toBeCloseTo(180.8, 1);
    expect(Math.abs(withOil(dry, { volume: 120e-6, ratio: 6.5 }, 5e-6) / psi - 224)).toBeLessThan(0.6);
  });
  it('no dose lifts nothing, and a dose that fills the chamber is refused', () => {
    expect(withOil(8e5, { volume: 250e-6, ratio: 6.5 }, 0)).toBeCloseTo(8e5, 6);
    expect(() => withOil(8e5, { volume: 60e-6, ratio: 6.5 }, 10e-6)).toThrow(/larger than the chamber/);
    expect(withOilInterval(8e5, { volume: 60e-6, ratio: 6.5 }, 9e-6)).toBeUndefined();
  });
});

describe('spread over cylinders', () => {
  /** Upper 5 % points of the Studentised range with infinite degrees of freedom (Harter 1960, table). */
  it.each([
    [2, 2.772],
    [3, 3.314],
    [4, 3.633],
    [6, 4.03],
    [8, 4.286]
  ])('range of %i alike cylinders reaches %f deviations one time in twenty', (n, q) => {
    const list = Array.from({ length: n }, (_, k) => ({ mean: k === 0 ? q : 0, u: 1 }));
    expect(probabilityAlike(list)).toBeCloseTo(0.05, 3);
  });
  it('calls 112 and 117 psi alike on an ordinary gauge', () => {
    const u = Math.hypot(1 / Math.sqrt(12), 0.02 * 115);
    expect(
      probabilityAlike([
        { mean: 112, u },
        { mean: 117, u }
      ])
    ).toBeGreaterThan(0.05);
  });
  it('gives an interval that holds the value and narrows with the readings', () => {
    const wide = spreadOf([
      { mean: 130, u: 3 },
      { mean: 100, u: 3 }
    ]);
    const narrow = spreadOf([
      { mean: 130, u: 1 },
      { mean: 100, u: 1 }
    ]);
    expect(wide.value).toBeCloseTo(0.2308, 4);
    expect(wide.low).toBeLessThan(wide.value);
    expect(wide.high).toBeGreaterThan(wide.value);
    expect(narrow.high - narrow.low).toBeLessThan(wide.high - wide.low);
    expect(() => spreadOf([{ mean: 1, u: 1 }])).toThrow(RangeError);
  });
  it('agrees with simulation', () => {
    let state = 12345;
    const uniform = () => (state = (state * 1103515245 + 12345) % 2147483648) / 2147483648;
    const normal = () => Math.sqrt(-2 * Math.log(uniform() + 1e-12)) * Math.cos(2 * Math.PI * uniform());
    const list = [
      { mean: 120, u: 3 },
      { mean: 112, u: 4 },
      { mean: 105, u: 3 }
    ];
    let within = 0;
    const draws = 20_000;
    for (let k = 0; k < draws; k++) {
      const x = list.map((e) => e.mean + e.u * normal());
      if ((Math.max(...x) - Math.min(...x)) / Math.max(...x) <= 0.12) within++;
    }
    expect(spreadCdf(list, 0.12)).toBeCloseTo(within / draws, 1);
  });
  it('pools repeats with what is usually seen', () => {
    expect(pooledDeviation([[100], [120]], 2)).toBe(2);
    expect(
      pooledDeviation(
        [
          [100, 110],
          [120, 130]
        ],
        2,
        2
      )
    ).toBeCloseTo(Math.sqrt((8 + 100) / 4), 9);
  });
});

describe('premix, the trade’s mixing table', () => {
  it.each([
    [50, 20, 2.56],
    [40, 25, 3.2],
    [32, 31.25, 4.0],
    [25, 40, 5.12],
    [100, 10, 1.28]
  ])('%i:1 is %f mL per litre and %f fl oz per US gallon', (ratio, mL, oz) => {
    expect(oilFor(1, ratio) * 1000).toBeCloseTo(mL, 6);
    expect(oilFor(3.785411784e-3, ratio) / 29.57353e-6).toBeCloseTo(oz, 2);
  });
  it('a 100 mL cup in a 4 L can is 40:1, not 50:1', () => {
    expect(ratioMade(4, 0.1)).toBeCloseTo(40, 9);
  });
  it('a cup rounds to the safe side and says by how much', () => {
    const pour = pourWithCup(7, 50, 0.025);
    expect(pour.oil).toBeCloseTo(0.15, 9);
    expect(pour.error).toBeCloseTo(0.0714, 3);
    expect(pour.safeSide).toBe(true);
  });
  it('a corrected tank has the ratio wanted', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 50, noNaN: true }),
        fc.integer({ min: 30, max: 120 }),
        fc.double({ min: 0, max: 50, noNaN: true }),
        fc.integer({ min: 20, max: 100 }),
        (volume, now, fuel, wanted) => {
          const { oil, moreFuel } = correctTank(volume, now, fuel, wanted);
          const oilIn = volume / (now + 1);
          expect((volume - oilIn + fuel + moreFuel) / (oilIn + oil)).toBeCloseTo(wanted, 6);
        }
      )
    );
  });
  it('refuses a mixture of 0:1', () => {
    expect(() => oilFor(1, 0)).toThrow(/above zero/);
    expect(() => correctTank(1, 0, 1, 50)).toThrow(RangeError);
    expect(() => ratioMade(1, 0)).toThrow(RangeError);
    expect(() => pourWithCup(1, 50, 0)).toThrow(RangeError);
  });
});
