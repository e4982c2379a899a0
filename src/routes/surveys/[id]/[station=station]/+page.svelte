<script lang="ts">
  import { cylinderCount } from '$core/engine/profile.ts';
  import { cylinderConditions } from '$core/stations/cylinders.ts';
  import { page } from '$app/state';
  import { heldAgainst } from '$core/holds/against.ts';
  import { stations } from '$core/stations/register.ts';
  import type { StationId } from '$core/stations/items.ts';
  import { byGravity, PARTLY_SEEN, partlySeen } from '$core/findings/finding.ts';
  import StationChart from '$lib/ui/drawing/StationChart.svelte';
  import HazardLines from '$lib/ui/marks/HazardLines.svelte';
  import Shape from '$lib/ui/marks/Shape.svelte';
  import FindingCard from '$lib/ui/survey/FindingCard.svelte';
  import { paneOf } from '$lib/ui/survey/pane.ts';
  import NowLine from '$lib/ui/survey/NowLine.svelte';
  import NowCard from '$lib/ui/survey/NowCard.svelte';
  import Refused from '$lib/ui/survey/Refused.svelte';
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
  const recorded = $derived(session.survey.readings.some((r) => r.what.startsWith(`${id}.`)));
  const stops = $derived(heldAgainst(j.holds, id));
  const round = $derived(session.roundOf(id));
  const pane = $derived(paneOf(page.url));

  onMount(() => {
    if (page.url.searchParams.has('recheck')) session.startRecheck(id);
  });

  /** Cylinders an outboard has; another number is entered on its page. */
  const COUNTS = [1, 2, 3, 4, 6, 8] as const;
  const uncounted = $derived(
    check.coloursCylinders === true && cylinderCount(session.survey.engine.profile) === undefined
  );
  const barrels = $derived(cylinderConditions(j.findings));
</script>

<svelte:head><title>{check.title} · {session.survey.engine.identity.tag ?? 'engine'} · Indaga</title></svelte:head>

<div class="grid gap-4 lg:grid-cols-[22.5rem_minmax(0,1fr)_18rem]">
  <aside class="{pane === 'engine' ? '' : 'hidden'} lg:block" aria-label="Engine">
    <StationChart profile={session.survey.engine.profile} stations={j.stations} {base} current={id} {barrels} />
  </aside>

  <section class="{pane === 'check' ? '' : 'hidden'} min-w-0 lg:block" aria-labelledby="check-title">
    <div class="mb-1 lg:hidden"><NowLine moves={session.moves} {base} here="{base}/{id}" /></div>
    <div class="flex min-h-11 flex-wrap items-center gap-x-3">
      <h2 id="check-title" class="text-2xl">{check.title}</h2>
      {#if here}<Shape condition={here.condition} word />{/if}
      <span class="text-sm max-sm:hidden">{check.minutes} min</span>
      {#if round > 1}<span class="text-sm font-semibold">re-check {round - 1}</span>{/if}
      {#if here && here.condition !== 'not-looked-at'}<button
          type="button"
          class="btn ml-auto btn-ghost px-2 font-normal text-primary underline"
          onclick={() => session.startRecheck(id)}>Start a re-check</button
        >{/if}
    </div>
    <HazardLines ids={[...check.hazards.before, ...check.hazards.during]} brief />
    <Refused holds={stops} {base} />
    <div class="mt-2">
      {#if !fitted}
        <p class="panel p-4">
          {check.absent ?? 'This engine has none.'} Press a number for another check.
        </p>
      {:else}
        {#if uncounted}
          <fieldset class="mb-3 border-l-4 border-primary bg-base-200 px-3 pt-1 pb-3">
            <legend class="contents font-semibold">How many cylinders has it?</legend>
            <p class="mb-2 text-sm">What is read of a cylinder is judged once that is known.</p>
            <div class="flex flex-wrap gap-2">
              {#each COUNTS as n (n)}
                <button
                  type="button"
                  class="btn min-w-12 btn-outline"
                  onclick={() => session.fact('profile.cylinders', n)}>{n}</button
                >
              {/each}
            </div>
          </fieldset>
        {/if}
        {#key `${id}${round}`}
          <Sheet station={id} instruments={data.instruments} references={data.references} earlier={data.earlier} />
        {/key}
      {/if}
    </div>
    <details class="mt-3">
      <summary class="plain-link tap cursor-pointer text-sm">How it is done</summary>
      <ol class="list-decimal space-y-0.5 pb-2 pl-5 text-sm">
        {#each check.how as line (line)}<li>{line}</li>{/each}
      </ol>
    </details>
  </section>

  <aside class="{pane === 'findings' ? '' : 'hidden'} space-y-3 lg:block" aria-label="What it points to">
    <NowCard moves={session.moves} {base} here="{base}/{id}" />
    <div class="panel p-3">
      <h2>What it points to</h2>
      <div aria-live="polite" class="mt-1 min-h-24">
        {#if here && partlySeen(here.condition, findings)}<p class="text-sm">{PARTLY_SEEN}</p>{/if}
        {#each findings as f (f.id)}<FindingCard finding={f} />{:else}<p class="text-sm">
            {recorded
              ? 'What is recorded here says nothing by itself yet.'
              : 'Nothing recorded here yet. Unknown is an answer; leave what you cannot see.'}
          </p>{/each}
      </div>
    </div>
    <SuspectsCard advice={session.advice} weighing={session.weighing} {base} />
  </aside>
</div>
