import { SEA_LEVEL_PRESSURE } from '../physics/atmosphere.ts';
import { breakdownVoltage, crankedTemperature, gapJumped } from '../physics/breakdown.ts';
import { at20, atTemperature } from '../physics/resistance.ts';
import { say } from '../units/index.ts';
import type { Sum } from './sum.ts';

const kV = (v: number): string => `${(v / 1000).toFixed(1)} kV`;

export const sparkGap: Sum = {
  title: 'Spark gap and voltage',
  about: 'What voltage a plug asks for at its gap and compression, and which open gap proves that it is there.',
  fields: [
    { id: 'gap', label: 'Plug gap', dimension: 'length', standard: { metric: '0.9 mm', us: '0.035 in' } },
    { id: 'compression', label: 'Compression', dimension: 'pressure', standard: { metric: '8 bar', us: '118 psi' } },
    { id: 'ratio', label: 'Compression ratio', dimension: 'mixture', standard: { metric: '6.5', us: '6.5' } },
    { id: 'air', label: 'Air', dimension: 'temperature', standard: { metric: '20 °C', us: '68 °F' } },
    {
      id: 'open',
      label: 'Open gap jumped',
      dimension: 'length',
      standard: { metric: '9 mm', us: '0.35 in' },
      optional: true
    }
  ],
  run: (v, units) => {
    if (!(v.ratio! >= 1)) throw new RangeError('A compression ratio is over 1.');
    const hot = crankedTemperature(v.air!, { ratio: v.ratio! });
    const needed = breakdownVoltage(v.compression! + SEA_LEVEL_PRESSURE, v.gap!, hot);
    const proves = gapJumped(needed, SEA_LEVEL_PRESSURE, v.air!);
    const shown = v.open === undefined ? undefined : breakdownVoltage(SEA_LEVEL_PRESSURE, v.open, v.air!);
    return {
      figure: kV(needed),
      says: `are needed between flat electrodes, the gas at ${say(hot, 'temperature', units)}. An open gap of ${say(proves, 'length', units)} proves as much${shown === undefined ? '' : `; yours shows ${kV(shown)}`}. A margin of a third covers what pointed electrodes change.`,
      rows: [15, 20, 30].map((k) => [
        `${k} kV jump`,
        `${say(gapJumped(k * 1000), 'length', units)} of open air at sea level`
      ])
    };
  },
  formula: 'V = 24.36·x + 6.72·√x kV, x = p·gap in bar·cm at 293 K; T = T_a·r^0.29',
  source: 'Kuffel, Zaengl & Kuffel, High Voltage Engineering, uniform field (P); heating exponent from memory (M).'
};

export const resistance: Sum = {
  title: 'Winding at temperature',
  about: 'What a copper winding read here would read at 20 °C, where the manual’s figure stands, and warm.',
  fields: [
    { id: 'ohms', label: 'Read', dimension: 'resistance', standard: { metric: '0.48 Ω', us: '0.48 Ω' } },
    { id: 'at', label: 'Winding’s temperature', dimension: 'temperature', standard: { metric: '10 °C', us: '50 °F' } },
    { id: 'warm', label: 'And at', dimension: 'temperature', standard: { metric: '80 °C', us: '176 °F' } }
  ],
  run: (v, units) => {
    const ohms20 = at20(v.ohms!, v.at!);
    const ohm = (x: number): string => say(x, 'resistance', units);
    return {
      figure: ohm(ohms20),
      says: `at 20 °C; at ${say(v.warm!, 'temperature', units)} sound copper reads ${ohm(atTemperature(ohms20, v.warm!))}. Well under that when warm, turns short.`
    };
  },
  formula: 'R20 = R/(1 + 0.00393·(T − 20 °C))',
  source: 'IEC 60028, annealed copper (P).'
};
