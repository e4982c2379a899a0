<script lang="ts">
  import type { Chance } from '$core/diagnosis/suspects.ts';

  /** How likely, as a lead line: the more knots are under water, the likelier. The word always goes with it. */
  let { chance, artefact = false }: { chance: Chance; artefact?: boolean } = $props();
  const knots = { unlikely: 1, possible: 2, likely: 3 } as const;
</script>

<span class="inline-flex items-center gap-1.5 whitespace-nowrap">
  <svg width="14" height="22" viewBox="0 0 14 22" aria-hidden="true" class="shrink-0">
    <path d="M7 1V18" stroke="currentColor" stroke-width="1.4" />
    {#each [4, 9, 14] as y, k (y)}
      <circle
        cx="7"
        cy={y}
        r="2.9"
        fill={k < knots[chance] ? 'currentColor' : 'var(--color-base-200)'}
        stroke="currentColor"
        stroke-width="1.3"
      />
    {/each}
    <path d="M4.2 17.5h5.6L8.4 21H5.6z" fill="currentColor" />
  </svg>
  <span class="text-sm font-semibold">{artefact ? `${chance}, not a fault` : chance}</span>
</span>
