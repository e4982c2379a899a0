import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { allItems } from '../stations/items.ts';
import { parseQuantity, say } from '../units/index.ts';
import { checkEntry, sayValue, splitSeries } from '../items/check-entry.ts';
import { parseQuickLine } from './quick-line.ts';

const item = allItems['compression.pulls'];
const psi = 6894.757;

describe('a series as it is typed', () => {
  it.each([
    ['60 80 90 94', 'us', [60, 80, 90, 94]],
    ['60/80/90/94 psi', 'us', [60, 80, 90, 94]],
    ['60; 80; 90', 'us', [60, 80, 90]],
    ['60 psi 80 psi', 'us', [60, 80]]
  ] as const)('“%s” in %s', (typed, units, expected) => {
    const checked = checkEntry(item, typed, units);
    expect(checked.ok && (checked.value as number[]).map((p) => Math.round(p / psi))).toEqual(expected);
  });
  it('commas are decimals: 3,3 4,9 5,8 bar', () => {
    const checked = checkEntry(item, '3,3 4,9 5,8 bar', 'metric');
    expect(checked.ok && (checked.value as number[]).map((p) => Math.round(p / 1e4) / 10)).toEqual([3.3, 4.9, 5.8]);
  });
  it.each([
    ['60', /Two pulls or more/],
    ['60 eighty', /eighty|unit|read/],
    ['60 80 mm', /a unit of length/],
    ['60 9999', /cannot be true here/],
    ['', /Nothing was entered/]
  ])('“%s” is refused with a sentence', (typed, sentence) => {
    const checked = checkEntry(item, typed, 'us');
    expect(checked.ok ? 'taken' : checked.message).toMatch(sentence);
  });
  it('unknown is an answer', () => {
    expect(checkEntry(item, '?', 'us')).toEqual({ ok: true, value: 'unknown' });
  });
  it('said and typed again is the same series', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 1, max: 250 }), { minLength: 2, maxLength: 9 }), (list) => {
        const said = sayValue(
          item,
          list.map((p) => p * psi),
          'us'
        ).replace(/ · /g, ' ');
        const again = checkEntry(item, said, 'us');
        expect(again.ok && (again.value as number[]).map((p) => Math.round(p / psi))).toEqual(list);
      })
    );
  });
  it('a lone number is not split', () => {
    expect(splitSeries('95 psi')).toEqual(['95 psi']);
  });
});

describe('pulls on the quick line', () => {
  it('stand with slashes beside final readings, wet ones too', () => {
    const line = parseQuickLine('comp 1 60/80/94 2 98 w2 70/90/101 psi', 2, 'us');
    expect(line.ok && line.entries.map((e) => e.says)).toEqual([
      'cylinder 1: 60 · 80 · 94 psi',
      'cylinder 2: 98 psi',
      'cylinder 2: 70 · 90 · 101 psi, wet'
    ]);
  });
  it('a bad pull points at its place and keeps what came before', () => {
    const line = parseQuickLine('comp 1 98 2 60/9999', 2, 'us');
    expect(line.ok).toBe(false);
    expect(!line.ok && [line.at, line.entries.length]).toEqual([12, 1]);
  });
});

describe('new measures', () => {
  it('ohms, kilohms and milliohms are understood and said in ohms', () => {
    const ohms = (typed: string) => {
      const p = parseQuantity(typed, 'resistance', 'us');
      return p.ok ? p.si : p.message;
    };
    expect(ohms('0.42')).toBe(0.42);
    expect(ohms('4.1k')).toBeCloseTo(4100, 9);
    expect(ohms('150 mohm')).toBeCloseTo(0.15, 12);
    expect(ohms('3 psi')).toMatch(/a unit of pressure/);
    expect(say(0.42, 'resistance', 'metric')).toBe('0.42 Ω');
  });
  it('timing may lie after top', () => {
    const p = parseQuantity('-4°', 'timing', 'us');
    expect(p.ok && p.si).toBe(-4);
    expect(say(-4, 'timing', 'us')).toBe('−4°');
  });
});
