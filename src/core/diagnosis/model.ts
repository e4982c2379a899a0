import { bankCount, neighbours } from '../engine/banks.ts';
import { cylindersOf, type Context } from '../findings/context.ts';
import { signById, signKinds, suspectKinds } from './knowledge/index.ts';
import { strengths, type SignKind, type Strength, type SuspectKind } from './knowledge/shape.ts';
import type { Network } from './network.ts';
import { priorOf } from './priors.ts';
import { heard, NAMED_BY_OWNER } from './said.ts';

/** A suspect at this engine: of the whole engine, of one cylinder, of a pair of neighbours, or of a bank. */
export interface Suspect {
  readonly id: string;
  readonly kind: SuspectKind;
  readonly cylinders: readonly number[];
  readonly label: string;
}
export interface SignAt {
  readonly id: string;
  readonly kind: SignKind;
  readonly cylinder?: number;
}
/** The network of one engine; suspects and signs have the indices of its causes and signs. */
export interface Model {
  readonly network: Network;
  readonly suspects: readonly Suspect[];
  readonly signs: readonly SignAt[];
  readonly signIndex: ReadonlyMap<string, number>;
  /** The signs of each suspect, by their indices, in order. */
  readonly signsOf: readonly (readonly number[])[];
  readonly cylinders: readonly number[];
}

type Fits = Readonly<Record<string, readonly string[]>>;

/** Whether this engine has the part. What is unknown may be there; a value with "!" must be known. */
export function fits(c: Context, rule: Fits | undefined, cylinders: readonly number[]): boolean {
  if (!rule) return true;
  const profile = c.survey.engine.profile as Readonly<Record<string, unknown>>;
  return Object.entries(rule).every(([key, allowed]) => {
    if (key === 'cylinders') return allowed.includes(cylinders.length > 1 ? 'many' : 'one');
    if (key === 'banks')
      return allowed.includes(bankCount(c.survey.engine.profile, cylinders.length) === 2 ? 'two' : 'one');
    const value = profile[key];
    const known = typeof value === 'string' && value !== 'unknown';
    return known ? allowed.some((a) => a.replace('!', '') === value) : !allowed.every((a) => a.endsWith('!'));
  });
}

/** On one cylinder "all" and "this one" are the same reading. */
const oneCylinder: Readonly<Record<string, string>> = {
  'low-all': 'low',
  none: 'none-all',
  'all-rise-wet': 'wet-rises'
};

/** Cylinders as the profile says, else those that were read, else one. */
function cylinderList(c: Context): number[] {
  const known = cylindersOf(c);
  if (known.length) return known;
  const most = Math.max(1, ...c.survey.readings.map((r) => r.cylinder ?? 1));
  return Array.from({ length: most }, (_, k) => k + 1);
}

function placesOf(
  kind: SuspectKind,
  c: Context,
  cylinders: readonly number[]
): { id: string; at: number[]; said: string }[] {
  const n = cylinders.length;
  if (!kind.per) return [{ id: '', at: [...cylinders], said: '' }];
  if (kind.per === 'pair')
    return neighbours(c.survey.engine.profile, n).map(([a, b]) => ({
      id: `.${a}-${b}`,
      at: [a, b],
      said: ` between cylinders ${a} and ${b}`
    }));
  if (kind.per === 'cylinder')
    return cylinders.map((k) => ({ id: `.${k}`, at: [k], said: n > 1 ? `, cylinder ${k}` : '' }));
  if (bankCount(c.survey.engine.profile, n) === 1) return [];
  return [1, 0].map((odd) => {
    const at = cylinders.filter((k) => k % 2 === odd);
    return { id: odd ? '.odd' : '.even', at, said: `, cylinders ${at.join(', ')}` };
  });
}

/** Strengths a shop has set stand before ours; nothing is ever quite certain: 0.999 at most. */
function strengthOf(c: Context, suspect: string, sign: string, name: string): number {
  const own = c.rules.knowledge?.strengths?.[`${suspect}>${sign}`];
  return Math.min(0.999, Math.max(0, own ?? strengths[name as Strength]));
}

