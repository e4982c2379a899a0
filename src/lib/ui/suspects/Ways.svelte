<script lang="ts">
  import type { Way } from '$core/decision/ways.ts';

  /** Troubles that have more than one way out, each way with its price and what it waits for. */
  let { ways }: { ways: readonly Way[] } = $props();
  const troubles = $derived([...new Set(ways.map((w) => w.trouble))]);
  const cr = (n: number): string => `${Math.round(n / 5) * 5}`;
</script>

<h3 class="mt-4">More than one way</h3>
{#each troubles as trouble (trouble)}
  <table class="mt-1 mb-3 w-full text-[0.95rem]">
    <caption class="text-left font-medium">{trouble}</caption>
    <thead class="sr-only"><tr><th>Way</th><th>Cost</th><th>Hands</th></tr></thead>
    <tbody>
      {#each ways.filter((w) => w.trouble === trouble) as w (w.id)}
        <tr class="border-t border-line align-top">
          <td class="py-1.5 pr-3">
            <span class="mr-1 font-semibold">{w.title}</span>
            {#if w.cheapest}<span class="text-sm">least on average</span>{/if}
            <span class="block leading-snug">{w.because}</span>
            {#if w.closed}<span class="block font-medium text-hold">{w.closed}</span>{/if}
          </td>
          <td class="py-1.5 pr-3 text-right whitespace-nowrap">
            <span class="sounding">{cr(w.cost.mean)}<span class="unit"> cr</span></span>
            <span class="block text-sm">{cr(w.cost.low)} to {cr(w.cost.high)}</span>
          </td>
          <td class="sounding py-1.5 text-right whitespace-nowrap"
            >{(w.minutes / 60).toFixed(1)}<span class="unit"> h</span></td
          >
        </tr>
      {/each}
    </tbody>
  </table>
{/each}
