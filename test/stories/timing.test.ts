import { expect, it } from 'vitest';
import { Bench } from '../case.ts';
import { magneto, two } from './engines.ts';

/** Timing off by the manual's figure, in degrees before top. */
const early = (profile: typeof two | typeof magneto): Bench => {
  const b = new Bench(profile);
  b.survey = { ...b.survey, engine: { ...b.survey.engine, manual: { 'spark.timing': { value: 5 } } } };
  return b.read('spark.timing', 11);
};
const open = (b: Bench): string[] => b.assessed().steps.flatMap((s) => (s.state === 'open' ? [s.id] : []));

it('timing that is off asks for points only where there are any', () => {
  expect(open(early(magneto))).toContain('points');
  expect(open(early(two))).not.toContain('points');
  expect(open(early(two))).toContain('advance');
});

it('the flywheel’s mark is looked at first, and a shifted one leaves no other work', () => {
  expect(
    early(two)
      .assessed()
      .moves.find((m) => m.station === 'spark')?.title
  ).toMatch(/^Flywheel mark/);
  const b = early(two).read('spark.keyLook', 'sheared');
  expect(open(b)).toContain('flywheel-key');
  expect(open(b)).not.toContain('advance');
});
