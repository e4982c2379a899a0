import { spawnSync } from 'node:child_process';
import { bin } from '../scripts/tools.mjs';

/** What doing the work costs: a procedure opened, the fastener map, a bundle; and what comes after hand-over: a fleet, ten years. */
export function workRows() {
  const work = JSON.parse(spawnSync(bin('tsx'), ['perf/work.ts'], { encoding: 'utf8' }).stdout);
  const after = JSON.parse(spawnSync(bin('tsx'), ['perf/after.ts'], { encoding: 'utf8' }).stdout);
  return [
    {
      name: 'procedure-open',
      value: work.opened,
      unit: 'ms, the slowest of all procedures on a six-cylinder engine',
      limit: 100
    },
    { name: 'fasteners-500', value: work.map, unit: 'ms, fastener map of a model among 500 engines', limit: 50 },
    {
      name: 'bundle-60',
      value: +((work.write + work.read) / 1000).toFixed(2),
      unit: `s, sixty photographs (${work.size} MB) written and read; ${work.memory} MB more memory while reading`,
      limit: 5
    },
    { name: 'trend-10y', value: after.trend, unit: 'ms, trends of one engine over twenty assessments', limit: 50 },
    {
      name: 'fleet-200',
      value: after.table,
      unit: 'ms, two hundred engines through their lay-up',
      limit: 100
    },
    { name: 'fleet-tick', value: after.tick, unit: 'ms, one step ticked for all two hundred', limit: 300 }
  ];
}
