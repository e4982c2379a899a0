import type { Ask } from '../advice/asks.ts';
import { established } from '../plan/established.ts';
import type { Step } from '../plan/plan.ts';
import type { Position } from './position.ts';

/** Findings whose cause is established, with the open job that cures it: nothing more is looked for on their account. */
export function curedBy({ advice, steps }: Position, asks: readonly Ask[]): ReadonlyMap<string, Step> {
  const out = new Map<string, Step>();
  for (const s of advice.suspects) {
    const step = steps.find((x) => x.id === s.step && x.state === 'open' && !x.failed);
    if (step && !s.artefact && s.settling === 'shows' && established(s, asks))
      for (const id of s.explains) if (!out.has(id)) out.set(id, step);
  }
  return out;
}
