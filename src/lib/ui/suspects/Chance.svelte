<script lang="ts">
  import type { Chance } from '$core/diagnosis/suspects.ts';

  /** How likely, as a lead line lying down: the more knots are wet, the likelier. The word always goes with it. */
  let { chance, artefact = false }: { chance: Chance; artefact?: boolean } = $props();
  const knots = { unlikely: 1, possible: 2, likely: 3 } as const;
</script>

<span class="inline-flex items-center gap-1.5 whitespace-nowrap">
  <svg width="40" height="14" viewBox="0 0 40 14" aria-hidden="true" class="shrink-0">
    <path d="M1 7H34" stroke="currentColor" stroke-width="1.2" />
    {#each [7, 17, 27] as x, k (x)}
      <circle
        cx={x}
        cy="7"
        r="3.6"
        fill={k < knots[chance] ? 'currentColor' : 'var(--color-base-200)'}
        stroke="currentColor"
        stroke-width="1.3"
      />
    {/each}
    <path d="M33 3.6 39 7 33 10.4z" fill="currentColor" />
  </svg>
  <span class="text-sm font-semibold">{artefact ? `${chance}, not a fault` : chance}</span>
</span>
