<script lang="ts">
  import type { StationId } from '$core/stations/items.ts';
  import Hourglass from '@lucide/svelte/icons/hourglass';

  /** Starts something that runs by itself. The form is fetched when it is opened, or a few seconds after the first page. */
  let { station }: { station: StationId | undefined } = $props();
  let open = $state(false);
</script>

<details bind:open class="relative">
  <summary class="tap cursor-pointer gap-1 px-2"><Hourglass size={18} aria-hidden="true" /> Start a wait</summary>
  {#if open}
    {#await import('./WaitForm.svelte') then { default: WaitForm }}<WaitForm
        {station}
        onbegun={() => (open = false)}
      />{/await}
  {/if}
</details>
