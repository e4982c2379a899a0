import { PSI } from '../../units/factors.ts';
import { known } from '../../engine/profile.ts';
import { type Context, CylindersSaid } from '../../findings/context.ts';
import { pressureAtAltitude, SEA_LEVEL_PRESSURE } from '../../physics/atmosphere.ts';
import type { FitConditions, LeakFit, Observed } from '../../physics/cranking-fit.ts';
import type { Finding } from '../../findings/finding.ts';
import { say } from '../../units/index.ts';
import { findingsOf } from '../../findings/collect.ts';
import { compare, type Comparison } from './compare.ts';
import { SOUND_HOLE, speedOf } from './expected.ts';
import { shapeOf } from './shape.ts';

/** What the fit is given, or the sentence why it cannot be made: plain data, so that a worker can do it. */
export type LeakTask =
  | { readonly ok: true; readonly observed: readonly Observed[]; readonly conditions: FitConditions }
  | { readonly ok: false; readonly because: string };

const no = (because: string): LeakTask => ({ ok: false, because });

/** Mean of the series of one cylinder, cut to the shortest; the final needle where nothing was read pull by pull. */
function observe(row: Comparison['rows'][number], byPull: boolean): Observed {
  const common = { cylinder: row.cylinder, u: row.u };
  if (!byPull) return { ...common, needle: [row.mean], byPull };
  const pulls = Math.min(...row.series.map((s) => s.length));
  const needle = Array.from(
    { length: pulls },
    (_, k) => row.series.reduce((sum, s) => sum + s[k]!, 0) / row.series.length
  );
  return { ...common, needle, byPull };
}

/** Whether a leak beyond the best cylinder can be identified from these readings, and with what. */
export function leakTask(c: Context): LeakTask | undefined {
  const found = compare(c);
  if (!found) return undefined;
  const { instrument } = found;
  const dead = instrument.valve === 'plug end' ? 0 : instrument.adapterVolume;
  if (found.rows.length < 2)
    return no(
      dead === 0
        ? 'not identifiable: one cylinder alone cannot tell a leak from its ratio and heat loss. Leak-down can.'
        : 'not identifiable: on one cylinder a leak and the adapter’s volume look alike. Repeat without the adapter; then leak-down.'
    );
  if (dead === undefined)
    return no(
      'not identifiable: the volume before this gauge’s check valve is not entered, and a leak and a dead volume look alike. Repeat without the adapter, or measure it.'
    );
  if (found.conditions.throttle === 'shut')
    return no('not identifiable: the throttle was shut. Repeat with it wide open.');
  if (found.order?.confounded)
    return no('not identifiable: the low ones were tested last while cranking tired. Repeat in the reverse order.');
  const known_ = shapeOf(c);
  if (!known_) return no('not identifiable yet: the model needs strokes and displacement. Enter them in the profile.');
  const series = found.rows.every((r) => r.series.length > 0 && r.series.every((s) => s.length >= 3));
  const altitude = known(c.record.value('safe.altitude'));
  return {
    ok: true,
    observed: found.rows.map((r) => observe(r, series)),
    conditions: {
      ...known_,
      rpm: speedOf(c),
      ambient: altitude === undefined ? SEA_LEVEL_PRESSURE : pressureAtAltitude(altitude),
      temperature: known(c.record.value('safe.air')) ?? 293,
      dead,
      ...(instrument.gaugeVolume === undefined ? {} : { gauge: instrument.gaugeVolume }),
      resolution: instrument.resolution ?? PSI
    }
  };
}

/**
 * What the fit of a compression test says, as findings of the compression check; nothing where none could be made or none
 * is there yet. Why a leak cannot be identified is said on the sheet: it is no finding about the engine.
 */
export function leakFindings(c: Context): Finding[] {
  const task = c.fitLeaks && leakTask(c);
  const fit = task?.ok ? c.fitLeaks?.(task.observed, task.conditions) : undefined;
  return task?.ok && fit ? findingsOfFit(c, task, fit) : [];
}

function findingsOfFit(c: Context, task: Extract<LeakTask, { ok: true }>, fit: LeakFit): Finding[] {
  const out = findingsOf('compression');
  const mm = (m: number): string => `${(m * 1000).toFixed(1)} mm`;
  const why = {
    inputs: [
      ...task.observed.map(
        (o) => `cylinder ${o.cylinder}: ${o.needle.map((p) => say(p, 'pressure', c.units)).join(' · ')}`
      ),
      `cranking ${Math.round(task.conditions.rpm.low)} to ${Math.round(task.conditions.rpm.high)} rpm, ratio ${task.conditions.shape.ratio.toFixed(1)} ± ${task.conditions.ratioReach}`
    ],
    formula: 'mass and energy balance of the cylinder while cranking; leak as an isentropic orifice, Cd 0.8',
    provenance: 'P' as const,
    source:
      'Cranking model (docs/cranking.md): first law, ISO 9300; ranges of speed, ratio and heat loss from memory (M)'
  };
  const told = fit.rows.filter((r) => r.low > 0);
  for (const r of fit.rows)
    if (!r.fits)
      out.add(
        'shape',
        'cannot-tell',
        `Cylinder ${r.cylinder} does not build like a steady leak: cranking that changed speed, rings that seal as they move, or a gauge that leaks. Repeat it pull by pull.`,
        why,
        r.cylinder
      );
  for (const r of told)
    out.add(
      'leak',
      r.high > SOUND_HOLE ? 'watch' : 'sound',
      `Cylinder ${r.cylinder} leaks like a hole of ${mm(r.hole)} more than cylinder ${fit.best} (${mm(r.low)} to ${mm(r.high)}).`,
      {
        ...why,
        value: `${mm(r.hole)} beyond the best cylinder`,
        uncertainty: `95 % interval ${mm(r.low)} to ${mm(r.high)}, with the room in speed, ratio and repeatability`
      },
      r.cylinder
    );
  const quiet = fit.rows.filter((r) => r.low === 0);
  if (quiet.length)
    out.add(
      'leak',
      'sound',
      `${CylindersSaid(quiet.map((r) => r.cylinder))}: no leak beyond cylinder ${fit.best} that these readings can tell; at most a hole of ${mm(Math.max(...quiet.map((r) => r.high)))}. A leak common to all would not show.`,
      why
    );
  return out.list;
}
