<script lang="ts">
  import type { Snippet } from 'svelte';

  /** A figure as wide as its place: grid with the left figures, bottom figures, axis names; what is drawn on it is its children. */
  interface Props {
    /** Width of the place, once it is known. */
    measured: number;
    /** Width of the drawing, from which its scales are made. */
    width: number;
    height: number;
    /** Where the plot begins and ends, from the left and from the right edge. */
    left: number;
    right: number;
    /** The same picture in words. */
    label: string;
    yTicks: readonly { readonly text: string; readonly at: number }[];
    xTicks: readonly { readonly text: string; readonly at: number }[];
    xName: string;
    /** Room between the bottom figures and the lower edge. */
    foot?: number;
    class?: string;
    children: Snippet;
    caption: Snippet;
  }
  let {
    measured = $bindable(),
    width,
    height,
    left,
    right,
    label,
    yTicks,
    xTicks,
    xName,
    foot = 14,
    class: cls = '',
    children,
    caption
  }: Props = $props();
</script>

<figure bind:clientWidth={measured} class={cls}>
  <svg viewBox="0 0 {width} {height}" class="w-full" style:height="{height}px" role="img" aria-label={label}>
    <g font-family="var(--font-label)" font-size="14" fill="var(--color-base-content)">
      {#each yTicks as t (t.text)}
        <path d="M{left} {t.at}H{width - right}" stroke="var(--color-line)" />
        <text x={left - 6} y={t.at + 4} text-anchor="end">{t.text}</text>
      {/each}
      {#each xTicks as t (t.text)}<text x={t.at} y={height - foot} text-anchor="middle">{t.text}</text>{/each}
      <text x={left} y={height - Math.max(1, foot - 14)}>{xName}</text>
    </g>
    {@render children()}
  </svg>
  <figcaption class="text-sm">{@render caption()}</figcaption>
</figure>
