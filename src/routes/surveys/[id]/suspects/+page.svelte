<script lang="ts">
  import { unliftable } from '$core/holds/against.ts';
  import DecisionPanel from '$lib/ui/suspects/DecisionPanel.svelte';
  import MoveList from '$lib/ui/suspects/MoveList.svelte';
  import Looks from '$lib/ui/suspects/Looks.svelte';
  import SuspectRow from '$lib/ui/suspects/SuspectRow.svelte';
  import { useSession } from '$lib/ui/session/session.svelte.ts';

  let { data } = $props();
  const session = $derived(useSession());
  const base = $derived(`/surveys/${session.surveyId}`);
  const advice = $derived(session.advice);
  const raised = $derived((advice?.suspects ?? []).filter((s) => s.raised && !s.mended));
  const byCase = $derived((advice?.suspects ?? []).filter((s) => !s.raised && !s.mended));
  const mended = $derived((advice?.suspects ?? []).filter((s) => s.mended));
  const never = $derived(unliftable(session.judgement.holds));
</script>

<svelte:head
  ><title>Suspects and decision · {session.survey.engine.identity.tag ?? 'engine'} · Indaga</title></svelte:head
>

{#if session.moved.length}
  <div class="mb-3 border-l-4 border-primary bg-base-200 p-3" role="status">
    <h3>What the last entry changed</h3>
    <ul class="list-disc pl-5">
      {#each session.moved as m (m)}<li>{m}</li>{/each}
    </ul>
  </div>
{/if}
{#each advice?.contradictions ?? [] as c (c.sentence)}
  <p class="mb-3 border-2 border-warning p-3">
    <strong class="font-semibold">Look again.</strong>
    {c.sentence} <a class="plain-link" href="{base}/{c.station}">To the check</a>
  </p>
{/each}

<div class="grid gap-5 lg:grid-cols-[minmax(0,1fr)_24rem]">
  <section aria-labelledby="suspects-title" aria-busy={session.weighing === 'weighing'}>
    <div class="flex flex-wrap items-baseline justify-between gap-2">
      <h2 id="suspects-title" class="text-2xl">Suspects</h2>
      <p class="text-sm" role="status">
        {session.weighing === 'weighing'
          ? 'weighing the last entry…'
          : session.weighing === 'failed'
            ? 'The last entry could not be weighed here; reload to try again. It is kept.'
            : `${advice?.weighed ?? 0} readings weighed`}
      </p>
    </div>
    <div class="panel mt-2 px-3">
      {#each raised as s, k (s.id)}
        <SuspectRow suspect={s} {base} open={k === 0} />
      {:else}
        <div class="py-4">
          <h3>No reading points to anything</h3>
          <p>Suspects come up as checks are made. What is unknown or not looked at speaks neither for nor against.</p>
        </div>
      {/each}
    </div>
    {#if byCase.length}
      <details class="panel mt-3 px-3">
        <summary class="tap cursor-pointer"
          >To be expected of such a case, though nothing points there yet ({byCase.length})</summary
        >
        {#each byCase as s (s.id)}<SuspectRow suspect={s} {base} />{/each}
      </details>
    {/if}
    {#if mended.length}
      <details class="panel mt-3 px-3">
        <summary class="tap cursor-pointer">Dealt with ({mended.length})</summary>
        {#each mended as s (s.id)}<SuspectRow suspect={s} {base} />{/each}
      </details>
    {/if}
  </section>
  <aside aria-labelledby="looks-title">
    <h2 id="looks-title" class="text-2xl">What now</h2>
    <div class="panel mt-2 p-3">
      {#if never}<p class="mb-2 border-l-4 border-hold pl-2 text-[0.95rem]">
          A hold stands that no look lifts. What is looked at now only tells what else is wrong, or what its parts are
          worth.
        </p>{/if}
      <MoveList moves={session.moves} {base} />
      <details class="mt-2">
        <summary class="plain-link tap cursor-pointer text-sm">What each look is worth</summary>
        <Looks checks={advice?.checks ?? []} {base} />
      </details>
    </div>
  </aside>
</div>
<DecisionPanel first={data.decision} />
