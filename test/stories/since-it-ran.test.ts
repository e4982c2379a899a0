import { describe, expect, it } from 'vitest';
import type { Bench } from '../case.ts';
import { moves, ran, readyToRun } from './all-good.ts';
import { four, two } from './engines.ts';

const leaks = (b: Bench, share: number): Bench => b.read('compression.leakdown', share, { cylinder: 3 });

describe('tight before a run, and leaking after it', () => {
  const wet = (): Bench => ran(readyToRun(four), 'ran').read('run.plugAfter', 'wet');
  it('it went in that run: a fault, and no slip of the tester', () => {
    const b = leaks(wet(), 0.35);
    expect(b.ids()).toContain('compression.leakdown.3:fault');
    expect(b.said('compression.leakdown.3')).not.toMatch(/not of the same thing/);
  });
  it('with no run between them, or tight after it, the two are doubted', () => {
    expect(leaks(readyToRun(four), 0.35).ids()).toContain('compression.leakdown.3:cannot-tell');
    const better = leaks(ran(leaks(leaks(wet(), 0.35), 0.36), 'ran'), 0.06);
    expect(better.ids()).toContain('compression.leakdown.3:cannot-tell');
  });
  it('a start that failed turned it over, and ran nothing', () => {
    expect(leaks(readyToRun(four).read('run.outcome', 'failed'), 0.35).ids()).toContain(
      'compression.leakdown.3:cannot-tell'
    );
  });
});

describe('a gear that fails, and the propeller’s hub slips', () => {
  const fails = (): Bench => {
    const b = ran(readyToRun(two), 'ran').read('run.gears', 'fails');
    return b.read('look.twist', 'slips');
  };
  const jobs = (b: Bench): string[] => b.assessed().steps.map((s) => s.title);
  it('the hub is mended first, and no linkage is set for it', () => {
    expect(jobs(fails())).toContain('Propeller: dress, mend, or renew the hub');
    expect(jobs(fails()).join(' | ')).not.toMatch(/linkage/);
    expect(moves(fails()).slice(0, 3).join(' | ')).not.toMatch(/Shift through by hand/);
  });
  it('mended, each gear is tried again; failing once more it is the linkage', () => {
    const mended = (): Bench => fails().done('propeller').read('look.twist', 'holds');
    const b = mended();
    expect(jobs(b)).toContain('Run it and try each gear again');
    expect(b.said('run.gears')).toMatch(/run it and try each gear again/);
    const again = ran(b, 'ran').read('run.gears', 'fails');
    expect(again.said('run.gears')).toMatch(/linkage or a worn clutch dog/);
    expect(jobs(again).join(' | ')).toMatch(/Set the shift linkage/);
    expect(ran(mended(), 'ran').read('run.gears', 'both').said('run.gears')).toBe('');
  });
});
