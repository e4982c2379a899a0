<script lang="ts">
  import type { StageTest } from '$core/stations/gear/case-test.ts';
  import { fromSI, shownUnit, type System } from '$core/units/index.ts';
  import { scaleLinear } from 'd3-scale';
  import ChartFrame from '../drawing/ChartFrame.svelte';
  import { pressureTicks } from '../drawing/ticks.ts';

  /** Pressure over time with the rounding band of every reading, and the slowest and fastest fall that pass through all. */
  let { test, units }: { test: StageTest; units: System } = $props();
  let measured = $state(0);
  const W = $derived(measured > 120 ? measured : 520);
  const H = 190;
  const p = (r: { pressure: number }): number => Math.abs(r.pressure);
  const span = $derived(Math.max(5, test.minutes * 1.15));
  const high = $derived(Math.max(...test.readings.map(p)) + 2 * test.step);
  const low = $derived(Math.max(0, Math.min(...test.readings.map(p)) - 3 * test.step));
  const x = $derived(scaleLinear([0, span], [48, W - 12]));
  const y = $derived(scaleLinear([low, high], [H - 32, 10]));
  const unit = $derived(shownUnit(test.stage === 'vacuum' ? 'vacuum' : 'pressure', units));
  const ticks = $derived(pressureTicks(low, high, units, y, test.stage === 'vacuum'));
  const from = $derived(p(test.readings[0]!));
  const words = $derived(
    test.readings.map((r) => `${r.minutes.toFixed(0)} min ${fromSI(p(r), unit).toFixed(1)} ${unit.symbol}`).join('; ')
  );
</script>

<ChartFrame
  bind:measured
  width={W}
  height={H}
  left={48}
  right={12}
  label="Case pressure over time: {words}"
  yTicks={ticks}
  xTicks={x.ticks(6).map((m) => ({ text: String(m), at: x(m) }))}
  xName="minutes"
>
  {#if test.rate?.consistent}
    <path
      d="M{x(0)} {y(from + test.step / 2)}L{x(span)} {y(from + test.step / 2 - test.rate.low * span)}L{x(span)} {y(
        from - test.step / 2 - test.rate.high * span
      )}L{x(0)} {y(from - test.step / 2)}Z"
      fill="var(--color-primary)"
      fill-opacity=".14"
      stroke="var(--color-primary)"
      stroke-dasharray="5 4"
    />
  {/if}
  {#each test.readings as r (r.at)}
    <path
      d="M{x(r.minutes)} {y(p(r) + test.step / 2)}V{y(p(r) - test.step / 2)}M{x(r.minutes) - 6} {y(
        p(r) + test.step / 2
      )}h12M{x(r.minutes) - 6} {y(p(r) - test.step / 2)}h12"
      stroke="var(--color-base-content)"
      stroke-width="1.5"
    />
    <circle cx={x(r.minutes)} cy={y(p(r))} r="4" fill="var(--color-primary)" />
  {/each}
  {#snippet caption()}
    Bars: what a gauge with this division may have rounded away. Shaded: every steady fall that passes through all of
    them.
  {/snippet}
</ChartFrame>
