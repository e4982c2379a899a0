import type { Step } from './plan.ts';
import { traitsOf } from '../jobs/register.ts';

export interface Walk {
  readonly tools: readonly string[];
  /** Asked for by one job only, borrowed or made ready before the start. */
  readonly special: readonly string[];
  readonly parts: readonly string[];
  readonly oneTime: readonly string[];
  readonly consumables: readonly string[];
}

/** Everything the open jobs and the next looks ask for, once each: one walk to the engine. */
export function walkFor(steps: readonly Step[], looks: readonly { readonly tools: readonly string[] }[] = []): Walk {
  const open = steps.filter((s) => s.state === 'open');
  const all = (pick: (s: Step) => readonly string[]): string[] => [...new Set(open.flatMap(pick))];
  const special = all((s) => traitsOf(s.id).special ?? []);
  return {
    tools: [...new Set([...all((s) => s.tools), ...looks.flatMap((l) => l.tools)])].filter((t) => !special.includes(t)),
    special,
    parts: all((s) => s.parts),
    oneTime: all((s) => traitsOf(s.id).oneTime ?? []),
    consumables: all((s) => s.consumables)
  };
}
