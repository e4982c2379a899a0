import { dimensionOf, dimensions, shownUnit, toSI, type DimensionName, type System, type Unit } from './dimension.ts';

export type Parsed =
  | { readonly ok: true; readonly si: number; readonly unit: Unit; readonly value: number }
  | { readonly ok: false; readonly message: string; readonly at: number };

const vulgar: Record<string, string> = {
  '½': '1/2',
  '¼': '1/4',
  '¾': '3/4',
  '⅓': '1/3',
  '⅔': '2/3',
  '⅛': '1/8',
  '⅜': '3/8',
  '⅝': '5/8',
  '⅞': '7/8'
};
const number = /^([+\-−]?)\s*(?:(\d+)\s+(\d+)\s*\/\s*(\d+)|(\d+)\s*\/\s*(\d+)|(\d*[.,]?\d+|\d+[.,]))/;

const fold = (s: string): string => s.toLowerCase().replace(/[\s.]/g, '');

function findUnit(typed: string, name: DimensionName): Unit | undefined {
  const exact = dimensionOf(name).units.find((u) => u.symbol === typed.trim());
  if (exact) return exact;
  const key = fold(typed);
  return dimensionOf(name).units.find((u) => fold(u.symbol) === key || u.aliases.some((a) => fold(a) === key));
}

/** The dimension a unit belongs to, for a sentence that says what was wrong with it. */
function elsewhere(typed: string): string | undefined {
  const names = Object.keys(dimensions) as DimensionName[];
  const found = names.find((name) => findUnit(typed, name));
  return found && dimensionOf(found).name;
}

const fail = (message: string, at: number): Parsed => ({ ok: false, message, at });

function valueOf(match: RegExpMatchArray): number {
  const [, sign, whole, over, under, top, bottom, plain] = match;
  let value: number;
  if (plain !== undefined) value = Number(plain.replace(',', '.'));
  else if (whole !== undefined) value = Number(whole) + Number(over) / Number(under);
  else value = Number(top) / Number(bottom);
  return sign === '-' || sign === '−' ? -value : value;
}

/**
 * Reads what a person typed: "95", "95 psi", "6.5bar", "3 1/2 oz", "0,51 mm", "½ L".
 * Shape: text in, SI value out. A bare number is taken in the unit shown to this user.
 * Errors are sentences with the position of the first character that was not understood; nothing is thrown.
 */
export function parseQuantity(typed: string, name: DimensionName, system: System): Parsed {
  const text = typed
    .replace(/[½¼¾⅓⅔⅛⅜⅝⅞]/g, (c) => ` ${vulgar[c]}`)
    .replace(/\u00a0/g, ' ')
    .trim();
  const dimension = dimensionOf(name);
  const usual = shownUnit(name, system);
  const example = `for example "${exampleOf(name, system)}"`;
  if (text === '') return fail(`Nothing was entered. Type a ${dimension.name}, ${example}, or choose unknown.`, 0);
  const match = number.exec(text);
  if (!match) return fail(`"${typed}" does not start with a number. Type a ${dimension.name}, ${example}.`, 0);
  const thousands = /^\d{1,3}(,\d{3})+(?![\d.,])/.exec(text);
  if (thousands && /[1-9]/.test(text[0] ?? '')) {
    const [plain, point] = [thousands[0].replace(/,/g, ''), thousands[0].replace(',', '.')];
    return fail(
      `"${thousands[0]}" can be read two ways. Write ${plain} or ${point.replace(/,/g, '')}.`,
      thousands[0].indexOf(',')
    );
  }
  const value = valueOf(match);
  if (!Number.isFinite(value)) {
    const slash = match[0].lastIndexOf('/');
    return fail(
      slash < 0 ? 'This number is too long to be read.' : 'A fraction cannot have zero underneath.',
      slash + 1
    );
  }
  const rest = text.slice(match[0].length).trim();
  const at = text.length - rest.length;
  if (/^[\d.,/]/.test(rest))
    return fail(`There is something after the number: "${rest}". Type one ${dimension.name}, ${example}.`, at);
  const unit = rest === '' ? usual : findUnit(rest, name);
  if (!unit) {
    const other = elsewhere(rest);
    const accepted = dimension.units
      .map((u) => u.symbol)
      .filter(Boolean)
      .join(', ');
    return fail(
      other && other !== dimension.name
        ? `"${rest}" is a unit of ${other}; a ${dimension.name} is asked for here${accepted ? ` (${accepted})` : ''}.`
        : accepted
          ? `"${rest}" is not a unit known here; use ${accepted}.`
          : `"${rest}" is more than a number. Type the number alone, ${example}.`,
      at
    );
  }
  if (value < 0 && !dimension.signed) return fail(`A ${dimension.name} cannot be under zero here. Check the sign.`, 0);
  return { ok: true, si: toSI(value, unit), unit, value };
}

const examples: Partial<Record<DimensionName, Record<System, string>>> = {
  pressure: { metric: '6.5 bar', us: '95 psi' },
  vacuum: { metric: '25 kPa', us: '8 inHg' },
  flow: { metric: '1.2 L/min', us: '0.3 gal/min' },
  consumption: { metric: '1.5 L/h', us: '0.4 gal/h' },
  level: { metric: '4 mm', us: '4 mm' },
  volume: { metric: '250 mL', us: '3 1/2 oz' },
  tank: { metric: '12 L', us: '3 gal' },
  displacement: { metric: '250 cc', us: '15 in³' },
  length: { metric: '0.9 mm', us: '0.035 in' },
  altitude: { metric: '120 m', us: '400 ft' },
  temperature: { metric: '12 °C', us: '54 °F' },
  mixture: { metric: '50:1', us: '50:1' },
  count: { metric: '2', us: '2' },
  years: { metric: '3 years', us: '3 years' },
  power: { metric: '7.3 kW', us: '10 hp' },
  minutes: { metric: '12 min', us: '12 min' },
  hours: { metric: '6 h', us: '6 h' },
  angle: { metric: '15°', us: '15°' },
  share: { metric: '5 %', us: '5 %' },
  months: { metric: '8 months', us: '8 months' }
};

/** What a well-formed entry looks like, for hints and error sentences. */
export function exampleOf(name: DimensionName, system: System): string {
  return examples[name]?.[system] ?? `12 ${shownUnit(name, system).symbol}`.trim();
}
