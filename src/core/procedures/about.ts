import { cylinderCount } from '../engine/profile.ts';
import type { LimitId } from '../engine/limits.ts';
import type { Context } from '../findings/context.ts';
import { say, type DimensionName } from '../units/index.ts';
import type { Figure, Way } from './procedure.ts';

/** What the steps ask of an engine, each answered with nothing where it is not known. */
export interface About {
  readonly two: boolean;
  readonly four: boolean;
  readonly cylinders: number | undefined;
  readonly injected: boolean;
  readonly carburettor: boolean;
  readonly points: boolean;
  readonly premix: boolean;
  readonly electric: boolean;
  /** Air around the engine, K. */
  readonly air: number | undefined;
  /** Plugs of the gear case that there are, or may be. */
  readonly gearPlugs: number;
  /** The way the crankshaft turns, seen from above. */
  readonly way: Way;
  readonly say: (si: number, dimension: DimensionName, step?: number) => string;
  /** A number that was read, SI. */
  readonly number: (what: Parameters<Context['record']['value']>[0]) => number | undefined;
}

export function about(c: Context): About {
  const { profile } = c.survey.engine;
  const { strokes, fuelSystem, ignition, lubrication, starting, turning } = profile;
  const maybe = (v: unknown): boolean => v === 'fitted' || v === undefined || v === 'unknown';
  const number: About['number'] = (what) => {
    const v = c.record.value(what);
    return typeof v === 'number' ? v : undefined;
  };
  return {
    two: strokes === 'two',
    four: strokes === 'four',
    cylinders: cylinderCount(profile),
    injected: fuelSystem === 'electronic' || fuelSystem === 'direct',
    carburettor: fuelSystem !== 'electronic' && fuelSystem !== 'direct',
    points: ignition === 'points',
    premix: lubrication === 'premix',
    electric: starting === 'electric' || starting === 'both',
    air: number('safe.air'),
    gearPlugs: [profile.plugDrain, profile.plugLevel, profile.plugVent].filter(maybe).length,
    way: turning === 'clockwise' || turning === 'anticlockwise' ? turning : 'marked',
    say: (si, dimension, step) => say(si, dimension, c.units, step),
    number
  };
}

/** The figures whose grounds are known; the others are left out. */
export function figures(...list: readonly (Figure | undefined)[]): { readonly figures?: readonly Figure[] } {
  const known = list.filter((f) => f !== undefined);
  return known.length ? { figures: known } : {};
}

/** What the engine's own value is called and where it stands, "0.9 mm (manual, page 12)"; nothing where nobody entered it. */
export function manualFigure(
  c: Context,
  id: LimitId
): { readonly low: number; readonly high: number; readonly page?: string } | undefined {
  const manual = c.survey.engine.manual?.[id];
  return manual
    ? { low: manual.value, high: manual.to ?? manual.value, ...(manual.page ? { page: manual.page } : {}) }
    : undefined;
}
