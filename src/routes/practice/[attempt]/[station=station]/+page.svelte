<script lang="ts">
  import { enhance } from '$app/forms';
  import { page } from '$app/state';
  import { cylinderConditions } from '$core/stations/cylinders.ts';
  import { roundOf } from '$core/record/current.ts';
  import { sayValue } from '$core/items/check-entry.ts';
  import { byGravity } from '$core/findings/finding.ts';
  import { allItems, stationOf, type StationId } from '$core/stations/items.ts';
  import { stations } from '$core/stations/register.ts';
  import type { Earlier } from '$lib/earlier.ts';
  import StationChart from '$lib/ui/drawing/StationChart.svelte';
  import HazardLines from '$lib/ui/marks/HazardLines.svelte';
  import { sayMinutes } from '$lib/ui/practice/words.ts';
  import { provideSession, Session } from '$lib/ui/session/session.svelte.ts';
  import FindingCard from '$lib/ui/survey/FindingCard.svelte';
  import SuspectsCard from '$lib/ui/suspects/SuspectsCard.svelte';
  import { untrack } from 'svelte';

  /** One check of an engine whose truth is hidden: what could be looked at here, and what it showed. */
  let { data, form } = $props();
  const session = $derived.by(() => {
    void data.session;
    return untrack(() => new Session(data.session));
  });
  provideSession(() => session);
  const id = $derived(page.params.station as StationId);
  const base = $derived(`/practice/${data.attempt.id}`);
  const check = $derived(stations[id]);
  const j = $derived(session.judgement);
  const mode = $derived(data.attempt.mode);
  const over = $derived(data.attempt.over || Boolean(data.attempt.ended));
  const fitted = $derived(j.stations.some((s) => s.id === id));
  const findings = $derived([...(j.stations.find((s) => s.id === id)?.findings ?? [])].sort(byGravity));
  const readings = $derived(session.survey.readings.filter((r) => stationOf(r.what) === id).toReversed());
  const first = $derived(session.moves.find((m) => !m.waits) ?? session.moves[0]);
  const last = $derived(data.attempt.strides.at(-1));
  const Sheet = $derived(data.sheet);
  const none: Earlier = { magnets: [], flows: [] };
  let busy = $state(false);
  const sending = () => {
    busy = true;
    return async ({ update }: { update: () => Promise<void> }) => {
      await update();
      busy = false;
    };
  };
</script>

