import { known } from '../../engine/profile.ts';
import { practice, type findingsOf } from '../../findings/collect.ts';
import type { Context } from '../../findings/context.ts';
import { judgedBy, sayLimit } from '../../findings/limit.ts';

type Out = ReturnType<typeof findingsOf>;

/** A sound engine fires within this many pulls, cold (C: choke set, fuel up; from memory). */
const PULLS = 8;

/** How many pulls it took: many are a symptom of fuel, choke or spark, few prove nothing. */
export function started(c: Context, out: Out): void {
  const pulls = known(c.record.value('run.pulls'));
  if (pulls === undefined || pulls <= PULLS) return;
  out.add(
    'pulls',
    'watch',
    `It took ${Math.round(pulls)} pulls to fire. A first start after years may; at the next one count again: choke, primer and fuel level first.`,
    practice(
      [`pulls to first fire: ${Math.round(pulls)}`],
      'an engine with fuel up and choke set fires within a few pulls.',
      {
        limit: `${PULLS} pulls (common practice, from memory)`
      }
    )
  );
}

/** Tachometers of a workshop agree within this share (M). */
const TACHOMETER = 0.03;

/** Idle speed against the engine's own figure; without that nobody can say whether it is right. */
export function idling(c: Context, out: Out): void {
  const idle = known(c.record.value('run.idle'));
  if (idle === undefined) return;
  const asked = judgedBy(c, 'run.idle');
  const why = practice([`idle in gear: ${Math.round(idle)} rpm`], 'set warm, in gear, to the manual’s figure.', {
    uncertainty: `± ${100 * TACHOMETER} % of the tachometer (from memory)`,
    ...(asked ? { limit: sayLimit(asked, c.units) } : {})
  });
  if (!asked) {
    out.add(
      'idle',
      'cannot-tell',
      `It idles at ${Math.round(idle)} rpm in gear; the manual’s figure says whether that is right.`,
      why
    );
    return;
  }
  const [low, high] = asked.to === undefined ? [0.93 * asked.value, 1.07 * asked.value] : [asked.value, asked.to];
  const under = idle * (1 + TACHOMETER) < low;
  const over = idle * (1 - TACHOMETER) > high;
  out.add(
    'idle',
    under || over ? 'watch' : 'sound',
    under || over
      ? `It idles at ${Math.round(idle)} rpm in gear, ${under ? 'under' : 'over'} what it should: warm it through, then set it.`
      : `It idles at ${Math.round(idle)} rpm in gear, as it should.`,
    why
  );
}
