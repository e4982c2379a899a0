import { standInCases, type StandInCase } from './cases.ts';
import type { StandInEngine } from './bench.ts';

/** The made-up engines of the cases, each once, by the first case that has it. */
export const standInEngines: readonly {
  readonly id: string;
  readonly title: string;
  readonly engine: StandInEngine;
}[] = Object.entries<StandInCase>(standInCases)
  .filter(([, c], k, all) => all.findIndex(([, other]) => other.engine === c.engine) === k)
  .map(([id, c]) => ({ id, title: `${c.engine.title}: ${faults(c.engine)}`, engine: c.engine }));

function faults(e: StandInEngine): string {
  const low = e.leaks.flatMap((l, k) => (l > 0 ? [k + 1] : []));
  const words = [
    ...(low.length ? [`cylinders ${low.join(' and ')} leak`] : []),
    ...(e.caseLoss.air > 0
      ? ['the gear case leaks']
      : e.caseLoss.vacuum > 0
        ? ['the gear case leaks under vacuum']
        : []),
    ...(e.head.settles > 373 ? ['it overheats'] : []),
    ...((e.head.starboard ?? 0) > 10 ? ['the starboard bank overheats'] : [])
  ];
  return words.join(', ') || 'sound';
}
