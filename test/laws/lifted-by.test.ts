import { describe, expect, it } from 'vitest';
import { jobs } from '../../src/core/jobs/register.ts';
import { begin, cases } from '../hold-cases.ts';

/**
 * Holds that work lifts when it is marked done, before its proof is read: the thing that raised them is not there any more. What proves it
 * is asked for all the same. Every other hold wants something seen, whatever was worked on.
 */
const lifts: Readonly<Record<string, readonly string[]>> = {
  pump: ['pump'],
  // Thin oil is changed, and its pressure read again.
  'oil-pressure': ['oil-changes', 'oil-pump'],
  // Fresh oil is dipped twice.
  oil: ['oil-changes', 'sump-water'],
  'milky-oil': ['oil-changes', 'sump-water'],
  'gear-chips': ['metal'],
  // Its piston is another one.
  crown: ['overhaul'],
  jacket: ['head-gasket', 'overhaul', 'water-in'],
  // A noise that nobody placed: what may make one.
  noise: [
    ...['belt', 'bent-rod', 'clutch-dog', 'feel', 'flywheel-key', 'lash', 'leg-water', 'metal', 'mounts', 'overhaul'],
    ...['pinion', 'pump', 'splines', 'starter', 'valves']
  ]
};

describe('work lifts the holds that it ends, and no other', () => {
  it.each(Object.entries(cases))('%s', (id, c) => {
    expect(begin(c).holds()).toContain(id);
    const lifted = jobs.flatMap((job) =>
      begin(c).wait(0.5).done(job.id).wait(30).holds().includes(id) ? [] : [job.id]
    );
    expect(lifted.sort()).toEqual([...(lifts[id] ?? [])].sort());
  });
});
