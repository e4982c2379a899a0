import { describe, expect, it } from 'vitest';
import { asksOf } from '../../src/core/advice/asks.ts';
import type { Profile } from '../../src/core/engine/profile.ts';
import { jobs } from '../../src/core/jobs/register.ts';
import { allItems } from '../../src/core/stations/items.ts';
import { PSI } from '../../src/core/units/factors.ts';
import { Bench } from '../case.ts';
import { four, tester, two } from '../stories/engines.ts';

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

describe('work that did not help', () => {
  it.each(engines)('%s: no job is proved by the answer that shows a fault', (_, profile) => {
    const proved = jobs.flatMap((job) => {
      const { id, proof } = job;
      if (LOOKS.has(id)) return [];
      return (proof.reads ?? []).flatMap((what) => {
        const item = allItems[what];
        if (item.kind !== 'choice') return [];
        return item.options.flatMap(({ value }) => {
          const read = (b: Bench): Bench =>
            b.read(what, value as never, { ...(item.perCylinder ? { cylinder: 1 } : {}), ...tester });
          const shown = read(new Bench(profile));
          const bad = (b: Bench): boolean =>
            b.judged().findings.some((f) => f.station === proof.station && f.condition === 'fault');
          if (!bad(shown)) return [];
          const after = read(shown.done(id).wait(1));
          return bad(after) && state(after, id) === 'proved' ? [`${id}: ${what} ${value}`] : [];
        });
      });
    });
    expect(proved).toEqual([]);
  });
  it.each([
    ['pump', 'cooling.stream', 'none', 'weak'],
    ['bowl', 'fuel.floods', 'yes', 'slow'],
    ['starter', 'plugs.starterCircuit', 'nothing', 'slow'],
    ['linkage', 'turn.forward', 'no', 'slips']
  ] as const)('%s: %s that was “%s” and is “%s” now is better, and no proof', (job, what, was, now) => {
    const b = new Bench(two).read(what, was).done(job).wait(1).read(what, now);
    expect(state(b, job)).toBe('done');
  });
  it('renewed unasked, a coil is proved at the cylinder that sparks badly, and by no “unknown”', () => {
    const weak = (): Bench =>
      new Bench(two)
        .read('spark.lanyard', 'yes')
        .read('spark.result', 'weak', { cylinder: 2, ...tester })
        .done('coil');
    const b = weak().wait(0.1);
    for (const cylinder of [1, 3]) b.read('spark.result', 'good', { cylinder, ...tester });
    b.read('spark.result', 'unknown', { cylinder: 2 });
    expect(state(b, 'coil')).toBe('done');
    expect(b.said('spark.weak.2')).not.toMatch(/left it so/);
    expect(state(b.read('spark.result', 'good', { cylinder: 2, ...tester }), 'coil')).toBe('proved');
  });
  it('plugs renewed for a swap are not proved by none again, though nobody knows of the others', () => {
    const b = new Bench(two).read('spark.lanyard', 'yes').read('spark.result', 'none', { cylinder: 3, ...tester });
    b.read('spark.plugSwap', 'moves', { cylinder: 3 }).done('plugs').wait(0.1);
    b.read('spark.result', 'none', { cylinder: 3, ...tester });
    expect(b.ids()).toContain('spark.undecided.3:cannot-tell');
    expect(state(b, 'plugs')).toBe('done');
  });
  const three = (): Bench => {
    const b = new Bench(two).read('spark.lanyard', 'yes');
    for (const cylinder of [1, 2]) b.read('spark.result', 'good', { cylinder, ...tester });
    return b;
  };
  it.each([
    ['spark.plugSwap', 'plugs'],
    ['spark.leadSwap', 'lead'],
    ['spark.coilSwap', 'coil']
  ] as const)(
    '%s took a weak spark along: renewed, it is proved by a good one, and what is next is asked for',
    (swap, job) => {
      const spark = (b: Bench, value: 'weak' | 'none' | 'good'): Bench =>
        b.wait(0.1).read('spark.result', value, { cylinder: 3, ...tester });
      for (const poor of ['weak', 'none'] as const) {
        const renewed = (): Bench => spark(three(), poor).read(swap, 'moves', { cylinder: 3 }).done(job);
        const b = renewed();
        expect(b.assessed().moves[0]!.title).toMatch(/^Prove it: .*spark/);
        // Before anybody looked again, nothing more is bought for how it was.
        expect(
          b
            .assessed()
            .steps.filter((s) => s.state === 'open')
            .map((s) => s.id)
        ).toEqual([]);
        spark(b, poor);
        expect(state(b, job)).toBe('done');
        expect(b.assessed().moves[0]!).toMatchObject({ class: 5, station: 'spark' });
        expect(state(spark(renewed(), 'good'), job)).toBe('proved');
      }
    }
  );
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
