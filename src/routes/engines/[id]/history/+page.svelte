<script lang="ts">
  import { sayDate } from '$lib/ui/marks/day.ts';
  import TrendChart from '$lib/ui/history/TrendChart.svelte';
  import BeforeAfterTable from '$lib/ui/survey/BeforeAfterTable.svelte';

  let { data } = $props();
  const day = (s: { kind: string; startedAt: string }): string =>
    `${sayDate(s.startedAt, 'd MMM yyyy')}, ${s.kind.toLowerCase()}`;
</script>

<svelte:head><title>History · {data.tag} · Indaga</title></svelte:head>

<h1>History of {data.tag}</h1>
<ol class="mt-1 flex flex-wrap gap-x-5 text-sm">
  {#each data.surveys as s (s.id)}<li>
      <a class="plain-link tap" href="/surveys/{s.id}">{day(s)}</a>{s.releasedAt ? ' · back in service' : ''}
    </li>{/each}
</ol>
{#if data.surveys.length < 2}
  <section class="panel mt-3 p-6">
    <h2>One assessment so far</h2>
    <p class="mt-1">
      Trends and a comparison begin with the second one. <a class="plain-link" href="/engines/{data.engineId}">Engine</a
      >
    </p>
  </section>
{:else}
  <section class="mt-4" aria-labelledby="trend-title">
    <h2 id="trend-title">What was measured more than once</h2>
    {#if data.trends.length}
      <div class="mt-2 grid gap-4 md:grid-cols-2">
        {#each data.trends as t (t.what)}<TrendChart trend={t} units={data.prefs.units} />{/each}
      </div>
    {:else}<p class="mt-1">No quantity was read in two assessments yet.</p>{/if}
  </section>
  <section class="mt-5" aria-labelledby="side-title">
    <h2 id="side-title">Two assessments side by side</h2>
    <form method="GET" class="mt-1 flex flex-wrap items-end gap-2">
      {#each [['a', 'Earlier', data.compared?.a], ['b', 'Later', data.compared?.b]] as const as [name, label, chosen] (name)}
        <label
          ><span class="label-caps">{label}</span><select class="select w-full" {name} value={chosen}>
            {#each data.surveys as s (s.id)}<option value={s.id} selected={s.id === chosen}>{day(s)}</option>{/each}
          </select></label
        >
      {/each}
      <button class="btn btn-outline btn-primary">Compare</button>
    </form>
    {#if !data.compared}<p class="mt-2">Choose two different assessments.</p>
    {:else if data.compared.rows.length}<div class="mt-2"><BeforeAfterTable rows={data.compared.rows} /></div>
    {:else}<p class="mt-2">Nothing was looked at in both.</p>{/if}
  </section>
{/if}
