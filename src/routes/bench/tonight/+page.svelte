<script lang="ts">
  import { sayDate } from '$lib/ui/marks/day.ts';

  let { data } = $props();
  const labels = $derived(data.engines.flatMap((e) => e.labels.map((l) => ({ ...l, tag: e.tag, key: e.id + l.id }))));
</script>

<svelte:head><title>Leaving tonight · Indaga</title></svelte:head>

<div class="mb-3 flex flex-wrap items-end justify-between gap-3">
  <div>
    <h1>Leaving tonight</h1>
    <p class="text-sm">
      {sayDate(data.now, 'EEEE d MMMM yyyy')}: what is capped, oiled, drained, warmed or chained.
    </p>
  </div>
  <div class="no-print flex gap-2">
    <button type="button" class="btn btn-primary" onclick={() => window.print()}>Print sheet and labels</button>
    <a class="btn btn-outline btn-primary" href="/bench">Bench</a>
  </div>
</div>
{#if !data.engines.length}
  <p class="panel p-6">Nothing in the records asks for anything tonight. Lights, heater, tank tap, door.</p>
{/if}
<ul class="grid gap-3 md:grid-cols-2">
  {#each data.engines as e (e.id)}
    <li class="panel break-inside-avoid p-3">
      <h2><a class="hover:underline" href="/surveys/{e.id}">{e.tag}</a></h2>
      <ul class="mt-1 space-y-1">
        {#each e.tonight as t (t)}<li class="flex gap-2">
            <span class="mt-1 h-4 w-4 shrink-0 border border-current" aria-hidden="true"></span>{t}
          </li>{/each}
        {#each e.labels as l (l.id)}<li class="flex gap-2">
            <span class="mt-1 h-4 w-4 shrink-0 border border-current" aria-hidden="true"></span><span
              >Label <strong class="text-hold">{l.text}</strong>: {l.because}</span
            >
          </li>{/each}
      </ul>
    </li>
  {/each}
</ul>
{#if data.engines.length}<p class="mt-3 text-sm">
    Rags with oil go into a closed tin outside. Waste oil and fuel stand labelled where they are collected, never in a
    drink bottle. Follow local codes.
  </p>{/if}
{#if labels.length}
  <h2 class="no-print mt-6">Labels</h2>
  <div class="page-break mt-3 space-y-4">
    {#each labels as l (l.key)}
      <section class="break-inside-avoid border-[6px] border-current p-6 text-center" aria-label="{l.text}, {l.tag}">
        <p class="font-label text-[3.2rem] leading-none font-semibold sm:text-[5.5rem]">{l.text}</p>
        <p class="mt-4 text-2xl">{l.tag} · {sayDate(data.now, 'd MMM yyyy')}</p>
        <p class="mt-2 text-xl">{l.because}</p>
      </section>
    {/each}
  </div>
{/if}
