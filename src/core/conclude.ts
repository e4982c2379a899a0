import type { Advice } from './advice/advice.ts';
import type { Concluded } from './concluded.ts';
import { drownedClock } from './drowned/clock.ts';
import { doneWork } from './jobs/work.ts';
import type { Judgement } from './judge.ts';
import { following } from './stages.ts';

/** What a judgement, and the advice on it where there is any yet, come to. */
export function concludedOf(j: Judgement, advice: Pick<Advice, 'suspects'> | undefined): Concluded {
  const { context, stations, holds } = j;
  const { steps, gates, ready } = following(j, advice);
  const clock = drownedClock(context);
  return {
    stations,
    holds,
    steps,
    gates,
    ready,
    done: doneWork(context.survey),
    ...(clock ? { clock: { hoursLeft: clock.hoursLeft, sentence: clock.sentence, school: clock.school } } : {})
  };
}
