<script lang="ts">
  import type { LeakFit } from '$core/physics/cranking-fit.ts';
  import type { Comparison } from '$core/stations/compression/compare.ts';
  import { fromSI, shownUnit, type System } from '$core/units/index.ts';
  import { scaleLinear } from 'd3-scale';
  import ChartFrame from '../../drawing/ChartFrame.svelte';
  import { pressureTicks } from '../../drawing/ticks.ts';
  import { line } from 'd3-shape';

  /** The needle after each pull, with the fitted model drawn through it. */
  let { comparison, fit, units }: { comparison: Comparison; fit: LeakFit | undefined; units: System } = $props();
  let measured = $state(0);
  const W = $derived(measured > 120 ? measured : 520);
  const H = 210;
  const rows = $derived(comparison.rows.filter((r) => r.series.length));
  const pulls = $derived(Math.max(2, ...rows.flatMap((r) => r.series.map((s) => s.length))));
  const top = $derived(Math.max(...rows.flatMap((r) => r.series.flat()), 1) * 1.1);
  const x = $derived(scaleLinear([0, pulls], [44, W - 92]));
  const y = $derived(scaleLinear([0, top], [H - 34, 10]));
  const unit = $derived(shownUnit('pressure', units));
  const ticks = $derived(pressureTicks(0, top, units, y));
  const modelOf = (c: number): readonly number[] | undefined =>
    fit?.best === c ? fit.bestModel : fit?.rows.find((r) => r.cylinder === c)?.model;
  const path = (needle: readonly number[]): string =>
    line<number>()
      .x((_, k) => x(k))
      .y((p) => y(p))([0, ...needle]) ?? '';
  /** Labels at the right end, pushed apart so that like cylinders stay readable. */
  const labels = $derived.by(() => {
    const list = rows
      .map((r) => ({ cylinder: r.cylinder, at: y(r.series.at(-1)!.at(-1)!) }))
      .sort((a, b) => a.at - b.at);
    const groups: { list: number[]; at: number }[] = [];
    for (const l of list) {
      const last = groups.at(-1);
      if (last && l.at - last.at < 15) last.list.push(l.cylinder);
      else groups.push({ list: [l.cylinder], at: l.at });
    }
    return groups.map((g) => ({ text: g.list.sort((a, b) => a - b).join(', '), at: g.at }));
  });
  const words = $derived(
    rows
      .map(
        (r) =>
          `cylinder ${r.cylinder}: ${r.series
            .at(-1)!
            .map((p) => Math.round(fromSI(p, unit) * 10) / 10)
            .join(', ')}`
      )
      .join('; ')
  );
</script>

<ChartFrame
  bind:measured
  width={W}
  height={H}
  left={44}
  right={92}
  label="Needle after each pull, {unit.symbol}: {words}"
  yTicks={ticks}
  xTicks={Array.from({ length: pulls }, (_, k) => ({ text: String(k + 1), at: x(k + 1) }))}
  xName="pulls"
  class="panel mt-2 p-2"
>
  <g font-family="var(--font-label)" font-size="14" fill="var(--color-base-content)">
    {#each labels as l (l.text)}<text x={W - 82} y={l.at + 5} font-weight="600">cyl {l.text}</text>{/each}
  </g>
  {#each rows as r (r.cylinder)}
    {@const colour = r.low ? 'var(--color-error)' : 'var(--color-primary)'}
    {@const model = modelOf(r.cylinder)}
    {#if model && model.length > 1}<path d={path(model)} fill="none" stroke={colour} stroke-width="1.6" />{/if}
    {#if !model}<path
        d={path(r.series.at(-1)!)}
        fill="none"
        stroke={colour}
        stroke-width="1"
        stroke-dasharray="3 4"
      />{/if}
    {#each r.series as s, n (n)}{#each s as p, k (k)}<circle
          cx={x(k + 1)}
          cy={y(p)}
          r="3.2"
          fill={colour}
          fill-opacity=".75"
        />{/each}{/each}
  {/each}
  {#snippet caption()}
    Dots: the needle after each pull. Lines: the fitted model. Slow building comes from the gauge’s volume; a steady
    leak makes the first pull a larger share. “Low and building: rings; low and staying: valve or gasket” is the trade’s
    rule, and weak evidence.
  {/snippet}
</ChartFrame>
