<script lang="ts">
  import type { Advice } from '$core/advice/advice.ts';
  import Chance from './Chance.svelte';

  /** The likeliest suspects beside a check; why they are is a tap away. */
  let {
    advice,
    weighing,
    base
  }: { advice: Advice | undefined; weighing: 'done' | 'weighing' | 'failed'; base?: string } = $props();
  const top = $derived(
    (advice?.suspects ?? []).filter((s) => s.raised && !s.mended && s.chance !== 'unlikely').slice(0, 3)
  );
</script>

<section class="panel p-3" aria-label="Suspects" aria-busy={weighing === 'weighing'}>
  <div class="flex items-baseline justify-between">
    <h2>Suspects</h2>
    <span class="text-sm" role="status"
      >{weighing === 'weighing' ? 'weighing…' : weighing === 'failed' ? 'not weighed anew' : ''}</span
    >
  </div>
  <div class="min-h-16">
    {#each top as s (s.id)}
      <p class="flex items-start justify-between gap-2 border-t border-line py-1.5 first:border-t-0">
        <span class="min-w-0 leading-snug">{s.label.charAt(0).toUpperCase()}{s.label.slice(1)}</span>
        <Chance chance={s.chance} />
      </p>
    {:else}
      <p class="text-sm">No reading points to anything so far.</p>
    {/each}
  </div>
  {#each advice?.contradictions ?? [] as c (c.sentence)}
    <p class="mt-1 border-l-4 border-warning pl-2 text-sm">{c.sentence}</p>
  {/each}
  {#if base !== undefined}<a class="plain-link tap text-sm" href="{base}/suspects">Why, and what to do</a>{/if}
</section>
