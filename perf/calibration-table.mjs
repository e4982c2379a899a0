import { spawnSync } from 'node:child_process';
import { bin } from '../scripts/tools.mjs';

/**
 * npm run bench -- --calibration [--n 600] [--kind drowned] [--list]: the advice followed over drawn engines, instead of the times. Says
 * whether all limits hold.
 */
export function calibration(json) {
  const given = (name) => {
    const at = process.argv.indexOf(name);
    return at < 0 ? [] : [name, process.argv[at + 1]];
  };
  const list = process.argv.includes('--list') ? ['--list'] : [];
  const drawn = spawnSync(bin('tsx'), ['perf/calibration.ts', ...given('--n'), ...given('--kind'), ...list], {
    encoding: 'utf8',
    stdio: ['ignore', 'pipe', 'inherit']
  });
  const c = JSON.parse(drawn.stdout);
  const line = (name, value, unit, way, limit) => ({
    name,
    value,
    unit,
    limit: `${way} ${limit}`,
    ok: way === '≥' ? value >= limit : value <= limit
  });
  const lines = [
    line('true-fault-first', c.first, `of ${c.shown} engines with one fault that some look made could show`, '≥', 0.9),
    line('holds-broken', c.broken, `by following the first move, ${c.n} engines`, '≤', 0),
    line('unsafe-cleared', c.unsafe, 'released with a grave fault that a look made could show', '≤', 0),
    line(
      'left-in',
      c.leftIn,
      'share of released engines with a fault that a look in words, made or not, would show',
      '≤',
      0.1
    ),
    line('invented-repairs', c.invented, 'of sound engines with a repair done', '≤', 0.02),
    line('calibration-error', c.calibrationError, 'of the stated chances, ten bins', '≤', 0.05),
    line('circles', c.circles, 'engines whose first move came back more than six times', '≤', 0),
    line(
      'minutes-to-decision',
      c.beside.ratio,
      `of the best fixed order: ${c.beside.advice} min until the cure stands on the list (${c.beside.decided} of ${c.beside.engines} engines), ${c.beside.best.minutes} min by “${c.beside.best.name}” (${c.beside.best.decided})`,
      '≤',
      0.9
    )
  ];
  if (json) console.log(JSON.stringify({ lines, bins: c.bins, minutes: c.minutes }, null, 2));
  else {
    console.table(Object.fromEntries(lines.map(({ name, ...rest }) => [name, rest])));
    console.table(c.bins.map(([from, count, is]) => ({ stated: `${from} to ${(from + 0.1).toFixed(1)}`, count, is })));
    console.log(`minutes of hands to the first repair or the end, mean: ${c.minutes}`);
  }
  return lines.every((l) => l.ok);
}
