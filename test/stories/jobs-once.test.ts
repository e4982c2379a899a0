import { describe, expect, it } from 'vitest';
import { Bench } from '../case.ts';
import { jobs, readyToRun } from './all-good.ts';
import { tester, two } from './engines.ts';

const titles = (b: Bench): string[] => b.assessed().steps.flatMap((s) => (s.state === 'open' ? [s.title] : []));

describe('one piece of work stands once on the list', () => {
  it('weak and orange on all of them: nobody puts good parts in the place of each cylinder’s own', () => {
    const b = new Bench({ ...two, cylinders: 2, ignition: 'points' }).read('spark.lanyard', 'yes');
    for (const cylinder of [1, 2]) b.read('spark.result', 'weak', { cylinder, ...tester });
    for (const cylinder of [1, 2]) b.read('spark.colour', 'orange', { cylinder });
    expect(jobs(b)).not.toContain('spark-own');
    // One of them is good again: the other one has parts of its own.
    b.read('spark.result', 'good', { cylinder: 1, ...tester }).read('spark.colour', 'blue', { cylinder: 1 });
    expect(jobs(b)).toContain('spark-own');
  });
  it('a gear that fails in the run, and a worn linkage: it is set once, and the gears are tried after it', () => {
    const b = readyToRun(two)
      .read('run.event', 'start')
      .wait(0.2)
      .read('run.gears', 'fails')
      .read('run.event', 'stop')
      .read('run.outcome', 'ran')
      .read('run.minutes', 12);
    expect(titles(b)).toContain('Set the shift linkage and try each gear');
    b.read('look.linkage', 'worn');
    expect(titles(b)).toContain('Set the shift linkage');
    expect(titles(b)).toContain('Run it and try each gear again');
    expect(titles(b)).not.toContain('Set the shift linkage and try each gear');
  });
});
