import { known } from '../../engine/profile.ts';
import { cylindersOf, type Context } from '../../findings/context.ts';
import type { Cylinder } from '../../physics/adapter.ts';
import { boreArea, pistonFromTop, type CylinderShape } from '../../physics/slider-crank.ts';

/** Compression ratio taken where none is known (M: trapped ratio of a two-stroke, geometric of a four-stroke). */
export const usualRatio = { two: 6.5, four: 9 } as const;
/** Crank angle before top at which the cylinder closes, degrees (M: exhaust port; intake valve). */
const CLOSING = { two: 95, four: 130 } as const;
/** Rod over stroke (M). */
const ROD = 2;
const DEGREE = Math.PI / 180;

/** Swept volume of one cylinder, m³, where the displacement and the number of cylinders are known. */
export function sweptOf(c: Context): number | undefined {
  const swept = known(c.survey.engine.profile.displacement);
  const count = cylindersOf(c).length;
  return swept !== undefined && count > 0 ? swept / count : undefined;
}

/** Bore, m, of a cylinder as wide as its stroke is long (M), from the displacement. */
export function squareBore(c: Context): number | undefined {
  const swept = sweptOf(c);
  return swept === undefined ? undefined : Math.cbrt((4 * swept) / Math.PI);
}

const strokesOf = (c: Context): 'two' | 'four' | undefined => {
  const { strokes } = c.survey.engine.profile;
  return strokes === 'two' || strokes === 'four' ? strokes : undefined;
};

/** One cylinder's volume and ratio, where the profile gives the displacement; the ratio may be the usual one. */
export function cylinderOf(c: Context): Cylinder | undefined {
  const strokes = strokesOf(c);
  const swept = sweptOf(c);
  const r = known(c.survey.engine.profile.ratio) ?? (strokes && usualRatio[strokes]);
  return swept !== undefined && r !== undefined ? { volume: swept * (r / (r - 1)), ratio: r } : undefined;
}

export interface KnownShape {
  readonly shape: CylinderShape;
  /** Room in the trapped ratio: ±0.5 where the profile gives it, ±1 where it is the usual one (M). */
  readonly ratioReach: number;
}

/** Stroke over bore of engines that were built (M). */
const STROKE_TO_BORE = { least: 0.4, most: 2.5 } as const;

/** The shape the cranking model needs; nothing where strokes or displacement are unknown. */
export function shapeOf(c: Context): KnownShape | undefined {
  const { profile } = c.survey.engine;
  const strokes = strokesOf(c);
  const swept = sweptOf(c);
  if (!strokes || swept === undefined) return undefined;
  const bore = known(profile.bore) ?? squareBore(c)!;
  const stroke = known(profile.stroke) ?? swept / boreArea(bore);
  // Bore, stroke and displacement that no engine has belong to a slip of the pen: nothing is computed from them.
  if (!(stroke / bore >= STROKE_TO_BORE.least && stroke / bore <= STROKE_TO_BORE.most)) return undefined;
  const rod = ROD * stroke;
  const closing = CLOSING[strokes] * DEGREE;
  const given = known(profile.ratio);
  const ratio = given ?? usualRatio[strokes];
  // A two-stroke's ratio is given from port closing, a four-stroke's from the bottom: its intake closes later than that.
  const trapped = strokes === 'two' ? ratio : 1 + ((ratio - 1) * pistonFromTop(closing, stroke, rod)) / stroke;
  return { shape: { bore, stroke, rod, closing, ratio: trapped }, ratioReach: given === undefined ? 1 : 0.5 };
}
