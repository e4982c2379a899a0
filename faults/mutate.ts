/** Mutations of JSON documents: what a damaged copy, another program or a hostile hand could have made of them. Seeded, so that a run can be had again. */
export type Random = () => number;

/** Mulberry32 by Tommy Ettinger, public domain: 32 bits of state, enough to pick mutations. */
export function randomFrom(seed: number): Random {
  let a = seed >>> 0;
  return () => {
    a = (a + 0x6d2b79f5) | 0;
    let t = Math.imul(a ^ (a >>> 15), 1 | a);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 2 ** 32;
  };
}

export const pick = <T>(random: Random, list: readonly T[]): T => list[Math.floor(random() * list.length)]!;

/** Names that mean something to JavaScript, and nothing here. */
const NAMES = ['constructor', 'toString', '__proto__', 'prototype', 'hasOwnProperty', 'valueOf', 'then', 'length', ''];
const deep = (levels: number): unknown => {
  let value: unknown = 1;
  for (let k = 0; k < levels; k++) value = k % 2 ? [value] : { a: value };
  return value;
};

/** Values that belong nowhere. */
const values: readonly ((r: Random) => unknown)[] = [
  () => null,
  () => true,
  () => 0,
  () => -1,
  () => 1e308,
  () => -1e308,
  () => 5e-324,
  () => Number.MAX_SAFE_INTEGER + 2,
  () => '',
  () => ' ',
  (r) => pick(r, NAMES),
  () => 'x'.repeat(30_000),
  () => '\u0000\u202e\ud800',
  () => '<script>alert(1)</script>',
  () => "'; drop table engines; --",
  () => '../../../../etc/passwd',
  () => '9999-12-31T23:59:59.999Z',
  () => '1900-01-01T00:00:00Z',
  () => '2026-02-30T25:61:00Z',
  () => '2026-05-02T08:00:00+14:00',
  () => 'NaN',
  () => [],
  () => ({}),
  () => Array.from({ length: 2000 }, (_, k) => k),
  () => deep(400),
  () => ({ constructor: { prototype: {} } })
];

type Place = { readonly holder: Record<string, unknown> | unknown[]; readonly key: string | number };

/** Every place of a document that can be changed. */
function placesOf(value: unknown, out: Place[] = []): Place[] {
  if (typeof value !== 'object' || value === null) return out;
  const holder = value as Record<string, unknown>;
  for (const key of Array.isArray(value) ? value.keys() : Object.keys(value)) {
    out.push({ holder, key });
    if (out.length < 20_000) placesOf((holder as Record<string | number, unknown>)[key], out);
  }
  return out;
}

const get = (p: Place): unknown => (p.holder as Record<string | number, unknown>)[p.key];
function set(p: Place, value: unknown): void {
  Object.defineProperty(p.holder, p.key, { value, enumerable: true, configurable: true, writable: true });
}

/** One document changed in one to four places. The original stays as it is. */
export function mutated<T>(document: T, random: Random): unknown {
  const copy = structuredClone(document) as unknown;
  for (let n = 1 + Math.floor(random() * 4); n > 0; n--) {
    const places = placesOf(copy);
    if (!places.length) return copy;
    const at = pick(random, places);
    const other = pick(random, places);
    const kind = Math.floor(random() * 7);
    if (kind === 0) Reflect.deleteProperty(at.holder, at.key);
    else if (kind === 1) set(at, structuredClone(get(other)));
    else if (kind === 2 && Array.isArray(at.holder)) at.holder.push(structuredClone(get(at)));
    else if (kind === 3 && !Array.isArray(at.holder)) set({ holder: at.holder, key: pick(random, NAMES) }, get(at));
    else if (kind === 4 && typeof get(at) === 'number')
      set(at, (get(at) as number) * pick(random, [-1, 0, 1e-9, 1e3, 1e9, 1e300]));
    else set(at, pick(random, values)(random));
  }
  return copy;
}

/** Text changed where it hurts: cut, doubled, bytes swapped. */
export function mangled(text: string, random: Random): string {
  const at = Math.floor(random() * text.length);
  const kind = Math.floor(random() * 6);
  if (kind === 0) return text.slice(0, at);
  if (kind === 1) return text.slice(0, at) + text.slice(at).repeat(2);
  if (kind === 2)
    return text.replaceAll(pick(random, [',', ';', '.', ':', '\n', '"']), pick(random, ['', ',', '\t', '\r', '""']));
  if (kind === 3) return `${text.slice(0, at)}${'1'.repeat(10_000)}${text.slice(at)}`;
  if (kind === 4) return `${text.slice(0, at)}\u0000\ufffe${text.slice(at + 1)}`;
  return text.split('\n').reverse().join('\n');
}
