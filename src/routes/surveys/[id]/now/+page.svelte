<script lang="ts">
  import type { Question } from '$core/moves/move.ts';
  import { checkEntry } from '$core/items/check-entry.ts';
  import { refusal } from '$core/holds/against.ts';
  import { byGravity } from '$core/findings/finding.ts';
  import { allItems } from '$core/stations/items.ts';
  import { stations } from '$core/stations/register.ts';
  import HazardLines from '$lib/ui/marks/HazardLines.svelte';
  import { minutesOf, placeOf } from '$lib/ui/marks/move-place.ts';
  import { sayDate } from '$lib/ui/marks/day.ts';
  import { useSession } from '$lib/ui/session/session.svelte.ts';
  import FindingCard from '$lib/ui/survey/FindingCard.svelte';
  import ItemField from '$lib/ui/survey/ItemField.svelte';
  import { PinnedMove } from '$lib/ui/survey/pinned-move.svelte.ts';
  import Swipe from '$lib/ui/marks/Swipe.svelte';
  import ArrowRight from '@lucide/svelte/icons/arrow-right';
  import Maximize2 from '@lucide/svelte/icons/maximize-2';
  import { parseISO } from 'date-fns';
  import { untrack, type ComponentProps, type Component } from 'svelte';
  import type JobInside from '$lib/ui/survey/JobInside.svelte';

  /** A choice so soon after a tap was made by it, ms. */
  const TAP = 1500;

  let { data } = $props();
  const session = $derived(useSession());
  const base = $derived(`/surveys/${session.surveyId}`);
  const pinned = new PinnedMove(() => session);
  const move = $derived(pinned.move);
  const questions = $derived(move?.questions ?? []);
  let at = $state(0);
  let big = $state(false);
  const question = $derived(questions[Math.min(at, questions.length - 1)]);
  /** What a finding asks for is asked of the engine as it is: an answer that stands already was given of before. */
  const asksAnew = $derived(move?.kind === 'repeat' || (move?.kind === 'look' && move.id.startsWith('ask:')));
  const conditions = $derived(move?.conditions);
  const step = $derived(move?.kind === 'job' ? session.concluded.steps.find((s) => s.id === move.job) : undefined);
  // A job's card comes with the page that opens on a job; else it is fetched when the first one comes up.
  let fetched = $state.raw<Component<ComponentProps<typeof JobInside>>>();
  const Job = $derived(data.job ?? fetched);
  $effect(() => {
    if (step && !Job) void import('$lib/ui/survey/JobInside.svelte').then((m) => (fetched = m.default));
  });
  const hazards = $derived(
    step
      ? []
      : [
          ...new Set([
            ...(move?.station
              ? [...stations[move.station].hazards.before, ...stations[move.station].hazards.during]
              : []),
            ...(move?.hazards ?? [])
          ])
        ]
  );
  const here = $derived(session.judgement.stations.find((s) => s.id === move?.station));
  const findings = $derived([...(here?.findings ?? [])].sort(byGravity).slice(0, 3));
  const stop = $derived(question ? refusal(session.judgement.holds, question.what) : undefined);
  const danger = $derived(move?.class === 1);
  const open = $derived(move && (!questions.length || move.id.startsWith('proof:')) && !step);
  const openTo = $derived(
    move && `${placeOf(move, base)}${move.id.startsWith('proof:') && move.job ? `?recheck=${move.job}` : ''}`
  );
  /** Answered as it is asked now: a repeat by a reading taken for it, anything else by what stands. */
  const answered = (q: Question): boolean => {
    const now = session.standing(q.what, q.cylinder, conditions?.bank);
    return now !== undefined && (move?.kind !== 'repeat' || pinned.fresh(now.id));
  };

  $effect(() => {
    void session.moves;
    if (session.weighing === 'weighing') return;
    pinned.pin();
    pinned.settle();
  });
  // By its id: danger is weighed anew with every entry, and stays the same move.
  const moveId = $derived(move?.id);
  $effect(() => {
    void moveId;
    at = 0;
  });

  /**
   * What nobody could tell is written down as that: asked once, it stands further down. What was read before stays: a repeat that
   * could not be made is one for later.
   */
  function couldNot(): void {
    const open = questions.filter(
      (q) =>
        session.standing(q.what, q.cylinder, conditions?.bank) === undefined &&
        checkEntry(allItems[q.what], 'unknown', session.units).ok
    );
    for (const q of open)
      session.read(q.what, 'unknown', {
        ...(q.cylinder === undefined ? {} : { cylinder: q.cylinder }),
        ...(conditions ? { conditions } : {}),
        typed: 'unknown'
      });
    if (open.length) pinned.done();
    else pinned.later();
  }
  /** Done is the word of whoever did it: a step of a sheet is ticked with it, whatever was read beside it. */
  function done(): void {
    if (move?.mark && !move.waits) session.mark(move.mark, 'done');
    pinned.done();
  }
  /** A tap on an answer goes on to the next question; by keyboard one goes on oneself: an arrow key already chooses. */
  let tapped = 0;
  const keyOf = (q: Question): string => `${q.what}:${q.cylinder ?? ''}`;
  let before: { readonly key: string; readonly answered: boolean } | undefined;
  $effect(() => {
    const now = question && { key: keyOf(question), answered: answered(question) };
    const justAnswered = now !== undefined && now.answered && before?.key === now.key && !before.answered;
    before = now;
    const byTap = performance.now() - tapped < TAP;
    if (justAnswered && byTap && allItems[question!.what].kind === 'choice') untrack(() => go(1));
  });
  const go = (by: number): void => void (at = Math.min(Math.max(0, at + by), Math.max(0, questions.length - 1)));
  function onkeydown(e: KeyboardEvent): void {
    if (e.key === 'Escape' && big) big = false;
    if (e.ctrlKey || e.metaKey || e.altKey || /^(INPUT|TEXTAREA|SELECT)$/.test((e.target as HTMLElement).tagName))
      return;
    if (e.key === 'ArrowRight') go(1);
    else if (e.key === 'ArrowLeft') go(-1);
    else if (e.key === 'b') big = !big;
    else return;
    e.preventDefault();
  }
