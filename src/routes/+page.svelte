<script lang="ts">
  import { clock as serverClock } from '$lib/ui/session/clock.ts';
  import { sayDate } from '$lib/ui/marks/day.ts';
  import ShapeSymbols from '$lib/ui/marks/ShapeSymbols.svelte';
  import YardLine from '$lib/ui/yard/YardLine.svelte';
  import { clockWords } from '$lib/ui/yard/clock-words.ts';
  import { minutesOf } from '$lib/ui/marks/move-place.ts';
  import { invalidateAll } from '$app/navigation';
  import { navigating } from '$app/state';
  import ArrowRight from '@lucide/svelte/icons/arrow-right';
  import Search from '@lucide/svelte/icons/search';
  import { parseISO } from 'date-fns';
  import { onMount, untrack } from 'svelte';

  let { data } = $props();
  let now = $state.raw(untrack(() => parseISO(data.at)));
  /** On a narrow screen what finds an engine folds away behind one button. */
  let finding = $state(untrack(() => Boolean(data.search || data.filter)));
  const narrow = $derived(finding ? '' : 'max-lg:hidden');
  let searchField = $state<HTMLInputElement>();
  onMount(() => {
    now = serverClock.date();
    const tick = setInterval(() => (now = serverClock.date()), 1000);
    return () => clearInterval(tick);
  });
  // While engines are still being judged the page asks again, so that the count goes down before one's eyes.
  // Not while somebody is on the way to another page: asking again takes the place of the navigation, and the tap is lost.
  $effect(() => {
    if (!data.waiting || navigating.to) return;
    const again = setTimeout(() => void invalidateAll(), 1500);
    return () => clearTimeout(again);
  });
  const link = (change: { page?: number; show?: string }): string =>
    `?${new URLSearchParams(
      Object.entries({ q: data.search, show: change.show ?? data.filter, page: String(change.page ?? 1) }).filter(
        ([k, v]) => v && !(k === 'page' && v === '1')
      )
    ).toString()}`;
  function onkeydown(e: KeyboardEvent): void {
    if (e.ctrlKey || e.metaKey || e.altKey || /^(INPUT|TEXTAREA|SELECT)$/.test((e.target as HTMLElement).tagName))
      return;
    if (e.key === '/') searchField?.focus();
    else if (e.key === 'n') document.getElementById('now-link')?.click();
    else return;
    e.preventDefault();
  }
</script>

<svelte:head><title>Yard · Indaga</title></svelte:head>
<svelte:window {onkeydown} />

{#if data.backup}
  <p class="mb-1 border-l-4 border-warning px-3 py-1 text-sm">
    {data.backup.last
      ? `Last backup: ${sayDate(data.backup.last, 'd MMM yyyy HH:mm')}.`
      : 'This yard was never backed up.'}
    On the server: <code class="break-all">npm run backup -- yard.zip</code>, or name a directory in INDAGA_BACKUPS and
    it is done every day.
  </p>
{/if}
<div class="mb-1 flex flex-wrap items-center gap-x-3 gap-y-1">
  <h1>Yard</h1>
  <p class="text-sm" role="status">
    {data.total}
    {data.total === 1 ? 'engine' : 'engines'}{data.search || data.filter ? `; ${data.found} found` : ''}
  </p>
  <button
    type="button"
    class="btn ml-auto btn-ghost px-2 font-normal lg:hidden"
    aria-expanded={finding}
    onclick={() => (finding = !finding)}><Search size={20} aria-hidden="true" /> Find</button
  >
  <nav class="flex flex-1 flex-wrap gap-1 {narrow}" aria-label="Show">
    {#each [['', 'All'], ...data.filters] as [id, label] (id)}
      <a
        class="btn px-2.5 font-normal {data.filter === id ? 'btn-primary' : 'btn-ghost'}"
        aria-current={data.filter === id ? 'true' : undefined}
        href={link({ show: id })}>{label}</a
      >
    {/each}
  </nav>
  <form method="GET" class="join max-sm:w-full {narrow}" role="search">
    <label class="grow"
      ><span class="sr-only">Search by tag, serial or owner</span><input
        bind:this={searchField}
        class="input join-item w-full sm:w-44"
        name="q"
        value={data.search}
        placeholder="tag, serial, owner"
        maxlength="80"
      /></label
    >
    <button class="btn join-item btn-outline btn-primary">Search</button>
  </form>
  <a class="btn btn-ghost px-2 font-normal {narrow}" href="/search">Findings and notes</a>
  <a class="btn btn-ghost px-2 font-normal {narrow}" href="/import">Import</a>
</div>
{#if data.waiting}
  <p class="flex items-center gap-3 text-sm" role="status">
    <progress class="progress w-40 progress-primary" max={data.total} value={data.total - data.waiting}></progress>
    {data.waiting} still being judged
  </p>
{/if}
{#if data.now && !data.filter && !data.search && data.page === 1}
  {@const { move, tag, clock, surveyId } = data.now}
  <a
    id="now-link"
    class="mb-1 flex min-h-12 items-center gap-3 border-l-4 bg-base-200 px-3 py-1 {move.class === 1
      ? 'border-hold'
      : 'border-primary'}"
    href="/surveys/{surveyId}/now"
    ><span class="label-caps">Now</span>
    <span class="min-w-0 flex-1 leading-snug"
      ><strong>{tag}: {move.title}</strong>{#if minutesOf(move)}&nbsp;· {minutesOf(move)}{/if}
      {#if clock}<span class="sounding text-hold">{clockWords(clock.hoursLeft)}</span>{/if}
      <span class="text-sm max-lg:hidden">{move.because}</span></span
    >
    <ArrowRight size={20} class="shrink-0" aria-hidden="true" /></a
  >
{/if}

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
    {:else if data.filter}
      <h2>No engine is shown by this filter</h2>
      <p class="mt-2"><a class="plain-link" href="/">Show all engines</a></p>
    {:else}
      <h2>No engine is in the yard yet</h2>
      <p class="mt-2">Take one in: a tag and the kind of case are enough to begin. Everything else may be unknown.</p>
      <p class="mt-4"><a class="btn btn-primary" href="/engines/new">Take in an engine</a></p>
    {/if}
  </section>
{/if}

<ShapeSymbols />
<ol class="border-t border-line">
  {#each data.rows as row (row.surveyId)}<YardLine {row} {now} />{/each}
</ol>
{#if data.pages > 1}
  <nav class="mt-4 flex items-center justify-between gap-3" aria-label="Pages of the yard">
    {#if data.page > 1}<a class="btn btn-outline btn-primary" href={link({ page: data.page - 1 })}>More pressing</a
      >{:else}<span></span>{/if}
    <span>page {data.page} of {data.pages}</span>
    {#if data.page < data.pages}<a class="btn btn-outline btn-primary" href={link({ page: data.page + 1 })}
        >Less pressing</a
      >{:else}<span></span>{/if}
  </nav>
{/if}
