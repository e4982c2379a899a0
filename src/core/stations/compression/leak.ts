import { leakDownSays } from './leakdown-rows.ts';
import { PSI } from '../../units/factors.ts';
import { known } from '../../engine/profile.ts';
import type { Context } from '../../findings/context.ts';
import type { FactOf } from '../../findings/fact.ts';
import { pressureAtAltitude, SEA_LEVEL_PRESSURE } from '../../physics/atmosphere.ts';
import type { FitConditions, LeakFit, Observed } from '../../physics/cranking-fit.ts';
import { compareAll, type Comparison } from './compare.ts';
import { SOUND_HOLE, speedOf } from './expected.ts';
import type { LeakAnalysed, LeakFacts } from './facts.ts';
import { shapeOf } from './shape.ts';

/** Why a leak cannot be told from these readings. */
export type NotIdentifiable =
  | 'one cylinder'
  | 'one cylinder and adapter'
  | 'adapter unknown'
  | 'throttle'
  | 'order'
  | 'scatter'
  | 'profile';

/** What the fit is given, or why it cannot be made: plain data, so that a worker can do it. */
export type LeakTask =
  | { readonly ok: true; readonly observed: readonly Observed[]; readonly conditions: FitConditions }
  | { readonly ok: false; readonly because: NotIdentifiable };

const no = (because: NotIdentifiable): LeakTask => ({ ok: false, because });

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
  const found = compareAll(c);
  if (!found) return undefined;
  if (!found.rows.length) return found.voided.some((v) => v.why === 'throttle') ? no('throttle') : undefined;
  const { instrument } = found;
  const dead = instrument.valve === 'plug end' ? 0 : instrument.adapterVolume;
  if (found.rows.length < 2) return no(dead === 0 ? 'one cylinder' : 'one cylinder and adapter');
  if (dead === undefined) return no('adapter unknown');
  if (found.conditions.throttle !== 'open') return no('throttle');
  if (found.order?.confounded) return no('order');
  if (found.rows.some((r) => r.scattered)) return no('scatter');
  const given = shapeOf(c);
  if (!given) return no('profile');
  const series = found.rows.every((r) => r.series.length > 0 && r.series.every((s) => s.length >= 3));
  const altitude = known(c.record.value('safe.altitude'));
  return {
    ok: true,
    observed: found.rows.map((r) => observe(r, series)),
    conditions: {
      ...given,
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
 * What the fit of a compression test says, as facts of the compression check; nothing where none could be made or none
 * is there yet. Why a leak cannot be identified is said on the sheet: it is no finding about the engine.
 */
export function analyseLeak(c: Context): LeakAnalysed | undefined {
  // Whether it can be fitted is asked before the fitter is: an answer that comes later holds for one judgement only.
  const task = 'fitLeaks' in c ? leakTask(c) : undefined;
  const fit = task?.ok ? c.fitLeaks?.(task.observed, task.conditions) : undefined;
  if (!task?.ok || !fit) return undefined;
  // Air that was measured says it better than a needle's shape.
  const { tight } = leakDownSays(c);
  const facts = factsOfFit(fit).filter(
    (f) => !(f.kind === 'leak' && f.condition === 'watch' && tight.has(f.cylinder!))
  );
  return { basis: task, facts };
}

function factsOfFit({ rows, best }: LeakFit): FactOf<LeakFacts>[] {
  const tight = rows.filter((r) => r.low === 0);
  return [
    ...rows
      .filter((r) => !r.fits)
      .map(({ cylinder }) => ({ kind: 'shape', cylinder, condition: 'cannot-tell', values: {} }) as const),
    ...rows
      .filter((r) => r.low > 0)
      .map(
        ({ cylinder, hole, low, high }) =>
          ({
            kind: 'leak',
            cylinder,
            condition: high > SOUND_HOLE ? 'watch' : 'sound',
            values: { hole, low, high, best }
          }) as const
      ),
    ...(tight.length
      ? [
          {
            kind: 'tight',
            id: 'leak',
            condition: 'sound',
            values: { cylinders: tight.map((r) => r.cylinder), most: Math.max(...tight.map((r) => r.high)), best }
          } as const
        ]
      : [])
  ];
}
