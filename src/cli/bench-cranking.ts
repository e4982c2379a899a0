import { crank } from '../core/physics/cranking.ts';
import { holeArea } from '../core/physics/orifice.ts';

/** For `npm run bench`: one simulated test of six pulls, warm, beside a fixed piece of arithmetic of the same process. */
const cylinder = { bore: 0.066, stroke: 0.06, rod: 0.12, closing: (95 * Math.PI) / 180, ratio: 6.5 };
const once = (k: number): number => {
  const from = performance.now();
  crank({ cylinder, rpm: 300, pulls: 6, heat: 200 + k, gauge: 6e-6, leak: holeArea(1e-3) });
  return performance.now() - from;
};
const roots = (): number => {
  const from = performance.now();
  let total = 0;
  for (let k = 0; k < 1e6; k++) total += Math.sqrt(k);
  return total > 0 ? performance.now() - from : 0;
};
const median = (list: number[]): number => list.sort((a, b) => a - b)[list.length >> 1]!;
for (let k = 0; k < 200; k++) once(k);
roots();
const ms = median(Array.from({ length: 200 }, (_, k) => once(k)));
const sum = median(Array.from({ length: 9 }, roots));
console.log(JSON.stringify({ ms: +ms.toFixed(3), sum: +sum.toFixed(3) }));
