<script lang="ts">
  import { onMount } from 'svelte';
  import type { StripProps } from './strip-props.ts';
  import { instrumentsWanted } from './wanted.svelte.ts';

  /** The switch of the instruments; what listens to them, and shows them, is fetched when it is on. */
  let props: StripProps = $props();
  onMount(() => instrumentsWanted.restore());
</script>

<section class="panel my-3 p-2" aria-label="Instruments">
  <label class="flex min-h-11 cursor-pointer items-center gap-3 font-semibold"
    ><input type="checkbox" class="toggle" bind:checked={instrumentsWanted.on} />Instruments enter their own readings</label
  >
  {#if instrumentsWanted.on}
    {#await import('./StripLive.svelte')}
      <p class="text-sm" role="status">connecting</p>
    {:then { default: StripLive }}
      <StripLive {...props} />
    {:catch}
      <p class="text-sm" role="alert">What listens to instruments could not be fetched. Switch it off and on again.</p>
    {/await}
  {/if}
</section>
