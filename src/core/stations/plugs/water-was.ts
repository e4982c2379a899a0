import { cylindersOf, type Context } from '../../findings/context.ts';
import { plugsAfterRun } from '../../findings/plug-after-run.ts';
import { ranAfter, runs } from '../../findings/ran.ts';
import { drowned } from '../../record/drowned.ts';
import { isAfter, latestAt, type Instant } from '../../units/instant.ts';
import { waterComes, waterIn } from '../turn/hole-water.ts';

interface Seen {
  readonly at: Instant;
  /** Nothing where it came out when the engine was turned, and nobody saw of which cylinder. */
  readonly cylinder?: number;
}

const onPlug = (value: unknown): boolean => Array.isArray(value) && value.includes('water');

/** Every time that water was seen in a cylinder, on its plug, or coming out when it was turned. */
function seen(c: Context): Seen[] {
  const turned = c.record.all('turn.water').filter((r) => r.value === 'some' || r.value === 'much');
  return [
    ...turned.map(({ at }): Seen => ({ at })),
    ...cylindersOf(c).flatMap((cylinder): Seen[] => [
      ...c.record.all('plugs.hole', { cylinder }).flatMap((r) => (r.value === 'water' ? [{ at: r.at, cylinder }] : [])),
      ...c.record.all('plugs.read', { cylinder }).flatMap((r) => (onPlug(r.value) ? [{ at: r.at, cylinder }] : []))
    ])
  ];
}

/** Looked at after a run that came after the water: its plug was dry, or nothing but dry plugs were read. */
function dryAfterRun(c: Context, water: Instant): boolean {
  const ran = runs(c).find((r) => isAfter(r.at, water))?.at;
  if (ran === undefined) return false;
  const dry = c.record.last('run.plugAfter');
  if (dry?.value === 'dry' && isAfter(dry.at, ran)) return true;
  const plugs = cylindersOf(c).map((cylinder) => c.record.last('plugs.read', cylinder));
  return plugs.length > 0 && plugs.every((r) => r && Array.isArray(r.value) && !onPlug(r.value) && isAfter(r.at, ran));
}

/**
 * Water stood in a cylinder of an engine that was never under, it is out, and nobody knows where it came from: the cylinders it was seen in,
 * none where it only came out. Nothing once the way in was closed by work, or a run since has left its plugs dry (C).
 */
export function waterWas(c: Context): { readonly cylinders: readonly number[]; readonly ran: boolean } | undefined {
  if (drowned(c) || waterComes(c) || waterIn(c).length) return undefined;
  // Water that came in while it ran is told of by that run.
  if (plugsAfterRun(c).some((p) => p.value === 'wet')) return undefined;
  // A plug that is wet still says so itself.
  if (cylindersOf(c).some((cylinder) => onPlug(c.record.last('plugs.read', cylinder)?.value))) return undefined;
  const all = seen(c);
  const last = latestAt(all);
  if (!last || c.renewed('run.plugAfter').some((at) => isAfter(at, last)) || dryAfterRun(c, last)) return undefined;
  const cylinders = [...new Set(all.flatMap((s) => (s.cylinder === undefined ? [] : [s.cylinder])))];
  return { cylinders: cylinders.sort((a, b) => a - b), ran: ranAfter(c, last) };
}
