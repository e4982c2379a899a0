<script lang="ts">
  import type { Shown } from '$core/units/index.ts';

  /** A reading set like a depth on a chart: large figure, decimals smaller and lower, unit small. */
  let { shown, size = '1.6rem' }: { shown: Shown; size?: string } = $props();
  const parts = $derived(shown.number.split('.'));
</script>

<span class="sounding" style:font-size={size}
  >{parts[0]}{#if parts[1] !== undefined}<span class="sr-only">.</span><span class="dec">{parts[1]}</span>{/if}<span
    class="unit">{shown.unit}</span
  ></span
>
