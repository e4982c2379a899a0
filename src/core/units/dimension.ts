import { PSI, ZERO_CELSIUS } from './factors.ts';
/**
 * The dimensions the trade measures in, each with its SI unit and the units people type.
 * Factors: NIST SP 811 (2008), appendix B (P). `toSI` is si = (value + offset) * factor.
 */
export type System = 'metric' | 'us';

export interface Unit {
  readonly symbol: string;
  /** Other spellings accepted when typed, compared in lower case without spaces or dots. */
  readonly aliases: readonly string[];
  readonly factor: number;
  readonly offset?: number;
}

export interface Dimension {
  readonly name: string;
  readonly units: readonly Unit[];
  /** Symbol shown in each system; also the unit assumed when a bare number is typed. */
  readonly shown: Readonly<Record<System, string>>;
  /** Whether a value under zero has a meaning (temperatures in °C do; gauge pressures and volumes do not). */
  readonly signed?: boolean;
}

const unit = (symbol: string, factor: number, aliases: string[] = [], offset?: number): Unit => ({
  symbol,
  aliases,
  factor,
  ...(offset === undefined ? {} : { offset })
});

export const dimensions = {
  pressure: {
    name: 'pressure',
    units: [
      unit('psi', PSI, ['lb/in2', 'lbs', 'psig']),
      unit('bar', 100_000, ['bars']),
      unit('kPa', 1000, ['kilopascal']),
      unit('MPa', 1_000_000),
      unit('Pa', 1),
      unit('kgf/cm²', 98_066.5, ['kg/cm2', 'kgf/cm2', 'kg/cm²']),
      unit('inHg', 3386.389, ['in hg'])
    ],
    shown: { metric: 'bar', us: 'psi' }
  },
  vacuum: {
    name: 'vacuum',
    units: [
      unit('inHg', 3386.389, ['in hg', '"hg', 'in']),
      unit('kPa', 1000, ['kilopascal']),
      unit('mbar', 100, ['millibar', 'hPa']),
      unit('bar', 100_000),
      unit('mmHg', 133.3224, ['torr']),
      unit('psi', PSI)
    ],
    shown: { metric: 'kPa', us: 'inHg' }
  },
  flow: {
    name: 'flow',
    units: [
      unit('L/min', 1e-3 / 60, ['lpm', 'l/m']),
      unit('L/h', 1e-3 / 3600, ['lph', 'l/hr']),
      unit('US gal/min', 3.785411784e-3 / 60, ['gpm', 'gal/min']),
      unit('US gal/h', 3.785411784e-3 / 3600, ['gph', 'gal/h', 'gal/hr'])
    ],
    shown: { metric: 'L/min', us: 'US gal/min' }
  },
  consumption: {
    name: 'fuel flow',
    units: [
      unit('L/h', 1e-3 / 3600, ['lph', 'l/hr']),
      unit('US gal/h', 3.785411784e-3 / 3600, ['gph', 'gal/h', 'gal/hr'])
    ],
    shown: { metric: 'L/h', us: 'US gal/h' }
  },
  money: { name: 'sum', units: [unit('cr', 1, ['credits'])], shown: { metric: 'cr', us: 'cr' } },
  volume: {
    name: 'volume',
    units: [
      unit('mL', 1e-6, ['ml', 'cc', 'cm3', 'cm³', 'millilitre', 'milliliter']),
      unit('L', 1e-3, ['l', 'litre', 'liter', 'litres', 'liters', 'ltr']),
      unit('fl oz', 29.57353e-6, ['oz', 'floz', 'ounce', 'ounces']),
      unit('qt', 0.946352946e-3, ['quart', 'quarts']),
      unit('US gal', 3.785411784e-3, ['gal', 'gallon', 'gallons', 'usgal']),
      unit('imp gal', 4.54609e-3, ['impgal', 'ukgal']),
      unit('in³', 16.387064e-6, ['in3', 'cuin', 'ci', 'cid'])
    ],
    shown: { metric: 'mL', us: 'fl oz' }
  },
  tank: {
    name: 'volume',
    units: [
      unit('L', 1e-3, ['l', 'litre', 'liter', 'litres', 'liters', 'ltr']),
      unit('mL', 1e-6, ['ml', 'cc']),
      unit('US gal', 3.785411784e-3, ['gal', 'gallon', 'gallons', 'usgal']),
      unit('imp gal', 4.54609e-3, ['impgal', 'ukgal']),
      unit('qt', 0.946352946e-3, ['quart', 'quarts'])
    ],
    shown: { metric: 'L', us: 'US gal' }
  },
  /** As it is bought. */
  oil: {
    name: 'volume',
    units: [
      unit('L', 1e-3, ['l', 'litre', 'liter', 'litres', 'liters', 'ltr']),
      unit('qt', 0.946352946e-3, ['quart', 'quarts']),
      unit('mL', 1e-6, ['ml', 'cc']),
      unit('fl oz', 29.57353e-6, ['oz', 'floz', 'ounce', 'ounces']),
      unit('US gal', 3.785411784e-3, ['gal', 'gallon', 'gallons', 'usgal'])
    ],
    shown: { metric: 'L', us: 'qt' }
  },
  displacement: {
    name: 'displacement',
    units: [
      unit('cc', 1e-6, ['ml', 'cm3', 'cm³']),
      unit('L', 1e-3, ['l', 'litre', 'liter']),
      unit('in³', 16.387064e-6, ['in3', 'cuin', 'ci', 'cid'])
    ],
    shown: { metric: 'cc', us: 'in³' }
  },
  length: {
    name: 'length',
    units: [
      unit('mm', 1e-3, ['millimetre', 'millimeter']),
      unit('cm', 1e-2),
      unit('in', 25.4e-3, ['"', 'inch', 'inches']),
      unit('m', 1, ['metre', 'meter'])
    ],
    shown: { metric: 'mm', us: 'in' }
  },
  level: {
    name: 'height',
    units: [unit('mm', 1e-3, ['millimetre', 'millimeter']), unit('in', 25.4e-3, ['"', 'inch', 'inches'])],
    shown: { metric: 'mm', us: 'mm' },
    signed: true
  },
  torque: {
    name: 'torque',
    units: [
      unit('N·m', 1, ['nm', 'n m', 'newtonmetre']),
      unit('lbf·ft', 1.355818, ['lbft', 'ftlb', 'ft-lb', 'lb-ft', 'ft·lb', 'footpounds']),
      unit('lbf·in', 1.355818 / 12, ['lbin', 'inlb', 'in-lb', 'lb-in', 'in·lb']),
      unit('kgf·m', 9.80665, ['kgm', 'mkg'])
    ],
    shown: { metric: 'N·m', us: 'lbf·ft' }
  },
  altitude: {
    name: 'altitude',
    units: [unit('m', 1, ['metre', 'meter', 'metres', 'meters']), unit('ft', 0.3048, ['feet', 'foot'])],
    shown: { metric: 'm', us: 'ft' },
    signed: true
  },
  temperature: {
    name: 'temperature',
    units: [
      unit('°C', 1, ['c', 'degc', 'celsius'], ZERO_CELSIUS),
      unit('°F', 5 / 9, ['f', 'degf', 'fahrenheit'], 459.67),
      unit('K', 1, ['kelvin'])
    ],
    shown: { metric: '°C', us: '°F' },
    signed: true
  },
  voltage: { name: 'voltage', units: [unit('V', 1, ['volt', 'volts'])], shown: { metric: 'V', us: 'V' } },
  speed: {
    name: 'engine speed',
    units: [unit('rpm', 1, ['r/min', '1/min'])],
    shown: { metric: 'rpm', us: 'rpm' }
  },
  power: {
    name: 'power',
    units: [unit('kW', 1000), unit('hp', 745.6999), unit('PS', 735.4988), unit('W', 1)],
    shown: { metric: 'kW', us: 'hp' }
  },
  share: {
    name: 'percentage',
    units: [unit('%', 0.01, ['percent', 'pct'])],
    shown: { metric: '%', us: '%' }
  },
  mixture: {
    name: 'mixture',
    units: [unit(':1', 1, ['to1', '/1'])],
    shown: { metric: ':1', us: ':1' }
  },
  months: {
    name: 'age',
    units: [
      unit('months', 1, ['month', 'mo', 'mon', 'm']),
      unit('years', 12, ['year', 'yr', 'yrs', 'y', 'a']),
      unit('weeks', 12 / 52.1775, ['week', 'wk', 'w']),
      unit('days', 12 / 365.2425, ['day', 'd'])
    ],
    shown: { metric: 'months', us: 'months' }
  },
  years: {
    name: 'age',
    units: [
      unit('years', 1, ['year', 'yr', 'yrs', 'y']),
      unit('months', 1 / 12, ['month', 'mo', 'mon', 'm']),
      unit('weeks', 1 / 52.1775, ['week', 'wk', 'w'])
    ],
    shown: { metric: 'years', us: 'years' }
  },
  hours: {
    name: 'time',
    units: [unit('h', 1, ['hour', 'hours', 'hr', 'hrs']), unit('min', 1 / 60, ['minute', 'minutes', 'mins'])],
    shown: { metric: 'h', us: 'h' }
  },
  minutes: {
    name: 'time',
    units: [unit('min', 1, ['minute', 'minutes', 'mins', 'm']), unit('h', 60, ['hour', 'hours']), unit('s', 1 / 60)],
    shown: { metric: 'min', us: 'min' }
  },
  resistance: {
    name: 'resistance',
    units: [
      unit('Ω', 1, ['ohm', 'ohms', 'r']),
      unit('kΩ', 1000, ['k', 'kohm', 'kohms']),
      unit('mΩ', 0.001, ['mohm', 'milliohm', 'milliohms'])
    ],
    shown: { metric: 'Ω', us: 'Ω' }
  },
  timing: {
    name: 'timing',
    units: [unit('°', 1, ['deg', 'degrees', 'btdc'])],
    shown: { metric: '°', us: '°' },
    signed: true
  },
  viscosity: {
    name: 'viscosity',
    units: [unit('mm²/s', 1, ['mm2/s', 'cst', 'centistokes'])],
    shown: { metric: 'mm²/s', us: 'mm²/s' }
  },
  angle: { name: 'angle', units: [unit('°', 1, ['deg', 'degrees'])], shown: { metric: '°', us: '°' } },
  count: { name: 'number', units: [unit('', 1, ['x', 'pcs', 'pieces'])], shown: { metric: '', us: '' } }
} as const satisfies Record<string, Dimension>;

export type DimensionName = keyof typeof dimensions;

export const dimensionOf = (name: DimensionName): Dimension => dimensions[name];

/** The unit shown for a dimension in a system. */
export function shownUnit(name: DimensionName, system: System): Unit {
  const dimension = dimensionOf(name);
  const found = dimension.units.find((u) => u.symbol === dimension.shown[system]);
  if (!found) throw new Error(`dimension ${name} shows a unit it does not have`);
  return found;
}

export const toSI = (value: number, u: Unit): number => (value + (u.offset ?? 0)) * u.factor;
export const fromSI = (si: number, u: Unit): number => si / u.factor - (u.offset ?? 0);
