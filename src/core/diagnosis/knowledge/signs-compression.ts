import type { SignKind } from './shape.ts';

const many = { cylinders: ['many'] };
const four = { strokes: ['four'] };

/** What compression, wet test, leak-down and lash show. Leaks are estimates, from memory (M). */
export const compressionSigns: readonly SignKind[] = [
  {
    id: 'low',
    check: 'compression',
    per: 'cylinder',
    present: 'its compression is low',
    absent: 'its compression is with the best',
    leak: 0.01,
    measured: 'low',
    findings: ['compression.low']
  },
  {
    id: 'low-all',
    check: 'compression',
    present: 'compression is low all over, and even',
    absent: 'compression is not low all over',
    leak: 0.02,
    measured: 'low-all',
    fits: many
  },
  {
    id: 'low-again',
    check: 'compression-again',
    per: 'cylinder',
    present: 'low again when repeated properly',
    absent: 'it came up when repeated',
    leak: 0.01,
    measured: 'low-again'
  },
  {
    id: 'throttle-shut',
    check: 'compression-again',
    present: 'the throttle was not open',
    absent: 'the throttle was open',
    leak: 0.05,
    measured: 'throttle'
  },
  {
    id: 'gauge-long',
    check: 'compression-again',
    present: 'the gauge adds volume at the plug',
    absent: 'the gauge seats at the plug',
    leak: 0.1,
    measured: 'adapter'
  },
  {
    id: 'order-tired',
    check: 'compression-again',
    present: 'the low ones came last, volts or speed falling',
    absent: 'the order of testing does not explain it',
    leak: 0.05,
    measured: 'order'
  },
  {
    id: 'bores-dry',
    check: 'compression-again',
    present: 'the bores were dry after years',
    absent: 'the bores were not dry',
    leak: 0.4,
    measured: 'bores'
  },
  {
    id: 'needle-falls',
    check: 'compression-again',
    present: 'the needle falls back',
    absent: 'the needle stays',
    leak: 0.01,
    measured: 'falls'
  },
  {
    id: 'wet-rises',
    check: 'wet',
    per: 'cylinder',
    present: 'it rises wet beyond the oil’s own volume',
    absent: 'it rises wet no more than the oil explains',
    leak: 0.03,
    measured: 'wet'
  },
  {
    id: 'soak-no-help',
    check: 'leak-down',
    per: 'cylinder',
    present: 'it leaks as before after a soak',
    absent: 'a soak has sealed it',
    leak: 0.05,
    measured: 'soak-no-help'
  },
  {
    id: 'all-rise-wet',
    check: 'wet',
    present: 'all rise together with oil',
    absent: 'they do not all rise together with oil',
    leak: 0.02,
    measured: 'wet-all',
    fits: many
  },
  {
    id: 'leaks',
    check: 'leak-down',
    per: 'cylinder',
    present: 'it leaks down',
    absent: 'it is tight in leak-down',
    leak: 0.02,
    measured: 'leakdown'
  },
  {
    id: 'air-valve',
    check: 'leak-down',
    per: 'cylinder',
    present: 'air comes out at intake or exhaust',
    absent: 'no air at intake or exhaust',
    leak: 0.01,
    measured: 'air-valve',
    fits: four
  },
  {
    id: 'air-crankcase',
    check: 'leak-down',
    per: 'cylinder',
    present: 'air comes out at the crankcase',
    absent: 'no air at the crankcase',
    leak: 0.01,
    measured: 'air-crankcase'
  },
  {
    id: 'air-gasket',
    check: 'leak-down',
    per: 'cylinder',
    present: 'air comes out at its neighbour’s plug hole',
    absent: 'no air at its neighbour',
    leak: 0.004,
    measured: 'air-gasket'
  },
  {
    id: 'air-edge',
    check: 'leak-down',
    per: 'cylinder',
    present: 'air comes out at the edge of the head',
    absent: 'no air at the edge of the head',
    leak: 0.003,
    measured: 'air-edge'
  },
  {
    id: 'air-water',
    check: 'leak-down',
    per: 'cylinder',
    present: 'bubbles in the cooling water',
    absent: 'no bubbles in the cooling water',
    leak: 0.003,
    measured: 'air-water'
  },
  {
    id: 'no-lash',
    check: 'lash',
    per: 'cylinder',
    present: 'a valve has no lash',
    absent: 'the valves have lash',
    leak: 0.01,
    measured: 'lash',
    fits: four
  }
];
