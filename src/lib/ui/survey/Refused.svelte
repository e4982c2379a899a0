<script lang="ts">
  import type { Hold } from '$core/holds/hold.ts';

  /** What forbids making a check, each hold with what lifts it and the way there. */
  let { holds, base }: { holds: readonly Hold[]; base: string } = $props();
</script>

{#if holds.length}
  <div class="mt-1 space-y-1.5 border-2 border-hold p-2" role="status">
    {#each holds as h, k (h.id)}
      <p>
        <strong class="font-semibold text-hold">{k ? '' : 'Refused: '}{h.title}.</strong>
        {h.because} It lifts when:
        {#each h.needs.filter((n) => !n.done) as n, i (n.text)}{i ? '; ' : ''}{#if n.station}<a
              class="plain-link"
              href="{base}/{n.station}">{n.text}</a
            >{:else}{n.text}{/if}{/each}.
      </p>
    {/each}
  </div>
{/if}
