<script lang="ts">
  import { caseKinds } from '$core/engine/case-kind.ts';
  import { conditions } from '$core/findings/finding.ts';
  import { sayLeft } from '$core/record/wait.ts';
  import type { YardRow } from '$lib/yard-row.ts';
  import Hourglass from '@lucide/svelte/icons/hourglass';
  import Package from '@lucide/svelte/icons/package';
  import { formatDistanceStrict, parseISO } from 'date-fns';
  import EngineMark from '../drawing/EngineMark.svelte';
  import { sayDate } from '../marks/day.ts';
  import { minutesOf } from '../marks/move-place.ts';
  import Shape from '../marks/Shape.svelte';
  import { clockWords } from './clock-words.ts';

  /** One engine of the yard in one line: how its checks stand, what holds it, what it waits for, what to do now. */
  let { row, now }: { row: YardRow; now: Date } = $props();
  const base = $derived(`/surveys/${row.surveyId}`);
  const standing = $derived(row.holds.filter((h) => !h.overridden));
  /** What else one wants to know before walking over, loudest first; one line of it has room. */
  const said = $derived(
    row.releasedAt
      ? row.care
        ? `${row.care.title}: ${row.care.overdue ? 'was due' : 'due'} ${sayDate(row.care.day, 'd MMM')}.`
        : ''
      : row.suspect
        ? `Likely ${row.suspect}.`
        : (row.gravest ?? '')
  );
  const busy = $derived(Boolean(row.clock || standing.length || row.waits.length || row.parts));
  const [href, title] = $derived(
    row.releasedAt
      ? row.flow
        ? [`/engines/${row.engineId}/care`, 'Care']
        : [`${base}/record`, 'Record']
      : row.flow
        ? [`${base}/flow/${row.flow.id}`, row.flow.title]
        : row.next
          ? [`${base}/now`, row.next.title]
          : [`${base}/ready`, 'Ready for service?']
  );
</script>

<li
  class="grid min-h-[58px] grid-cols-[38px_minmax(0,1fr)] items-center gap-x-3 border-b border-line px-2 py-1.5 hover:bg-base-200/60 lg:grid-cols-[38px_10.5rem_19.5rem_minmax(0,1fr)_19rem] lg:py-0.5"
>
  <a
    href="/engines/{row.engineId}"
    aria-label="{row.tag}: engine and history"
    class="max-lg:row-span-4 max-lg:self-start"><EngineMark profile={row.profile} class="h-[54px] w-[38px]" /></a
  >
  <div class="flex min-w-0 items-baseline gap-2 lg:block">
    <h2 class="truncate text-lg leading-tight"><a class="hover:underline" href={base}>{row.tag}</a></h2>
    <p class="truncate text-sm" dir="auto" title="{row.name}{row.owner ? ` · ${row.owner}` : ''}">
      {caseKinds[row.kind].label}{row.owner ? ` · ${row.owner}` : ''}
    </p>
  </div>
  <ol class="flex flex-wrap max-lg:col-start-2" aria-label="Checks of {row.tag}">
    {#each row.stations as s (s.id)}
      <li>
        <a
          class="grid h-7 w-[27px] place-items-center hover:bg-base-300"
          href="{base}/{s.id}"
          aria-label="{s.title}: {conditions[s.condition]}"
          title="{s.title}: {conditions[s.condition]}"
          ><svg width="16" height="16" aria-hidden="true"><use href="#shape-{s.condition}" /></svg></a
        >
      </li>
    {/each}
  </ol>
  <div class="min-w-0 text-sm leading-snug max-lg:col-start-2">
    {#if row.unjudged}<p class="font-medium text-error" role="alert">{row.unjudged}</p>
    {:else if row.pending}<p>Still being judged.</p>
    {:else}
      <p class="flex gap-x-3 overflow-hidden whitespace-nowrap">
        {#if row.clock}<strong class="sounding text-hold">{clockWords(row.clock.hoursLeft)}</strong>{/if}
        {#if standing.length}<span class="inline-flex min-w-0 items-center gap-1 text-hold"
            ><Shape condition="held" size={14} /><span class="truncate">{standing[0]!.title}</span
            >{#if standing.length > 1}<span>+{standing.length - 1}</span>{/if}</span
          >{/if}
        {#each row.waits.slice(0, 1) as w (w.label)}<span class="inline-flex min-w-0 items-center gap-1"
            ><Hourglass size={14} class="shrink-0" aria-hidden="true" /><span class="truncate">{w.label}</span>
            <span class="sounding">{sayLeft(parseISO(w.until), now)}</span></span
          >{/each}
        {#if row.parts}<span class="inline-flex min-w-0 items-center gap-1"
            ><Package size={14} class="shrink-0" aria-hidden="true" /><span class="truncate">waits for {row.parts}</span
            ></span
          >{/if}
      </p>
      {#if said}<p
          class="truncate {busy ? 'max-lg:hidden' : ''} {row.care?.overdue && row.releasedAt
            ? 'font-medium text-warning'
            : ''}"
          title={said}
        >
          {said}
        </p>{/if}
    {/if}
  </div>
  <div class="min-w-0 max-lg:col-start-2">
    {#if row.unjudged}
      <a class="btn btn-outline btn-primary w-full" href="{base}/file.json">Export its file</a>
    {:else if row.pending}
      <a class="btn w-full btn-soft btn-primary" href={base}>Open</a>
    {:else if row.releasedAt}
      <a class="btn w-full justify-between btn-outline font-normal" {href}
        ><span class="truncate"
          ><Shape condition="sound" size={14} />
          Back in service, signed {formatDistanceStrict(parseISO(row.releasedAt), now, { addSuffix: true })}</span
        ><strong>{title}</strong></a
      >
    {:else}
      <a
        class="btn w-full justify-between gap-2 {row.next?.class === 1
          ? 'btn-secondary'
          : 'btn-primary'} btn-soft text-left"
        {href}
        title={row.next?.because}
        ><span class="line-clamp-2 leading-tight">{title}</span>{#if row.next && minutesOf(row.next)}<span
            class="sounding shrink-0">{minutesOf(row.next)}</span
          >{/if}</a
      >
    {/if}
  </div>
</li>
