import { describe, expect, it } from 'vitest';
import { two } from '../../../../test/stories/engines.ts';
import { Bench } from '../../../../test/case.ts';

const answers = { lanyard: 'out', battery: 'off', propeller: 'clear', secured: 'yes' } as const;
type Asked = keyof typeof answers;

/** A bench at which each question was answered as given, and the one that is named was not seen. */
function without(missing?: Asked): Bench {
  const bench = new Bench(two, 'neglected');
  for (const key of Object.keys(answers) as Asked[])
    bench.read(`safe.${key}`, (key === missing ? 'unknown' : answers[key]) as never);
  return bench;
}

describe('made safe', () => {
  it('is said once all four were seen', () => {
    expect(without().ids()).toContain('safe.made:sound');
  });

  it.each(Object.keys(answers) as Asked[])('is not said while "%s" could not be seen', (missing) => {
    expect(without(missing).ids()).not.toContain('safe.made:sound');
  });
});
