<script lang="ts">
  import { clock as serverClock } from '$lib/ui/session/clock.ts';
  import { runningWaits, sayWait } from '$core/record/wait.ts';
  import Hourglass from '@lucide/svelte/icons/hourglass';
  import { onMount } from 'svelte';
  import { useSession } from '../session/session.svelte.ts';

  /** What runs by itself at this engine, counted by the clock on the wall; silent, and there again after a reload. */
  const session = useSession();
  let now = $state.raw(session.now);
  const running = $derived(runningWaits(session.survey.waits));

  onMount(() => {
    now = serverClock.date();
    const tick = setInterval(() => (now = serverClock.date()), 1000);
    return () => clearInterval(tick);
  });
</script>

{#if running.length}
  <section class="no-print mb-2 flex flex-wrap items-center gap-2" aria-label="Running waits">
    {#each running as r (r.wait.id)}
      {@const { wait, until } = r}
      {@const over = until <= now}
      <span
        class="inline-flex min-h-11 items-center gap-2 border border-line bg-base-200 pl-3 {over
          ? 'font-semibold'
          : ''}"
      >
        <Hourglass size={16} aria-hidden="true" />
        <span>{wait.label}</span>
        <span class="sounding" role="timer" aria-label="{wait.label}: {sayWait(r, now)}">{sayWait(r, now)}</span>
        <button
          type="button"
          class="tap border-l border-line px-3"
          aria-label="{over ? 'Done' : 'End it'}: {wait.label}"
          onclick={() => session.endWait(wait)}>{over ? 'Done' : 'End it'}</button
        >
      </span>
    {/each}
  </section>
{/if}
