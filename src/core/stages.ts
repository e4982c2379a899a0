import { gatesOf, ready, type Gate } from './gates/gates.ts';
import type { Judgement } from './judge.ts';
import type { Advice } from './advice/advice.ts';
import { planOf, type Step } from './plan/plan.ts';

/** What follows from a judgement and the advice on it. */
export interface Following {
  readonly steps: readonly Step[];
  readonly gates: readonly Gate[];
  readonly ready: boolean;
}

/** A value worked out when it is first asked for. */
export function lazily<T extends object>(make: { readonly [K in keyof T]: () => T[K] }): T {
  const out = {} as T;
  for (const key of Object.keys(make) as (keyof T)[])
    Object.defineProperty(out, key, {
      enumerable: true,
      configurable: true,
      get: () => {
        const value = make[key]();
        Object.defineProperty(out, key, { enumerable: true, value });
        return value;
      }
    });
  return out;
}

/**
 * The stages after advice: jobs, then gates. A page has the advice from a worker and calls this by itself; where
 * everything is worked out in one place, `assess` does.
 */
export function following(j: Judgement, advice: Pick<Advice, 'suspects'> | undefined): Following {
  const out: Following = lazily<Following>({
    steps: () => planOf(j.context, j.findings, advice?.suspects),
    gates: () => gatesOf(j.context, j.findings, j.holds, out.steps),
    ready: () => ready(out.gates)
  });
  return out;
}