<svelte:head><title>{check.title} · Practice · Indaga</title></svelte:head>
<div class="grid gap-4 lg:grid-cols-[23rem_minmax(0,1fr)_18.5rem]">
  <aside class="order-last lg:order-none" aria-label="Engine">
    <StationChart
      profile={session.survey.engine.profile}
      stations={j.stations}
      {base}
      current={id}
      barrels={mode === 'shut' ? {} : cylinderConditions(j.findings)}
    />
  </aside>
  <section class="min-w-0" aria-labelledby="check-title">
    <h2 id="check-title" class="text-2xl">{check.title}</h2>
    {#if data.attempt.ended}<p class="my-2 border-4 border-error p-3 text-lg font-semibold text-error" role="alert">
        {data.attempt.ended}
      </p>{/if}
    {#if form?.says}
      <div class="my-2 border-2 border-hold p-3" role="alert">
        <p class="font-semibold text-hold">{form.says}</p>
        {#if form.refused}<form method="POST" use:enhance={sending} class="mt-2">
            <input type="hidden" name="kind" value="look" /><input type="hidden" name="act" value={form.refused} />
            <button class="btn btn-outline btn-primary" name="anyway" value="yes" disabled={busy}
              >Do it anyway, and see</button
            >
          </form>{/if}
      </div>
    {/if}
    {#if last}<p class="my-2 border-l-4 border-primary pl-3" role="status">
        Last: {last.title}, {sayMinutes(last.minutes)}.{last.broke ? ` ${last.broke}` : ''}
      </p>{/if}
    {#if !fitted}<p class="panel p-4">{check.absent ?? 'This engine has none.'}</p>{/if}
    {#if !over && fitted}
      <h3 class="label-caps mt-3">Look and measure</h3>
      <ul class="mt-1 flex flex-wrap gap-1.5">
        {#each data.looks as look (look.id)}
          <li>
            <form method="POST" use:enhance={sending}>
              <input type="hidden" name="kind" value="look" />
              <button class="chip" name="act" value={look.id} disabled={busy}
                ><span>{look.title} <small class="text-sm opacity-90">{sayMinutes(look.minutes)}</small></span></button
              >
            </form>
          </li>
        {/each}
      </ul>
    {/if}
    <div class="mt-3"><HazardLines ids={[...check.hazards.before, ...check.hazards.during]} /></div>
    <h3 class="label-caps mt-4">What it showed</h3>
    <ul class="mt-1 divide-y divide-line border-y border-line" aria-live="polite">
      {#each readings as r (r.id)}
        <li class="flex flex-wrap justify-between gap-x-4 py-1">
          <span
            >{allItems[r.what].label}{r.cylinder ? `, cylinder ${r.cylinder}` : ''}{r.conditions?.throttle === 'shut'
              ? ', throttle shut'
              : ''}{r.conditions?.bores === 'oiled' ? ', with oil' : ''}{r.conditions?.stage
              ? `, ${r.conditions.stage}`
              : ''}{roundOf(r) > 1 ? `, re-check ${roundOf(r) - 1}` : ''}</span
          >
          <span class="font-semibold"
            >{sayValue(allItems[r.what], r.value, session.units)}{r.conditions?.volts
              ? ` · ${r.conditions.volts.toFixed(1)} V`
              : ''}{r.instrument ? ` · ${r.instrument.name}` : ''}</span
          >
        </li>
      {:else}<li class="py-2 text-sm">Nothing has been looked at here.</li>{/each}
    </ul>
    {#if mode !== 'shut' && fitted}
      <details class="mt-3">
        <summary class="plain-link tap cursor-pointer">The check sheet, as it stands</summary>
        <div inert class="mt-2">
          {#key data.session.survey}<Sheet station={id} instruments={[]} references={[]} earlier={none} />{/key}
        </div>
      </details>
    {/if}
  </section>
  <aside class="space-y-3" aria-label="Advice and work">
    {#if !over}
      <section class="border-t-4 border-primary bg-base-100 p-3" aria-labelledby="advice-title">
        <h2 id="advice-title" class="label-caps">
          {mode === 'open' ? 'Now' : mode === 'shut' ? 'Advice is shut' : 'Advice, each time counted'}
        </h2>
        {#if mode === 'open' && first}
          <p class="text-lg leading-snug font-semibold">{first.title}</p>
          <p class="text-sm">{first.because}</p>
          <form method="POST" use:enhance={sending} class="mt-2">
            <button class="btn btn-primary w-full" name="kind" value="follow" disabled={busy}>Do this</button>
          </form>
        {:else if mode === 'on-demand'}
          {#if form && 'advice' in form && form.advice}<p class="text-lg leading-snug font-semibold" role="status">
              {form.advice.title}
            </p>
            <p class="text-sm">{form.advice.because}</p>{/if}
          <form method="POST" use:enhance={sending} class="mt-1">
            <button class="btn btn-outline btn-primary w-full" name="kind" value="ask" disabled={busy}
              >What would you do now?</button
            >
          </form>
        {:else}<p class="text-sm">Your judgement alone; holds still speak.</p>{/if}
      </section>
      <section class="panel p-3" aria-labelledby="work-title">
        <h2 id="work-title">Work</h2>
        <form method="POST" use:enhance={sending} class="mt-1 space-y-2">
          <input type="hidden" name="kind" value="job" />
          <label class="block"
            ><span class="sr-only">Work to do</span><select class="select w-full pe-8 text-ellipsis" name="job"
              >{#each data.jobs as job (job.id)}<option value={job.id}>{job.title}</option>{/each}</select
            ></label
          >
          <button class="btn btn-outline btn-primary w-full" disabled={busy}>Do this work</button>
        </form>
        <form method="POST" use:enhance={sending} class="mt-2 flex items-end gap-2">
          <input type="hidden" name="kind" value="wait" />
          <label class="grow"
            ><span class="label-caps">Wait</span><select class="select w-full" name="minutes"
              ><option value="30">half an hour</option><option value="240">four hours</option><option value="1440"
                >a day</option
              ></select
            ></label
          ><button class="btn btn-outline btn-primary" disabled={busy}>Wait</button>
        </form>
      </section>
    {/if}
    {#if mode === 'open'}<SuspectsCard advice={session.advice} weighing="done" />{/if}
    {#if mode !== 'shut' && findings.length}
      <div class="panel p-3">
        <h2>What it points to</h2>
        {#each findings as f (f.id)}<FindingCard finding={f} />{/each}
      </div>
    {/if}
    {#if data.attempt.strides.length}
      <section class="panel p-3" aria-labelledby="path-title">
        <h2 id="path-title">So far</h2>
        <ol class="mt-1 list-decimal pl-5 text-sm">
          {#each data.attempt.strides as s, k (k)}<li>{s.title}, {sayMinutes(s.minutes)}</li>{/each}
        </ol>
      </section>
    {/if}
  </aside>
</div>
