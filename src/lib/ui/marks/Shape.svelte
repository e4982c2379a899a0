<script lang="ts">
  import { conditions, type Condition } from '$core/findings/finding.ts';
  import { conditionColours } from './condition-colours.ts';
  import ShapeMark from './ShapeMark.svelte';

  /** The shape of a condition; the word goes with it, visible or for a screen reader. */
  let { condition, size = 18, word = false }: { condition: Condition; size?: number; word?: boolean } = $props();

  const colour = $derived(conditionColours[condition]);
</script>

<span class="inline-flex items-center gap-1.5 whitespace-nowrap">
  <svg width={size} height={size} viewBox="0 0 20 20" aria-hidden="true" class="shrink-0">
    <ShapeMark {condition} />
  </svg>
  <span class={word ? 'text-sm font-medium' : 'sr-only'} style={word ? `color:${colour}` : ''}
    >{conditions[condition]}</span
  >
</span>
