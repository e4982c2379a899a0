import type { Advice } from '../advice/advice.ts';
import type { Gate } from '../gates/gates.ts';
import type { Hold } from '../holds/hold.ts';
import type { Judgement } from '../judge.ts';
import type { Step } from '../plan/plan.ts';
import { stations } from '../stations/register.ts';
import type { Move } from './move.ts';

/** What the moves are worked out from: a judgement, the advice on it, its jobs and its gates. */
export interface Position extends Judgement {
  readonly advice: Advice;
  readonly steps: readonly Step[];
  readonly gates: readonly Gate[];
  readonly ready: boolean;
}

/** A job of the list as a move. */
export const jobMove = (s: Step, cls: 2 | 8 | 9): Move => ({
  kind: 'job',
  class: cls,
  id: `job:${s.id}`,
  title: s.title,
  station: s.proof.station,
  job: s.id,
  minutes: s.minutes,
  because: s.why[0] ?? s.how
});

/** 5: what a raised hold waits for, those against cranking first; what is only not recorded yet comes before the run. */
export function fromHolds(
  holds: readonly Hold[],
  cls: 5 | 8 | 9,
  standing: boolean,
  steps: readonly Step[] = []
): Move[] {
  // Work that failed is a move of its own: what it did not cure is not looked at once more meanwhile.
  const open = new Set(steps.filter((s) => s.state === 'open' && !s.by).map((s) => s.id));
  // What works by itself meanwhile is waited for, and then looked at as its proof.
  const running = new Set(steps.filter((s) => s.busyUntil).map((s) => s.id));
  const rank = (h: Hold): number => (h.blocks.includes('crank') ? 0 : h.blocks.includes('start') ? 1 : 2);
  return holds
    .filter((h) => !h.override && h.standing === standing && !h.curedBy?.some((id) => open.has(id)))
    .sort((a, b) => rank(a) - rank(b))
    .flatMap((h): Move[] => {
      const need = h.needs.find((n) => !n.done && n.station);
      return need?.station && !(need.job !== undefined && (open.has(need.job) || running.has(need.job)))
        ? [
            {
              kind: 'look',
              class: cls,
              id: `hold:${h.id}`,
              title: `${need.text.charAt(0).toUpperCase()}${need.text.slice(1)}`,
              station: need.station,
              ...(need.items ? { items: need.items } : {}),
              minutes: need.minutes ?? stations[need.station].minutes,
              because: `${h.title}. ${h.because}`
            }
          ]
        : [];
    });
}
