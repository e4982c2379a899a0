<script lang="ts">
  import type { Move } from '$core/moves/move.ts';
  import ArrowRight from '@lucide/svelte/icons/arrow-right';
  import { minutesOf, placeOf } from '../marks/move-place.ts';

  /** What to do now, why, and what comes after it. `here` is the address of the page it stands on. */
  let { moves, base, here }: { moves: readonly Move[]; base: string; here?: string } = $props();
  const first = $derived(moves.find((m) => !m.waits) ?? moves[0]);
  const then = $derived(moves.filter((m) => m !== first && !m.waits).slice(0, 2));
  /** The work that is known and waits for its part. */
  const waiting = $derived(moves.find((m) => m !== first && m.parts));
  const danger = $derived(first?.class === 1);
  const place = $derived(first && placeOf(first, base));
</script>

<section
  aria-labelledby="now-title"
  class="border-t-4 bg-base-100 p-3 {danger ? 'border-hold' : 'border-primary'}"
  aria-live={danger ? 'assertive' : undefined}
>
  <h2 id="now-title" class="label-caps">Now</h2>
  {#if first}
    {#if place === here}
      <p class="text-lg leading-snug font-semibold {danger ? 'text-hold' : ''}">
        {first.title}{#if minutesOf(first)}&nbsp;· {minutesOf(first)}{/if}
      </p>
      <p class="text-sm">It is on this page. {first.because}</p>
    {:else}
      <a class="btn btn-primary mt-1 h-auto min-h-11 w-full justify-between py-2 text-left" href={place}
        ><span
          >{first.title}{#if minutesOf(first)}&nbsp;· {minutesOf(first)}{/if}</span
        >
        <ArrowRight size={18} class="shrink-0" aria-hidden="true" /></a
      >
      <p class="mt-1 text-sm">{first.because}</p>
    {/if}
    {#if first.waits}<p class="text-sm font-medium">{first.waits}</p>{/if}
    {#if then.length}
      <p class="label-caps mt-2">Then</p>
      <ul class="text-sm">
        {#each then as m (m.id)}<li>
            <a class="plain-link tap" href={placeOf(m, base)}
              >{m.title}{#if minutesOf(m)}&nbsp;· {minutesOf(m)}{/if}</a
            >
          </li>{/each}
      </ul>
    {/if}
    {#if waiting}
      <p class="label-caps mt-2">Cannot be begun yet</p>
      <p class="text-sm">
        <a class="plain-link tap" href={placeOf(waiting, base)}>{waiting.title}</a>
        {waiting.waits}
      </p>
    {/if}
  {:else}
    <p>Weighing what was recorded…</p>
  {/if}
</section>
