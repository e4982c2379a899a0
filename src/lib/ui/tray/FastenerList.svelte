<script lang="ts">
  import { fastenerSaid, socketsOf, type Fastener } from '$core/tray/fasteners.ts';

  /** Fasteners as they were found on engines of this model: what to carry first, then each with where it was seen. */
  let { list }: { list: readonly Fastener[] } = $props();
  const sockets = $derived(socketsOf(list));
</script>

{#if list.length}
  <section aria-label="Fasteners of this model">
    <p class="label-caps">Sockets, as this model was found</p>
    {#if sockets.length}<p class="font-medium">{sockets.join('; ')}</p>{/if}
    <details>
      <summary class="plain-link min-h-6 cursor-pointer text-sm">each of them, {list.length}</summary>
      <ul class="mt-1 text-sm">
        {#each list as f (`${f.step}|${f.name}|${f.place}`)}<li class="border-t border-line py-1">
            {fastenerSaid(f)} <span class="whitespace-nowrap">({f.from})</span>
          </li>{/each}
      </ul>
    </details>
  </section>
{/if}
