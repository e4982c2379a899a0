import { spotIds, type Spot } from '../../stations/run/runs.ts';
import { epochUnit, type ClockPair, type DateOrder, type TimeUnit } from './moments.ts';
import type { CellUnit, Decimal, TemperatureUnit } from './cells.ts';
import { unitInName, type ColumnScan, type LogTable } from './scan.ts';

/** Which columns are which, in what units, by what clock. What is not set has not been said by the file nor by a person. */
export interface LogPlan {
  readonly time?: number;
  /** One column for each place where a probe was; the place is asked where the file does not say it. */
  readonly temperatures: readonly { readonly column: number; readonly spot?: Spot }[];
  readonly rpm?: number;
  /** The column that names the place of each row, and what its words stand for. */
  readonly places?: { readonly column: number; readonly spots: Readonly<Record<string, Spot>> };
  readonly unit?: TemperatureUnit;
  readonly decimal?: Decimal;
  readonly timeUnit?: TimeUnit;
  readonly every?: number;
  readonly pair?: ClockPair;
  readonly dateOrder?: DateOrder;
}

export type LogQuestionId =
  | 'time'
  | 'temperature'
  | 'unit'
  | 'decimal'
  | 'timeUnit'
  | 'every'
  | 'pair'
  | 'dateOrder'
  | 'spot';
/** What a person must say before the file is read, and why the file itself does not say it. */
export interface LogQuestion {
  readonly id: LogQuestionId;
  readonly because: string;
}

