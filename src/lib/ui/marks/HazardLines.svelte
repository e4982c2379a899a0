<script lang="ts">
  import { hazardFooter, hazards, type HazardId } from '$core/hazards/hazards.ts';
  import TriangleAlert from '@lucide/svelte/icons/triangle-alert';

  let { ids, footer = true }: { ids: readonly HazardId[]; footer?: boolean } = $props();
</script>

{#if ids.length}
  <div class="border-l-4 border-hold py-1 pl-3">
    <ul class="space-y-1">
      {#each ids as id (id)}
        <li class="flex gap-2 text-sm leading-snug">
          <TriangleAlert size={16} class="mt-0.5 shrink-0 text-hold" aria-hidden="true" />
          <span><strong class="text-hold">{hazards[id].what}</strong> {hazards[id].act}</span>
        </li>
      {/each}
    </ul>
    {#if footer}<p class="mt-1 text-sm">{hazardFooter}</p>{/if}
  </div>
{/if}
