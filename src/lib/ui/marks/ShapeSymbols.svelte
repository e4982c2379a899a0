<script lang="ts">
  import { conditions, type Condition } from '$core/findings/finding.ts';
  import ShapeMark from './ShapeMark.svelte';

  /** The shapes drawn once, for a page that shows hundreds: `<use href="#shape-sound">`. */
  const all = Object.keys(conditions) as Condition[];
</script>

<svg width="0" height="0" class="absolute" aria-hidden="true">
  {#each all as condition (condition)}<symbol id="shape-{condition}" viewBox="0 0 20 20"
      ><ShapeMark {condition} /></symbol
    >{/each}
</svg>
