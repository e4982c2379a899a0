<script lang="ts">
  import { ZERO_CELSIUS } from '$core/units/factors.ts';
  import { breakdownVoltage } from '$core/physics/breakdown.ts';
  import { SEA_LEVEL_PRESSURE } from '$core/physics/atmosphere.ts';
  import type { VoltageRow } from '$core/stations/spark/voltage.ts';
  import { say, shownUnit, type System } from '$core/units/index.ts';
  import { scaleLinear } from 'd3-scale';
  import ChartFrame from '../drawing/ChartFrame.svelte';
  import { pressureTicks } from '../drawing/ticks.ts';
  import { line } from 'd3-shape';

  /** Voltage that hot compressed air asks of a plug, over compression, for a few gaps; each cylinder stands where it is. */
  let { rows, units, temperature }: { rows: readonly VoltageRow[]; units: System; temperature: number } = $props();
  let measured = $state(0);
  const W = $derived(measured > 120 ? measured : 520);
  const H = 250;
  const gaps = [0.6e-3, 0.8e-3, 1e-3, 1.2e-3];
  const most = $derived(Math.max(14e5, ...rows.map((r) => r.pressure * 1.15)));
  const top = $derived(Math.max(25_000, ...rows.flatMap((r) => [r.needed, Math.min(r.available, 45_000)])) * 1.08);
  const x = $derived(scaleLinear([0, most], [48, W - 74]));
  const y = $derived(scaleLinear([0, top], [H - 40, 12]));
  const unit = $derived(shownUnit('pressure', units));
  const ticks = $derived(pressureTicks(0, most, units, x, false, 6));
  const path = (gap: number): string =>
    line<number>()
      .x((p) => x(p))
      .y((p) => y(breakdownVoltage(p + SEA_LEVEL_PRESSURE, gap, temperature)))(
      Array.from({ length: 41 }, (_, k) => (most * k) / 40)
    ) ?? '';
  const words = $derived(
    rows
      .map(
        (r) =>
          `cylinder ${r.cylinder} needs ${(r.needed / 1000).toFixed(1)} kV, shown ${(r.available / 1000).toFixed(1)} kV`
      )
      .join('; ')
  );
</script>

<ChartFrame
  bind:measured
  width={W}
  height={H}
  left={48}
  right={74}
  foot={22}
  label="Voltage over compression for gaps of 0.6 to 1.2 mm: {words || 'no cylinder has all three readings yet'}"
  yTicks={y.ticks(5).map((t) => ({ text: String(t / 1000), at: y(t) }))}
  xTicks={ticks}
  xName="compression, {unit.symbol}"
>
  <g font-family="var(--font-label)" font-size="14" fill="var(--color-base-content)">
    <text x="4" y="10">kV</text>
    {#each gaps as g (g)}
      <path
        d={path(g)}
        fill="none"
        stroke="var(--color-primary)"
        stroke-width="1.5"
        stroke-opacity={g === 1e-3 ? 1 : 0.6}
      />
      <text x={W - 70} y={y(breakdownVoltage(most + SEA_LEVEL_PRESSURE, g, temperature)) + 4}
        >{say(g, 'length', units)}</text
      >
    {/each}
  </g>
  {#each rows as r (r.cylinder)}
    {@const colour =
      r.verdict === 'fires'
        ? 'var(--color-success)'
        : r.verdict === 'fails'
          ? 'var(--color-error)'
          : 'var(--color-warning)'}
    <path
      d="M{x(r.pressure - SEA_LEVEL_PRESSURE)} {y(r.needed)}V{y(Math.min(r.available, top))}"
      stroke={colour}
      stroke-width="2"
      stroke-dasharray="4 3"
    />
    <path
      d="M{x(r.pressure - SEA_LEVEL_PRESSURE) - 9} {y(Math.min(r.available, top))}h18"
      stroke={colour}
      stroke-width="2.5"
    />
    <circle
      cx={x(r.pressure - SEA_LEVEL_PRESSURE)}
      cy={y(r.needed)}
      r="9"
      fill="var(--color-base-100)"
      stroke={colour}
      stroke-width="2"
    />
    <text
      x={x(r.pressure - SEA_LEVEL_PRESSURE)}
      y={y(r.needed) + 5}
      text-anchor="middle"
      font-size="14"
      font-weight="600"
      font-family="var(--font-label)"
      fill="var(--color-base-content)">{r.cylinder}</text
    >
  {/each}
  {#snippet caption()}
    Circles: what each cylinder’s plug needs. Bars: what its open gap has shown. Between flat electrodes, gas at {Math.round(
      temperature - ZERO_CELSIUS
    )} °C; real plugs and testers are pointed and fire lower, both about alike.
  {/snippet}
</ChartFrame>
