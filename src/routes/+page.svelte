<script lang="ts">
  import { minutesOf, placeOf } from '$lib/ui/marks/move-place.ts';
  import { caseKinds } from '$core/engine/case-kind.ts';
  import EngineDrawing from '$lib/ui/drawing/EngineDrawing.svelte';
  import Shape from '$lib/ui/marks/Shape.svelte';
  import { sayLeft } from '$core/record/wait.ts';
  import Hourglass from '@lucide/svelte/icons/hourglass';
  import { format, formatDistanceToNowStrict, parseISO } from 'date-fns';
  import { onMount, untrack } from 'svelte';

  let { data } = $props();
  let now = $state.raw(untrack(() => parseISO(data.now)));
  onMount(() => {
    now = new Date();
    const tick = setInterval(() => (now = new Date()), 1000);
    return () => clearInterval(tick);
  });
  const link = (page: number): string =>
    new URLSearchParams({ ...(data.search ? { q: data.search } : {}), page: String(page) }).toString();
  const clockWords = (hours: number): string => {
    const h = Math.abs(hours);
    const said =
      h < 1
        ? `${Math.round(h * 60)} min`
        : h < 48
          ? `${Math.floor(h)} h ${Math.round((h % 1) * 60)} min`
          : `${Math.round(h / 24)} days`;
    return hours > 0 ? `${said} left` : `${said} past`;
  };
</script>

<svelte:head><title>Yard · Indaga</title></svelte:head>

<div class="mb-3 flex flex-wrap items-end justify-between gap-3">
  <div>
    <h1>Yard</h1>
    <p class="text-sm" role="status">
      {data.total}
      {data.total === 1 ? 'engine' : 'engines'}, most pressing first{data.search
        ? `; ${data.found} found`
        : ''}{data.waiting ? `; ${data.waiting} still being judged` : ''}
    </p>
  </div>
  <div class="flex flex-wrap gap-2">
    <form method="GET" class="flex gap-2" role="search">
      <label
        ><span class="sr-only">Search by tag, serial or owner</span><input
          class="field w-52"
          name="q"
          value={data.search}
          placeholder="tag, serial or owner"
          maxlength="80"
        /></label
      >
      <button class="action quiet">Search</button>
    </form>
    <a class="action quiet" href="/search">Findings and notes</a>
    <a class="action" href="/engines/new">Take in an engine</a>
    <a class="action quiet" href="/import">Import a file</a>
  </div>
</div>

