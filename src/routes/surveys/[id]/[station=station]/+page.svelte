<script lang="ts">
  import { cylinderConditions } from '$core/stations/cylinders.ts';
  import { page } from '$app/state';
  import { refusalOf } from '$core/holds/index.ts';
  import { stations } from '$core/stations/register.ts';
  import type { StationId } from '$core/stations/items.ts';
  import { byGravity } from '$core/findings/finding.ts';
  import StationChart from '$lib/ui/drawing/StationChart.svelte';
  import HazardLines from '$lib/ui/marks/HazardLines.svelte';
  import Shape from '$lib/ui/marks/Shape.svelte';
  import FindingCard from '$lib/ui/survey/FindingCard.svelte';
  import NowLine from '$lib/ui/survey/NowLine.svelte';
  import NowCard from '$lib/ui/survey/NowCard.svelte';
  import SuspectsCard from '$lib/ui/suspects/SuspectsCard.svelte';
  import { useSession } from '$lib/ui/session/session.svelte.ts';
  import { onMount } from 'svelte';

  let { data } = $props();
  const session = $derived(useSession());
  const id = $derived(page.params.station as StationId);
  const base = $derived(`/surveys/${session.surveyId}`);
  const check = $derived(stations[id]);
  const j = $derived(session.judgement);
  const here = $derived(j.stations.find((s) => s.id === id));
  const fitted = $derived(here !== undefined);
  const Sheet = $derived(data.sheet);
  const findings = $derived([...(here?.findings ?? [])].sort(byGravity));
  const stop = $derived(refusalOf(j.holds, id));
  const round = $derived(session.roundOf(id));
  let pane = $state<'check' | 'engine' | 'findings'>('check');

  onMount(() => {
    if (page.url.searchParams.has('recheck')) session.startRecheck(id);
  });

  const barrels = $derived(cylinderConditions(j.findings));
</script>

<svelte:head><title>{check.title} · {session.survey.engine.identity.tag ?? 'engine'} · Indaga</title></svelte:head>

<div class="grid gap-4 pb-16 lg:grid-cols-[23rem_minmax(0,1fr)_18.5rem] lg:pb-0">
  <aside class="{pane === 'engine' ? '' : 'hidden'} lg:block" aria-label="Engine">
    <StationChart profile={session.survey.engine.profile} stations={j.stations} {base} current={id} {barrels} />
  </aside>

  <section class="{pane === 'check' ? '' : 'hidden'} min-w-0 lg:block" aria-labelledby="check-title">
    <div class="mb-2 lg:hidden"><NowLine moves={session.moves} {base} here="{base}/{id}" /></div>
    <div class="flex flex-wrap items-center justify-between gap-2">
      <h2 id="check-title" class="text-2xl">{check.title}</h2>
      <div class="flex items-center gap-3 text-sm">
        <span>{check.minutes} min</span>
        {#if round > 1}<span class="font-semibold">re-check {round - 1}</span>{/if}
        {#if here && here.condition !== 'not-looked-at'}<button
            type="button"
            class="action quiet"
            onclick={() => session.startRecheck(id)}>Start a re-check</button
          >{/if}
      </div>
    </div>
    <details class="mb-2">
      <summary class="plain-link tap cursor-pointer text-sm">How it is done</summary>
      <ol class="list-decimal space-y-0.5 pb-2 pl-5 text-sm">
        {#each check.how as line (line)}<li>{line}</li>{/each}
      </ol>
    </details>
    {#if stop}<p class="mb-3 border-2 border-hold p-3 font-semibold text-hold" role="status">{stop}</p>{/if}
    {#if !fitted}
      <p class="panel p-4">
        {check.absent ?? 'This engine has none.'} Press a number for another check.
      </p>
    {:else}
      {#key `${id}${round}`}
        <Sheet station={id} instruments={data.instruments} references={data.references} earlier={data.earlier} />
      {/key}
    {/if}
    <div class="mt-4"><HazardLines ids={[...check.hazards.before, ...check.hazards.during]} /></div>
  </section>

  <aside class="{pane === 'findings' ? '' : 'hidden'} lg:block" aria-label="What it points to">
    <div class="mb-3"><NowCard moves={session.moves} {base} here="{base}/{id}" /></div>
    <div class="mb-3"><SuspectsCard advice={session.advice} weighing={session.weighing} {base} /></div>
    <div class="panel p-3">
      <div class="flex items-center justify-between">
        <h2>What it points to</h2>
        {#if here}<Shape condition={here.condition} word />{/if}
      </div>
      <div aria-live="polite" class="mt-1 min-h-24">
        {#each findings as f (f.id)}<FindingCard finding={f} />{:else}<p class="text-sm">
            Nothing recorded here yet. Unknown is an answer; leave what you cannot see.
          </p>{/each}
      </div>
    </div>
  </aside>
</div>

<nav
  aria-label="Parts of this sheet"
  class="fixed inset-x-0 bottom-0 z-20 flex border-t border-line bg-base-100 lg:hidden"
>
  {#each [['engine', 'Engine'], ['check', 'Check'], ['findings', `Points to (${findings.length})`]] as const as [p, label] (p)}
    <button
      type="button"
      class="min-h-[52px] flex-1 border-t-4 {pane === p ? 'border-primary font-semibold' : 'border-transparent'}"
      aria-pressed={pane === p}
      onclick={() => (pane = p)}>{label}</button
    >
  {/each}
</nav>
