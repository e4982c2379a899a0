import { crank, type CrankingTest } from './cranking.ts';
import { leastSquares } from './least-squares.ts';
import { holeDiameter } from './orifice.ts';
import { rootOf } from './root.ts';
import type { CylinderShape } from './slider-crank.ts';

/** One cylinder's test: the needle after each pull, or only where it came to rest. Pa gauge. */
export interface Observed {
  readonly cylinder: number;
  readonly needle: readonly number[];
  readonly byPull: boolean;
  /** Standard uncertainty of one whole test (repeatability), Pa. */
  readonly u: number;
}

/** What is known about the test with the room that is left for what is not. SI. */
export interface FitConditions {
  readonly shape: CylinderShape;
  readonly ratioReach: number;
  readonly rpm: { readonly best: number; readonly low: number; readonly high: number };
  readonly ambient: number;
  readonly temperature: number;
  readonly dead: number;
  /** Volume behind the check valve where it is known. */
  readonly gauge?: number;
  /** Smallest step of the needle, Pa. */
  readonly resolution: number;
}

export interface LeakRow {
  readonly cylinder: number;
  /** Equivalent round hole beyond the best cylinder with its 95 % interval, m. */
  readonly hole: number;
  readonly low: number;
  readonly high: number;
  /** The fitted needle after each pull, Pa gauge. */
  readonly model: readonly number[];
  /** False where a steady leak does not describe the way it built, or two starts disagree. */
  readonly fits: boolean;
}

export interface LeakFit {
  readonly best: number;
  readonly heat: number;
  readonly ratio: number;
  readonly gauge: number;
  readonly bestModel: readonly number[];
  readonly rows: readonly LeakRow[];
}

/** Without pulls the needle is taken as at rest, and a small gauge gets there soonest. */
const REST: Pick<CrankingTest, 'pulls' | 'gauge'> = { pulls: 5, gauge: 2e-6 };
const USUAL_GAUGE = 6e-6;
/** Heat transfer is looked for between these, W/(m²·K) (M). */
const HEAT = { low: 5, high: 3000 } as const;
/** Largest leak looked for, Cd·A in mm²: a hole of 5 mm. */
const MOST_LEAK = 16;
/** Half-width never printed under this share of the hole: what unknown heat, speed and ratio do whatever the noise (M). */
export const NARROWEST = 0.13;
/** A root is close enough within this, Pa. */
const CLOSE = 50;
/** Two degrees cost 0.2 % of a reading, the same for every cylinder. */
const STEP = 2;

type Setting = { heat: number; ratio: number; gauge: number; rpm: number };

/** The curve a cylinder would draw: as many pulls as were read, or the needle at rest. */
function curve(o: Observed, c: FitConditions, s: Setting, leakMm2: number): readonly number[] {
  const shape: CrankingTest = {
    cylinder: { ...c.shape, ratio: s.ratio },
    rpm: s.rpm,
    ambient: c.ambient,
    temperature: c.temperature,
    dead: c.dead,
    heat: s.heat,
    leak: leakMm2 * 1e-6,
    step: STEP,
    ...(o.byPull ? { pulls: o.needle.length, gauge: s.gauge } : REST)
  };
  const { needle } = crank(shape);
  return o.byPull ? needle : [needle.at(-1)!];
}

const last = (list: readonly number[]): number => list[list.length - 1]!;

/** Heat loss, and where heat alone cannot do it the ratio, with which the best cylinder reads what it read without a leak. */
function calibrate(best: Observed, c: FitConditions, from: Omit<Setting, 'heat'>): Setting {
  const at = (heat: number, ratio = from.ratio): number =>
    last(curve(best, c, { ...from, ratio, heat }, 0)) - last(best.needle);
  if (at(HEAT.low) < 0) {
    const ratio = rootOf((x) => at(HEAT.low * 10, x), from.ratio, from.ratio * 2.5, CLOSE);
    return { ...from, ratio, heat: HEAT.low * 10 };
  }
  const heat = Math.exp(rootOf((x) => at(Math.exp(x)), Math.log(HEAT.low), Math.log(HEAT.high), CLOSE));
  return { ...from, heat };
}

/** How fast the best cylinder's needle built tells the volume behind the valve, which nobody measures. */
function withGauge(best: Observed, c: FitConditions, s: Setting): Setting {
  if (!best.byPull || best.needle.length < 3 || c.gauge !== undefined) return s;
  const fit = leastSquares({
    curve: ([h, g]) => curve(best, c, { ...s, heat: Math.exp(h!), gauge: Math.exp(g!) }, 0),
    observed: best.needle,
    u: c.resolution,
    starts: [[Math.log(s.heat), Math.log(s.gauge)]],
    low: [Math.log(HEAT.low), Math.log(0.5e-6)],
    high: [Math.log(HEAT.high), Math.log(60e-6)],
    steps: [0.02, 0.02]
  });
  const [heat, gauge] = fit.parameters.map(Math.exp) as [number, number];
  return { ...s, heat, gauge };
}

