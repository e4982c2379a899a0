<script lang="ts">
  import { page } from '$app/state';
  import CloudOff from '@lucide/svelte/icons/cloud-off';
  import { onMount } from 'svelte';
  import { Unsent } from './unsent.svelte.ts';

  /** What this browser still has to send, on every page; and that there is no connection. */
  let { who }: { who: string } = $props();
  const unsent = new Unsent();
  let online = $state(true);
  const said = $derived(
    [
      unsent.entries ? `${unsent.entries} ${unsent.entries === 1 ? 'entry' : 'entries'}` : '',
      unsent.photos ? `${unsent.photos} ${unsent.photos === 1 ? 'photograph' : 'photographs'}` : ''
    ]
      .filter(Boolean)
      .join(' and ')
  );
  /** The engine whose pages are open sends its own. */
  const open = $derived(page.url.pathname.startsWith('/surveys/') ? page.params.id : undefined);

  onMount(() => {
    online = navigator.onLine;
    const again = (): void => {
      online = navigator.onLine;
      void unsent.send(open, who);
    };
    again();
    const tick = setInterval(() => {
      void unsent.count();
      if (document.visibilityState === 'visible' && (unsent.entries || unsent.photos)) void unsent.send(open, who);
    }, 4000);
    window.addEventListener('online', again);
    window.addEventListener('offline', again);
    return () => {
      clearInterval(tick);
      window.removeEventListener('online', again);
      window.removeEventListener('offline', again);
    };
  });
</script>

{#if said || !online || unsent.refused.length || unsent.aside}
  <div
    class="no-print flex flex-wrap items-center gap-x-3 bg-base-200 px-3 py-1 text-sm"
    aria-label="Not sent yet"
    role="region"
  >
    <CloudOff size={18} aria-hidden="true" />
    {#if !online}<span class="font-semibold">No connection: what you see is the last copy.</span>{/if}
    {#if said}<span>Not sent yet, kept in this browser: {said}.</span>
      {#if online}<button
          type="button"
          class="btn btn-sm btn-outline btn-primary"
          onclick={() => void unsent.send(open, who)}>Send now</button
        >{/if}{/if}
    {#if unsent.aside}<a class="plain-link tap" href="/settings/not-taken"
        >{unsent.aside === 1 ? 'One entry was' : `${unsent.aside} entries were`} not taken: see why</a
      >{/if}
    {#each unsent.refused as r, k (k)}<span class="font-medium text-error" role="alert">{r}</span>{/each}
  </div>
{/if}
