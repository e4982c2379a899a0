<script lang="ts">
  import { scaleBand, scaleLinear } from 'd3-scale';

  /** Hours of each month as bars, each with its figure; a month without any is only its letter. */
  let { hours }: { hours: readonly number[] } = $props();
  const W = 460;
  const H = 120;
  const months = ['J', 'F', 'M', 'A', 'M', 'J', 'J', 'A', 'S', 'O', 'N', 'D'];
  const x = scaleBand<number>([...months.keys()], [4, W - 4]).padding(0.25);
  const y = $derived(scaleLinear([0, Math.max(...hours, 1)], [H - 20, 18]));
  const shown = (h: number): string => String(Math.round(h * 10) / 10);
  const says = $derived(
    hours.flatMap((h, k) => (h ? [`${shown(h)} h in month ${k + 1}`] : [])).join(', ') || 'no hours'
  );
</script>

<svg viewBox="0 0 {W} {H}" class="mt-2 w-full max-w-xl" role="img" aria-label="Hours by month: {says}">
  <line x1="0" x2={W} y1={H - 19} y2={H - 19} class="stroke-line" />
  {#each hours as h, k (k)}
    {@const left = x(k) ?? 0}
    {#if h}
      <rect x={left} y={y(h)} width={x.bandwidth()} height={H - 20 - y(h)} class="fill-primary" />
      <text x={left + x.bandwidth() / 2} y={y(h) - 4} text-anchor="middle" class="fill-current" font-size="12"
        >{shown(h)}</text
      >
    {/if}
    <text x={left + x.bandwidth() / 2} y={H - 5} text-anchor="middle" class="fill-current" font-size="12"
      >{months[k]}</text
    >
  {/each}
</svg>
