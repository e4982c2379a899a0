import { describe, expect, it } from 'vitest';
import { byTime, compareInstants, instantSchema, isAfter, latestAt, latestBy, latestOf, toInstant } from './instant.ts';

const noon = '2026-05-02T12:00:00+02:00';
const eleven = '2026-05-02T11:00:00.000Z';

describe('instants', () => {
  it('are one moment however they are written', () => {
    expect(toInstant(noon)).toBe('2026-05-02T10:00:00.000Z');
    expect(compareInstants(noon, '2026-05-02T10:00:00Z')).toBe(0);
    expect(compareInstants(noon, '2026-05-02T04:30:00.000-05:30')).toBe(0);
  });
  it('are in the order of time, not of their text', () => {
    expect(noon > eleven).toBe(true);
    expect(isAfter(noon, eleven)).toBe(false);
    expect(isAfter(eleven, noon)).toBe(true);
    expect(isAfter(noon, undefined)).toBe(true);
    expect([{ at: eleven }, { at: noon }].sort(byTime)[0]?.at).toBe(noon);
    expect(latestAt([{ at: noon }, { at: eleven }, { at: noon }])).toBe(eleven);
    expect(latestOf([])).toBeUndefined();
    expect(latestAt([])).toBe('');
  });
  it('the latest of each kind is by time, whatever the order they were entered in', () => {
    const list = [
      { at: eleven, kind: 'a', n: 1 },
      { at: noon, kind: 'a', n: 2 },
      { at: noon, kind: 'constructor', n: 3 }
    ];
    const n = (of: typeof list): [string, number][] => [...latestBy(of, (x) => x.kind)].map(([k, x]) => [k, x.n]);
    expect(n(list)).toEqual([
      ['a', 1],
      ['constructor', 3]
    ]);
    expect(n([...list].reverse()).sort()).toEqual(n(list).sort());
  });
  it('of the same moment keep the order they were entered in', () => {
    const list = [
      { at: '2026-05-02T10:00:00Z', n: 1 },
      { at: noon, n: 2 }
    ];
    expect(latestOf(list)?.n).toBe(2);
    expect([...list].sort(byTime).map((x) => x.n)).toEqual([1, 2]);
  });
  it('from outside are checked and brought to one spelling', () => {
    expect(instantSchema.parse(noon)).toBe('2026-05-02T10:00:00.000Z');
    expect(instantSchema.parse('2026-05-02T10:00:00.123456Z')).toBe('2026-05-02T10:00:00.123Z');
    for (const bad of ['2026-05-02', '2026-05-02T10:00:00', 'noon', '2026-13-02T10:00:00Z', 12])
      expect(instantSchema.safeParse(bad).success).toBe(false);
  });
});
