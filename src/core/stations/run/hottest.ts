import { withoutOutliers } from './odd.ts';
import type { Run, Track } from './runs.ts';

/** The hottest reading of a run's metal, outliers left out. */
export function hottestOf(tracks: readonly Track[]): Pick<Run, 'hottest'> {
  let hottest: Run['hottest'];
  // Water from the stream is not the metal; it is compared with itself only.
  for (const t of tracks.filter((x) => x.spot !== 'stream'))
    for (const s of withoutOutliers(t.samples))
      if (!hottest || s.temperature > hottest.temperature) hottest = { ...s, spot: t.spot };
  return hottest ? { hottest } : {};
}
