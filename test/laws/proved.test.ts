import { describe, expect, it } from 'vitest';
import { asksOf } from '../../src/core/advice/asks.ts';
import type { Profile } from '../../src/core/engine/profile.ts';
import { jobs } from '../../src/core/jobs/register.ts';
import { allItems } from '../../src/core/stations/items.ts';
import { PSI } from '../../src/core/units/factors.ts';
import { Bench } from '../case.ts';
import { four, two } from '../stories/engines.ts';

const belted: Profile = { ...four, camDrive: 'belt', interference: 'yes' };
const engines: readonly (readonly [string, Profile])[] = [
  ['two-stroke', two],
  ['four-stroke', belted]
];
const state = (b: Bench, job: string): string | undefined => b.assessed().steps.find((s) => s.id === job)?.state;

/** Looks written as jobs are over with what they find, and plugs were read when one of them was. */
const LOOKS: ReadonlySet<string> = new Set([...jobs.filter((j) => j.finds).map((j) => j.id), 'plugs']);

describe('a job is proved when its check has nothing more to ask of the proof', () => {
  it.each(engines)('%s: whatever answer is the first of its proof', (_, profile) => {
    const early = jobs.flatMap(({ id, proof }) => {
      const reads = proof.reads ?? [];
      if (LOOKS.has(id)) return [];
      return reads.flatMap((what) => {
        const item = allItems[what];
        if (item.kind !== 'choice') return [];
        return item.options.flatMap(({ value }) => {
          if (value === 'unknown') return [];
          const b = new Bench(profile).done(id).read(what, value as never, item.perCylinder ? { cylinder: 1 } : {});
          const j = b.judged();
          const asked = asksOf(
            j.context,
            j.findings.filter((f) => f.station === proof.station && f.condition === 'cannot-tell')
          ).filter((a) => a.kind !== 'job' && !a.late && a.items?.some((i) => reads.includes(i)));
          return asked.length && state(b, id) === 'proved' ? [`${id}: ${what} ${value}, ${asked[0]!.title}`] : [];
        });
      });
    });
    expect(early).toEqual([]);
  });
});

describe('a case that was resealed', () => {
  const at = (b: Bench, stage: string, psi: number): Bench =>
    b.read('gear.casePressure', psi * PSI, { conditions: { stage } as never });
  const held = (b: Bench, stage: string, psi: number): Bench => {
    at(b, stage, psi).read('gear.caseTurned', 'yes', { conditions: { stage } as never });
    for (let k = 0; k < 3; k++) at(b.wait(1), stage, psi);
    return b;
  };
  const leaking = (place: string, b = new Bench(two)): Bench => {
    b.read('gear.look', 'creamy').read('gear.drained', 480e-6);
    return at(at(b, 'low', 4).wait(0.1), 'low', 2.5).read('gear.caseBubbles', [place] as never);
  };
  it('is proved by every stage, and one by one asked for', () => {
    const b = leaking('propshaft').done('reseal');
    expect(b.said('gear.water')).toMatch(/seals were renewed since/);
    held(b, 'low', 4);
    expect(state(b, 'reseal')).toBe('done');
    expect(b.assessed().steps.map((s) => s.id)).not.toContain('case-test');
    held(b, 'high', 10);
    expect(state(b, 'reseal')).toBe('done');
    held(b, 'vacuum', -3.5).read('gear.caseOpen', 'yes');
    expect(state(b, 'reseal')).toBe('proved');
    expect(b.said('gear.water')).not.toMatch(/Find the way in|seals were renewed/);
  });
  it('at the propeller shaft took no leg off; at the drive shaft it did', () => {
    const through = (): Bench =>
      new Bench(two).read('turn.neutral', 'spins').read('turn.forward', 'follows').read('turn.reverse', 'follows');
    const shifted = (place: string): Bench => leaking(place, through()).done('reseal');
    expect(shifted('propshaft').ids().join(' ')).not.toMatch(/leg-was-off/);
    expect(shifted('driveshaft').ids().join(' ')).toMatch(/leg-was-off/);
  });
});
