<script lang="ts">
  import type { Move } from '$core/moves/move.ts';
  import ArrowRight from '@lucide/svelte/icons/arrow-right';
  import { minutesOf, placeOf } from '../marks/move-place.ts';

  /** What to do now in one line, for a screen where the whole card has no room. */
  let { moves, base, here }: { moves: readonly Move[]; base: string; here: string } = $props();
  const first = $derived(moves.find((m) => !m.waits) ?? moves[0]);
  const place = $derived(first && placeOf(first, base));
</script>

{#if first}
  {#if place === here}
    <p class="border-l-4 py-1 pl-2 {first.class === 1 ? 'border-hold text-hold' : 'border-primary'}">
      <span class="label-caps">Now</span> <strong class="font-semibold">{first.title}</strong>
    </p>
  {:else}
    <a
      class="flex min-h-[44px] items-center justify-between gap-2 border-l-4 bg-base-200 py-1 pr-2 pl-2 {first.class ===
      1
        ? 'border-hold'
        : 'border-primary'}"
      href={place}
      ><span
        ><span class="label-caps">Now</span>
        <strong class="font-semibold">{first.title}</strong>{#if minutesOf(first)}&nbsp;· {minutesOf(first)}{/if}</span
      >
      <ArrowRight size={18} class="shrink-0" aria-hidden="true" /></a
    >
  {/if}
{/if}