/** Area in mm² (Cd·A) that brings the calibrated cylinder's needle at rest down to this one's. */
const areaAtRest = (o: Observed, c: FitConditions, s: Setting, most = MOST_LEAK): number =>
  rootOf((a) => last(curve(o, c, s, a)) - last(o.needle), 0, most, CLOSE, 1e-4);

/** The same from the whole curve where it was read pull by pull, with whether a steady leak describes it. */
function leakArea(o: Observed, c: FitConditions, s: Setting): { area: number; fits: boolean } {
  const rest = areaAtRest(o, c, s);
  if (!o.byPull || o.needle.length < 2) return { area: rest, fits: true };
  const fit = leastSquares({
    curve: ([a]) => curve(o, c, s, a!),
    observed: o.needle,
    u: Math.max(c.resolution, o.u),
    starts: [[rest], [0.5 * rest + 0.05]],
    low: [0],
    high: [MOST_LEAK],
    steps: [0.01]
  });
  // Three deviations on the mean square: beyond that a steady leak is not what was seen.
  return { area: fit.parameters[0]!, fits: fit.agreed && fit.chi2 / o.needle.length < 9 };
}

/**
 * Leak of each cylinder beyond the best one, as the round hole (Cd 0.8) that would explain it. The heat loss is set so
 * that the best cylinder fits with no leak: a wrong ratio, heat loss or common leak then costs little, where an absolute
 * fit is wrong by up to its own size. Only area over speed is identified, so the room in speed and ratio goes into the
 * interval with the readings' own noise, and it is never narrower than 13 % of the hole.
 *
 * Throws RangeError without at least two cylinders. Sources: the model of `cranking.ts` (P); usual ranges (M).
 */
export function leaksBeyondBest(observed: readonly Observed[], c: FitConditions): LeakFit {
  if (observed.length < 2) throw new RangeError('a leak beyond the best cylinder needs two cylinders or more');
  const best = observed.reduce((a, b) => (last(b.needle) > last(a.needle) ? b : a));
  const { ratio } = c.shape;
  const start = { ratio, gauge: c.gauge ?? USUAL_GAUGE, rpm: c.rpm.best };
  const nominal = withGauge(best, c, calibrate(best, c, start));
  const bestModel = curve(best, c, nominal, 0);
  // What the model misses in the shape of the best curve it misses in all of them: the others are fitted by their difference.
  const beside = (o: Observed): Observed => {
    const pulls = Math.min(o.needle.length, best.needle.length);
    const needle = o.needle.slice(0, pulls).map((p, k) => p - best.needle[k]! + bestModel[k]!);
    return { ...o, needle };
  };
  const settings = [
    { rpm: c.rpm.low },
    { rpm: c.rpm.high },
    { ratio: Math.max(2, ratio - c.ratioReach) },
    { ratio: ratio + c.ratioReach }
  ].map((corner) => calibrate(best, c, { ...start, gauge: nominal.gauge, ...corner }));
  const rows = observed
    .filter((o) => o !== best)
    .map((read): LeakRow => {
      const o = beside(read);
      const { area, fits } = leakArea(o, c, nominal);
      const rest = areaAtRest(o, c, nominal);
      const corners = settings.map((s) => area + areaAtRest(o, c, s, Math.max(1, 3 * rest)) - rest);
      // The whole test repeats only so well, and so did the best one's: both move the area through the needle at rest.
      const delta = Math.max(0.02, 0.1 * area);
      const slope = Math.abs(last(curve(o, c, nominal, area + delta)) - last(curve(o, c, nominal, area))) / delta;
      const noise = (2 * Math.hypot(o.u, best.u)) / Math.max(slope, 1);
      const down = Math.hypot(noise, area - Math.min(area, ...corners));
      const up = Math.hypot(noise, Math.max(area, ...corners) - area);
      const hole = holeDiameter(area * 1e-6);
      return {
        cylinder: o.cylinder,
        hole,
        low: Math.min(holeDiameter((area - down) * 1e-6), hole * (1 - NARROWEST)),
        high: Math.max(holeDiameter((area + up) * 1e-6), hole * (1 + NARROWEST)),
        model: curve(o, c, nominal, area),
        fits
      };
    });
  return {
    best: best.cylinder,
    heat: nominal.heat,
    ratio: nominal.ratio,
    gauge: nominal.gauge,
    bestModel,
    rows
  };
}

/** Something that fits leaks: at once, or nothing until it is done. */
export type LeakFitter = (observed: readonly Observed[], c: FitConditions) => LeakFit | undefined;
