import { fromSI, shownUnit, type DimensionName, type System, type Unit } from './dimension.ts';

/** Decimals shown per symbol where no instrument resolution is known. */
const decimals: ReadonlyMap<string, number> = new Map(
  Object.entries({
    cr: 0,
    bar: 2,
    psi: 0,
    inHg: 1,
    'L/min': 2,
    'US gal/min': 2,
    'L/h': 2,
    'US gal/h': 2,
    mL: 0,
    'fl oz': 1,
    L: 1,
    'US gal': 2,
    cc: 0,
    'in³': 1,
    mm: 2,
    in: 3,
    m: 0,
    ft: 0,
    '°C': 0,
    '°F': 0,
    V: 1,
    rpm: 0,
    kW: 1,
    hp: 1,
    '%': 0,
    ':1': 0,
    months: 0,
    years: 0,
    h: 1,
    min: 0,
    '°': 0,
    '': 0
  })
);

export interface Shown {
  readonly number: string;
  readonly unit: string;
}

/** Three figures, as a meter shows them: 0.31 Ω, 45.0 Ω, 4200 Ω, 500 kΩ. */
function ohms(si: number): Shown {
  const size = Math.abs(si);
  if (size >= 1e4) return { number: String(Number((si / 1000).toPrecision(3))), unit: 'kΩ' };
  return { number: si.toFixed(size < 9.995 ? 2 : size < 99.95 ? 1 : 0), unit: 'Ω' };
}

/**
 * A quantity as it is shown: number and unit apart, so that a sounding can set them differently.
 * `resolution` (SI, same dimension) limits the digits to what the instrument could tell.
 */
export function show(si: number, name: DimensionName, system: System, resolution?: number): Shown {
  if (name === 'resistance' && !resolution) return ohms(si);
  const unit = shownUnit(name, system);
  const places = placesOf(unit, name, resolution);
  const rounded = Number(fromSI(si, unit).toFixed(places));
  const number = (Object.is(rounded, -0) ? 0 : rounded).toFixed(places).replace(/^-/, '−');
  const one = number === '1' && (unit.symbol === 'years' || unit.symbol === 'months');
  return { number, unit: one ? unit.symbol.slice(0, -1) : unit.symbol };
}

/**
 * The number that `show` would show, as a number: for charts and files. What is shown is for eyes, with a true minus sign,
 * and is never read back.
 * @example shownNumber(268.15, 'temperature', 'metric') // -5
 */
export function shownNumber(si: number, name: DimensionName, system: System, resolution?: number): number {
  const unit = shownUnit(name, system);
  return Number(fromSI(si, unit).toFixed(placesOf(unit, name, resolution)));
}

/**
 * How far two temperatures lie apart, kelvins, with its unit: no scale has its zero in it.
 * @example sayApart(5, 'us') // "9 °F"
 */
export function sayApart(kelvins: number, system: System, places = 0): string {
  const [factor, unit] = system === 'us' ? [1 / shownUnit('temperature', 'us').factor, '°F'] : [1, 'K'];
  return `${(kelvins * factor).toFixed(places)} ${unit}`;
}

/** Decimals of a quantity: as many as the instrument could tell, else the usual ones of the unit. */
function placesOf(unit: Unit, name: DimensionName, resolution: number | undefined): number {
  const step = resolution ? Math.abs(resolution / unit.factor) : undefined;
  if (name === 'level' && !step) return 0;
  return step ? Math.min(3, Math.max(0, Math.ceil(-Math.log10(step) - 1e-9))) : (decimals.get(unit.symbol) ?? 1);
}

/** A quantity in a sentence: "112 psi", "50:1", "15 %". */
export function say(si: number, name: DimensionName, system: System, resolution?: number): string {
  const { number, unit } = show(si, name, system, resolution);
  if (unit === '' || unit === ':1' || unit === '°') return `${number}${unit}`;
  return `${number} ${unit}`;
}
