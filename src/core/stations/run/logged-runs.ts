import type { RunLog } from '../../items/item.ts';
import type { Reading } from '../../record/reading.ts';
import { hottestOf } from './hottest.ts';
import type { Run, Track } from './runs.ts';
import { spotOf } from './spots.ts';

/** A logger that was silent for this long recorded two runs, s. */
const LOG_GAP = 900;

const fromLog = new WeakMap<RunLog, Run[]>();

function stretchesOf(r: Reading): Run[] {
  const old = fromLog.get(r.value as RunLog);
  if (old) return old;
  const found = splitLog(r);
  fromLog.set(r.value as RunLog, found);
  return found;
}

/** Records of one file, entered together, are the places of one run. */
export function loggedRuns(readings: readonly Reading[]): Run[] {
  const runs: (Run & { readonly file?: string })[] = [];
  for (const r of readings) {
    const { file } = r.value as RunLog;
    for (const run of stretchesOf(r)) {
      const same = file === undefined ? -1 : runs.findIndex((x) => x.file === file && sameStretch(x, run, r));
      if (same < 0) runs.push({ ...run, ...(file === undefined ? {} : { file }) });
      else runs[same] = joined(runs[same]!, run);
    }
  }
  return runs;
}

/** Whether two stretches of records entered at one moment overlap, and are of different places. */
const sameStretch = (a: Run, b: Run, r: Reading): boolean =>
  a.entered === r.at &&
  a.startedAt.getTime() <= b.stoppedAt!.getTime() &&
  b.startedAt.getTime() <= a.stoppedAt!.getTime() &&
  !a.tracks.some((t) => b.tracks.some((u) => u.spot === t.spot));

function joined(a: Run, b: Run): Run {
  const [startedAt, stoppedAt] = [
    a.startedAt <= b.startedAt ? a.startedAt : b.startedAt,
    a.stoppedAt! >= b.stoppedAt! ? a.stoppedAt! : b.stoppedAt!
  ];
  const shifted = (run: Run): Pick<Run, 'tracks' | 'rpm' | 'hottest'> => {
    const later = (run.startedAt.getTime() - startedAt.getTime()) / 1000;
    if (!later) return run;
    return {
      tracks: run.tracks.map((t) => ({ ...t, samples: t.samples.map((s) => ({ ...s, seconds: s.seconds + later })) })),
      rpm: run.rpm.map((s) => ({ ...s, seconds: s.seconds + later })),
      ...(run.hottest ? { hottest: { ...run.hottest, seconds: run.hottest.seconds + later } } : {})
    };
  };
  const [x, y] = [shifted(a), shifted(b)];
  const hotter = !x.hottest || (y.hottest && y.hottest.temperature > x.hottest.temperature) ? y.hottest : x.hottest;
  const { hottest: _hottest, ...rest } = a;
  return {
    ...rest,
    startedAt,
    stoppedAt,
    tracks: [...x.tracks, ...y.tracks],
    rpm: x.rpm.length ? x.rpm : y.rpm,
    minutes: (stoppedAt.getTime() - startedAt.getTime()) / 60_000,
    ...(hotter ? { hottest: hotter } : {}),
    ...(a.gap || b.gap ? { gap: Math.max(a.gap ?? 0, b.gap ?? 0) } : {})
  };
}

function splitLog(r: Reading): Run[] {
  const log = r.value as RunLog;
  const spot = spotOf(r);
  const start = Date.parse(r.at);
  const parts: number[][] = [[]];
  log.seconds.forEach((s, k) => {
    const before = log.seconds[k - 1];
    if (before !== undefined && s - before > LOG_GAP) parts.push([]);
    parts.at(-1)!.push(k);
  });
  return parts.map((rows, part): Run => {
    const zero = log.seconds[rows[0]!]!;
    const samples = rows.flatMap((k) => {
      const t = log.temperature[k];
      return t === null || t === undefined ? [] : [{ seconds: log.seconds[k]! - zero, temperature: t }];
    });
    const rpm = rows.flatMap((k) => {
      const v = log.rpm?.[k];
      return v === null || v === undefined ? [] : [{ seconds: log.seconds[k]! - zero, rpm: v }];
    });
    const tracks: Track[] = samples.length ? [{ spot, samples }] : [];
    const length = log.seconds[rows.at(-1)!]! - zero;
    const peak =
      log.hottest && log.hottest.seconds >= zero && log.hottest.seconds <= zero + length ? log.hottest : undefined;
    return {
      id: `${r.id}.${part}`,
      label: `logger${log.file ? `, ${log.file}` : ''}${parts.length > 1 ? `, part ${part + 1}` : ''}`,
      startedAt: new Date(start + zero * 1000),
      stoppedAt: new Date(start + (zero + length) * 1000),
      tracks,
      rpm,
      streams: [],
      logged: true,
      entered: r.at,
      minutes: length / 60,
      ...(peak && spot !== 'stream'
        ? { hottest: { temperature: peak.temperature, seconds: peak.seconds - zero, spot } }
        : hottestOf(tracks)),
      ...(log.gap ? { gap: log.gap } : {})
    };
  });
}
