<script lang="ts">
  import { PSI } from '$core/units/factors.ts';
  import type { WithoutAdapter } from '$core/physics/adapter.ts';
  import type { Comparison } from '$core/stations/compression/compare.ts';
  import { sayLimit } from '$core/findings/limit.ts';
  import { say, show, type System } from '$core/units/index.ts';
  import { pressureTicks } from '../drawing/ticks.ts';

  /** Cylinders side by side with what each reading can tell, the best one's limit drawn across. */
  let {
    comparison,
    without,
    expected,
    cylinders,
    units
  }: {
    comparison: Comparison | undefined;
    cylinders: readonly number[];
    units: System;
    without?: WithoutAdapter | undefined;
    /** What an engine of this size should give, Pa gauge. */
    expected?: { readonly low: number; readonly high: number } | undefined;
  } = $props();
  /** Drawn to the width there is, so that its lettering stays readable on a phone. */
  let measured = $state(0);
  const W = $derived(measured > 120 ? measured - 16 : 560);
  const H = 176;
  const base = H - 26;
  const top = $derived(
    Math.max(
      6.9e5,
      (expected?.low ?? 0) * 1.25,
      ...(comparison?.rows.map((r) => r.mean + 3 * r.u) ?? []),
      without?.high ?? 0
    ) * 1.08
  );
  /** Straight from nothing at the base: d3-scale would bring colours and formats to every check sheet. */
  const y = $derived((pa: number): number => base + ((12 - base) * pa) / top);
  const ticks = $derived(pressureTicks(0, top, units, y));
  const best = $derived(comparison ? Math.max(...comparison.rows.map((r) => r.mean)) : 0);
  const limit = $derived(comparison?.spread ? best * (1 - comparison.limit.value) : undefined);
  const pitch = $derived((W - 60) / cylinders.length);
  const width = $derived(Math.min(58, pitch * 0.6));
  const resolution = $derived(comparison?.instrument.resolution ?? PSI);
  const words = $derived(
    comparison
      ? `${comparison.rows.map((r) => `cylinder ${r.cylinder} ${say(r.mean, 'pressure', units, resolution)}, give or take ${say(2 * r.u, 'pressure', units, resolution)}`).join('; ')}${limit ? `; limit ${say(limit, 'pressure', units, resolution)}` : ''}${without ? `; without the adapter about ${say(without.best, 'pressure', units, resolution)}` : ''}`
      : 'no readings yet'
  );
</script>

<figure class="panel p-2" bind:clientWidth={measured}>
  <svg viewBox="0 0 {W} {H}" class="w-full" style:height="{H}px" role="img" aria-label="Compression: {words}">
    {#if expected}
      <rect
        x="44"
        y={Math.max(12, y(expected.high))}
        width={W - 50}
        height={Math.max(0, y(expected.low) - Math.max(12, y(expected.high)))}
        fill="var(--color-success)"
        fill-opacity=".1"
      />
      <path d="M44 {y(expected.low)}H{W - 6}" stroke="var(--color-success)" stroke-width="1.2" stroke-dasharray="2 4" />
    {/if}
    <g stroke="var(--color-line)">
      {#each ticks as t (t.text)}
        <path d="M44 {t.at}H{W - 6}" />
        <text x="40" y={t.at + 4} text-anchor="end" font-size="14" stroke="none" fill="var(--color-base-content)"
          >{t.text}</text
        >
      {/each}
    </g>
    {#each cylinders as c, k (c)}
      {@const row = comparison?.rows.find((r) => r.cylinder === c)}
      {@const x = 50 + pitch * (k + 0.5)}
      {#if row}
        <rect
          x={x - width / 2}
          y={y(row.mean)}
          {width}
          height={base - y(row.mean)}
          fill={row.low ? 'var(--color-error)' : 'var(--color-primary)'}
          fill-opacity=".3"
          stroke={row.low ? 'var(--color-error)' : 'var(--color-primary)'}
          stroke-width="1.6"
        />
        <g stroke="var(--color-base-content)" stroke-width="1.6">
          <path
            d="M{x} {y(row.mean + 2 * row.u)}V{y(Math.max(0, row.mean - 2 * row.u))}M{x - 7} {y(
              row.mean + 2 * row.u
            )}h14M{x - 7} {y(Math.max(0, row.mean - 2 * row.u))}h14"
          />
        </g>
        {#each row.readings as p, n (n)}<circle
            cx={x + width / 2 - 8}
            cy={y(p)}
            r="3"
            fill="var(--color-base-content)"
          />{/each}
        <text
          x={width < 44 ? x : x - 10}
          y={base - 8}
          text-anchor="middle"
          font-size="17"
          font-weight="600"
          font-family="var(--font-label)"
          fill="var(--color-base-content)">{show(row.mean, 'pressure', units, resolution).number}</text
        >
      {:else}
        <rect
          x={x - width / 2}
          y={base - 40}
          {width}
          height="40"
          fill="none"
          stroke="var(--color-base-content)"
          stroke-opacity=".5"
          stroke-dasharray="4 4"
        />
      {/if}
      <text
        {x}
        y={H - 7}
        text-anchor="middle"
        font-size="15"
        fill="var(--color-base-content)"
        font-family="var(--font-label)">{pitch < 60 ? c : `cyl ${c}`}</text
      >
    {/each}
    {#if without && comparison?.rows.length === 1}
      {@const x = 50 + pitch * (cylinders.indexOf(comparison.rows[0]?.cylinder ?? 1) + 0.5) + width * 0.5 + 30}
      <g stroke="var(--color-base-content)" fill="none" stroke-width="1.6">
        <rect {x} y={y(without.best)} {width} height={base - y(without.best)} stroke-dasharray="5 4" />
        <path
          d="M{x + width / 2} {y(without.high)}V{y(without.low)}M{x + width / 2 - 7} {y(without.high)}h14M{x +
            width / 2 -
            7} {y(without.low)}h14"
        />
      </g>
      <g font-family="var(--font-label)" fill="var(--color-base-content)" text-anchor="middle">
        <text x={x + width / 2} y={base - 8} font-size="17" font-weight="600"
          >{show(without.best, 'pressure', units, resolution).number}</text
        >
        <text x={x + width / 2} y={H - 7} font-size="15">no adapter</text>
      </g>
    {/if}
    {#if limit}
      <path d="M46 {y(limit)}H{W - 6}" stroke="var(--color-warning)" stroke-width="2" stroke-dasharray="8 5" />
    {/if}
  </svg>
  <figcaption class="text-sm">
    Whiskers: what the readings can tell, two deviations. Dots: each reading.
    {#if limit && comparison}Dashed: {sayLimit(comparison.limit, units)} under the best, {say(
        limit,
        'pressure',
        units,
        resolution
      )}.{/if}
    {#if expected}Shaded: expected of this engine, from {say(expected.low, 'pressure', units, resolution)}.{/if}
  </figcaption>
</figure>
