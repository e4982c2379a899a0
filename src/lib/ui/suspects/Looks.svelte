<script lang="ts">
  import type { RankedCheck } from '$core/diagnosis/ranking.ts';
  import ArrowRight from '@lucide/svelte/icons/arrow-right';

  /** Open checks, the one that gains most for its minutes first. */
  let { checks, base }: { checks: readonly RankedCheck[]; base: string } = $props();
  let all = $state(false);
  const ready = $derived(checks.filter((c) => c.worthIt && !c.waits));
  const waiting = $derived(checks.filter((c) => c.worthIt && c.waits));
  const rest = $derived(checks.filter((c) => !c.worthIt));
  const most = $derived(Math.max(1, ...ready.map((c) => c.perMinute)));
  const shown = $derived(all ? ready : ready.slice(0, 3));
  const words = (c: RankedCheck): string =>
    c.perMinute > 0.8 * most ? 'most for its minutes' : c.perMinute > most / 5 ? 'well worth it' : 'worth it';
</script>

<ol class="space-y-0">
  {#each shown as c, k (c.id)}
    <li class="border-t border-line py-2 first:border-t-0">
      <div class="flex items-center justify-between gap-3">
        <a
          class="{k === 0
            ? 'btn btn-primary h-auto min-w-0 flex-1 justify-between py-1'
            : 'plain-link tap'} font-medium"
          href="{base}/{c.station}"
          >{c.title}{#if k === 0}
            <ArrowRight size={18} aria-hidden="true" />{/if}</a
        >
        <span class="sounding text-lg whitespace-nowrap">{c.minutes}<span class="unit"> min</span></span>
      </div>
      <p class="text-[0.95rem] leading-snug">{c.because}</p>
      <div class="mt-0.5 flex items-center gap-2">
        <svg viewBox="0 0 100 6" preserveAspectRatio="none" class="h-1.5 w-24" aria-hidden="true"
          ><rect width="100" height="6" fill="var(--color-base-300)" /><rect
            width={Math.max(2, Math.min(100, (100 * c.perMinute) / most))}
            height="6"
            fill="var(--color-primary)"
          /></svg
        >
        <span class="text-sm">{words(c)}{c.setup ? `, with ${c.setup}` : ''}</span>
      </div>
    </li>
  {:else}
    <li class="py-2">No open check pays for its minutes now. What is known decides; the gates say what is left.</li>
  {/each}
</ol>
{#if ready.length > 3}<button type="button" class="plain-link tap text-sm" onclick={() => (all = !all)}
    >{all ? 'Only the first three' : `${ready.length - 3} more that pay`}</button
  >{/if}
{#if waiting.length}
  <details class="mt-1">
    <summary class="plain-link tap cursor-pointer text-sm">{waiting.length} worth it, but something comes first</summary
    >
    <ul>
      {#each waiting.slice(0, 4) as c (c.id)}<li class="border-t border-line py-1 text-sm">
          <a class="plain-link" href="{base}/{c.station}">{c.title}</a>, {c.minutes} min: {c.waits}
        </li>{/each}
    </ul>
  </details>
{/if}
{#if rest.length}
  <p class="mt-2 text-sm">
    Not worth their minutes now: {rest
      .slice(0, 4)
      .map((c) => c.title.charAt(0).toLowerCase() + c.title.slice(1))
      .join('; ')}.
  </p>
{/if}
