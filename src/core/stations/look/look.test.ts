import { describe, expect, it } from 'vitest';
import { conditions } from '../../findings/finding.ts';
import { Bench } from '../../../../test/case.ts';
import { items } from './readings.ts';
import { placeIds, places, type PlaceId, type Sight } from './places.ts';

const allSound = (b: Bench, but: Partial<Record<PlaceId, string>> = {}): Bench => {
  for (const p of placeIds) b.read(`look.${p}`, (but[p] ?? Object.keys(places[p].sights)[0]) as 'good');
  return b;
};

describe('the walk around the engine', () => {
  it('every place has an item, a note and photographs, and its first sight is sound', () => {
    for (const p of placeIds) {
      expect(items).toHaveProperty(p);
      expect(items).toHaveProperty(`${p}Note`);
      expect(items).toHaveProperty(`${p}Photo`);
      const sights = Object.values(places[p].sights) as Sight[];
      expect(sights[0]!.is).toBe('sound');
      for (const s of sights) {
        expect(conditions).toHaveProperty(s.is);
        // What means something says what; what is sound needs no sentence.
        expect(Boolean(s.says)).toBe(s.is !== 'sound');
      }
    }
  });
  it('is sound when every place is, and says which are left while some are', () => {
    expect(allSound(new Bench()).ids()).toContain('look.sound:sound');
    expect(new Bench().read('look.cowl', 'clean').said('look.left')).toMatch(/wiring and main fuse/);
  });
  it('unknown and not fitted are answers and demand nothing', () => {
    const b = allSound(new Bench());
    b.read('look.bulb', 'not-fitted').read('look.skeg', 'unknown');
    expect(b.ids().filter((i) => i.startsWith('look.'))).toEqual(['look.sound:sound']);
  });
  it('a chewed wire names the stop wire first and raises the work', () => {
    const b = allSound(new Bench(), { wiring: 'chewed', cowl: 'nest' }).read(
      'look.wiringNote',
      'black-yellow, by the coil'
    );
    expect(b.ids()).toContain('look.wiring:fault');
    expect(b.said('look.wiring')).toMatch(/stop wire first/);
    expect(b.judged().findings.find((f) => f.id === 'look.wiring')?.because.inputs).toContain(
      'note: black-yellow, by the coil'
    );
    expect(b.assessed().steps.map((s) => s.id)).toEqual(expect.arrayContaining(['nest', 'wiring']));
  });
  it('traces of earlier hands and missing parts come from the engine and are said here', () => {
    const b = allSound(new Bench({ traces: ['washers', 'pins'], absent: ['propeller'] }));
    expect(b.said('look.traces')).toMatch(/doubled washers, home-made pins/);
    expect(b.said('look.absent')).toMatch(/before the first repair/);
  });
  it('black exhaust oil at the hub is normal; cream is water in gear oil', () => {
    expect(allSound(new Bench(), { hub: 'exhaust' }).ids()).toContain('look.sound:sound');
    expect(allSound(new Bench(), { hub: 'cream' }).said('look.hub')).toMatch(/water in it/);
  });
});
