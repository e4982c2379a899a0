import { spawnSync } from 'node:child_process';
import { bin } from '../scripts/tools.mjs';

/** What the advice on a large survey costs, from nothing and with one reading more; `sum` is a sum of a million roots, ms. */
export function adviceRows(sum) {
  const thought = JSON.parse(spawnSync(bin('tsx'), ['perf/advice.ts'], { encoding: 'utf8' }).stdout);
  return [
    {
      name: 'advice-six-cylinder',
      value: thought.advice,
      unit: `ms median, 95th percentile ${thought.late} ms (limit 60); ${thought.open} open checks ranked, ${thought.weighed} readings weighed (${(thought.advice / sum).toFixed(1)} times a sum of a million roots)`,
      limit: 30
    },
    { name: 'advice-95th', value: thought.late, unit: 'ms, the same', limit: 60 },
    {
      name: 'advice-one-more',
      value: thought.more,
      unit: `ms median, with one reading more of nearly every check; ${thought.most} ms the worst of them`,
      limit: 10
    },
    {
      name: 'inference-to-counting',
      value: +(thought.exact / thought.counting).toFixed(4),
      unit: `exact inference ${thought.exact} ms against ${thought.counting} ms for counting 65,536 cases, same answer`,
      limit: 0.05
    },
    {
      name: 'monte-carlo-20k',
      value: thought.draws,
      unit: 'ms, 20,000 draws of that engine’s cost',
      limit: 300
    }
  ];
}
