import { describe, expect, it } from 'vitest';
import type { Profile } from '../../src/core/engine/profile.ts';
import { jobs } from '../../src/core/jobs/register.ts';
import type { Bench } from '../case.ts';
import { ranWell } from '../stories/all-good.ts';
import { four, two } from '../stories/engines.ts';

const engines: readonly (readonly [string, Profile])[] = [
  ['two-stroke', two],
  ['four-stroke', { ...four, camDrive: 'belt', interference: 'yes' }]
];
const SOUNDNESS = ['sound', 'watch', 'not-looked-at', 'cannot-tell', 'fault', 'held'];

/** All that was ever answered of it, answered “unknown” after the work. */
function untold(b: Bench): Bench {
  const asked = new Map(b.survey.readings.map((r) => [`${r.what} ${r.cylinder} ${r.conditions?.bank}`, r]));
  for (const { what, cylinder, conditions } of asked.values())
    b.read(what, 'unknown' as never, { ...(cylinder ? { cylinder } : {}), ...(conditions ? { conditions } : {}) });
  return b;
}

/** What work opened is proved by what is seen after it: asked, and answered “unknown”, it is as it was. */
describe.each(engines)(
  'law 2 after work, %s: “unknown” lifts no hold, proves no job and makes no check sounder',
  (_, profile) => {
    it.each(jobs.map((j) => j.id))('%s', (job) => {
      const worked = (): Bench => ranWell(profile).done(job).wait(30);
      const [before, after] = [worked().assessed(), untold(worked()).assessed()];
      const holds = (a: typeof before): string[] => a.holds.flatMap((h) => (h.standing ? [] : [h.id]));
      expect(holds(after)).toEqual(expect.arrayContaining(holds(before)));
      const proved = (a: typeof before): string[] => a.steps.flatMap((s) => (s.state === 'proved' ? [s.id] : []));
      expect(proved(before)).toEqual(expect.arrayContaining(proved(after)));
      for (const s of before.stations) {
        const now = after.stations.find((x) => x.id === s.id)!;
        expect([s.id, SOUNDNESS.indexOf(now.condition)]).toEqual([
          s.id,
          expect.toSatisfy((k: number) => k >= SOUNDNESS.indexOf(s.condition))
        ]);
      }
    });
  }
);
