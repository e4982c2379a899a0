<script lang="ts">
  import { labelsOf } from '$core/drowned/labels.ts';
  import { planOf } from '$core/plan/plan.ts';
  import { beforeAfter } from '$core/release/before-after.ts';
  import BeforeAfterTable from '$lib/ui/survey/BeforeAfterTable.svelte';
  import JobCard from '$lib/ui/survey/JobCard.svelte';
  import { useSession } from '$lib/ui/survey/session.svelte.ts';

  const session = $derived(useSession());
  const j = $derived(session.judgement);
  const steps = $derived(planOf(j.context, j.findings, session.advice?.suspects));
  const next = $derived(session.advice?.next);
  const open = $derived(steps.filter((s) => s.state === 'open'));
  const closed = $derived(steps.filter((s) => s.state !== 'open'));
  const labels = $derived(labelsOf(j.context, j.holds));
  const rows = $derived(beforeAfter(j.context));
  const base = $derived(`/surveys/${session.surveyId}`);
  const titles = $derived(Object.fromEntries(steps.map((s) => [s.id, s.title])));
  const minutes = $derived(open.reduce((sum, s) => sum + s.minutes, 0));
  const all = (key: 'tools' | 'parts' | 'consumables'): string[] => [...new Set(open.flatMap((s) => s[key]))];
  const walk = $derived([
    ['Tools', all('tools')],
    ['Parts to have', all('parts')],
    ['Consumables', all('consumables')]
  ] as const);
</script>

<svelte:head><title>Job list · {session.survey.engine.identity.tag ?? 'engine'} · Indaga</title></svelte:head>

<div class="grid gap-5 lg:grid-cols-[minmax(0,1fr)_19rem]">
  <section aria-labelledby="jobs-title">
    <h2 id="jobs-title" class="text-2xl">Job list</h2>
    {#if steps.length === 0}
      <div class="panel mt-2 p-6">
        <h3>Nothing is demanded</h3>
        <p class="mt-1">
          No finding so far asks for work. {next ? 'Checks are still open; they may.' : 'Every check is made.'}
        </p>
        <p class="mt-3">
          <a class="action" href={next ? `${base}/${next.station}` : `${base}/ready`}
            >{next ? `Next check: ${next.title}` : 'Ready for service?'}</a
          >
        </p>
      </div>
    {:else}
      <p class="text-sm">
        {open.length
          ? `${open.length} open, about ${minutes} minutes of hands; in the order they are done.`
          : 'Every job is done.'}
      </p>
      <ol class="mt-2 space-y-2">
        {#each open as step, k (step.id)}<li>
            <JobCard
              {step}
              number={k + 1}
              {base}
              {titles}
              onmark={(state, note) => session.mark(step.id, state, note)}
            />
          </li>{/each}
      </ol>
      {#if closed.length}
        <h3 class="mt-5 mb-2">Done</h3>
        <ol class="space-y-2">
          {#each closed as step (step.id)}<li>
              <JobCard {step} {base} {titles} onmark={(state, note) => session.mark(step.id, state, note)} />
            </li>{/each}
        </ol>
      {/if}
    {/if}
    {#if rows.length}
      <h3 class="mt-5 mb-2">Before and after</h3>
      <BeforeAfterTable {rows} />
    {/if}
  </section>
  <aside aria-label="To take to the engine">
    <div class="panel p-3">
      <h2>One walk to the engine</h2>
      {#each walk as [label, list] (label)}
        {#if list.length}<h3 class="label-caps mt-3">{label}</h3>
          <ul class="list-disc pl-5">
            {#each list as item (item)}<li>{item}</li>{/each}
          </ul>{/if}
      {/each}
      {#if !open.length}<p class="text-sm">Nothing to carry.</p>{/if}
      {#if labels.length}
        <h3 class="label-caps mt-3">Labels to hang on it</h3>
        <p>{labels.map((l) => l.text).join(', ')}. <a class="plain-link" href="{base}/labels">Print them</a></p>
      {/if}
    </div>
  </aside>
</div>
