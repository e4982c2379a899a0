import { render } from 'svelte/server';
import { describe, expect, it } from 'vitest';
import { crank } from '../../../core/physics/cranking.ts';
import { leaksBeyondBest } from '../../../core/physics/cranking-fit.ts';
import { contextOf } from '../../../core/findings/context.ts';
import { compare } from '../../../core/stations/compression/compare.ts';
import { leakTask } from '../../../core/stations/compression/leak.ts';
import { pistonDepths } from '../../../core/stations/turn/depths.ts';
import { voltages } from '../../../core/stations/spark/voltage.ts';
import { Bench } from '../../../../test/case.ts';
import CompressionBars from '../survey/CompressionBars.svelte';
import BreakdownChart from './BreakdownChart.svelte';
import PullCurves from './compression/PullCurves.svelte';
import DepthDrawing from './DepthDrawing.svelte';
import PlugDrawing from './PlugDrawing.svelte';

/** Every drawing says in words what it shows: those words are its picture for whoever cannot see it. */
const psi = 6894.757;
const at = (b: Bench) => contextOf(b.survey, new Date('2026-05-03'), 'us');
const dry = { throttle: 'open', bores: 'dry' } as const;
const shop = { name: 'shop', range: 300 * psi, resolution: psi, adapterVolume: 0, valve: 'plug end' as const };
const label = (html: string): string => /aria-label="([^"]*)"/.exec(html)?.[1] ?? '';

describe('compression bars', () => {
  const b = new Bench({ strokes: 'two', cylinders: 3, displacement: 600e-6 }).psi(
    [
      [1, 118],
      [3, 84],
      [1, 119],
      [3, 85]
    ],
    { instrument: shop, conditions: dry }
  );
  const html = render(CompressionBars, {
    props: {
      comparison: compare(at(b)),
      cylinders: [1, 2, 3],
      units: 'us',
      expected: { low: 95 * psi, high: 180 * psi }
    }
  }).body;
  it('read out each cylinder with its interval and the limit', () => {
    expect(label(html)).toMatch(/cylinder 1 119 psi, give or take \d+ psi; cylinder 3 85 psi/);
    expect(label(html)).toMatch(/limit 101 psi/);
  });
  it('leave a place for the cylinder that was not read, and say what is expected', () => {
    expect(html).toContain('stroke-dasharray="4 4"');
    expect(html).toContain('expected of this engine, from 95 psi');
  });
  it('say so when there is nothing', () => {
    expect(label(render(CompressionBars, { props: { comparison: undefined, cylinders: [1], units: 'us' } }).body)).toBe(
      'Compression: no readings yet'
    );
  });
});

describe('pull curves', () => {
  const shape = { bore: 0.066, stroke: 0.06, rod: 0.12, closing: 1.658, ratio: 6.5 };
  const b = new Bench({ strokes: 'two', cylinders: 2, displacement: 410e-6, ratio: 6.5 });
  [0, 0.8e-6].forEach((leak, k) =>
    b.read(
      'compression.pulls',
      [...crank({ cylinder: shape, rpm: 300, pulls: 5, heat: 200, gauge: 6e-6, leak }).needle],
      {
        cylinder: k + 1,
        conditions: dry,
        instrument: shop
      }
    )
  );
  it('read out the needle after each pull in the reader’s unit, with the model drawn through it', () => {
    const comparison = compare(at(b))!;
    const task = leakTask(at(b))!;
    if (!task.ok) throw new Error(task.because);
    const fit = leaksBeyondBest(task.observed, task.conditions);
    const html = render(PullCurves, { props: { comparison, fit, units: 'metric' } }).body;
    expect(label(html)).toMatch(/^Needle after each pull, bar: cylinder 1: 6\.\d/);
    expect(html.match(/<path d="M[^"]*" fill="none"[^>]*stroke-width="1\.6"/g)).toHaveLength(2);
    expect(html).not.toMatch(/NaN|undefined/);
  });
  it('without a fit the dots are joined by a thin dashed line', () => {
    const html = render(PullCurves, { props: { comparison: compare(at(b))!, fit: undefined, units: 'us' } }).body;
    expect(html.match(/stroke-dasharray="3 4"/g)).toHaveLength(2);
  });
});

describe('piston depths', () => {
  it('name the one that stands low', () => {
    const b = new Bench({ cylinders: 3, strokes: 'four' });
    for (const [k, mm] of [
      [1, 62.4],
      [2, 63.4],
      [3, 62.5]
    ] as const)
      b.read('turn.depth', mm / 1000, { cylinder: k });
    const html = render(DepthDrawing, { props: { depths: pistonDepths(at(b)), cylinders: 3, units: 'metric' } }).body;
    expect(label(html)).toBe(
      'Piston depths at top: cylinder 1 62.40 mm; cylinder 2 63.40 mm, stands low; cylinder 3 62.50 mm'
    );
  });
  it('draw nothing before the first depth', () => {
    expect(
      render(DepthDrawing, {
        props: { depths: pistonDepths(at(new Bench({ cylinders: 2 }))), cylinders: 2, units: 'us' }
      }).body
    ).not.toContain('<svg');
  });
});

describe('breakdown chart', () => {
  it('says for each cylinder what is needed and what was shown', () => {
    const b = new Bench({ strokes: 'two', cylinders: 1, displacement: 200e-6, ratio: 6.5 })
      .read('spark.gap', 9e-3, { cylinder: 1 })
      .read('plugs.gap', 1e-3, { cylinder: 1 })
      .psi([[1, 115]]);
    const html = render(BreakdownChart, { props: { rows: voltages(at(b)), units: 'us', temperature: 504 } }).body;
    expect(label(html)).toMatch(/cylinder 1 needs 17\.\d kV, shown 28\.6 kV/);
    expect(html).not.toMatch(/NaN|undefined/);
  });
  it('says so while no cylinder has all three readings', () => {
    expect(label(render(BreakdownChart, { props: { rows: [], units: 'metric', temperature: 504 } }).body)).toMatch(
      /no cylinder has all three readings yet/
    );
  });
});

describe('plug drawings', () => {
  it('are all different, and hidden from those who hear the words', () => {
    const sights = ['normal', 'dry', 'oily', 'fuel', 'water', 'rust', 'white', 'black', 'bridged', 'cracked'] as const;
    const drawn = sights.map((s) => render(PlugDrawing, { props: { sights: [s] } }).body);
    expect(new Set(drawn).size).toBe(sights.length);
    for (const d of drawn) expect(d).toContain('aria-hidden="true"');
  });
  it('draw a wider gap wider', () => {
    const strap = (gap: number): number =>
      Number(/M56 34V([\d.]+)H30/.exec(render(PlugDrawing, { props: { gap } }).body)?.[1]);
    expect(strap(1.2)).toBeGreaterThan(strap(0.6));
  });
});
