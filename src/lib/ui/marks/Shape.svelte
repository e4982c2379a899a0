<script lang="ts">
  import { conditions, type Condition } from '$core/findings/finding.ts';

  /** The shape of a condition; the word goes with it, visible or for a screen reader. */
  let { condition, size = 18, word = false }: { condition: Condition; size?: number; word?: boolean } = $props();

  const colours = {
    'not-looked-at': 'var(--color-base-content)',
    sound: 'var(--color-success)',
    watch: 'var(--color-warning)',
    fault: 'var(--color-error)',
    held: 'var(--color-hold)',
    'cannot-tell': 'var(--color-base-content)'
  } as const;
  const colour = $derived(colours[condition]);
</script>

<span class="inline-flex items-center gap-1.5 whitespace-nowrap">
  <svg width={size} height={size} viewBox="0 0 20 20" aria-hidden="true" class="shrink-0">
    {#if condition === 'sound'}
      <circle cx="10" cy="10" r="8" fill={colour} />
    {:else if condition === 'watch'}
      <circle cx="10" cy="10" r="7.2" fill="none" stroke={colour} stroke-width="1.8" />
      <path d="M10 2.8a7.2 7.2 0 0 0 0 14.4z" fill={colour} />
    {:else if condition === 'fault'}
      <path d="M10 .8 19.2 10 10 19.2.8 10z" fill={colour} />
    {:else if condition === 'held'}
      <circle cx="10" cy="10" r="7.4" fill="none" stroke={colour} stroke-width="2.4" />
      <path d="M3 10h14" stroke={colour} stroke-width="3" />
    {:else if condition === 'cannot-tell'}
      <circle
        cx="10"
        cy="10"
        r="7.4"
        fill="none"
        stroke={colour}
        stroke-width="2.4"
        stroke-dasharray="1.6 3.05"
        stroke-linecap="round"
      />
    {:else}
      <circle cx="10" cy="10" r="7.2" fill="none" stroke={colour} stroke-width="1.8" />
    {/if}
  </svg>
  <span class={word ? 'text-sm font-medium' : 'sr-only'} style={word ? `color:${colour}` : ''}
    >{conditions[condition]}</span
  >
</span>
