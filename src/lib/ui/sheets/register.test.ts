import { stationIds } from '../../../core/stations/register.ts';
import { describe, expect, it } from 'vitest';
import { gaugesOf, testersOf } from './gauge.svelte.ts';
import { sheetFor, sheetLoaders } from './register.ts';

describe('sheets', () => {
  it('there is one for every check, and all of them can be fetched ahead', async () => {
    const all = await Promise.all(stationIds.map(sheetFor));
    expect(all.every((c) => typeof c === 'function')).toBe(true);
    expect(new Set(all).size).toBe(11);
    await expect(Promise.all(sheetLoaders.map((load) => load()))).resolves.toHaveLength(11);
  });
});

describe('instruments on the list', () => {
  const list = [
    { id: 'a', instrument: { name: 'gauge' } },
    { id: 'b', instrument: { name: 'leak-down', restrictor: 1e-3 } }
  ];
  it('are gauges without a restrictor and testers with one', () => {
    expect(gaugesOf(list).map((i) => i.id)).toEqual(['a']);
    expect(testersOf(list).map((i) => i.id)).toEqual(['b']);
  });
});
