import { heating } from '../src/core/physics/heating.ts';
import { crank } from '../src/core/physics/cranking.ts';
import { holeArea } from '../src/core/physics/orifice.ts';

/** For `npm run bench`: the heavy laws, warm, beside a fixed piece of arithmetic of the same process. */
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

/** A first run of 2000 samples with its thermostat, another each time: fit, interval and search for the break. */
const run = (k: number): number => {
  const samples = Array.from({ length: 2000 }, (_, n) => ({
    seconds: n,
    temperature: 288 + 62 * (1 - Math.exp(-n / (240 + k))) + Math.sin(n * 12.9898 + k)
  }));
  const from = performance.now();
  heating(samples);
  return performance.now() - from;
};
for (let k = 0; k < 20; k++) run(k);
const fit = median(Array.from({ length: 60 }, (_, k) => run(k)));
console.log(JSON.stringify({ ms: +ms.toFixed(3), sum: +sum.toFixed(3), fit: +fit.toFixed(2) }));
