<script lang="ts">
  import { clock } from '$lib/ui/session/clock.ts';
  import { sayDate } from '$lib/ui/marks/day.ts';
  import { labelsOf } from '$core/drowned/labels.ts';
  import { useSession } from '$lib/ui/session/session.svelte.ts';

  const session = $derived(useSession());
  const labels = $derived(labelsOf(session.judgement.context, session.judgement.holds));
  const tag = $derived(session.survey.engine.identity.tag ?? 'no tag');
</script>

<svelte:head><title>Labels · {tag} · Indaga</title></svelte:head>

<div class="no-print mb-3 flex flex-wrap items-center gap-3">
  <h2 class="text-2xl">Labels</h2>
  {#if labels.length}<button type="button" class="btn btn-primary" onclick={() => window.print()}>Print</button>{/if}
</div>
{#if !labels.length}
  <p class="panel p-6">
    Nothing in the record calls for a label: no hold against cranking, no oil drained and left out, nothing in the
    bores.
  </p>
{/if}
<div class="space-y-4">
  {#each labels as l (l.id)}
    <section class="break-inside-avoid border-[6px] border-current p-6 text-center" aria-label={l.text}>
      <p class="font-label text-[3.2rem] leading-none font-semibold sm:text-[5.5rem]">{l.text}</p>
      <p class="mt-4 text-2xl">{tag} · {sayDate(clock.date(), 'd MMM yyyy')}{session.who ? ` · ${session.who}` : ''}</p>
      <p class="mt-2 text-xl">{l.because}</p>
    </section>
  {/each}
</div>
