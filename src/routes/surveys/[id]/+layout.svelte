<script lang="ts">
  import { standsAt } from '$core/record/stands-at.ts';
  import { clock as serverClock } from '$lib/ui/session/clock.ts';
  import { placeOf } from '$lib/ui/marks/move-place.ts';
  import { goto, preloadCode } from '$app/navigation';
  import { page } from '$app/state';
  import type { StationId } from '$core/stations/items.ts';
  import { drowned } from '$core/record/drowned.ts';
  import { caseKinds } from '$core/engine/case-kind.ts';
  import { stationKeys } from '$lib/ui/marks/station-keys.ts';
  import EngineTabs from '$lib/ui/survey/EngineTabs.svelte';
  import { fetchAhead } from '$lib/ui/session/ahead.ts';
  import { sheetLoaders } from '$lib/ui/sheets/register.ts';
  import { concludeBeside } from '$lib/ui/session/concluding.svelte.ts';
  import { Advising } from '$lib/ui/session/advising.svelte.ts';
  import EngineDock from '$lib/ui/survey/EngineDock.svelte';
  import Menu from '$lib/ui/marks/Menu.svelte';
  import PlaceList from '$lib/ui/marks/PlaceList.svelte';
  import { clockWords } from '$lib/ui/yard/clock-words.ts';
  import StartWait from '$lib/ui/survey/StartWait.svelte';
  import WaitBar from '$lib/ui/survey/WaitBar.svelte';
  import HoldBanner from '$lib/ui/survey/HoldBanner.svelte';
  import { Others } from '$lib/ui/session/others.ts';
  import { provideSession, Session } from '$lib/ui/session/session.svelte.ts';
  import ChevronLeft from '@lucide/svelte/icons/chevron-left';
  import MenuIcon from '@lucide/svelte/icons/menu';
  import Undo2 from '@lucide/svelte/icons/undo-2';
  import { onMount, untrack } from 'svelte';

  let { data, children } = $props();
  // One session an assessment; units or another assessment make a new one, moving between its pages does not.
  const session = $derived.by(() => {
    void [data.session.surveyId, data.session.units, data.session.who];
    return untrack(() => new Session(data.session));
  });
  provideSession(() => session);
  concludeBeside(() => session);
  const base = $derived(`/surveys/${data.session.surveyId}`);
  const engine = $derived(session.survey.engine);
  const raised = $derived(session.judgement.holds.filter((h) => !h.standing));
  const clock = $derived(session.concluded.clock);
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

  onMount(() => {
    void session.resume();
    if (data.prefs.speak === 'yes')
      void import('$lib/ui/session/speak.ts').then(({ speak, spoken }) => {
        session.onrecorded = (r) => speak(spoken(r, session.units));
      });
    // Well after the first load: the other checks are then there without a connection.
    let endAhead: (() => void) | undefined;
    const ahead = setTimeout(() => {
      endAhead = fetchAhead([
        ...sheetLoaders,
        () => import('$core/survey/quick-line.ts'),
        () => import('$lib/ui/survey/WaitForm.svelte'),
        () => preloadCode(`${base}/work/pump-kit`),
        () => preloadCode(`${base}/jobs`)
      ]);
    }, 3000);
    // Each page of this engine opens without a connection, once it has been here with one.
    const copies = setTimeout(() => {
      const pages = [
        'now',
        'jobs',
        'suspects',
        'tray',
        'ready',
        'record',
        ...session.judgement.stations.map((s) => s.id)
      ];
      // Asked of the one that is active: a page that was opened while it came up is not its own yet.
      void navigator.serviceWorker?.ready.then((r) =>
        r.active?.postMessage({ keep: ['/', ...pages.map((p) => `${base}/${p}`)] })
      );
    }, 6000);
    const tick = setInterval(
      () => (session.now = standsAt(session.survey, data.release?.at, serverClock.date())),
      15_000
    );
    // What others add is told by the server; asked for every minute besides, where nothing is told.
    const others = new Others(data.session.surveyId, () => void session.outbox.flush());
    const wake = (): void => void session.outbox.flush();
    window.addEventListener('online', wake);
    document.addEventListener('visibilitychange', wake);
    return () => {
      advising.stop();
      session.leaks.stop();
      others.end();
      clearInterval(tick);
      clearTimeout(ahead);
      endAhead?.();
      clearTimeout(copies);
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
    else if (e.key === 'n' && now) void goto(page.url.pathname === `${base}/now` ? placeOf(now, base) : `${base}/now`);
    else if (e.key === 's') void goto(`${base}/suspects`);
    else if (e.key === 'j') void goto(`${base}/jobs`);
    else if (e.key === 'u') undo();
    else if (e.key === 'r')
      document
        .querySelector<HTMLElement>(
          'main :is([id^="compression-"], input.input, input[type="radio"], fieldset button):not([disabled])'
        )
        ?.focus();
    else if (e.key === '/') document.getElementById('quick-line')?.focus();
    else if (e.key === '?') keys = true;
    else return;
    e.preventDefault();
  }
  const states = {
    saved: 'Saved',
    saving: 'Saving…',
    kept: 'Kept here, not sent'
  } as const;
</script>

<svelte:window {onkeydown} />

<div class="{alone} -mx-3 mb-1 flex items-center gap-x-2 border-line px-3 max-lg:border-b lg:mx-0 lg:gap-x-3 lg:px-0">
  <a class="btn btn-ghost btn-square lg:hidden" href="/" aria-label="Yard"
    ><ChevronLeft size={24} aria-hidden="true" /></a
  >
  <div class="flex min-w-0 flex-1 items-baseline gap-x-3">
    <h1 class="max-w-[75%] shrink-0 truncate max-lg:max-w-full max-lg:shrink max-lg:text-xl">{title}</h1>
    <p class="truncate text-sm max-lg:hidden">
      {[engine.identity.maker, engine.identity.model].filter(Boolean).join(' ') || 'unknown make'} · {caseKinds[
        session.survey.assessment.kind
      ].label}{engine.identity.owner ? ` · ${engine.identity.owner}` : ''}
    </p>
  </div>
  <div class="no-print flex shrink-0 items-center lg:gap-x-2">
    <p class="text-sm" role="status">
      <span class={session.outbox.state === 'kept' ? 'font-semibold text-warning' : ''}
        >{states[session.outbox.state]}</span
      >{undone ? ` · ${undone}` : ''}
    </p>
    <button type="button" class="btn btn-ghost px-2 font-normal" disabled={!session.undos.length} onclick={undo}
      ><Undo2 size={18} aria-hidden="true" /> <span class="max-sm:sr-only">Undo</span></button
    >
    <button
      type="button"
      class="btn btn-ghost px-2 max-lg:hidden"
      onclick={() => (keys = true)}
      aria-label="List of keys"><kbd class="font-label">?</kbd></button
    >
    <div class="max-lg:hidden"><StartWait {station} /></div>
    <div class="max-lg:hidden">
      <EngineTabs {base} engine="/engines/{data.session.engineId}" drowned={wasDrowned} />
    </div>
    <Menu label="This engine and other places" class="lg:hidden">
      {#snippet face()}<MenuIcon size={24} aria-hidden="true" />{/snippet}
      <EngineTabs {base} engine="/engines/{data.session.engineId}" drowned={wasDrowned} list />
      <div class="border-y border-line px-2"><StartWait {station} /></div>
      <PlaceList />
    </Menu>
  </div>
</div>
{#if clock}
  <p class="{alone} mb-1 border-l-4 border-hold pl-3">
    <strong class="sounding text-xl text-hold"
      >{clock.hoursLeft > 0 ? clockWords(clock.hoursLeft) : 'time is past'}</strong
    > <span class="text-sm">{clock.sentence} <span class="max-lg:hidden">Judged by: {clock.school}.</span></span>
  </p>
{/if}
<div class="{alone} mb-2" class:hidden={page.params.flow}>
  <HoldBanner holds={raised} {base} onoverride={(hold, reason) => session.override(hold, reason)} />
</div>
<WaitBar />
{#if session.outbox.why && session.outbox.state === 'kept'}
  <p class="no-print border-l-4 border-warning px-3 py-1 font-medium" role="status">{session.outbox.why}</p>
{/if}
{#if session.unjudged}
  <p class="mb-2 border-2 border-warning p-2 font-medium text-warning" role="alert">
    What is found and what is held is older than the last entry: it could not be judged in this browser. What you
    entered is kept; load the page again.
  </p>
{/if}
{#if session.outbox.unkept}
  <p class="mb-2 border-2 border-warning p-2 font-medium text-warning" role="alert">
    This browser’s store is full: keep this page open until everything is sent, or free some space.
  </p>
{/if}
{#if session.outbox.refusals.length}
  <div class="mb-3 border-2 border-error p-3" role="alert">
    {#each session.outbox.refusals as r (r.id)}<p class="font-medium text-error">{r.message}</p>{/each}
    <button type="button" class="btn btn-outline btn-primary mt-2" onclick={() => session.outbox.dismiss()}
      >I have read it</button
    >
  </div>
{/if}
<div class="pb-20 lg:pb-0">{@render children()}</div>
<EngineDock {base} points={session.judgement.stations.find((s) => s.id === station)?.findings.length ?? 0} />
{#if keys}
  {#await import('$lib/ui/survey/KeysDialog.svelte') then { default: KeysDialog }}<KeysDialog
      onclose={() => (keys = false)}
    />{/await}
{/if}
