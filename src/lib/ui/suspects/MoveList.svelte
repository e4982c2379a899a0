<script lang="ts">
  import { moveClasses, type Move } from '$core/moves/move.ts';
  import ArrowRight from '@lucide/svelte/icons/arrow-right';
  import { minutesOf, placeOf } from '../marks/move-place.ts';

  /** What to do now, in order, each with why it comes there; what waits for something stands apart. */
  let { moves, base }: { moves: readonly Move[]; base: string } = $props();
  let all = $state(false);
  const ready = $derived(moves.filter((m) => !m.waits));
  const forParts = $derived(moves.filter((m) => m.parts));
  const waiting = $derived(moves.filter((m) => m.waits && !m.parts));
  const shown = $derived(all ? ready : ready.slice(0, 4));
</script>

<ol class="space-y-0">
  {#each shown as m, k (m.id)}
    <li class="border-t border-line py-2 first:border-t-0">
      <p class="label-caps {m.class === 1 ? 'text-hold' : ''}">{moveClasses[m.class]}</p>
      <div class="flex items-center justify-between gap-3">
        <a
          class="{k === 0
            ? 'btn btn-primary h-auto min-w-0 flex-1 justify-between py-1 text-left'
            : 'plain-link tap'} font-medium"
          href={placeOf(m, base)}
          ><span>{m.title}</span>{#if k === 0}
            <ArrowRight size={18} class="shrink-0" aria-hidden="true" />{/if}</a
        >
        {#if minutesOf(m)}<span class="sounding text-lg whitespace-nowrap"
            >{minutesOf(m).split(' ')[0]}<span class="unit"> {minutesOf(m).split(' ')[1]}</span></span
          >{/if}
      </div>
      <p class="line-clamp-3 text-[0.95rem] leading-snug">{m.because}</p>
    </li>
  {:else}
    <li class="py-2">Nothing is left to do here.</li>
  {/each}
</ol>
{#if ready.length > 4}<button type="button" class="plain-link tap text-sm" onclick={() => (all = !all)}
    >{all ? 'Only the first four' : `${ready.length - 4} more`}</button
  >{/if}
{#each forParts as m (m.id)}
  <p class="border-t border-line py-2 text-[0.95rem]">
    <a class="plain-link tap font-medium" href={placeOf(m, base)}>{m.title}</a>
    <span class="block">{m.waits}</span>
  </p>
{/each}
{#if waiting.length}
  <details class="mt-1">
    <summary class="plain-link tap cursor-pointer text-sm"
      >{waiting.length} {waiting.length === 1 ? 'waits' : 'wait'} for something else</summary
    >
    <ul>
      {#each waiting.slice(0, 6) as m (m.id)}<li class="border-t border-line py-1 text-sm">
          <a class="plain-link" href={placeOf(m, base)}>{m.title}</a>: {m.waits}
        </li>{/each}
    </ul>
  </details>
{/if}
