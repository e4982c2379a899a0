<script lang="ts">
  import { placeOf } from '$lib/ui/marks/move-place.ts';
  import { leakTask } from '$core/stations/compression/leak.ts';
  import { goto } from '$app/navigation';
  import { page } from '$app/state';
  import type { StationId } from '$core/stations/items.ts';
  import { drowned } from '$core/record/drowned.ts';
  import { caseKinds } from '$core/engine/case-kind.ts';
  import { drownedClock } from '$core/drowned/clock.ts';
  import { stationKeys } from '$lib/ui/marks/station-keys.ts';
  import EngineTabs from '$lib/ui/survey/EngineTabs.svelte';
  import { fetchSheets } from '$lib/ui/sheets/register.ts';
  import { Advising } from '$lib/ui/session/advising.svelte.ts';
  import StartWait from '$lib/ui/survey/StartWait.svelte';
  import WaitBar from '$lib/ui/survey/WaitBar.svelte';
  import HoldBanner from '$lib/ui/survey/HoldBanner.svelte';
  import { provideSession, Session } from '$lib/ui/session/session.svelte.ts';
  import Undo2 from '@lucide/svelte/icons/undo-2';
  import { onMount, untrack } from 'svelte';

  let { data, children } = $props();
  // One session an assessment; units or another assessment make a new one, moving between its pages does not.
  const session = $derived.by(() => {
    void [data.session.surveyId, data.session.units, data.session.who];
    return untrack(() => new Session(data.session));
  });
  provideSession(() => session);
  const base = $derived(`/surveys/${data.session.surveyId}`);
  const engine = $derived(session.survey.engine);
  const raised = $derived(session.judgement.holds.filter((h) => !h.standing));
  const clock = $derived(drownedClock(session.judgement.context));
  const wasDrowned = $derived(drowned(session));
  const title = $derived(engine.identity.tag ?? 'no tag');
  /** A label is printed alone. */
  const alone = $derived(page.url.pathname.endsWith('/labels') ? 'no-print' : '');
  const station = $derived(page.params.station as StationId | undefined);
  let keys = $state(false);
  let undone = $state('');

  // Weighed by a worker, a moment after the last entry; what the page came with is already weighed.
  const advising = new Advising();
  let weighed: unknown;
  $effect(() => {
    const { survey } = session;
    if (weighed === undefined || survey === weighed) weighed = survey;
    else {
      weighed = survey;
      advising.ask(session);
    }
  });

  // Only what is recorded is fitted: a half-typed number is judged but not worth a fit.
  $effect(() => {
    if (!session.preview) void session.leaks.ask(leakTask(session.judgement.context));
  });

  onMount(() => {
    session.resume();
    // Well after the first load: the other checks are then there without a connection.
    const ahead = setTimeout(() => {
      void fetchSheets();
      void import('$lib/ui/survey/WaitForm.svelte');
    }, 3000);
    const tick = setInterval(() => {
      session.now = new Date();
      if (document.visibilityState === 'visible') void session.outbox.flush();
    }, 15_000);
    const wake = (): void => void session.outbox.flush();
    window.addEventListener('online', wake);
    document.addEventListener('visibilitychange', wake);
    return () => {
      advising.stop();
      session.leaks.stop();
      clearInterval(tick);
      clearTimeout(ahead);
      window.removeEventListener('online', wake);
      document.removeEventListener('visibilitychange', wake);
    };
  });

  function undo(): void {
    const label = session.undo();
    undone = label ? `Undone: ${label}` : 'Nothing to undo';
  }

  const now = $derived(session.moves.find((m) => !m.waits) ?? session.moves[0]);
  function onkeydown(e: KeyboardEvent): void {
    const at = e.target as HTMLElement;
    if ((e.ctrlKey || e.metaKey) && e.key === 'z' && !/^(INPUT|TEXTAREA)$/.test(at.tagName)) {
      e.preventDefault();
      return undo();
    }
    if (
      e.ctrlKey ||
      e.metaKey ||
      e.altKey ||
      (/^(INPUT|TEXTAREA|SELECT)$/.test(at.tagName) &&
        (at as HTMLInputElement).type !== 'radio' &&
        (at as HTMLInputElement).type !== 'checkbox')
    )
      return;
    if (document.querySelector('[role="dialog"]')) return;
    const station = session.judgement.stations[stationKeys.indexOf(e.key)];
    if (station) void goto(`${base}/${station.id}`);
    else if (e.key === 'n' && now) void goto(placeOf(now, base));
    else if (e.key === 's') void goto(`${base}/suspects`);
    else if (e.key === 'j') void goto(`${base}/jobs`);
    else if (e.key === 'u') undo();
    else if (e.key === 'r') document.querySelector<HTMLInputElement>('[id^="compression-"]:not([disabled])')?.focus();
    else if (e.key === '/') document.getElementById('quick-line')?.focus();
    else if (e.key === '?') keys = true;
    else return;
    e.preventDefault();
  }
  const states = {
    saved: 'Saved',
    saving: 'Saving…',
    kept: 'No connection: kept in this browser, will be sent'
  } as const;
</script>

<svelte:window {onkeydown} />

<div class="{alone} mb-2 flex flex-wrap items-end justify-between gap-x-4 gap-y-1">
  <div class="min-w-0">
    <h1 class="truncate">{title}</h1>
    <p class="truncate text-sm">
      {[engine.identity.maker, engine.identity.model].filter(Boolean).join(' ') || 'unknown make'} · {caseKinds[
        session.survey.assessment.kind
      ].label}{engine.identity.owner ? ` · ${engine.identity.owner}` : ''}
    </p>
  </div>
  <div class="no-print flex flex-wrap items-center gap-x-3">
    <p class="text-sm" role="status">
      <span class={session.outbox.state === 'kept' ? 'font-semibold text-warning' : ''}
        >{states[session.outbox.state]}</span
      >{undone ? ` · ${undone}` : ''}
    </p>
    <button type="button" class="tap gap-1 px-2" disabled={!session.undos.length} onclick={undo}
      ><Undo2 size={18} aria-hidden="true" /> Undo</button
    >
    <button type="button" class="tap px-2" onclick={() => (keys = true)} aria-label="List of keys"
      ><kbd class="font-label">?</kbd></button
    >
    <StartWait {station} />
    <EngineTabs {base} engine="/engines/{data.session.engineId}" drowned={wasDrowned} />
  </div>
</div>
{#if clock}
  <p class="{alone} mb-2 border-l-4 border-hold pl-3">
    <strong class="sounding text-2xl text-hold"
      >{clock.hoursLeft > 0
        ? `${Math.floor(clock.hoursLeft)} h ${Math.floor((clock.hoursLeft % 1) * 60)} min left`
        : 'time is past'}</strong
    > <span class="text-sm">{clock.sentence} Judged by: {clock.school}.</span>
  </p>
{/if}
<div class="{alone} mb-3" class:hidden={page.params.flow}>
  <HoldBanner holds={raised} {base} onoverride={(hold, reason) => session.override(hold, reason)} />
</div>
<WaitBar />
{#if session.outbox.refusals.length}
  <div class="mb-3 border-2 border-error p-3" role="alert">
    {#each session.outbox.refusals as r (r.id)}<p class="font-medium text-error">{r.message}</p>{/each}
    <button type="button" class="action quiet mt-2" onclick={() => session.outbox.dismiss()}>I have read it</button>
  </div>
{/if}
{@render children()}
{#if keys}
  {#await import('$lib/ui/survey/KeysDialog.svelte') then { default: KeysDialog }}<KeysDialog
      onclose={() => (keys = false)}
    />{/await}
{/if}
