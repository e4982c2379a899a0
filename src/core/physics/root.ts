/**
 * A root of `f` between `a` and `b` by regula falsi with the Illinois correction (P: Dahlquist & Björck 1974).
 * Where both ends lie on one side the nearer end is given back. Stops when |f| < `tolerance` or the bracket is under `width`.
 */
export function rootOf(f: (x: number) => number, a: number, b: number, tolerance: number, width = 0): number {
  let [fa, fb] = [f(a), f(b)];
  if (fa * fb > 0) return Math.abs(fa) < Math.abs(fb) ? a : b;
  let side = 0;
  for (let k = 0; k < 60; k++) {
    if (Math.abs(fa) < tolerance) return a;
    if (Math.abs(fb) < tolerance) return b;
    const c = (a * fb - b * fa) / (fb - fa);
    const fc = f(c);
    if (Math.abs(fc) < tolerance || Math.abs(b - a) < width) return c;
    if (fc * fa > 0) {
      [a, fa] = [c, fc];
      if (side === -1) fb /= 2;
      side = -1;
    } else {
      [b, fb] = [c, fc];
      if (side === 1) fa /= 2;
      side = 1;
    }
  }
  return (a + b) / 2;
}