{#if data.rows.length === 0}
  <section class="panel mx-auto max-w-xl p-8 text-center">
    {#if data.search}
      <h2>Nothing here is called “{data.search}”</h2>
      <p class="mt-2">
        Tags, serial numbers, owners and makes are searched here. <a
          class="plain-link"
          href="/search?q={encodeURIComponent(data.search)}">Search findings and notes</a
        >, or <a class="plain-link" href="/">show all engines</a>.
      </p>
    {:else}
      <h2>No engine is in the yard yet</h2>
      <p class="mt-2">Take one in: a tag and the kind of case are enough to begin. Everything else may be unknown.</p>
      <p class="mt-4"><a class="action" href="/engines/new">Take in an engine</a></p>
    {/if}
  </section>
{/if}

<ol class="space-y-2">
  {#each data.rows as row (row.surveyId)}
    <li
      class="panel grid grid-cols-[84px_1fr] gap-x-4 px-3 py-2 md:grid-cols-[84px_minmax(9rem,12rem)_1fr_minmax(13rem,16rem)]"
    >
      <a
        href="/engines/{row.engineId}"
        aria-label="{row.tag}: engine and history"
        class="row-span-3 block self-start md:row-span-1 md:self-center"
        ><EngineDrawing profile={row.profile} bold class="h-[124px] w-[84px]" /></a
      >
      <div class="min-w-0">
        <h2 class="truncate"><a class="hover:underline" href="/surveys/{row.surveyId}">{row.tag}</a></h2>
        <p class="truncate text-sm">{row.name}</p>
        <p class="truncate text-sm" dir="auto">{row.owner || 'owner unknown'}</p>
        <p class="label-caps">{caseKinds[row.kind].label}</p>
      </div>
      <div class="col-start-2 min-w-0 md:col-start-3">
        <ol class="mt-1 flex flex-wrap gap-x-2.5 gap-y-1" aria-label="Checks of {row.tag}">
          {#each row.stations as s (s.id)}
            <li>
              <a
                class="inline-flex min-h-6 items-center gap-1 text-sm hover:underline"
                href="/surveys/{row.surveyId}/{s.id}"><Shape condition={s.condition} size={15} /> {s.title}</a
              >
            </li>
          {/each}
        </ol>
        {#if row.clock}
          <p class="mt-1 font-semibold text-hold">
            <span class="sounding text-xl">{clockWords(row.clock.hoursLeft)}</span>
            <span class="text-sm font-normal">{row.clock.sentence}</span>
          </p>
        {/if}
        {#if row.holds.some((h) => !h.overridden)}
          <p class="mt-0.5 flex flex-wrap gap-x-4 text-sm text-hold">
            {#each row.holds.filter((h) => !h.overridden).slice(0, 3) as hold (hold.title)}<span
                class="inline-flex items-center gap-1"><Shape condition="held" size={15} /> {hold.title}</span
              >{/each}
          </p>
        {/if}
        {#if row.waits.length}
          <p class="mt-0.5 flex flex-wrap gap-x-4 text-sm">
            {#each row.waits.slice(0, 3) as w (w.label + w.until)}<span class="inline-flex items-center gap-1"
                ><Hourglass size={15} aria-hidden="true" />
                {w.label} <span class="sounding">{sayLeft(parseISO(w.until), now)}</span></span
              >{/each}
          </p>
        {/if}
        {#if row.parts}<p class="mt-0.5 text-sm">Waits for {row.parts}.</p>{/if}
        {#if row.care}<p class="mt-0.5 text-sm {row.care.overdue ? 'font-medium text-warning' : ''}">
            <a class="hover:underline" href="/engines/{row.engineId}/care"
              >{row.care.title}: {row.care.overdue ? 'was due' : 'due'} {format(parseISO(row.care.day), 'd MMM')}.</a
            >
          </p>{/if}
        {#if row.suspect && !row.releasedAt}<p class="mt-0.5 text-sm font-medium">Likely {row.suspect}.</p>{/if}
        {#if row.gravest && !row.releasedAt}<p class="mt-0.5 line-clamp-2 text-sm">{row.gravest}</p>{/if}
      </div>
      <div class="col-start-2 self-center md:col-start-4">
        {#if row.unjudged}
          <p class="font-medium text-error" role="alert">{row.unjudged}</p>
          <a class="action quiet mt-1" href="/surveys/{row.surveyId}/file.json">Export its file</a>
        {:else if row.releasedAt}
          <p><Shape condition="sound" word={false} /> <strong>Back in service</strong></p>
          <p class="text-sm">signed {formatDistanceToNowStrict(parseISO(row.releasedAt), { addSuffix: true })}</p>
          <a
            class="action quiet mt-1 w-full"
            href={row.flow ? `/engines/${row.engineId}/care` : `/surveys/${row.surveyId}/record`}
            >{row.flow ? 'Care' : 'Record'}</a
          >
        {:else if row.flow}
          <a class="action w-full" href="/surveys/{row.surveyId}/flow/{row.flow.id}">{row.flow.title}</a>
        {:else if row.next}
          <a class="action w-full" href={placeOf(row.next, `/surveys/${row.surveyId}`)}
            >{row.next.title}{#if minutesOf(row.next)}&nbsp;· {minutesOf(row.next)}{/if}</a
          >
          <p class="mt-1 line-clamp-2 text-sm">{row.next.because}</p>
        {:else if row.openJobs}
          <a class="action w-full" href="/surveys/{row.surveyId}/jobs">Job list · {row.openJobs} open</a>
        {:else}
          <a class="action w-full" href="/surveys/{row.surveyId}/ready">Ready for service?</a>
        {/if}
        {#if row.next && row.openJobs}<p class="text-sm">
            <a class="plain-link tap" href="/surveys/{row.surveyId}/jobs"
              >{row.openJobs} open {row.openJobs === 1 ? 'job' : 'jobs'}</a
            >
          </p>{/if}
      </div>
    </li>
  {/each}
</ol>
{#if data.pages > 1}
  <nav class="mt-4 flex items-center justify-between gap-3" aria-label="Pages of the yard">
    {#if data.page > 1}<a class="action quiet" href="?{link(data.page - 1)}">More pressing</a>{:else}<span></span>{/if}
    <span>page {data.page} of {data.pages}</span>
    {#if data.page < data.pages}<a class="action quiet" href="?{link(data.page + 1)}">Less pressing</a>{:else}<span
      ></span>{/if}
  </nav>
{/if}
