import { withoutOutliers } from './odd.ts';
import type { Run, Track } from './runs.ts';

/** The hottest reading of a run's metal, outliers left out. */
export function hottestOf(tracks: readonly Track[]): Pick<Run, 'hottest'> {
  let hottest: Run['hottest'];
  // Water from the stream is not the metal; below a head's limit it says nothing of it.
  for (const t of tracks.filter((x) => x.spot !== 'stream'))
    for (const s of withoutOutliers(t.samples))
      if (!hottest || s.temperature > hottest.temperature) hottest = { ...s, spot: t.spot };
  return hottest ? { hottest } : {};
}

/** The same run, its metal taken to be as hot as the water that left it where that is past a head's limit, K: water is no hotter than what it cooled. */
export function withHotWater(run: Run, limit: number): Run {
  const water = run.tracks.filter((t) => t.spot === 'stream').flatMap((t) => withoutOutliers(t.samples));
  const top = water.reduce<Run['hottest']>(
    (a, s) => (a && a.temperature >= s.temperature ? a : { ...s, spot: 'stream' }),
    undefined
  );
  return top && top.temperature >= Math.max(limit, run.hottest?.temperature ?? 0) ? { ...run, hottest: top } : run;
}
