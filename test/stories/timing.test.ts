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

it('timing that was taken with the flywheel shifted is of the flywheel: neither points nor timer base are set for it', () => {
  for (const profile of [two, magneto]) {
    const b = early(profile).read('spark.keyLook', 'sheared');
    expect(open(b).filter((id) => id === 'points' || id === 'advance')).toEqual([]);
    b.done('flywheel-key');
    expect(b.ids()).toContain('spark.timing:cannot-tell');
    expect(open(b).filter((id) => id === 'points' || id === 'advance')).toEqual([]);
    expect(b.assessed().moves.map((m) => m.title)).toContain('Timing at idle again, the new key in');
    // Early still, the flywheel sits right: it was not only the key.
    expect(open(b.read('spark.keyLook', 'sound').read('spark.timing', 11))).toContain(
      profile === magneto ? 'points' : 'advance'
    );
  }
});
