<script lang="ts">
  import { hazardFooter, hazards, type HazardId } from '$core/hazards/hazards.ts';
  import TriangleAlert from '@lucide/svelte/icons/triangle-alert';

  /** The cautions of an act. `brief`: one line each, before the field they belong to, with the whole text one tap away. */
  interface Props {
    ids: readonly HazardId[];
    footer?: boolean;
    brief?: boolean;
    /** Told apart where a page has several. */
    label?: string;
  }
  let { ids, footer = true, brief = false, label = 'Hazards of this act' }: Props = $props();
  const each = $derived([...new Set(ids)]);
</script>

{#snippet full()}
  <ul class="space-y-1">
    {#each each as id (id)}
      <li class="flex gap-2 text-sm leading-snug">
        <TriangleAlert size={16} class="mt-0.5 shrink-0 text-hold" aria-hidden="true" />
        <span><strong class="text-hold">{hazards[id].what}</strong> {hazards[id].act}</span>
      </li>
    {/each}
  </ul>
  {#if footer}<p class="mt-1 text-sm">{hazardFooter}</p>{/if}
{/snippet}

{#if each.length}
  <section class="border-l-4 border-hold pl-3" aria-label={label}>
    {#if brief}
      <ul class="grid gap-x-4 sm:grid-cols-2">
        {#each each as id (id)}
          <li class="flex min-w-0 items-center gap-1.5 font-label text-sm font-semibold text-hold">
            <TriangleAlert size={15} class="shrink-0" aria-hidden="true" /><span class="min-w-0"
              >{hazards[id].line}</span
            >
          </li>
        {/each}
      </ul>
      <details>
        <summary class="plain-link min-h-6 cursor-pointer text-sm">in full</summary>
        {@render full()}
      </details>
    {:else}<div class="py-1">{@render full()}</div>{/if}
  </section>
{/if}
