/** One cylinder's shape. Lengths in m, angles in rad, volumes in m³. */
export interface CylinderShape {
  readonly bore: number;
  readonly stroke: number;
  /** Connecting rod between centres. */
  readonly rod: number;
  /** Crank angle before top at which the cylinder closes: exhaust port of a two-stroke, intake valve of a four-stroke. */
  readonly closing: number;
  /** Volume at closing over volume at top. */
  readonly ratio: number;
}

export const boreArea = (bore: number): number => (Math.PI * bore * bore) / 4;

/** Distance of the piston from its top, m, at crank angle `angle` from top (P: slider-crank kinematics). */
export function pistonFromTop(angle: number, stroke: number, rod: number): number {
  const r = stroke / 2;
  const s = r * Math.sin(angle);
  return r * (1 - Math.cos(angle)) + rod - Math.sqrt(rod * rod - s * s);
}

/** Clearance volume at top, m³, from the trapped ratio. Throws RangeError on a shape that cannot be. */
export function clearanceOf(c: CylinderShape): number {
  if (!(c.bore > 0 && c.stroke > 0 && c.rod > c.stroke / 2 && c.ratio > 1 && c.closing > 0 && c.closing <= Math.PI))
    throw new RangeError('needs bore, stroke and rod above zero, ratio over 1, closing within half a turn');
  return (boreArea(c.bore) * pistonFromTop(c.closing, c.stroke, c.rod)) / (c.ratio - 1);
}
