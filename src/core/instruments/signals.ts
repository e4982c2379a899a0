import { ZERO_CELSIUS } from '../units/factors.ts';
import type { DimensionName } from '../units/dimension.ts';
import { parseSentence, writeSentence, type BadSentence, type Sentence } from './sentence.ts';

/** What an instrument measures, by the name it sends: SI range that its kind can show, type and unit on the line. */
export interface SignalKind {
  readonly label: string;
  readonly dimension: DimensionName;
  /** Type letter of the transducer sentence. */
  readonly type: 'P' | 'C' | 'T' | 'U' | 'R' | 'D';
  readonly min: number;
  readonly max: number;
}

/** The instruments of a bench by the names they send. */
export const signals = {
  gauge: { label: 'Compression gauge', dimension: 'pressure', type: 'P', min: -5e3, max: 3e6 },
  case: { label: 'Case gauge', dimension: 'pressure', type: 'P', min: -1e5, max: 3e5 },
  line: { label: 'Line vacuum', dimension: 'pressure', type: 'P', min: -1e5, max: 1e5 },
  head: { label: 'Head', dimension: 'temperature', type: 'C', min: 230, max: 480 },
  headp: { label: 'Head, port bank', dimension: 'temperature', type: 'C', min: 230, max: 480 },
  heads: { label: 'Head, starboard bank', dimension: 'temperature', type: 'C', min: 230, max: 480 },
  casetemp: { label: 'Case temperature', dimension: 'temperature', type: 'C', min: 230, max: 400 },
  batt: { label: 'Battery', dimension: 'voltage', type: 'U', min: 0, max: 60 },
  tach: { label: 'Engine speed', dimension: 'speed', type: 'T', min: 0, max: 12_000 },
  bucket: { label: 'Bucket', dimension: 'flow', type: 'R', min: 0, max: 2e-3 },
  depth: { label: 'Depth gauge', dimension: 'length', type: 'D', min: -0.05, max: 0.5 }
} as const satisfies Record<string, SignalKind>;
export type SignalName = keyof typeof signals;
export const signalNames = Object.keys(signals) as SignalName[];
const byName: ReadonlyMap<string, SignalName> = new Map(signalNames.map((n) => [n, n]));

/** One value that an instrument sent, SI, with the sentence it came in. */
export interface Sample {
  readonly name: SignalName;
  readonly value: number;
  readonly sentence: string;
}

/** Units of the transducer sentence by type, each to SI. Source (P): IEC 61162-1:2016, XDR, table of transducer types. */
const units: Readonly<Record<SignalKind['type'], ReadonlyMap<string, (v: number) => number>>> = {
  P: new Map([
    ['B', (v) => v * 1e5],
    ['P', (v) => v]
  ]),
  C: new Map([
    ['C', (v) => v + ZERO_CELSIUS],
    ['K', (v) => v]
  ]),
  T: new Map([['R', (v) => v]]),
  U: new Map([['V', (v) => v]]),
  R: new Map([['l', (v) => v / 1000]]),
  D: new Map([['M', (v) => v]])
};
const number = /^[+-]?(\d+(\.\d*)?|\.\d+)$/;

/** Why a value of a good sentence is not taken. */
export type BadValue = 'unit' | 'range' | 'figure';
export type LineResult =
  | { readonly kind: 'samples'; readonly samples: readonly Sample[]; readonly bad: readonly BadValue[] }
  /** A good sentence of something else: a position, a proprietary one, a transducer of no name that is known. */
  | { readonly kind: 'other' }
  | { readonly kind: 'bad'; readonly why: BadSentence };

function valueOf(name: SignalName, type: string, text: string, unit: string): number | BadValue | undefined {
  const kind: SignalKind = signals[name];
  // An empty field is an instrument that has nothing to say, as the standard allows.
  if (text === '') return undefined;
  if (type !== kind.type) return 'unit';
  const si = units[kind.type].get(unit);
  if (!si) return 'unit';
  if (!number.test(text)) return 'figure';
  const value = si(Number(text));
  return value >= kind.min && value <= kind.max ? value : 'range';
}

/** Values of a transducer sentence, four fields each: type, value, unit, name. */
function transducers({ fields }: Sentence, line: string): LineResult {
  const samples: Sample[] = [];
  const bad: BadValue[] = [];
  let known = false;
  for (let k = 0; k + 3 < fields.length; k += 4) {
    const [type, text, unit, id] = fields.slice(k, k + 4) as [string, string, string, string];
    const name = byName.get(id.toLowerCase());
    if (!name) continue;
    known = true;
    const value = valueOf(name, type, text, unit);
    if (typeof value === 'number') samples.push({ name, value, sentence: line });
    else if (value) bad.push(value);
  }
  return known ? { kind: 'samples', samples, bad } : { kind: 'other' };
}

/** Engine speed: source (S shaft, E engine), its number, revolutions a minute, pitch, status A (valid) or V. */
function revolutions({ fields }: Sentence, line: string): LineResult {
  const [source, , text = '', , status] = fields;
  if (source !== 'E') return { kind: 'other' };
  if (status !== 'A' || text === '') return { kind: 'samples', samples: [], bad: [] };
  const value = valueOf('tach', 'T', text.replace(/^-/, ''), 'R');
  return typeof value === 'number'
    ? { kind: 'samples', samples: [{ name: 'tach', value, sentence: line }], bad: [] }
    : { kind: 'samples', samples: [], bad: [value ?? 'figure'] };
}

/** What a line says of the bench's instruments. Pure; a line that is cut or damaged says nothing but why. */
export function readLine(line: string): LineResult {
  const parsed = parseSentence(line);
  if (!parsed.ok) return { kind: 'bad', why: parsed.why };
  const text = line.slice(Math.max(line.lastIndexOf('$'), line.lastIndexOf('!'))).trimEnd();
  const { formatter } = parsed.sentence;
  if (formatter === 'XDR') return transducers(parsed.sentence, text);
  if (formatter === 'RPM') return revolutions(parsed.sentence, text);
  return { kind: 'other' };
}

const write: Readonly<Record<SignalKind['type'], readonly [unit: string, of: (si: number) => string]>> = {
  P: ['B', (v) => (v / 1e5).toFixed(4)],
  C: ['C', (v) => (v - ZERO_CELSIUS).toFixed(2)],
  T: ['R', (v) => v.toFixed(0)],
  U: ['V', (v) => v.toFixed(2)],
  R: ['l', (v) => (v * 1000).toFixed(4)],
  D: ['M', (v) => v.toFixed(5)]
};

/** A value as the sentence that its instrument would send. */
export function sentenceOf(name: SignalName, si: number): string {
  const { type } = signals[name];
  const [unit, text] = write[type];
  return writeSentence('YX', 'XDR', [type, text(si), unit, name]);
}
