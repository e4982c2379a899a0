<script lang="ts">
  import type { Depths } from '$core/stations/turn/depths.ts';
  import { sayLimit } from '$core/findings/limit.ts';
  import { say, type System } from '$core/units/index.ts';
  import { scaleLinear } from 'd3-scale';

  /** Pistons at top side by side, each drawn as deep as it was read, with the line that the shallowest allows, or a straight rod where its depth is known. */
  let { depths, cylinders, units }: { depths: Depths; cylinders: number; units: System } = $props();
  let measured = $state(0);
  const W = $derived(measured > 120 ? measured : 520);
  const H = 168;
  const least = $derived(depths.right ?? Math.min(...depths.rows.map((r) => r.depth)));
  const most = $derived(Math.max(...depths.rows.map((r) => r.depth + 2 * r.u), least + 3 * depths.limit.value));
  const y = $derived(scaleLinear([least - depths.limit.value, most], [46, 122]));
  const pitch = $derived((W - 20) / cylinders);
  const width = $derived(Math.min(76, pitch * 0.66));
  const words = $derived(
    depths.rows
      .map(
        (r) =>
          `cylinder ${r.cylinder} ${say(r.depth, 'length', units)}${depths.low.includes(r.cylinder) ? ', stands low' : ''}`
      )
      .join('; ')
  );
</script>

{#if depths.rows.length}
  <div bind:clientWidth={measured}>
    <svg
      viewBox="0 0 {W} {H}"
      class="w-full"
      style:height="{H}px"
      role="img"
      aria-label="Piston depths at top: {words}"
    >
      {#each Array.from({ length: cylinders }, (_, k) => k + 1) as c, k (c)}
        {@const row = depths.rows.find((r) => r.cylinder === c)}
        {@const x = 10 + pitch * (k + 0.5)}
        {@const low = depths.low.includes(c)}
        <g stroke="var(--color-base-content)" fill="none" stroke-width="1.5">
          <path
            d="M{x - width / 2} 22V138M{x + width / 2} 22V138M{x - width / 2} 22H{x - 7}M{x + width / 2} 22H{x + 7}"
          />
          {#if row}
            <rect
              x={x - width / 2 + 3}
              y={y(row.depth)}
              width={width - 6}
              height={140 - y(row.depth)}
              fill={low ? 'var(--color-error)' : 'var(--color-primary)'}
              fill-opacity=".28"
              stroke={low ? 'var(--color-error)' : 'var(--color-primary)'}
              stroke-width="2"
            />
            <path d="M{x} 12V{y(row.depth) - 2}" stroke-dasharray="3 3" />
            <path d="M{x - 9} {y(row.depth - 2 * row.u)}h18M{x - 9} {y(row.depth + 2 * row.u)}h18" stroke-width="1" />
          {/if}
        </g>
        <text
          {x}
          y="158"
          text-anchor="middle"
          font-size="15"
          font-family="var(--font-label)"
          font-weight={low ? 600 : 400}
          fill="var(--color-base-content)">{row ? say(row.depth, 'length', units) : `${c}: not taken`}</text
        >
      {/each}
      {#if !depths.alone && (depths.right !== undefined || depths.rows.length > 1)}
        <path
          d="M6 {y(least + depths.limit.value)}H{W - 6}"
          stroke="var(--color-warning)"
          stroke-width="2"
          stroke-dasharray="8 5"
        />
      {/if}
    </svg>
    <p class="pb-2 text-sm">
      {#if depths.alone}One piston: nothing to lay it beside but the depth that a straight rod gives.
      {:else}Dashed: {depths.right === undefined
          ? 'the shallowest piston'
          : `a straight rod, ${say(depths.right, 'length', units)},`}
        plus {sayLimit(depths.limit, units)}.{/if} Small bars: what the repeats can tell, two deviations.
    </p>
  </div>
{/if}