</script>

<svelte:head><title>Now · {session.survey.engine.identity.tag ?? 'engine'} · Indaga</title></svelte:head>
<svelte:window {onkeydown} onpointerdown={() => (tapped = performance.now())} />

<div class="grid gap-6 lg:grid-cols-[minmax(0,1fr)_20rem]">
  <section
    aria-labelledby="move-title"
    class="min-w-0 {big ? 'big-figures fixed inset-0 z-50 overflow-auto bg-base-100 p-4' : ''}"
  >
    {#if move}
      <div class="border-l-4 pl-3 {danger ? 'border-hold' : 'border-primary'}">
        <p class="label-caps flex flex-wrap items-center gap-x-3">
          Now{#if move.station}<span>{stations[move.station].title}</span>{/if}
          {#if minutesOf(move)}<span>{minutesOf(move)}</span>{/if}
          {#if question}<button
              type="button"
              class="btn ml-auto btn-ghost px-2 font-normal"
              aria-pressed={big}
              onclick={() => (big = !big)}
              ><Maximize2 size={18} aria-hidden="true" /> {big ? 'Small again' : 'Big figures'}</button
            >{/if}
        </p>
        <h2 id="move-title" class="text-2xl {danger ? 'text-hold' : ''}" aria-live="polite">{move.title}</h2>
        <p>{move.because}</p>
        {#if move.deadline}<p class="font-semibold text-hold">By {sayDate(move.deadline, 'EEE d MMM HH:mm')}.</p>{/if}
        {#if move.from}<p>Not before {sayDate(parseISO(move.from), 'EEE d MMM HH:mm')}.</p>{/if}
        {#if move.waits}<p class="font-medium">{move.waits}</p>{/if}
        {#if pinned.still}<p class="font-medium text-warning" role="status">{pinned.still}</p>{/if}
      </div>
      <div class="mt-3"><HazardLines ids={hazards} brief /></div>
      {#if stop && questions.length}<p class="mt-2 border-2 border-hold p-2 font-semibold text-hold" role="status">
          {stop}
        </p>{/if}
      {#if step}
        <div class="mt-3">
          {#key step.id}
            {#if Job}<Job {step} {base} onmarked={() => pinned.done()} />{:else}<p class="min-h-36" role="status">
                Fetching the job…
              </p>{/if}
          {/key}
        </div>
      {:else if question}
        <Swipe onleft={() => go(1)} onright={() => go(-1)}>
          <div class="mt-3 min-h-36 border-y border-line py-3">
            {#if questions.length > 1}<p class="label-caps" role="status">
                {Math.min(at, questions.length - 1) + 1} of {questions.length}{answered(question) ? ', answered' : ''}
              </p>{/if}
            {#key keyOf(question)}<ItemField
                what={question.what}
                cylinder={question.cylinder}
                {conditions}
                asksAnew={(id) => asksAnew && !pinned.fresh(id)}
              />{/key}
          </div>
        </Swipe>
        {#if questions.length > 1}
          <p class="mt-2 grid grid-cols-2 gap-2 sm:flex">
            <button type="button" class="btn btn-outline" disabled={at === 0} onclick={() => go(-1)}>Back</button>
            <button
              type="button"
              class="btn btn-outline btn-primary"
              disabled={at >= questions.length - 1}
              onclick={() => go(1)}>Next question</button
            >
          </p>
        {/if}
      {/if}
      <div class="mt-4 grid gap-2 sm:flex sm:flex-wrap">
        {#if open}<a class="btn btn-primary" href={openTo}
            >{move.kind === 'release' || move.kind === 'decide'
              ? 'To the gates'
              : move.kind === 'ask'
                ? 'To the decision'
                : move.sheet
                  ? 'Open its sheet'
                  : `Open ${move.station ? stations[move.station].title.toLowerCase() : 'the job list'}`}
            <ArrowRight size={18} aria-hidden="true" /></a
          >{/if}
        {#if !step}<button type="button" class="btn {open ? 'btn-outline btn-primary' : 'btn-primary'}" onclick={done}
            >{session.weighing === 'weighing' ? 'Weighing…' : 'Done: what next?'}</button
          >{/if}
        {#if questions.length}<button type="button" class="btn btn-outline" onclick={couldNot}>Could not tell</button
          >{/if}
        <button type="button" class="btn btn-outline" onclick={() => pinned.later()}>Later</button>
        {#if !open && move.station}<a class="btn btn-ghost font-normal" href={openTo}>Whole sheet</a>{/if}
      </div>
    {:else}
      <h2 id="move-title" class="text-2xl">Weighing what was recorded…</h2>
      <p class="mt-2">If nothing comes, <a class="plain-link" href="{base}/safe">begin with the first check</a>.</p>
    {/if}
  </section>
  <aside class="space-y-3" aria-label="Beside it">
    {#if pinned.then.length}
      <div>
        <h2 class="label-caps">Then</h2>
        <ol>
          {#each pinned.then as m (m.id)}<li class="border-b border-line py-1.5">
              {m.title}{#if minutesOf(m)}&nbsp;· {minutesOf(m)}{/if}
            </li>{/each}
        </ol>
      </div>
    {/if}
    {#if findings.length && here}
      <div class="panel p-3" aria-live="polite">
        <h2>{stations[here.id].title} says</h2>
        {#each findings as f (f.id)}<FindingCard finding={f} />{/each}
      </div>
    {/if}
  </aside>
</div>
