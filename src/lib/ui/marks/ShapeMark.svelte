<script lang="ts">
  import type { Condition } from '$core/findings/finding.ts';
  import { conditionColours } from './condition-colours.ts';

  /** The shape of a condition inside a drawing, 20 by 20 units. */
  let { condition, ground = 'none' }: { condition: Condition; /** Paper under the open shapes. */ ground?: string } =
    $props();
  const colour = $derived(conditionColours[condition]);
</script>

{#if condition === 'sound'}
  <circle cx="10" cy="10" r="8" fill={colour} />
{:else if condition === 'watch'}
  <circle cx="10" cy="10" r="7.2" fill={ground} stroke={colour} stroke-width="1.8" />
  <path d="M10 2.8a7.2 7.2 0 0 0 0 14.4z" fill={colour} />
{:else if condition === 'fault'}
  <path d="M10 .8 19.2 10 10 19.2.8 10z" fill={colour} />
{:else if condition === 'held'}
  <circle cx="10" cy="10" r="7.4" fill={ground} stroke={colour} stroke-width="2.4" />
  <path d="M3 10h14" stroke={colour} stroke-width="3" />
{:else if condition === 'cannot-tell'}
  <circle
    cx="10"
    cy="10"
    r="7.4"
    fill={ground}
    stroke={colour}
    stroke-width="2.4"
    stroke-dasharray="1.6 3.05"
    stroke-linecap="round"
  />
{:else}
  <circle cx="10" cy="10" r="7.2" fill={ground} stroke={colour} stroke-width="1.8" />
{/if}
