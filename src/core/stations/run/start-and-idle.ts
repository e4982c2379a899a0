import { known } from '../../engine/profile.ts';
import type { Context } from '../../findings/context.ts';
import { judgedBy } from '../../findings/limit.ts';
import type { RunFact } from './facts.ts';

/** A sound engine fires within this many pulls, cold (C: choke set, fuel up; from memory). */
export const PULLS = 8;

/** How many pulls it took: many are a symptom of fuel, choke or spark, few prove nothing. */
export function started(c: Context): RunFact[] {
  const pulls = known(c.record.value('run.pulls'));
  return pulls === undefined || pulls <= PULLS ? [] : [{ kind: 'pulls', condition: 'watch', values: { pulls } }];
}

/** Tachometers of a workshop agree within this share (M). */
export const TACHOMETER = 0.03;

/** Between these every outboard idles in gear, 1/min (M): outside them no manual is needed to call it wrong. */
const IDLES = { least: 450, most: 1300 } as const;

/** Idle speed against the engine's own figure; without that nobody can say whether it is right. */
export function idling(c: Context): RunFact[] {
  const idle = known(c.record.value('run.idle'));
  if (idle === undefined) return [];
  const asked = judgedBy(c, 'run.idle');
  if (!asked) {
    const far = idle < IDLES.least ? 'slow' : idle > IDLES.most ? 'fast' : undefined;
    return far
      ? [{ kind: 'idle-far', id: 'idle', condition: 'watch', values: { idle, far } }]
      : [{ kind: 'idle-alone', id: 'idle', condition: 'cannot-tell', values: { idle } }];
  }
  const [low, high] = asked.to === undefined ? [0.93 * asked.value, 1.07 * asked.value] : [asked.value, asked.to];
  const is = idle * (1 + TACHOMETER) < low ? 'under' : idle * (1 - TACHOMETER) > high ? 'over' : 'right';
  return [{ kind: 'idle', condition: is === 'right' ? 'sound' : 'watch', values: { idle, asked, is } }];
}