/** What the knowledge is for one kind of engine, whatever was read on it or done to it: the same as long as that engine is. */
interface Layout extends Omit<Model, 'network'> {
  readonly key: string;
  readonly network: Network['signs'];
}

const recent: Layout[] = [];
/** Kinds of engine whose layout is kept: the one at hand, its sister, and those of a list being judged (M). */
const RECENT = 8;

/** Lays the knowledge out: what an engine does not have is left out, what it has several of is repeated. */
function layoutOf(c: Context): Layout {
  const cylinders = cylinderList(c);
  const hearsay = heard(c).filter((h) => fits(c, signById.get(h.of)!.fits, cylinders));
  const { profile } = c.survey.engine;
  const own = c.rules.knowledge?.strengths ?? null;
  const key = JSON.stringify([profile, own, cylinders, hearsay.map((h) => h.kind.id)]);
  const known = recent.find((l) => l.key === key);
  if (known) return known;
  const looked: SignAt[] = signKinds
    .filter((s) => fits(c, s.fits, cylinders))
    .flatMap((kind): SignAt[] =>
      kind.per
        ? cylinders.map((cylinder) => ({ id: `${kind.id}.${cylinder}`, kind, cylinder }))
        : [{ id: kind.id, kind }]
    );
  const signs: SignAt[] = [...looked, ...hearsay.map(({ kind }) => ({ id: kind.id, kind }))];
  const signIndex = new Map(signs.map((s, k) => [s.id, k]));
  const causesOf: { cause: number; strength: number }[][] = signs.map(() => []);
  const suspects: Suspect[] = [];
  for (const kind of suspectKinds) {
    if (!fits(c, kind.fits, cylinders)) continue;
    for (const place of placesOf(kind, c, cylinders)) {
      const cause = suspects.length;
      const id = `${kind.id}${place.id}`;
      suspects.push({ id, kind, cylinders: kind.per ? place.at : [], label: `${kind.label}${place.said}` });
      const strongest = new Map<number, number>();
      for (const [name, list] of Object.entries(kind.shows))
        for (const said of list) {
          const sign = cylinders.length === 1 ? (oneCylinder[said] ?? said) : said;
          const strength = strengthOf(c, kind.id, said, name);
          for (const at of signIndex.has(sign) ? [sign] : place.at.map((k) => `${sign}.${k}`)) {
            const index = signIndex.get(at);
            if (index !== undefined) strongest.set(index, Math.max(strongest.get(index) ?? 0, strength));
          }
          for (const h of hearsay)
            if (h.of === said) {
              const index = signIndex.get(h.kind.id)!;
              strongest.set(index, Math.max(strongest.get(index) ?? 0, strength * NAMED_BY_OWNER));
            }
        }
      for (const [sign, strength] of strongest) if (strength > 0) causesOf[sign]!.push({ cause, strength });
    }
  }
  const network = signs.map((s, k) => ({ id: s.id, leak: s.kind.leak, causes: causesOf[k]! }));
  const signsOf: number[][] = suspects.map(() => []);
  causesOf.forEach((list, sign) => list.forEach(({ cause }) => signsOf[cause]!.push(sign)));
  const made = { key, network, suspects, signs, signIndex, signsOf, cylinders };
  recent.unshift(made);
  recent.length = Math.min(recent.length, RECENT);
  return made;
}

/** The network of one engine, as likely as its case and its history make each suspect before anything was looked at. */
export function modelOf(c: Context, done: ReadonlySet<string> = new Set()): Model {
  const { network: signs, suspects, ...rest } = layoutOf(c);
  const priors = new Map<SuspectKind, number>();
  const causes = suspects.map(({ id, kind }) => {
    const prior = priors.get(kind) ?? priorOf(c, kind, done);
    priors.set(kind, prior);
    return { id, prior };
  });
  return {
    network: { causes, signs },
    suspects,
    signs: rest.signs,
    signIndex: rest.signIndex,
    signsOf: rest.signsOf,
    cylinders: rest.cylinders
  };
}
