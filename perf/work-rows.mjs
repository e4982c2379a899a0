import { spawnSync } from 'node:child_process';
import { bin } from '../scripts/tools.mjs';

/** What doing the work costs: a procedure opened, the fastener map, a bundle with its photographs. */
export function workRows() {
  const work = JSON.parse(spawnSync(bin('tsx'), ['perf/work.ts'], { encoding: 'utf8' }).stdout);
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
    }
  ];
}