const INDEX = /^(#|no\.?|nr\.?|n|num(ber)?|sample(\s*(no\.?|number|#))?|index|idx|id|record|rec|row|scan|reading)$/i;
const TIME = /elapsed|time|zeit|clock|stamp|\bsec(onds?)?\b|\bt\b|date/i;
const WARM = /temp|°|\bdeg|head|cht|coolant|heat|block|exhaust|thermo|probe|\bt\d\b/i;
/** Temperatures of something else than the engine. */
const AROUND =
  /ambient|\bair\b|outside|outdoor|room|cabin|weather|sea|lake|raw|water ?in\b|inlet|intake|\boil\b|fuel|battery|box|internal/i;
const TURNS = /rpm|1\/min|r\/min|min-1|min⁻¹|u\/min|\brev|tach|engine[\s_-]*speed|drehzahl/i;
const OTHER_SPEED = /\bkn\b|knots?|kts?\b|km\/h|kmh|mph|m\/s|boat|vessel|ground|gps|\bsog\b|\bstw\b|wind/i;
const PLACE = /spot|place|probe|sensor|channel|position|ort/i;

/** The place that a column's or a probe's name stands for. */
export function spotOfName(name: string): Spot | undefined {
  const text = name.toLowerCase();
  const exact = spotIds.find((s) => s === text.trim());
  if (exact) return exact;
  const head = /head|cht|cyl|block|temp/.test(text);
  if (/starboard|\bstbd?\b/.test(text) && head) return 'head-starboard';
  if (/\bport\b/.test(text) && head) return 'head-port';
  if (/thermostat/.test(text)) return 'thermostat';
  if (/exhaust/.test(text)) return 'exhaust';
  if (/stream|tell[\s-]?tale|\bpee\b/.test(text)) return 'stream';
  if (/\bblock\b/.test(text)) return 'block';
  return /\bhead\b|\bcht\b|cylinder head/.test(text) ? 'head' : undefined;
}

const mostly = (part: number, c: ColumnScan | undefined): boolean => !!c && c.cells > 0 && part >= c.cells / 2;
const numeric = (c: ColumnScan | undefined): boolean => mostly(c?.numbers ?? 0, c);
const clocked = (c: ColumnScan | undefined): boolean => mostly(c?.clocks ?? 0, c);
const isIndex = (t: LogTable, k: number): boolean => INDEX.test(t.header[k]!.trim()) && numeric(t.columns[k]);

function timeColumn(t: LogTable): number | undefined {
  const all = t.columns.map((_, k) => k);
  const score = (k: number): number => {
    const [name, c] = [t.header[k]!, t.columns[k]];
    if (!numeric(c) && !clocked(c)) return 0;
    if (isIndex(t, k)) return 0;
    const unit = unitInName(name);
    const named =
      TIME.test(name) || unit === 's' || unit === 'ms' || (unit === 'min' && !TURNS.test(name)) || unit === 'h';
    return (clocked(c) ? 4 : 0) + (/elapsed|relative|run ?time/i.test(name) ? 3 : named ? 2 : 0);
  };
  const best = all.reduce<number | undefined>(
    (a, k) => (score(k) > (a === undefined ? 0 : score(a)) ? k : a),
    undefined
  );
  if (best !== undefined) return best;
  // Nothing is called time: the first column that only rises and is no temperature; a count of rows only where two columns
  // are all there is.
  const rising = all.filter((k) => {
    const c = t.columns[k];
    return numeric(c) && c!.rises && c!.max > c!.min && !WARM.test(t.header[k]!);
  });
  return (all.length > 2 ? rising.find((k) => !t.columns[k]!.counts) : undefined) ?? rising[0];
}

const temperatureUnits = (units: Iterable<CellUnit | undefined>): TemperatureUnit[] => [
  ...new Set([...units].filter((u): u is TemperatureUnit => u === '°C' || u === '°F' || u === 'K'))
];
/** Temperature units that the lines above the table name. */
const prefaceUnits = (t: LogTable): TemperatureUnit[] =>
  temperatureUnits(
    t.preface.flatMap((line): CellUnit[] => [
      ...(/°\s*C\b|celsius|\bdeg\.?\s*C\b|units?\s*[:=]?\s*C\b/i.test(line) ? (['°C'] as const) : []),
      ...(/°\s*F\b|fahrenheit|\bdeg\.?\s*F\b|units?\s*[:=]?\s*F\b/i.test(line) ? (['°F'] as const) : []),
      ...(/\bkelvin\b|units?\s*[:=]?\s*K\b/i.test(line) ? (['K'] as const) : [])
    ])
  );
/** Units of the chosen columns: of their cells, else of their names, else of the lines above. More than one is a contradiction. */
export function statedUnits(t: LogTable, columns: readonly number[]): TemperatureUnit[] {
  const inCells = temperatureUnits(columns.flatMap((k) => [...(t.columns[k]?.units ?? [])]));
  const inNames = temperatureUnits(columns.map((k) => unitInName(t.header[k] ?? '')));
  if (inCells.length || inNames.length) return [...new Set([...inCells, ...inNames])];
  return prefaceUnits(t);
}

const INTERVAL = /(?:interval|rate|every|period|takt)\D{0,20}?(\d+(?:[.,]\d+)?)\s*(ms|s|sec|seconds?|min|minutes?)\b/i;
function statedInterval(t: LogTable): number | undefined {
  const found = t.preface.map((l) => INTERVAL.exec(l)).find((m) => m !== null);
  if (!found) return undefined;
  const value = Number(found[1]!.replace(',', '.'));
  return value * (found[2]!.startsWith('ms') ? 0.001 : found[2]!.startsWith('m') ? 60 : 1);
}

function decimalOf(t: LogTable, columns: readonly (number | undefined)[]): Decimal | undefined {
  let [point, comma, either] = [0, 0, 0];
  for (const k of columns) {
    const s = t.columns[k ?? -1]?.signs;
    if (!s) continue;
    [point, comma, either] = [point + s.point, comma + s.comma, either + s.either];
  }
  if (point && comma) return undefined;
  if (point) return '.';
  if (comma) return ',';
  return either ? undefined : '.';
}

function timeUnitOf(t: LogTable, k: number): TimeUnit | undefined {
  const c = t.columns[k]!;
  if (isIndex(t, k)) return 'sample';
  const units = [...c.units, unitInName(t.header[k]!)].filter(
    (u) => u === 's' || u === 'ms' || u === 'min' || u === 'h'
  );
  if (new Set(units).size === 1) return units[0] as TimeUnit;
  return epochUnit(c.max);
}

function pairOf(t: LogTable, k: number): ClockPair | undefined {
  const text = [t.header[k]!, ...t.preface].join(' ');
  const [short, long] = [/\bmm?:ss?\b|min:s/i.test(text), /\bhh?:mm?\b|h:min/i.test(text)];
  if (short !== long) return short ? 'min:s' : 'h:min';
  return t.columns[k]!.largestFirst > 23 ? 'min:s' : undefined;
}

/** The order of day and month, where the dates themselves or the way they are written tell. */
function dateOrderOf(c: ColumnScan): DateOrder | undefined {
  const open = c.dates.filter((d) => !d.yearFirst);
  if (open.some((d) => d.a > 12)) return 'day-first';
  if (open.some((d) => d.b > 12)) return 'month-first';
  // All of one day: the order changes nothing that is read here.
  if (open.length === 1) return 'day-first';
  return undefined;
}

/** What the file itself says. Everything that it leaves open is left open here too. */
export function planOf(t: LogTable): LogPlan {
  const time = timeColumn(t);
  const free = t.columns.flatMap((c, k) => (k !== time && numeric(c) && !isIndex(t, k) ? [k] : []));
  const rpm = free.find((k) =>
    TURNS.test(t.header[k]!) || t.columns[k]!.units.has('rpm') ? !OTHER_SPEED.test(t.header[k]!) : false
  );
  const around = free.filter((k) => AROUND.test(t.header[k]!) && !/head|block|exhaust/i.test(t.header[k]!));
  const rest = free.filter((k) => k !== rpm && !around.includes(k) && !OTHER_SPEED.test(t.header[k]!));
  const isWarm = (k: number): boolean =>
    WARM.test(t.header[k]!) || temperatureUnits([unitInName(t.header[k]!), ...t.columns[k]!.units]).length > 0;
  const warm = rest.filter(isWarm);
  // One nameless column of figures beside the clock can only be the temperature; one that counts rows cannot.
  const nameless = rest.filter((k) => /^column \d+$/.test(t.header[k]!) && !t.columns[k]!.counts);
  const columns = warm.length ? warm : nameless.length === 1 ? nameless : [];
  const places = t.columns.findIndex(
    (c, k) => k !== time && PLACE.test(t.header[k]!) && c.words.size > 0 && c.words.size < 9 && c.numbers === 0
  );
  const words = places < 0 ? [] : [...t.columns[places]!.words];
  const units = statedUnits(t, columns);
  const timeUnit = time === undefined ? undefined : numeric(t.columns[time]) ? timeUnitOf(t, time) : undefined;
  const every = statedInterval(t);
  const pair = time === undefined ? undefined : pairOf(t, time);
  const dateOrder = time === undefined ? undefined : dateOrderOf(t.columns[time]!);
  const decimal = decimalOf(t, [time, rpm, ...columns]);
  const spotted = columns.map((column) => ({ column, spot: spotOfName(t.header[column]!) }));
  return {
    ...(time === undefined ? {} : { time }),
    temperatures: spotted.map(({ column, spot }) => ({ column, ...(spot ? { spot } : {}) })),
    ...(rpm === undefined ? {} : { rpm }),
    ...(places < 0
      ? {}
      : {
          places: {
            column: places,
            spots: Object.fromEntries(words.flatMap((w) => (spotOfName(w) ? [[w, spotOfName(w)!]] : [])))
          }
        }),
    ...(units.length === 1 ? { unit: units[0]! } : {}),
    ...(decimal ? { decimal } : {}),
    ...(timeUnit ? { timeUnit } : {}),
    ...(every ? { every } : {}),
    ...(pair ? { pair } : {}),
    ...(dateOrder ? { dateOrder } : {})
  };
}

const list = (names: readonly string[]): string => names.map((n) => `“${n}”`).join(', ');

/** What still has to be said before a file can be read by a plan, in the order in which one would ask. */
export function questionsOf(t: LogTable, plan: LogPlan): LogQuestion[] {
  const out: LogQuestion[] = [];
  const ask = (id: LogQuestionId, because: string): void => void out.push({ id, because });
  const columns = plan.temperatures.map((x) => x.column);
  const c = plan.time === undefined ? undefined : t.columns[plan.time];
  if (!c) ask('time', 'No column is called time, and none only rises.');
  if (!columns.length)
    ask('temperature', 'No column names the temperature of the engine; air, sea and sample numbers are not it.');
  else if (!plan.unit) {
    const units = statedUnits(t, columns);
    ask(
      'unit',
      units.length > 1
        ? `The file says ${units.join(' and ')}.`
        : 'The file does not say in which unit its temperatures are.'
    );
  }
  if (!plan.decimal) ask('decimal', 'Its figures can be read with a decimal point and with a decimal comma.');
  if (c && numeric(c) && !epochUnit(c.max)) {
    if (!plan.timeUnit)
      ask('timeUnit', `${list([t.header[plan.time!]!])} counts from ${c.min} to ${c.max} and does not say what.`);
    else if (plan.timeUnit === 'sample' && !plan.every)
      ask('every', 'It counts samples; how far apart they were is not said.');
  }
  if (c?.pairs && !plan.pair) ask('pair', 'A time such as “14:02” is minutes and seconds, or hours and minutes.');
  if (c?.dates.some((d) => !d.yearFirst) && !plan.dateOrder)
    ask('dateOrder', 'Its dates can be read day first and month first.');
  const open = plan.places
    ? [...(t.columns[plan.places.column]?.words ?? [])].filter((w) => !Object.hasOwn(plan.places!.spots, w))
    : plan.temperatures.filter((x) => !x.spot).map((x) => t.header[x.column]!);
  if (columns.length && open.length)
    ask('spot', `Where ${open.length > 1 ? 'the probes were' : 'the probe was'} is not said: ${list(open)}.`);
  const taken = plan.places ? [] : plan.temperatures.flatMap((x) => (x.spot ? [x.spot] : []));
  if (new Set(taken).size < taken.length) ask('spot', 'Two columns cannot be the same place.');
  return out;
}

/** What makes two files of one logger: its header and how many columns it has. */
export const signatureOf = (t: LogTable): string => JSON.stringify([t.columns.length, t.header]);

/** What a person said of a logger's files, beyond what they say themselves; kept for the next file of that logger. */
export type LogAnswers = Partial<LogPlan>;
const columnKeys = ['time', 'temperatures', 'rpm', 'places'] as const;
const readingKeys = ['unit', 'decimal', 'timeUnit', 'every', 'pair', 'dateOrder'] as const;

/** The answers in a confirmed plan: all that differs from what the file says. */
export function answersOf(t: LogTable, plan: LogPlan): LogAnswers {
  const said = planOf(t);
  const differs = (k: keyof LogPlan): boolean => JSON.stringify(said[k]) !== JSON.stringify(plan[k]);
  return Object.fromEntries(
    [...columnKeys, ...readingKeys].flatMap((k) => (differs(k) && plan[k] !== undefined ? [[k, plan[k]]] : []))
  );
}

/** The plan of another file of the same logger: columns as they were said, what the file itself says before old answers. */
export function planAgain(t: LogTable, answers: LogAnswers): LogPlan {
  const said = planOf(t);
  const old = Object.fromEntries(
    Object.entries(answers).filter(
      ([k]) => (columnKeys as readonly string[]).includes(k) || said[k as keyof LogPlan] === undefined
    )
  );
  return { ...said, ...old };
}
