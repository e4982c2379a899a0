<script lang="ts">
  import Thumb from '../marks/Thumb.svelte';
  import type { ItemId } from '$core/stations/items.ts';
  import Camera from '@lucide/svelte/icons/camera';
  import X from '@lucide/svelte/icons/x';
  import { useSession } from '../session/session.svelte.ts';

  /** Photographs of one place: those kept, those on their way, and the way to take one more. */
  let { what, label }: { what: ItemId; label: string } = $props();
  const session = useSession();
  const kept = $derived(session.record.all(what));
  const coming = $derived(session.photos.waiting.filter((w) => w.what === what));
  const message = $derived(session.photos.message?.what === what ? session.photos.message.text : '');

  function onchange(e: Event & { currentTarget: HTMLInputElement }): void {
    for (const file of e.currentTarget.files ?? []) void session.photos.take(what, file);
    e.currentTarget.value = '';
  }
</script>

<div class="flex flex-wrap items-center gap-2">
  {#each kept as r, k (r.id)}
    <span class="relative inline-block">
      <Thumb photo={String(r.value)} alt="{label}, photograph {k + 1}" />
      <button
        type="button"
        class="absolute -top-2 -right-2 inline-flex h-8 w-8 items-center justify-center rounded-full border border-line bg-base-100"
        aria-label="Take back photograph {k + 1} of {label}"
        onclick={() => session.correct(r, undefined)}><X size={15} aria-hidden="true" /></button
      >
    </span>
  {/each}
  {#each coming as w (w.id)}
    <span
      class="inline-flex h-[72px] w-[72px] items-center justify-center border border-dashed border-line text-center text-sm"
      >kept here, on its way</span
    >
  {/each}
  <label class="chip soft cursor-pointer">
    <Camera size={18} aria-hidden="true" />
    <span>Photograph</span>
    <input
      type="file"
      accept="image/jpeg,image/png,image/webp"
      capture="environment"
      multiple
      class="sr-only"
      aria-label="Photograph: {label}"
      {onchange}
    />
  </label>
</div>
{#if message}<p class="mt-1 font-medium text-error" role="alert">{message}</p>{/if}
