<script lang="ts">
  import type { Weight } from '$core/diagnosis/suspects.ts';

  /** Readings for and against, as weights on either side of a line; the words say the same. */
  let { evidence, base }: { evidence: readonly Weight[]; base: string } = $props();
  const most = $derived(Math.max(2.3, ...evidence.map((w) => Math.abs(w.weight))));
  const share = (w: Weight): number => (50 * Math.abs(w.weight)) / most;
</script>

<ul class="space-y-1">
  {#each evidence as w (w.sign)}
    <li class="grid grid-cols-[minmax(5rem,9rem)_1fr] items-center gap-x-3">
      <svg viewBox="0 0 100 14" preserveAspectRatio="none" class="h-3.5 w-full" aria-hidden="true">
        <path d="M50 0V14" stroke="currentColor" vector-effect="non-scaling-stroke" />
        {#if w.weight > 0}<rect x="50" y="2" width={share(w)} height="10" fill="var(--color-primary)" />
        {:else}<rect
            x={50 - share(w)}
            y="2"
            width={share(w)}
            height="10"
            fill="var(--color-base-100)"
            stroke="currentColor"
            vector-effect="non-scaling-stroke"
          />{/if}
      </svg>
      <span class="text-[0.95rem] leading-snug"
        ><span class="text-sm font-semibold">{w.weight > 0 ? 'for' : 'against'}, {w.strength}:</span>
        <a class="hover:underline" href="{base}/{w.station}">{w.says}</a></span
      >
    </li>
  {/each}
</ul>
