import { expect, it } from 'vitest';
import { PSI } from '../../units/factors.ts';
import type { Repeat } from './facts.ts';
import { sayRepeat } from './repeat-words.ts';

const repeats: { readonly [K in Repeat['kind']]: Extract<Repeat, { kind: K }> | Repeat } = {
  throttle: { kind: 'throttle' },
  order: { kind: 'order' },
  'leak-down-instead': { kind: 'leak-down-instead' },
  heated: { kind: 'heated' },
  soaked: { kind: 'soaked' },
  cranking: { kind: 'cranking', starter: true },
  range: { kind: 'range', cylinder: 1 },
  adapter: { kind: 'adapter', cylinder: 1 },
  falls: { kind: 'falls', cylinder: 1 },
  scatter: { kind: 'scatter', cylinder: 1 },
  single: { kind: 'single', cylinder: 1 },
  lowest: { kind: 'lowest', cylinder: 1 },
  high: { kind: 'high', cylinder: 1 },
  'odd-high': { kind: 'odd-high', cylinder: 1 },
  'look-in': { kind: 'look-in', cylinder: 1 },
  best: { kind: 'best', cylinder: 1 },
  'leak-down': { kind: 'leak-down', cylinder: 1 },
  'wet-test': { kind: 'wet-test', cylinder: 1 },
  unlike: { kind: 'unlike', cylinder: 1, differs: [{ of: 'engine', was: 'warm' }] },
  missing: { kind: 'missing', cylinder: 3, missing: [3, 4] },
  'head-off': { kind: 'head-off', cylinders: [3, 4] },
  none: {
    kind: 'none',
    limit: { id: 'compression.figure', value: 120 * PSI, provenance: 'P', manual: true, page: '4-7' },
    doubt: 0.05
  },
  heard: { kind: 'heard', low: [2] },
  tight: { kind: 'tight', low: [2, 4], valves: true },
  'most-doubt': { kind: 'most-doubt', cylinder: 2, overLimit: 0.4 }
};

it('says which repeat would settle most, and why', () => {
  for (const [kind, r] of Object.entries(repeats)) {
    const said = sayRepeat(r, 'metric');
    expect(said.sentence, kind).toMatch(/^(Repeat|Read|Look|No repeat|Leak-down|Wet test).*\.$/);
    expect(said.because, kind).not.toMatch(/undefined|NaN|^$/);
  }
});
